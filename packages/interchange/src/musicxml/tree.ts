import { XMLParser } from 'fast-xml-parser';
import { refuse } from '../found';

/** A score with more notes than this is not even parsed: four full lines have a fifth of them. */
const mostNotes = 8000;
const mostTags = 250_000;

/** An element with its children in the order of the file. */
export interface Tree {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly Tree[];
  /** The text directly inside. */
  readonly text: string;
}

type Raw = Readonly<Record<string, unknown>>;

const prefix = '@_';

function toTree(raw: readonly Raw[], depth: number): Tree[] {
  if (depth > 24) refuse('This file is nested deeper than music is; it cannot be read.');
  return raw.flatMap((node) => {
    const name = Object.keys(node).find((key) => key !== ':@' && key !== '#text');
    if (!name) return [];
    const inside = node[name] as readonly Raw[];
    const attributes = Object.fromEntries(
      Object.entries((node[':@'] ?? {}) as Raw).map(([key, value]) => [
        key.slice(prefix.length),
        String(value),
      ]),
    );
    const text = inside.map((child) => ('#text' in child ? String(child['#text']) : '')).join('');
    return [{ name, attributes, children: toTree(inside, depth + 1), text }];
  });
}

/**
 * Reads an XML text into a tree. A document that declares entities of its own is refused: nothing
 * musical needs them, and they can be made to grow without end.
 */
export function readTree(xml: string): Tree {
  if (/<!ENTITY|<!DOCTYPE[^>[]*\[/i.test(xml)) {
    refuse(
      'This file declares entities of its own, which is not safe to read. Save it again from the program that wrote it.',
    );
  }
  if (xml.split('<').length > mostTags) {
    refuse('This file holds far more than an exercise needs. Cut a few bars out of it first.');
  }
  const notes = xml.split('<note').length - 1;
  if (notes > mostNotes) {
    refuse(
      `This score has ${notes} notes: that is a piece, not an exercise. Cut a few bars out of it first.`,
    );
  }
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: prefix,
    parseTagValue: false,
    parseAttributeValue: false,
    trimValues: false,
    htmlEntities: true,
  });
  let raw: readonly Raw[] = [];
  try {
    raw = parser.parse(xml) as readonly Raw[];
  } catch {
    refuse(
      'This is not a whole XML file: it breaks off or is damaged. Save it again and try once more.',
    );
  }
  const root = toTree(raw, 0).find(({ name }) => !name.startsWith('?'));
  return root ?? refuse('There is nothing in this file. Save it again and try once more.');
}

export const child = (tree: Tree | undefined, name: string): Tree | undefined =>
  tree?.children.find((one) => one.name === name);

export const childrenOf = (tree: Tree | undefined, name: string): Tree[] =>
  (tree?.children ?? []).filter((one) => one.name === name);

export const textOf = (tree: Tree | undefined, name: string): string =>
  child(tree, name)?.text.trim() ?? '';

/** A whole or decimal number inside a child; undefined when it is none. */
export function numberOf(tree: Tree | undefined, name: string): number | undefined {
  const words = textOf(tree, name);
  if (words === '') return undefined;
  const value = Number(words);
  return Number.isFinite(value) ? value : undefined;
}
