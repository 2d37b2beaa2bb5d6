import type { Choices, SentAct, SentEvent } from '@wide-fern/contract';
import { restOf } from '@wide-fern/core';
import { choose, ledPlan, ledSegments, performAll, planNow, runAt } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { happened, happenedInAll } from './happened';
import { standOf, standTime } from './stand';
import {
  breathAt,
  breathCountWords,
  countedAt,
  longerInWords,
  moveAt,
  moveInWords,
  spokenAt,
} from './counted';
import { openTargetInWords } from './review';
import { sentInWords, touchWords } from './touch';

const ids = ['coat-off', 'long-s', 'slate-steps', 'lantern-chord'] as const;
const opened = (segment: (typeof ids)[number]): SentAct => ({ kind: 'opened', segment });
const began = (key: number): SentAct => ({ kind: 'began', key });

/** A run of four exercises to which this happened, a second apart. */
function led(
  acts: readonly (SentAct | readonly [number, SentAct])[],
  slateSteps: Partial<Choices> = {},
) {
  const document = performAll(documentOf(...ids), [choose('slate-steps', slateSteps)]);
  const plan = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document });
  const events = acts.map((one, n): SentEvent => {
    const [seconds, act] = 'kind' in one ? [n, one] : one;
    return { id: `e${n}`, n, at: 1000 * seconds, act };
  });
  const state = runAt(plan, events);
  return { state, plan: planNow(plan, events, state) };
}
const stand = (acts: readonly SentAct[], choices?: Partial<Choices>) => {
  const { plan, state } = led(acts, choices);
  return standOf(plan, state, 'flats')!;
};

describe('the stand', () => {
  it('names the key and the next, each part’s first note and who rests, and what to say', () => {
    const shown = stand([opened('slate-steps'), began(4)], { start: 58 });
    expect(shown).toMatchObject({
      name: 'Slate steps',
      place: '3 of 4',
      isTalk: false,
      key: 'D',
      next: 'E♭',
      cue: 'Taller, not louder, as you climb.',
    });
    expect(shown.keys.map(({ name, when }) => `${name} ${when}`)).toEqual([
      ...['B♭ past', 'B past', 'C past', 'D♭ past', 'D now', 'E♭ to come', 'E to come'],
    ]);
    expect(shown.parts.map(({ id, note }) => `${id} ${note ?? 'rests'}`)).toEqual([
      ...['S D4', 'A rests', 'T D3', 'B rests'],
    ]);
  });
  it('names what is lowered as it sounds from here on, and what was before as it was', () => {
    const shown = stand([opened('slate-steps'), began(4), { kind: 'shifted', semitones: -2 }], {
      start: 58,
    });
    expect(shown).toMatchObject({ key: 'C', next: 'D♭' });
    expect(shown.keys.map(({ name }) => name)).toEqual(['B♭', 'B', 'C', 'D♭', 'C', 'D♭', 'D']);
    expect(shown.parts[0]).toMatchObject({ id: 'S', note: 'C4' });
  });
  it('says what it is for and what to mind while it is explained', () => {
    const before = stand([opened('slate-steps')]);
    const after = stand([opened('slate-steps'), began(0)]);
    expect(before.isTalk).toBe(true);
    expect(before.purpose).not.toBe('');
    expect(before.caution).toContain('Nothing here should hurt');
    expect([after.purpose, after.caution]).toEqual(['', '']);
    const late = stand([opened('slate-steps')], { purposeSaid: 'after' });
    expect(late.purpose).toBe('');
  });
  it('says what to say in a single key where that has words of its own', () => {
    const inKeys = { '1': { way: { cue: 'lips only', sounds: ['mee'] } } };
    expect(stand([opened('slate-steps'), began(1)], { inKeys })).toMatchObject({
      cue: 'lips only',
      sung: 'on mee',
    });
    expect(stand([opened('slate-steps'), began(2)], { inKeys }).cue).not.toBe('lips only');
  });
  it('leads through movements one by one, and on to what follows', () => {
    const first = stand([opened('coat-off'), began(0)]);
    const second = stand([opened('coat-off'), began(1)]);
    expect(first).toMatchObject({ key: null, parts: [], keys: [], step: '1 of 5', next: 'Long s' });
    expect(second.doing).not.toBe(first.doing);
    expect(second.step).toBe('2 of 5');
  });
  it('shows every note of a chord', () => {
    const { parts } = stand([opened('lantern-chord'), began(0)]);
    expect(parts.map(({ id }) => id)).toEqual(['S', 'A', 'T', 'B']);
    expect(new Set(parts.map(({ note }) => note)).size).toBeGreaterThan(2);
  });
  it('is nothing before the first', () => {
    const { plan, state } = led([]);
    expect(standOf(plan, state, 'flats')).toBeUndefined();
    expect(touchWords(state, plan)).toEqual({ main: 'Begin', canAgain: false, canMove: false });
  });
});

const last = ledSegments(documentOf('lantern-chord'))[0]!.keys.length - 1;

describe('the touch that leads on', () => {
  it.each<[string, readonly SentAct[]]>([
    ['Begin', [opened('coat-off')]],
    ['Next', [opened('coat-off'), began(0)]],
    ['Next exercise', [opened('coat-off'), began(4)]],
    ['Breathe', [opened('long-s')]],
    ['Next key', [opened('slate-steps'), began(0)]],
    ['End', [opened('lantern-chord'), began(last)]],
  ])('says «%s» where that is what it does', (word, acts) => {
    const { plan, state } = led(acts);
    expect(touchWords(state, plan).main).toBe(word);
  });
});

describe('the time', () => {
  it('is what is left, and whether what remains fits', () => {
    const { state } = led([[0, opened('coat-off')]]);
    const rest = restOf(state);
    const word = (seconds: number) => standTime(state, seconds);
    expect(word(rest + 100)).toMatchObject({ word: '1:40 to spare', isLate: false });
    expect(word(rest + 20)).toMatchObject({ word: 'in time', isLate: false });
    expect(word(rest - 10)).toMatchObject({ word: 'in time', isLate: false });
    expect(word(rest - 90)).toMatchObject({ word: '1:30 late', isLate: true });
    const later = led([
      [0, opened('coat-off')],
      [100, began(0)],
    ]).state;
    expect(standTime(later, 160).left).toBe('1:00 left');
    expect(standTime(later, 40).left).toBe('1:00 over');
  });
});

describe('what happened', () => {
  const { plan, state } = led(
    [
      [0, opened('coat-off')],
      [20, began(0)],
      [80, opened('slate-steps')],
      [100, began(0)],
      [112, { kind: 'again' }],
      [124, began(1)],
      [125, { kind: 'shifted', semitones: -1 }],
      [126, { kind: 'marked', part: 'S', word: 'strained' }],
      [127, { kind: 'managed', how: 'most' }],
      [136, { kind: 'ended' }],
    ],
    { start: 58 },
  );
  it('is told beside what was planned, in the plan’s order', () => {
    const rows = happened(plan, state, 'flats');
    expect(rows.map(({ name, real }) => [name, real])).toEqual([
      ['Coat off', '1:20'],
      ['Long s', null],
      ['Slate steps', '0:56'],
      ['Lantern chord', null],
    ]);
    expect(rows[2]).toMatchObject({
      keys: 'B♭ to B♭, B♭ more than once, one key moved, five keys left out',
      noticed: 'sopranos strained; most managed',
    });
    expect(rows[2]!.times).toMatch(/^talk 0:\d\d, done 0:\d\d$/);
    expect(happenedInAll(plan, state)).toMatch(
      /^Led in 2:16, .* of it talk\. Planned: \d+:\d\d\.$/,
    );
  });
});

describe('small words', () => {
  it('say where what happened is', () => {
    expect(sentInWords('all', true)).toBe('');
    expect(sentInWords('waiting', true)).toBe('offline, kept here');
    expect(sentInWords('waiting', false)).toContain('only in this window');
    expect(sentInWords('refused', true)).toContain('not taken');
  });
  it('say what breath flows out on', () => {
    expect(breathCountWords('out', { outOn: 's' })).toBe('out on s');
    expect(breathCountWords('hold', { outOn: 's' })).toBe('hold');
  });
});

describe('what leads itself', () => {
  const segments = documentOf('coat-off', 'long-s', 'slate-steps').segments;
  it('says of breath the count and the round, and that the next ones are longer', () => {
    const breath = segments[1]!;
    const { repetitions } = breath.choices;
    expect(breathAt(breath, [], -1)).toMatchObject({ count: '–', word: 'ready' });
    expect(breathAt(breath, [], 0.1)).toMatchObject({ count: '1', word: 'in' });
    expect(breathAt(breath, [{ at: 0, counts: -2 }], 0.1).round).toBe(
      `1 of ${repetitions}; the next rounds go out two counts shorter`,
    );
    expect(breathAt(breath, [], 3600)).toMatchObject({ count: '·', word: 'that was the last one' });
    expect(
      longerInWords([
        { at: 1, counts: 2 },
        { at: 9, counts: -2 },
      ]),
    ).toBe('');
  });
  it('says of a movement what is left of it', () => {
    expect(moveAt(segments[0]!, 0, -1)).toMatchObject({ count: '–', word: 'ready' });
    expect(moveAt(segments[0]!, 0, 1.5)).toMatchObject({ count: '10', word: 'move' });
    expect(moveAt(segments[0]!, 0, 3600).word).toBe('that is done');
  });
  it('says of a text the beat in its bar, which time it is, and when to breathe', () => {
    const document = performAll(documentOf('ferry-consonants'), [
      choose('ferry-consonants', { tempo: 60, repetitions: 2, demonstrate: 'no' }),
    ]);
    const text = document.segments[0]!;
    const { countIn, breathBeats, music } = text.exercise;
    const beats = music.kind === 'spoken' ? music.beats : 0;
    expect(spokenAt(text, -1)).toMatchObject({ count: '–', word: 'ready', round: '2 in all' });
    expect(spokenAt(text, 0.5)).toMatchObject({ count: '1', word: 'count in', round: '1 of 2' });
    const begins = spokenAt(text, countIn + 0.25);
    expect(begins).toMatchObject({ count: '1', word: 'speak', round: '1 of 2' });
    expect(begins.level).toBeCloseTo(0.75);
    expect(spokenAt(text, countIn + 5.5)).toMatchObject({ count: '2', word: 'speak' });
    expect(spokenAt(text, countIn + beats + 0.5)).toMatchObject({ word: 'breathe' });
    expect(spokenAt(text, countIn + beats + breathBeats + 0.5).round).toBe('2 of 2');
    expect(spokenAt(text, 3600)).toMatchObject({ count: '·', word: 'that was the last one' });
  });
  it('leaves what is sung, and what has not begun, to the stand', () => {
    const longer: [] = [];
    expect(countedAt(segments[2]!, { key: 0, longer })).toBeUndefined();
    expect(countedAt(segments[0]!, { key: null, longer })).toBeUndefined();
    expect(countedAt(segments[0]!, { key: 1, longer })!(1).word).toBe('move');
    expect(countedAt(segments[1]!, { key: null, longer })!(-1).word).toBe('ready');
  });
  it('says its side, its time and its round only where there are several', () => {
    const at = { side: 1, time: 2, round: 0 } as const;
    expect(moveInWords(at, { sides: 2, times: 3 }, 1)).toBe('the other side, 2 of 3');
    expect(moveInWords({ ...at, side: 0 }, { sides: 1, times: 1 }, 2)).toBe('round 1 of 2');
    expect(moveInWords(at, { sides: 1, times: 1 }, 1)).toBe('');
  });
});

describe('a target in the review', () => {
  it('is named with how it was judged', () => {
    const target = { skill: 'long outflow', since: '2026-11-10' } as const;
    expect(openTargetInWords({ ...target, last: 2 })).toBe(
      'Open is long outflow, since 10 Nov, last judged 2 of 5.',
    );
    expect(openTargetInWords(target)).toContain('not judged yet');
  });
});
