import fc from 'fast-check';
import {
  dynamics,
  swells,
  modeNames,
  type Metre,
  type Music,
  type PatternEvent,
  type PatternNote,
} from '@wide-fern/core';

/** Lengths a notation can write: 32nds of a beat, sixths of one. */
const beats = fc.oneof(
  fc.integer({ min: 1, max: 40 }).map((n) => n / 8),
  fc.integer({ min: 1, max: 24 }).map((n) => n / 6),
);
const syllable = fc.constantFrom('noo', 'a-', 'ah', 'oh my', '’tis', 'w&w', 'ß<', 'é-');

const note = fc
  .record(
    {
      offset: fc.integer({ min: -12, max: 24 }),
      beats,
      syllable,
      slur: fc.constant(true as const),
      breathAfter: fc.constant(true as const),
      dynamic: fc.constantFrom(...dynamics),
      swell: fc.constantFrom(...swells),
    },
    { requiredKeys: ['offset', 'beats'] },
  )
  .map(({ breathAfter, ...one }): PatternNote =>
    // A bound note goes on without a breath.
    breathAfter && !one.slur ? { ...one, breathAfter } : one,
  );

const event: fc.Arbitrary<PatternEvent> = fc.oneof(
  { weight: 1, arbitrary: beats.map((length): PatternEvent => ({ rest: true, beats: length })) },
  { weight: 5, arbitrary: note },
);

/** A line that begins and ends with a note; what is bound is bound to a note. */
export const line: fc.Arbitrary<PatternEvent[]> = fc
  .tuple(note, fc.array(event, { maxLength: 14 }), note)
  .map(([first, middle, last]) => {
    const { slur: _, ...end } = last;
    // A silence is one event, however long.
    const quiet = middle.filter(
      (one, i) => 'offset' in one || 'offset' in (middle[i - 1] ?? first),
    );
    const all = [first, ...quiet, end];
    return all.map((one, i) => {
      const next = all[i + 1];
      if (!('slur' in one) || (next && 'offset' in next)) return one;
      const { slur: __, ...unbound } = one;
      return unbound;
    });
  });

const metre: fc.Arbitrary<Metre | undefined> = fc.constantFrom(
  undefined,
  { beats: 4, unit: 4 },
  { beats: 3, unit: 2 },
  { beats: 6, unit: 8 },
);

export const pattern: fc.Arbitrary<Extract<Music, { kind: 'pattern' }>> = fc
  .tuple(line, metre, fc.constantFrom(...modeNames))
  .map(([notes, time, mode]) => ({
    kind: 'pattern',
    mode,
    ...(time ? { metre: time } : {}),
    notes,
  }));

/** Music as an exercise has it, for writing. */
export const written = (music: Music, name = 'Slate steps') => ({
  name,
  music,
  breathBeats: 2,
  keyChangeBeats: 2,
});
