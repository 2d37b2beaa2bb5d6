import type { PieceScore } from '@wide-fern/core';
import { openCompressed } from './container/compressed';
import { midiInside, refuseForeign } from './container/foreign';
import { textOfBytes } from './container/text';
import { refuse } from './common/found';
import { readScoreMidi } from './midi/readScoreMidi';
import { readScoreXml } from './musicxml/readScoreXml';

/** The largest file that is looked into; 80 pages have about 15 MB when they are not compressed. */
const largestScore = 20_000_000;
const scoreTooLarge = (size: number): string =>
  `This file has ${Math.ceil(size / 1_000_000)} MB; scores up to ${largestScore / 1_000_000} MB are read. Save it as compressed MusicXML, or without pictures and sound.`;

/** The endings of the files that are read as scores. */
const readableScores = ['.musicxml', '.xml', '.mxl', '.mid', '.midi'];

const startsWith = (bytes: Uint8Array, ...head: readonly number[]): boolean =>
  head.every((byte, i) => bytes[i] === byte);

/**
 * Reads a choir score by what is in the file: MusicXML plain or compressed, by parts or by bars, or
 * a standard MIDI file.
 * @param onProgress told how much is read, from 0 to 1
 * @throws UnreadableFile with words for a person
 */
export function readScore(bytes: Uint8Array, onProgress?: (share: number) => void): PieceScore {
  if (bytes.length > largestScore) refuse(scoreTooLarge(bytes.length));
  if (bytes.length === 0) refuse('This file is empty. Choose another one.');
  refuseForeign(bytes);
  const inside = midiInside(bytes);
  if (startsWith(inside, 0x4d, 0x54, 0x68, 0x64)) return readScoreMidi(inside);
  const text = startsWith(bytes, 0x50, 0x4b) ? openCompressed(bytes) : textOfBytes(bytes);
  const xml = text.replace(/^\ufeff/, '').trimStart();
  if (xml.startsWith('<')) return readScoreXml(xml, onProgress);
  return refuse(
    `This kind of file is not read. Choose one that ends in ${readableScores.join(', ')}.`,
  );
}
