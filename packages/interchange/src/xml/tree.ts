import { SaxesParser } from 'saxes';
import { refuse } from '../common/found';

/** How much a document may hold before it is even parsed. */
export interface TreeLimits {
  readonly tags: number;
  readonly tooMany: string;
  /** Elements that are passed over with all that is in them. */
  readonly pass?: ReadonlySet<string>;
  /**
   * Told of each element as it ends. What it answers true to is not kept, so that a long document
   * need not stand in memory as a whole.
   */
  readonly take?: (element: Tree, parent: Tree) => boolean;
}

/** An element with its children in the order of the file. */
export interface Tree {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly Tree[];
  /** The text directly inside. */
  readonly text: string;
}

interface Growing extends Tree {
  children: Growing[];
  text: string;
  /** How many it has had, kept or not. */
  count: number;
}

/** The children of an element without any. */
const none: Growing[] = [];

const deepest = 24;
/** No element of music holds so many others (bars of a part, notes of a bar), or says so much of itself. */
const mostChildren = 5000;
const mostAttributes = 100;
/** No bar, and nothing else that is taken as a whole, holds so many elements. */
const mostHeld = 60_000;
/** Signs that are spelled («&amp;») are slow to read, and rare. */
const mostSpelled = 200_000;

/** How often a word stands in a text, without making anything of it. */
export function countOf(text: string, word: string): number {
  let count = 0;
  for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1)) count += 1;
  return count;
}

/** Whether a text is nothing but blanks and line ends. */
function isBlank(text: string): boolean {
  for (let i = 0; i < text.length; i += 1) if (text.charCodeAt(i) > 32) return false;
  return true;
}

/**
 * Whether a document declares anything of its own: an entity, or more than nothing between the
 * brackets of its type. Looked at once from its start to its end.
 */
function declaresEntities(xml: string): boolean {
  if (/<!ENTITY/i.test(xml)) return true;
  const begins = xml.search(/<!DOCTYPE/i);
  if (begins < 0) return false;
  const opens = xml.indexOf('[', begins);
  const ends = xml.indexOf('>', begins);
  if (opens < 0 || (ends >= 0 && ends < opens)) return false;
  const closes = xml.indexOf(']', opens);
  return closes < 0 || !isBlank(xml.slice(opens + 1, closes));
}

const damaged =
  'This is not a whole XML file: it breaks off or is damaged. Save it again and try once more.';

/**
 * Reads an XML text into a tree. A document that declares entities of its own is refused: nothing
 * musical needs them, and they can be made to grow without end.
 * @throws UnreadableFile with words for a person
 */
export function readTree(xml: string, { tags, tooMany, pass, take }: TreeLimits): Tree {
  if (declaresEntities(xml)) {
    refuse(
      'This file declares entities of its own, which is not safe to read. Save it again from the program that wrote it.',
    );
  }
  // The shortest element has four letters.
  if (xml.length / 4 > tags && countOf(xml, '<') > tags) refuse(tooMany);
  if (countOf(xml, '&') > mostSpelled) refuse(tooMany);
  const outside: Growing = { name: '', attributes: {}, children: [], text: '', count: 0 };
  const open: Growing[] = [outside];
  let now = outside;
  /** How deep inside an element that is passed over; 0 outside of any. */
  let passing = 0;
  let attributesHere = 0;
  let held = 0;
  const parser = new SaxesParser({ position: false });
  parser.on('opentagstart', () => {
    attributesHere = 0;
  });
  parser.on('attribute', () => {
    attributesHere += 1;
    if (attributesHere > mostAttributes) refuse(tooMany);
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (open.length + passing > deepest) {
      refuse('This file is nested deeper than music is; it cannot be read.');
    }
    if (passing > 0 || pass?.has(name)) {
      passing += 1;
      return;
    }
    // Without namespaces attributes are plain texts.
    const here: Growing = {
      name,
      attributes: attributes as Tree['attributes'],
      children: none,
      text: '',
      count: 0,
    };
    now.count += 1;
    held += 1;
    if (now.count > mostChildren || held > mostHeld) refuse(tooMany);
    if (now.children === none) now.children = [here];
    else now.children.push(here);
    open.push(here);
    now = here;
  });
  parser.on('closetag', () => {
    if (passing > 0) {
      passing -= 1;
      return;
    }
    const ended = open.pop()!;
    now = open[open.length - 1]!;
    if (take?.(ended, now)) {
      now.children.pop();
      held = 0;
    }
  });
  const add = (text: string) => {
    // What stands between elements is only how the file is laid out.
    if (passing === 0 && !isBlank(text)) now.text += text;
  };
  parser.on('text', add);
  parser.on('cdata', add);
  parser.on('error', () => refuse(damaged));
  parser.write(xml).close();
  return (
    outside.children[0] ?? refuse('There is nothing in this file. Save it again and try once more.')
  );
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
