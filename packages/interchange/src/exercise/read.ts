import { refuse, type FoundMusic } from '../common/found';
import { readScoreMidi } from '../midi/readScoreMidi';
import { readScoreXml } from '../musicxml/readScoreXml';
import { countOf } from '../xml/tree';
import { exerciseOfScore } from './fromScore';

/** A score with more notes than this is not even parsed: four full lines have a fifth of them. */
const mostNotes = 8000;
const limits = {
  tags: 250_000,
  tooMany: 'This file holds far more than an exercise needs. Cut a few bars out of it first.',
};

/**
 * Reads a MusicXML score into an exercise.
 * @throws UnreadableFile with words for a person
 */
export function readMusicXml(xml: string): FoundMusic {
  const notes = countOf(xml, '<note');
  if (notes > mostNotes) {
    refuse(
      `This score has ${notes} notes: that is a piece, not an exercise. Read it in at Pieces, and make an exercise of a few of its bars there.`,
    );
  }
  return exerciseOfScore(readScoreXml(xml, undefined, limits));
}

/**
 * Reads a standard MIDI file into an exercise; the shortest rest is one.
 * @throws UnreadableFile with words for a person
 */
export const readMidi = (bytes: Uint8Array): FoundMusic =>
  exerciseOfScore(readScoreMidi(bytes, 0), true);
