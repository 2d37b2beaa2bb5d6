import fc from 'fast-check';
import type { Anchor, Music } from '../exercise';
import { mixedChoir } from '../voices/parts';
import { canVoice, voiceChords } from '../ladder/chord';
import { sharedTonics } from '../fit/fit';
import { sharedKeys } from './sharedKeys';

const pattern = (...offsets: readonly number[]): Music => ({
  kind: 'pattern',
  mode: 'major',
  notes: offsets.map((offset) => ({ offset, beats: 1 })),
});

const keysOf = (music: Music, sections: typeof mixedChoir, anchor: Anchor = 'middle') =>
  sharedKeys({ music, anchor }, sections);

describe('the keys that suit everyone', () => {
  it('are the shared tonics of a pattern', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -5, max: 16 }), { minLength: 1 }), (offsets) => {
        const span = { lowest: Math.min(...offsets), highest: Math.max(...offsets) };
        const range = sharedTonics(mixedChoir, span);
        const keys = keysOf(pattern(...offsets), mixedChoir)!;
        expect([keys[0], keys.at(-1), keys.length]).toEqual(
          range ? [range[0], range[1], range[1] - range[0] + 1] : [undefined, undefined, 0],
        );
      }),
    );
  });
  it('let a held note lie in any octave', () => {
    const over = { kind: 'line', notes: [{ offset: 0, beats: 1 }] } as const;
    const drone: Music = {
      kind: 'drone',
      mode: 'major',
      held: 0,
      holders: 'lowest',
      syllable: 'oo',
      over,
    };
    // Sopranos, altos and tenors can from D4 to D5; a bass finds each of these notes in an octave of its own.
    const keys = keysOf(drone, mixedChoir)!;
    expect([keys[0], keys.at(-1)]).toEqual([62, 74]);
    expect(keys).toHaveLength(13);
  });
  it('of a chord are its roots that can be voiced in everyone’s comfort', () => {
    const chord: Music = {
      kind: 'chord',
      mode: 'major',
      tones: [0, 4, 7],
      beats: 4,
      syllable: 'oo',
    };
    expect(keysOf(chord, mixedChoir)).toHaveLength(12);
    const narrow = mixedChoir.map((part) => ({ ...part, comfort: [60, 60] as const }));
    expect(keysOf(chord, narrow)).toEqual([]);
  });
  it('are those at the women’s sounding pitch for what is sung light, and where voices speak for speech', () => {
    // Sopranos from D4, altos to D5; tenors D4 to C5 and basses B3 to A4 there.
    expect(keysOf(pattern(0, 4), mixedChoir, 'light')).toEqual([62, 63, 64, 65]);
    // Sopranos' comfort is widened down to where they speak.
    const speech = keysOf(pattern(0), mixedChoir, 'speech')!;
    expect(speech[0]).toBe(57);
  });
  it('are not asked of what has no pitch', () => {
    expect(keysOf({ kind: 'body', moves: [] }, mixedChoir)).toBeUndefined();
  });
});

describe('whether a chord can be voiced, against the search for the best voicing', () => {
  it('is the same answer, for any parts, tones and root', () => {
    const section = fc
      .tuple(fc.integer({ min: 40, max: 70 }), fc.integer({ min: 0, max: 14 }))
      .map(([low, width]) => ({
        id: 'X',
        comfort: [low, low + width] as const,
        reach: [low, low + width] as const,
        octave: 0,
      }));
    const sections = fc
      .array(section, { minLength: 1, maxLength: 5 })
      .map((all) =>
        [...all].sort((a, b) => b.reach[1] - a.reach[1]).map((one, i) => ({ ...one, id: `P${i}` })),
      );
    const tones = fc.constantFrom([0], [0, 7], [0, 4, 7], [0, 3, 7, 10], [0, 4, 16]);
    fc.assert(
      fc.property(sections, tones, fc.integer({ min: 48, max: 60 }), (all, chord, root) => {
        const best = voiceChords({ sections: all, tones: chord, fraction: 1 }, [root]);
        expect(canVoice({ sections: all, tones: chord }, root)).toBe(best.kind === 'chords');
      }),
      { numRuns: 400 },
    );
  });
});
