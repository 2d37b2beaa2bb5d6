/** Whether a character may stand in XML at all: control characters may not, but for line and tab. */
const mayStand = (letter: string): boolean => letter >= ' ' || '\t\n\r'.includes(letter);

/** What XML keeps for itself is written as it asks; what may not stand there is left out. */
const escaped = (text: string): string =>
  [...text]
    .filter(mayStand)
    .join('')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');

/** An element that is already written, kept apart from text that has to be escaped. */
export interface Element {
  readonly xml: string;
}
type Child = Element | string | number | undefined | false;

/** Writes an element with its attributes and children; undefined children are left out. */
export function element(
  name: string,
  attributes: Readonly<Record<string, string | number | undefined>> = {},
  ...children: readonly (Child | readonly Child[])[]
): Element {
  const written = Object.entries(attributes)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => ` ${key}="${escaped(String(value))}"`)
    .join('');
  const inside = children
    .flat()
    .filter((child) => child !== undefined && child !== false)
    .map((child) => (typeof child === 'object' ? child.xml : escaped(String(child))))
    .join('');
  return { xml: inside === '' ? `<${name}${written}/>` : `<${name}${written}>${inside}</${name}>` };
}

/** An element that holds only a text or a figure. */
export const text = (name: string, value: string | number): Element => element(name, {}, value);
