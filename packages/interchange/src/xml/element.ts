import XMLBuilder from 'fast-xml-builder';

/** An element as it is written: its name with what is in it, and its attributes beside. */
export interface Element {
  readonly [name: string]: readonly (Element | Text)[] | Record<string, string>;
}
interface Text {
  readonly '#text': string;
}
export type Child = Element | string | number | undefined | false;

/** Whether a character may stand in XML at all: control characters may not, but for line and tab. */
const mayStand = (letter: string): boolean => letter >= ' ' || '\t\n\r'.includes(letter);
const plain = (value: string | number): string => [...String(value)].filter(mayStand).join('');

/** An element with its attributes and children; undefined ones are left out. */
export function element(
  name: string,
  attributes: Readonly<Record<string, string | number | undefined>> = {},
  ...children: readonly (Child | readonly Child[])[]
): Element {
  const said = Object.entries(attributes).flatMap(([key, value]) =>
    value === undefined ? [] : [[key, plain(value)]],
  );
  const inside = children
    .flat()
    .filter((child) => child !== undefined && child !== false)
    .map((child) => (typeof child === 'object' ? child : { '#text': plain(child) }));
  return { [name]: inside, ':@': Object.fromEntries(said) as Record<string, string> };
}

/** An element that holds only a text or a figure. */
export const text = (name: string, value: string | number): Element => element(name, {}, value);

const builder = new XMLBuilder({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  suppressEmptyNode: true,
});

/** A document with its type, as text. */
export const writeXml = (
  root: Element,
  { name, publicId, address }: Readonly<Record<'name' | 'publicId' | 'address', string>>,
): string =>
  `<?xml version="1.0" encoding="UTF-8" standalone="no"?>
<!DOCTYPE ${name} PUBLIC "${publicId}" "${address}">
${String(builder.build([root]))}
`;
