import type { Exercise } from '@wide-fern/contract';
import { readAbc } from './abc/read';
import { openCompressed } from './container/compressed';
import { midiInside, refuseForeign } from './container/foreign';
import { textOfBytes } from './container/text';
import { readCsv } from './csv/csv';
import { refuse, type FoundMusic, type NotKept } from './common/found';
import { readJson } from './json/json';
import { readMidi, readMusicXml } from './exercise/read';

/** The largest file that is looked into; an exercise needs a few thousand bytes. */
const largestFile = 5_000_000;
const tooLarge = (size: number): string =>
  `This file has ${Math.ceil(size / 1_000_000)} MB; files up to ${largestFile / 1_000_000} MB are read. An exercise needs a few kB.`;

/** The endings of the files that are read. */
const readable = ['.musicxml', '.xml', '.mxl', '.mid', '.midi', '.abc', '.json', '.csv'];

/** What was in a file: music for one new exercise, or whole exercises. */
export type ReadFile =
  | ({ readonly kind: 'music' } & FoundMusic)
  | {
      readonly kind: 'exercises';
      readonly exercises: readonly Exercise[];
      readonly notKept: readonly NotKept[];
    };

const startsWith = (bytes: Uint8Array, ...head: readonly number[]): boolean =>
  head.every((byte, i) => bytes[i] === byte);

/**
 * Reads a file by what is in it; its name only decides between a list and a tune.
 * @throws UnreadableFile with words for a person
 */
export function readFile(name: string, bytes: Uint8Array): ReadFile {
  if (bytes.length > largestFile) refuse(tooLarge(bytes.length));
  if (bytes.length === 0) refuse('This file is empty. Choose another one.');
  refuseForeign(bytes);
  if (startsWith(bytes, 0x50, 0x4b)) return music(readMusicXml(openCompressed(bytes)));
  const inside = midiInside(bytes);
  if (startsWith(inside, 0x4d, 0x54, 0x68, 0x64)) return music(readMidi(inside));
  const text = textOfBytes(bytes).replace(/^\ufeff/, '');
  const start = text.trimStart();
  if (start.startsWith('<')) return music(readMusicXml(start));
  if (start.startsWith('{')) return { kind: 'exercises', ...readJson(start) };
  if (/\.csv$/i.test(name)) return { kind: 'exercises', ...readCsv(text) };
  if (/\.abc$/i.test(name) || /^X:/m.test(text)) return music(readAbc(text));
  return refuse(`This kind of file is not read. Choose one that ends in ${readable.join(', ')}.`);
}

const music = (found: FoundMusic): ReadFile => ({ kind: 'music', ...found });
