import type { Choices, Segment } from '@wide-fern/contract';
import { choose, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { turnsIn } from './turns';

const longer: [] = [];
const segmentOf = (id: string, choices: Partial<Choices> = {}): Segment =>
  performAll(documentOf(id), [choose(id, choices)]).segments[0]!;
const turns = (segment: Segment, key: number | null = 0) => turnsIn(segment, { key, longer });

describe('what comes one after the other in a key', () => {
  it('compares two ways, and asks when the second one is over', () => {
    // Three beats of sound and what fills the bar, at sixty beats a minute.
    const compared = segmentOf('pressed-then-easy', {
      tempo: 60,
      verses: 2,
      demonstrate: 'no',
    });
    const { rows, ask, times, at } = turns(compared)!;
    expect(rows).toEqual(['With a small knock', 'As if it had already begun']);
    expect(ask).toBe('Which one could you do a hundred times?');
    expect(times).toBe('');
    const { countIn, breathBeats, music } = compared.exercise;
    const beats =
      music.kind === 'pattern' ? music.notes.reduce((sum, note) => sum + note.beats, 0) : 0;
    expect(at(-1)).toBe(-1);
    expect(at(countIn - 0.1)).toBe(-1);
    expect(at(countIn + 0.1)).toBe(0);
    expect(at(countIn + beats - 0.1)).toBe(0);
    expect(at(countIn + beats + breathBeats + 0.1)).toBe(1);
    expect(at(countIn + 2 * beats + breathBeats - 0.1)).toBe(1);
    expect(at(countIn + 2 * beats + breathBeats + 0.1)).toBe(2);
    expect(at(3600)).toBe(2);
  });
  it('says all that is other where the cues do not tell the ways apart', () => {
    const three = segmentOf('pressed-then-easy', { verses: 2, demonstrate: 'no' });
    const passes: NonNullable<Segment['exercise']['passes']> = {
      over: 'verses',
      each: [
        { sounds: ['noo'], dynamic: 'p' },
        { sounds: ['nah'], cue: 'tall' },
      ],
    };
    const other = { ...three, exercise: { ...three.exercise, passes } };
    expect(turns(other)!.rows).toEqual(['On “noo”, soft', 'On “nah”: tall']);
  });
  it('is shown first and then sung by all, where that is wished', () => {
    const answered = segmentOf('slate-steps', { demonstrate: 'each key', verses: 1 });
    expect(turns(answered, 2)!.rows).toEqual(['Shown first', 'Then all']);
    expect(turns(answered, 2)!.at(3600)).toBe(2);
    const once = segmentOf('slate-steps', { demonstrate: 'once', verses: 1 });
    expect(turns(once)!.rows).toHaveLength(2);
    expect(turns(once, 1)).toBeUndefined();
  });
  it('says how often, where every time is alike, and nothing where it is once', () => {
    const three = segmentOf('slate-steps', { demonstrate: 'no', verses: 3 });
    expect(turns(three)).toMatchObject({ rows: [], times: 'three times in this key', ask: '' });
    expect(turns(segmentOf('slate-steps', { demonstrate: 'no', verses: 1 }))).toBeUndefined();
  });
  it('asks after the last way when they take turns from key to key', () => {
    const segment = segmentOf('slate-steps', { demonstrate: 'no', verses: 1 });
    const asking: Segment = {
      ...segment,
      exercise: {
        ...segment.exercise,
        passes: { over: 'keys', each: [{ cue: 'pushed' }, { cue: 'poured' }], ask: 'Which one?' },
      },
    };
    expect([0, 1, 2, 3].map((key) => turns(asking, key)?.ask)).toEqual([
      undefined,
      'Which one?',
      undefined,
      'Which one?',
    ]);
  });
  it('compares rounds of breath and movements too, each asked when it is over', () => {
    const breath = segmentOf('long-s', { repetitions: 2 });
    const passes: NonNullable<Segment['exercise']['passes']> = {
      over: 'keys',
      each: [{ cue: 'high in the chest' }, { cue: 'low and wide' }],
      ask: 'Which breath was longer?',
    };
    const two = turns({ ...breath, exercise: { ...breath.exercise, passes } }, null)!;
    expect(two.rows).toEqual(['High in the chest', 'Low and wide']);
    expect([two.at(-1), two.at(0.1), two.at(3600)]).toEqual([-1, 0, 2]);
    const body = segmentOf('coat-off', { repetitions: 1 });
    const moves = body.exercise.music.kind === 'body' ? body.exercise.music.moves.length : 0;
    const done = { ...body, exercise: { ...body.exercise, passes } };
    expect(turns(done, moves - 1)).toMatchObject({ rows: [], ask: 'Which breath was longer?' });
    expect(turns(done, moves - 1)!.at(0.5)).toBe(-1);
    expect(turns(done, moves - 1)!.at(3600)).toBe(0);
    expect(turns(done, 0)).toBeUndefined();
  });
});
