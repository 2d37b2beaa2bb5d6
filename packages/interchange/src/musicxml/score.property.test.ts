import { schemaFaults } from '../testing/schema';
import { performanceOrder, type PieceScore } from '@wide-fern/core';
import { strToU8 } from 'fflate';
import fc from 'fast-check';
import { compress } from '../container/compressed';
import { figures, score } from '../testing/scores';
import { readScore } from '../readScore';
import { writeScoreXml } from './writeScoreXml';

/** Figures to a millionth, so that sums in another order are the same. */
const rounded = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, one: unknown) =>
      typeof one === 'number' ? Math.round(one * 1e6) / 1e6 : one,
    ),
  );
const hasNotes = ({ staves }: PieceScore) => staves.some(({ notes }) => notes.length > 0);

describe('a score through our own export', () => {
  it('gives the same figures, the same order and the same bars', () => {
    fc.assert(
      fc.property(score.filter(hasNotes), fc.boolean(), (wanted, isCompressed) => {
        const xml = writeScoreXml(wanted);
        const read = readScore(isCompressed ? compress(xml) : strToU8(xml));
        expect(rounded(figures(read))).toEqual(rounded(figures(wanted)));
        expect(performanceOrder(read).seconds).toBeCloseTo(performanceOrder(wanted).seconds, 6);
        expect(read.bars).toEqual(wanted.bars);
        expect([
          read.title,
          read.composer,
          read.language,
          read.warnings.filter((warning) => warning.of !== 'exercise'),
        ]).toEqual([wanted.title, wanted.composer, wanted.language, []]);
      }),
    );
  });
  it('keeps to the schema', () => {
    fc.assert(
      fc.property(score, (written) => {
        expect(schemaFaults(writeScoreXml(written))).toEqual([]);
      }),
    );
  });
  it('gives the same words', () => {
    fc.assert(
      fc.property(score.filter(hasNotes), (wanted) => {
        const read = readScore(strToU8(writeScoreXml(wanted)));
        const wordsOf = ({ staves }: PieceScore) =>
          staves
            .filter(({ notes }) => notes.length > 0)
            .map(({ notes }) =>
              // A chord carries its words once.
              notes
                .filter(
                  (note, i) =>
                    notes.findIndex(
                      (other) =>
                        other.bar === note.bar &&
                        other.voice === note.voice &&
                        Math.abs(other.at - note.at) < 1e-4,
                    ) === i,
                )
                .flatMap(({ syllables }) => syllables?.[0] || []),
            );
        expect(wordsOf(read)).toEqual(wordsOf(wanted));
      }),
    );
  });
});

describe('notes that overlap in one voice', () => {
  it('are written in layers, and bars stay as long as they are', () => {
    fc.assert(
      fc.property(score.filter(hasNotes), (wanted) => {
        // Both voices of each staff in one, as a keyboard plays them.
        const played: PieceScore = {
          ...wanted,
          staves: wanted.staves.map((staff) => ({
            ...staff,
            notes: staff.notes.map(({ syllables: _, tieStart: __, tieStop: ___, ...note }) => ({
              ...note,
              voice: '1',
            })),
            voices: staff.voices.map(() => ['1']),
          })),
        };
        const read = readScore(strToU8(writeScoreXml(played)));
        expect(read.bars).toEqual(played.bars);
        const histograms = (of: PieceScore) =>
          rounded(Object.entries(figures(of)).map(([part, { histogram }]) => [part, histogram]));
        expect(histograms(read)).toEqual(histograms(played));
      }),
    );
  });
});

describe('a piece sung in another key', () => {
  it('has the same figures, moved', () => {
    fc.assert(
      fc.property(score.filter(hasNotes), fc.integer({ min: -7, max: 7 }), (wanted, by) => {
        const moved: PieceScore = {
          ...wanted,
          staves: wanted.staves.map((staff) => ({
            ...staff,
            notes: staff.notes.map((note) => ({ ...note, midi: note.midi + by })),
          })),
        };
        const before = figures(wanted);
        const expected = Object.fromEntries(
          Object.entries(before).map(([part, one]) => [
            part,
            {
              ...one,
              lowest: one.lowest + by,
              highest: one.highest + by,
              middle: one.middle.map((midi) => midi + by),
              histogram: Object.fromEntries(
                Object.entries(one.histogram).map(([midi, seconds]) => [
                  Number(midi) + by,
                  seconds,
                ]),
              ),
            },
          ]),
        );
        expect(rounded(figures(moved))).toEqual(rounded(expected));
      }),
    );
  });
});
