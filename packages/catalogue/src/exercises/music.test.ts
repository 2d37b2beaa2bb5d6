import {
  beatsOf,
  isNote,
  lineOfPart,
  mixedChoir,
  type Beats,
  type Metre,
  type Music,
  type PatternEvent,
} from '@wide-fern/core';
import { exercises } from '..';
import { inFour, inThree, typed, withWords } from './music';

const each = exercises.map((exercise) => [exercise.id, exercise] as const);
const free = ['glide', 'drone', 'hold', 'breath', 'body'];

describe('bars', () => {
  it.each(each.filter(([, { music }]) => !free.includes(music.kind)))(
    '%s fills them with its breath, and with its change of key',
    (_, { music, breathBeats, keyChangeBeats }) => {
      const { metre } = music as { metre?: Metre };
      expect(metre).toBeDefined();
      expect((beatsOf(music) + breathBeats) % metre!.beats).toBeCloseTo(0, 9);
      expect(keyChangeBeats % metre!.beats).toBe(0);
      expect(breathBeats).toBeGreaterThanOrEqual(1);
    },
  );
});

describe('words under notes', () => {
  const line = typed('1 2 3:2 1');
  it('stand one to a note, stressed ones on strong beats or long notes', () => {
    const laid = withWords(line, '*two and *three and', inFour);
    expect(laid.map((event) => isNote(event) && event.syllable)).toEqual([
      'two',
      'and',
      'three',
      'and',
    ]);
    expect(() => withWords(line, 'a *stress be side', inFour)).toThrow('falls beside the beat');
    expect(() => withWords(typed('1 2 3'), 'the *mid dle', inThree)).toThrow('falls beside');
    // A long note bears a stress wherever it is.
    expect(() => withWords(typed('1 2:2 3'), 'the *long one', inThree)).not.toThrow();
  });
  it('leave no note and no syllable over, and give bound notes none', () => {
    expect(() => withWords(line, 'one two three', inFour)).toThrow('no syllable');
    expect(() => withWords(line, 'a b c d e', inFour)).toThrow('no note');
    expect(
      withWords(typed('1~ 2 3'), 'ah oh', inFour).map((event) => isNote(event) && event.syllable),
    ).toEqual(['ah', undefined, 'oh']);
  });
  it('count the beats of what is spoken by its stresses', () => {
    for (const { id, music } of exercises) {
      if (music.kind !== 'spoken') continue;
      expect([id, music.lines.join(' ').includes('*'), music.beats >= 4]).toEqual([
        id,
        false,
        true,
      ]);
    }
  });
});

/** What sounds at a beat in one line: its offset, or undefined in a silence. */
function at(events: readonly PatternEvent[], beat: Beats): number | undefined {
  let from = 0;
  for (const event of events) {
    if (beat < from + event.beats - 1e-9) return isNote(event) ? event.offset : undefined;
    from += event.beats;
  }
  return undefined;
}

/** Every line with its entry and the octave of the part that sings it. */
function voicesOf(music: Music) {
  if (music.kind === 'round') {
    return Array.from({ length: music.entries }, (_, i) => ({
      events: music.notes,
      from: i * music.apart,
      octave: mixedChoir[i]!.octave,
    }));
  }
  if (music.kind !== 'lines') return [];
  return mixedChoir.map(({ octave }, place) => ({
    events: music.lines[lineOfPart(music.lines.length, place, mixedChoir.length)]!,
    from: 0,
    octave,
  }));
}

/** In whole tones and semitones: what rubs. */
const isSecond = (a: number, b: number) => [1, 2, 10, 11].includes(Math.abs(a - b) % 12);
const isConsonant = (over: number) => [0, 3, 4, 7, 8, 9].includes(over % 12);

/** The first clash of lines sung together, or undefined: a strong beat that is not consonant, or seconds one after the other. */
function clashIn(music: Music, octaves: 'mixed' | 'one kind of voice'): string | undefined {
  const voices = voicesOf(music).map((voice) => ({
    ...voice,
    octave: octaves === 'mixed' ? voice.octave : 0,
  }));
  const { metre } = music as { metre: Metre };
  const strong = metre.beats % 3 === 0 ? 3 : 2;
  const length = beatsOf(music);
  const seconds = new Map<string, number>();
  for (let beat = 0; beat < length; beat += 1) {
    const notes = voices.map(({ events, from, octave }) => {
      const note = beat < from ? undefined : at(events, beat - from);
      return note === undefined ? undefined : note + octave;
    });
    const sounding = notes.flatMap((note) => note ?? []);
    const lowest = Math.min(...sounding);
    if (beat % strong === 0) {
      const wrong = sounding.find((note) => !isConsonant(note - lowest));
      if (wrong !== undefined) return `beat ${beat}: ${wrong} over ${lowest}`;
    }
    for (const [i, a] of notes.entries()) {
      for (const [j, b] of notes.entries()) {
        if (j <= i || a === undefined || b === undefined || !isSecond(a, b)) continue;
        if (seconds.get(`${i} ${j}`) === beat - 1) return `beats ${beat - 1} and ${beat}: seconds`;
        seconds.set(`${i} ${j}`, beat);
      }
    }
  }
  return undefined;
}

describe('rounds and lines', () => {
  const together = each.filter(([, { music }]) => music.kind === 'round' || music.kind === 'lines');
  it.each(together)(
    '%s is consonant on every strong beat, with no seconds in a row',
    (_, { music }) => {
      expect(clashIn(music, 'mixed')).toBeUndefined();
      expect(clashIn(music, 'one kind of voice')).toBeUndefined();
    },
  );
  it('are found to clash where they do', () => {
    const round = (text: string): Music => ({
      ...{ kind: 'round', mode: 'major', metre: inFour, entries: 2, apart: 4 },
      notes: typed(text),
    });
    expect(clashIn(round('1 1 1 1 | 4 4 4 4'), 'one kind of voice')).toMatch(/^beat 4/);
    expect(clashIn(round('1 1 3 3 | 1 2 3 4 | 3:4'), 'one kind of voice')).toBeUndefined();
    expect(clashIn(round('1 2 3 2 | 1 1 1 1'), 'one kind of voice')).toBeUndefined();
    // Two seconds in a row beside the strong beat.
    const inSecond: Music = {
      ...{ kind: 'round', mode: 'major', metre: inThree, entries: 2, apart: 3 },
      notes: typed('1 1 1 | 1 2 2 | 3:3'),
    };
    expect(clashIn(inSecond, 'one kind of voice')).toMatch(/seconds$/);
  });
});
