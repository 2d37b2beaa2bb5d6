import fc from 'fast-check';
import {
  performanceOrder,
  pieceStatistics,
  guessParts,
  partsOfScore,
  sungPart,
  type Mapping,
  type PartStatistics,
  type PieceScore,
  type ScoreBar,
  type Staff,
  type StaffNote,
} from '@wide-fern/core';

/** Signs at bars that make sense together: a repeat, two endings, a da capo, or none. */
const bars: fc.Arbitrary<ScoreBar[]> = fc
  .record({
    count: fc.integer({ min: 2, max: 6 }),
    quarters: fc.constantFrom(2, 3, 4),
    pickUp: fc.boolean(),
    form: fc.constantFrom('plain', 'repeat', 'endings', 'back', 'coda'),
    times: fc.constantFrom(undefined, 3),
  })
  .map(({ count, quarters, pickUp, form, times }) =>
    Array.from({ length: count }, (_, i): ScoreBar => {
      const isPickUp = pickUp && i === 0;
      const last = i === count - 1;
      return {
        number: pickUp ? i : i + 1,
        counted: !isPickUp,
        quarters: isPickUp ? 1 : quarters,
        ...(form === 'repeat' && i === 0 ? { repeatFrom: true } : {}),
        ...(form === 'repeat' && last ? { repeatTo: times ? { times } : {} } : {}),
        ...(form === 'endings' && i === count - 2 ? { endings: [1], repeatTo: {} } : {}),
        ...(form === 'endings' && last ? { endings: [2] } : {}),
        ...(form === 'back' && i === 0 ? { fine: true } : {}),
        ...(form === 'back' && last ? { backTo: 'beginning' as const } : {}),
        ...(form === 'coda' && i === 0 ? { toCoda: true } : {}),
        ...(form === 'coda' && last ? { coda: true } : {}),
        ...(form === 'coda' && i === count - 2 ? { backTo: 'beginning' as const } : {}),
      };
    }),
  );

interface Drawn {
  readonly length: number;
  readonly midi: number | null;
  readonly second: number;
  readonly tie: boolean;
  readonly syllable: string;
}
const drawn: fc.Arbitrary<Drawn> = fc.record({
  length: fc.constantFrom(0.25, 0.5, 1, 1.5, 2, 1 / 3),
  midi: fc.option(fc.integer({ min: 48, max: 76 }), { freq: 6 }),
  second: fc.constantFrom(0, 0, 0, 3, 7),
  tie: fc.boolean(),
  syllable: fc.constantFrom('', 'slate', 'lan-', 'tern'),
});

/** Sums of thirds, exact again. */
const exact = (quarters: number): number => Math.round(quarters * 40_320) / 40_320;

/** Fills the bars of one voice with what was drawn, in turn. */
function voiceNotes(all: readonly ScoreBar[], from: readonly Drawn[], voice: string): StaffNote[] {
  const notes: StaffNote[] = [];
  let next = 0;
  all.forEach(({ quarters }, bar) => {
    let at = 0;
    while (quarters - at > 1e-6) {
      const { length, midi, second, syllable } = from[next % from.length]!;
      next += 1;
      const here = exact(Math.min(length, quarters - at));
      if (midi !== null) {
        const words = syllable === '' ? {} : { syllables: [syllable] };
        notes.push({ bar, at, quarters: here, midi: midi + second, voice, ...words });
        if (second > 0) notes.push({ bar, at, quarters: here, midi, voice });
      }
      at = exact(at + here);
    }
  });
  return tied(notes, all, from);
}

/** Ties a note to the next of the same pitch, where that follows at once. */
function tied(
  notes: readonly StaffNote[],
  bars: readonly ScoreBar[],
  from: readonly Drawn[],
): StaffNote[] {
  const starts: number[] = [];
  bars.reduce((sum, { quarters }, i) => {
    starts[i] = sum;
    return sum + quarters;
  }, 0);
  const placeOf = ({ bar, at }: StaffNote) => starts[bar]! + at;
  const result: { -readonly [K in keyof StaffNote]: StaffNote[K] }[] = notes.map((one) => ({
    ...one,
  }));
  result.forEach((note, i) => {
    if (!from[i % from.length]!.tie) return;
    const next = result.find(
      (other) =>
        other.midi === note.midi && Math.abs(placeOf(other) - placeOf(note) - note.quarters) < 1e-6,
    );
    if (!next) return;
    note.tieStart = true;
    next.tieStop = true;
    delete next.syllables;
  });
  return result;
}

const names = ['Soprano', 'Alto', 'Tenor', 'Bass'];

/** Scores of one to four staves, of one or two voices, with ties, chords, rests, repeats. */
export const score: fc.Arbitrary<PieceScore> = fc
  .record({
    bars,
    staves: fc.array(
      fc.record({
        first: fc.array(drawn, { minLength: 3, maxLength: 12 }),
        second: fc.option(fc.array(drawn, { minLength: 3, maxLength: 8 })),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    tempo: fc.integer({ min: 40, max: 160 }),
    faster: fc.option(fc.constantFrom(50, 100.5, 72)),
    fifths: fc.integer({ min: -6, max: 6 }),
  })
  .map(({ bars: all, staves, tempo, faster, fifths }): PieceScore => {
    const metreBar = all[0]!.counted ? 0 : 1;
    const quarters = all[metreBar]!.quarters;
    return {
      title: 'Slate & <water>',
      composer: 'Nobody',
      language: 'en',
      bars: all,
      staves: staves.map(({ first, second }, i): Staff => {
        const notes = [
          ...voiceNotes(all, first, '1'),
          ...(second ? voiceNotes(all, second, '2') : []),
        ].sort((a, b) => a.bar - b.bar || a.at - b.at || b.midi - a.midi);
        return {
          id: `P${i + 1}.1`,
          name: names[i]!,
          abbreviation: '',
          clef: i === 2 ? 'octave-treble' : i === 3 ? 'bass' : 'treble',
          ofStaves: 1,
          notes,
          voices: all.map(() => (second ? ['1', '2'] : ['1'])),
        };
      }),
      tempos: [{ bar: 0, at: 0, tempo }, ...(faster ? [{ bar: 1, at: 1, tempo: faster }] : [])],
      keys: [{ bar: 0, fifths, mode: 'major' }],
      metres: [{ bar: 0, metre: { beats: quarters, unit: 4 } }],
      warnings: [],
    };
  });

/** The figures of every part as it is guessed without help. */
export function figures(of: PieceScore): Record<string, PartStatistics> {
  const order = performanceOrder(of);
  const mapping = guessParts(of).map(({ line, ...one }): Mapping => ({ ...one, line: line.id }));
  const parts = [...new Set(mapping.flatMap((one) => one.parts))];
  return Object.fromEntries(
    partsOfScore(of, mapping, parts).flatMap((music) => {
      const found = pieceStatistics(sungPart(music, order), of, order);
      return found ? [[music.part, found]] : [];
    }),
  );
}
