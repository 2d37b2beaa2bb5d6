import { create } from 'xmlbuilder2';
import type { XMLBuilder } from 'xmlbuilder2/lib/interfaces';

/** An element with its attributes and what is in it, before it is written. */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string | number | undefined>>;
  readonly children: readonly (Element | string)[];
}
export type Child = Element | string | number | undefined | false;

/** An element with its attributes and children; undefined ones are left out. */
export const element = (
  name: string,
  attributes: Element['attributes'] = {},
  ...children: readonly (Child | readonly Child[])[]
): Element => ({
  name,
  attributes,
  children: children
    .flat()
    .filter((child) => child !== undefined && child !== false)
    .map((child) => (typeof child === 'object' ? child : String(child))),
});

/** An element that holds only a text or a figure. */
export const text = (name: string, value: string | number): Element => element(name, {}, value);

function add(to: XMLBuilder, { name, attributes, children }: Element): XMLBuilder {
  const here = to.ele(name);
  for (const [key, value] of Object.entries(attributes)) {
    if (value !== undefined) here.att(key, String(value));
  }
  for (const child of children) {
    if (typeof child === 'string') here.txt(child);
    else add(here, child);
  }
  return here;
}

/** A document with its type, as text; letters that may not stand in XML are left out. */
export function writeXml(
  root: Element,
  type: { readonly pubID: string; readonly sysID: string },
): string {
  const document = create({ version: '1.0', encoding: 'UTF-8', invalidCharReplacement: '' });
  add(document, root);
  return `${document.dtd(type).doc().end()}\n`;
}
