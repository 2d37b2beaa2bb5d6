import type { PieceScore } from '@wide-fern/core';
import { refuse } from '../common/found';
import { mostScoreNotes } from '../common/limits';
import { child, childrenOf, countOf, readTree, textOf, type Tree } from '../xml/tree';
import { PartReader, type PartNames } from './staves';
import { Structure } from './structure';
import { Warnings } from '../common/warnings';

const usualLimits = {
  // Eighty dense pages have fewer than a million.
  tags: 2_000_000,
  tooMany: 'This file holds far more than a choir score does. It is not read.',
};
/** How a score looks, not how it sounds. */
const pass = new Set([
  ...['beam', 'type', 'accidental', 'dot', 'notehead', 'time-modification', 'print', 'credit'],
  ...['appearance', 'page-layout', 'system-layout', 'staff-layout', 'scaling', 'harmony'],
  ...['midi-instrument', 'midi-device', 'tuplet', 'extend', 'figured-bass', 'listening'],
]);
/** What is passed over and would be missed in an exercise. */
const missed: Readonly<Record<string, string>> = {
  '<harmony': 'Chord symbols are left out.',
  '<figured-bass': 'Figured bass is left out.',
};

/** The language its words are printed in, where the file says so. */
const languageOf = (root: Tree): string =>
  child(child(root, 'defaults'), 'lyric-language')?.attributes['xml:lang'] ?? '';

/** What our own files say beside the notes. */
function saidIn(root: Tree): Record<string, string> {
  const miscellaneous = child(child(root, 'identification'), 'miscellaneous');
  return Object.fromEntries(
    childrenOf(miscellaneous, 'miscellaneous-field').map(({ attributes, text }) => [
      attributes.name ?? '',
      text.trim(),
    ]),
  );
}

/** By a part's id, the names of the brackets it stands in, from the outer to the inner. */
function groupsOf(list: Tree): Map<string, string> {
  const open = new Map<string, string>();
  const groups = new Map<string, string>();
  for (const item of list.children) {
    const { number = '1', type, id = '' } = item.attributes;
    if (item.name === 'score-part') groups.set(id, [...open.values()].join(' ').trim());
    else if (item.name === 'part-group' && type === 'stop') open.delete(number);
    else if (item.name === 'part-group') open.set(number, textOf(item, 'group-name'));
  }
  return groups;
}

/** How a part is called in the list of parts. */
function namesOf(list: Tree | undefined, id: string): PartNames {
  const entry = childrenOf(list, 'score-part').find(({ attributes }) => attributes.id === id);
  const group = (list && groupsOf(list).get(id)) ?? '';
  const abbreviation = textOf(entry, 'part-abbreviation');
  return { name: textOf(entry, 'part-name') || abbreviation, abbreviation, group };
}

/** What a score says of itself, before its music. */
function headOf(root: Tree): Pick<PieceScore, 'title' | 'composer' | 'language' | 'said'> {
  const creators = childrenOf(child(root, 'identification'), 'creator');
  const composer = creators.find(({ attributes }) => attributes.type === 'composer');
  return {
    title: textOf(child(root, 'work'), 'work-title') || textOf(root, 'movement-title'),
    composer: composer?.text.trim() ?? '',
    language: languageOf(root),
    said: saidIn(root),
  };
}

/**
 * Reads a score from MusicXML, ordered by parts or by bars (docs/interchange.md).
 * @param onProgress told how much of the score is read, from 0 to 1
 * @throws UnreadableFile with words for a person
 */
export function readScoreXml(
  xml: string,
  onProgress?: (share: number) => void,
  limits: { readonly tags: number; readonly tooMany: string } = usualLimits,
): PieceScore {
  const count = countOf(xml, '<note');
  if (count > mostScoreNotes) {
    refuse(`This score has ${count} notes; scores up to ${mostScoreNotes} are read.`);
  }
  const warnings = new Warnings();
  for (const [tag, what] of Object.entries(missed)) {
    if (countOf(xml, tag) > 0) warnings.add(null, '', what, 'exercise');
  }
  const structure = new Structure(warnings);
  const readers = new Map<string, { reader: PartReader; bars: number }>();
  let list: Tree | undefined;
  let read = 0;
  const readerOf = (id: string) => {
    const found = readers.get(id);
    if (found) return found;
    const names = namesOf(list, id);
    const made = { reader: new PartReader(names, structure, warnings), bars: 0 };
    readers.set(id, made);
    return made;
  };
  const readMeasure = (id: string, measure: Tree) => {
    const part = readerOf(id);
    part.reader.readBar(measure, part.bars);
    part.bars += 1;
    read += measure.children.length;
    onProgress?.(Math.min(1, read / (count * 1.3)));
  };
  // Measures are read as they come, in either order of the file, and not kept.
  const take = (element: Tree, parent: Tree): boolean => {
    if (element.name === 'part-list') list = element;
    if (element.name === 'measure' && parent.name === 'part') {
      readMeasure(parent.attributes.id ?? '', element);
      return true;
    }
    if (element.name === 'part' && parent.name === 'measure') {
      readMeasure(element.attributes.id ?? '', { ...parent, children: element.children });
      return true;
    }
    return false;
  };
  const root = readTree(xml, { ...limits, pass, take });
  if (root.name !== 'score-partwise' && root.name !== 'score-timewise') {
    refuse('This XML file is no MusicXML score. Choose a file saved as MusicXML.');
  }
  const bars = structure.finished();
  const staves = [...readers].flatMap(([id, { reader }], i) =>
    reader.finished(id || `P${i + 1}`, bars.length),
  );
  if (staves.every(({ notes }) => notes.length === 0)) {
    refuse('There is no note in this file. Choose one with music in it.');
  }
  if (structure.tempos.length === 0) {
    warnings.add(
      null,
      '',
      'The score names no tempo; 96 quarter notes a minute are taken.',
      'piece',
    );
  }
  return {
    ...headOf(root),
    bars,
    staves,
    tempos: structure.tempos.sort((a, b) => a.bar - b.bar || a.at - b.at),
    keys: structure.keys.sort((a, b) => a.bar - b.bar),
    metres: structure.metres.sort((a, b) => a.bar - b.bar),
    warnings: warnings.list.map((one) => ({
      ...one,
      bar: one.bar === null ? null : (bars[one.bar]?.number ?? null),
    })),
  };
}
