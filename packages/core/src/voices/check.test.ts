import fc from 'fast-check';
import type { PitchRange } from '../units';
import { mixedChoir } from './parts';
import { registerZone } from './registerChange';
import { beginRoom, singsBelow } from './room';
import {
  answerCheck,
  beginCheck,
  checkNow,
  foundBy,
  noteChange,
  startElsewhere,
  undoCheck,
  usualStart,
  type CheckProgress,
} from './rangeCheck';
import {
  beginGroupCheck,
  changesOf,
  foundForSinger,
  limitsAfter,
  nextNote,
  noteChangeOf,
  stillSinging,
  tick,
  turnAround,
  type GroupCheck,
} from './groupCheck';

/** Answers a check as a singer with these limits would, until it asks for nothing more. */
function sing(check: CheckProgress, comfort: [number, number], reach: [number, number], light = 0) {
  let now = checkNow(check);
  while (now.kind === 'ask') {
    const { note, way } = now;
    const inside = ([low, high]: [number, number]) => low <= note && note <= high;
    const there = way === 'light' ? note <= light : inside(reach);
    const isEasy = way === 'light' ? there : inside(comfort);
    check = answerCheck(check, isEasy ? 'easy' : there ? 'came-out' : 'no');
    now = checkNow(check);
  }
  return check;
}

describe('a range check', () => {
  it('goes up by semitone to the last note that comes out, then down', () => {
    const check = sing(beginCheck(60), [58, 62], [57, 63]);
    expect(check.steps.map(({ note, answer }) => `${note} ${answer}`)).toEqual([
      '60 easy',
      '61 easy',
      '62 easy',
      '63 came-out',
      '64 no',
      '59 easy',
      '58 easy',
      '57 came-out',
      '56 no',
    ]);
    expect(foundBy(check)).toEqual({
      comfort: [58, 62],
      reach: [57, 63],
      lightTop: null,
      changes: [],
    });
    expect(checkNow(check)).toEqual({ kind: 'done' });
  });
  it('looks for the light register from the highest easy note, when asked to', () => {
    const check = sing(beginCheck(50, { light: true }), [45, 54], [43, 56], 66);
    expect(foundBy(check)).toEqual({
      comfort: [45, 54],
      reach: [43, 56],
      lightTop: 66,
      changes: [],
    });
  });
  it('asks for another start when the first note is not easy', () => {
    const check = answerCheck(beginCheck(60), 'came-out');
    expect(checkNow(check)).toEqual({ kind: 'other-start', tried: 60 });
    expect(answerCheck(check, 'easy')).toBe(check);
    expect(checkNow(startElsewhere(check, 55))).toEqual({ kind: 'ask', way: 'up', note: 55 });
    expect(foundBy(check)).toBeUndefined();
  });
  it('takes a step back', () => {
    const check = answerCheck(answerCheck(beginCheck(60), 'easy'), 'no');
    expect(checkNow(check)).toMatchObject({ way: 'down', note: 59 });
    expect(checkNow(undoCheck(check))).toMatchObject({ way: 'up', note: 61 });
    expect(undoCheck(beginCheck(60)).steps).toEqual([]);
  });
  it('ends at the last notes there are', () => {
    const check = sing(beginCheck(60), [0, 127], [0, 127]);
    expect(foundBy(check)?.reach).toEqual([28, 96]);
  });
  it('begins in the comfortable middle', () => {
    expect(usualStart([62, 79])).toBe(67);
    expect(usualStart([43, 62])).toBe(49);
  });
  it('finds the limits of whoever sings', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 45, max: 75 }),
        fc.nat(12),
        fc.nat(12),
        fc.nat(4),
        fc.nat(4),
        (start, below, above, lower, higher) => {
          const comfort: [number, number] = [start - below, start + above];
          const reach: [number, number] = [comfort[0] - lower, comfort[1] + higher];
          const found = foundBy(sing(beginCheck(start), comfort, reach));
          expect(found).toEqual({ comfort, reach, lightTop: null, changes: [] });
        },
      ),
    );
  });
  it('goes by larger steps where it is easy, and goes back where it is not any more', () => {
    const expected: [number, number] = [55, 72];
    const check = sing(beginCheck(60, { expected }), [58, 67], [57, 68]);
    expect(check.steps.map(({ note, answer }) => `${note} ${answer}`)).toEqual([
      ...['60 easy', '63 easy', '66 easy', '69 no', '67 easy', '68 came-out'],
      ...['57 came-out', '59 easy', '58 easy', '56 no'],
    ]);
  });
  it('finds the same limits by larger steps, and asks no more', () => {
    const some = fc.nat(12);
    const few = fc.nat(5);
    fc.assert(
      fc.property(
        fc.integer({ min: 45, max: 75 }),
        ...[some, some, few, few],
        fc.tuple(fc.integer({ min: 36, max: 65 }), fc.nat(30)),
        (start, below, above, lower, higher, [low, width]) => {
          const comfort: [number, number] = [start - below, start + above];
          const reach: [number, number] = [comfort[0] - lower, comfort[1] + higher];
          const check = beginCheck(start, { expected: [low, low + width] });
          const larger = sing(check, comfort, reach);
          expect(foundBy(larger)).toMatchObject({ comfort, reach });
          // At each end one leap may go too far, and its notes are then asked for one by one.
          const single = sing(beginCheck(start), comfort, reach);
          expect(larger.steps.length).toBeLessThanOrEqual(single.steps.length + 2);
          const asked = larger.steps.map(({ note }) => note);
          expect(new Set(asked).size).toBe(asked.length);
        },
      ),
    );
  });
  it('asks a voice that is as expected for two thirds of the notes', () => {
    const comfort: [number, number] = [57, 74];
    const few = sing(beginCheck(62, { expected: comfort }), comfort, [55, 76]).steps.length;
    const all = sing(beginCheck(62), comfort, [55, 76]).steps.length;
    expect([few, all]).toEqual([16, 24]);
  });
  it('keeps where the register changes, in passing', () => {
    const changes = noteChange(noteChange([], 76), 65);
    expect(changes).toEqual([65, 76]);
    expect(noteChange(changes, 76)).toEqual([65]);
    const many = [60, 62, 64, 66].reduce(noteChange, [] as readonly number[]);
    expect(noteChange(many, 68)).toEqual([60, 62, 64, 66]);
    expect(foundBy({ ...sing(beginCheck(60), [58, 66], [57, 67]), changes })?.changes).toBe(
      changes,
    );
  });
});

describe('a section checked at once', () => {
  const singers = ['a', 'b', 'c'];
  it('ticks off whoever drops out and turns when nobody sings any more', () => {
    let check = nextNote(nextNote(beginGroupCheck(singers, 60)));
    check = tick(tick(check, 'a'), 'b');
    expect(stillSinging(check)).toEqual(['c']);
    check = nextNote(tick(check, 'b'));
    expect(stillSinging(check)).toEqual(['b', 'c']);
    check = nextNote(tick(tick(check, 'b'), 'c'));
    expect(check).toMatchObject({ way: 'down', note: 59 });
    check = nextNote(tick(check, 'b'));
    check = turnAround(check);
    expect(check).toMatchObject({ way: 'done', reached: { up: 63, down: 58 } });
    expect(singers.map((id) => foundForSinger(check, id))).toEqual([
      [58, 61],
      [60, 62],
      [58, 62],
    ]);
    expect(nextNote(check)).toBe(check);
    expect(tick(check, 'a')).toBe(check);
  });
  it('says nothing of a singer who found no note easy', () => {
    let check = nextNote(tick(beginGroupCheck(['a'], 60), 'a'));
    check = nextNote(tick(check, 'a'));
    expect(check.way).toBe('done');
    expect(foundForSinger(check, 'a')).toBeUndefined();
  });
  it('takes whoever sings an octave below at what sounds', () => {
    let check = nextNote(beginGroupCheck(['high', 'low'], 60, { below: ['low'] }));
    check = noteChangeOf(noteChangeOf(check, 'low'), 'high');
    check = turnAround(nextNote(check));
    check = turnAround(check);
    expect(foundForSinger(check, 'high')).toEqual([59, 62]);
    expect(foundForSinger(check, 'low')).toEqual([47, 50]);
    expect([changesOf(check, 'high'), changesOf(check, 'low')]).toEqual([[61], [49]]);
  });
  it('ends for those an octave below where a voice ends', () => {
    let check = turnAround(beginGroupCheck(['low'], 42, { below: ['low'] }));
    while (check.way === 'down') check = nextNote(check);
    expect(foundForSinger(check, 'low')).toEqual([28, 30]);
  });
  it('goes by tones while it is easy for everybody, and says no more than was sung', () => {
    const begun = beginGroupCheck(['a', 'b'], 60, { expected: [50, 70] });
    let check = tick(nextNote(nextNote(begun)), 'a');
    expect(check.note).toBe(64);
    check = nextNote(check);
    expect(check.note).toBe(65);
    check = nextNote(turnAround(check));
    check = turnAround(turnAround(check));
    expect(['a', 'b'].map((id) => foundForSinger(check, id))).toEqual([
      [56, 62],
      [56, 65],
    ]);
  });
  it('narrows nothing that it did not ask, and never a reach', () => {
    const before = { comfort: [58, 70], reach: [56, 75] } as const;
    let check = nextNote(nextNote(beginGroupCheck(['a', 'b'], 60)));
    check = turnAround(nextNote(tick(check, 'a')));
    check = turnAround(check);
    expect(check.way).toBe('done');
    // The first dropped out at 62; the second still sang at 63, where the way was ended.
    expect(limitsAfter(check, 'a', before)).toEqual({ comfort: [58, 61], reach: [56, 75] });
    expect(limitsAfter(check, 'b', before)).toEqual({ comfort: [58, 70], reach: [56, 75] });
    expect(limitsAfter(check, 'b', undefined)).toEqual({ comfort: [59, 63], reach: [59, 63] });
    expect(limitsAfter(check, 'b', { comfort: [61, 62], reach: [60, 62] })).toEqual({
      comfort: [59, 63],
      reach: [59, 63],
    });
  });
  it('finds every comfort that holds the start', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(10), fc.nat(10)), { minLength: 1, maxLength: 30 }),
        (all) => {
          const limits = all.map(([below, above]) => [60 - below, 60 + above] as const);
          let check: GroupCheck = beginGroupCheck(
            limits.map((_, i) => String(i)),
            60,
          );
          while (check.way !== 'done') {
            for (const id of stillSinging(check)) {
              const [low, high] = limits[Number(id)]!;
              if (check.note < low || check.note > high) check = tick(check, id);
            }
            check = nextNote(check);
          }
          expect(limits.map((_, i) => foundForSinger(check, String(i)))).toEqual(limits);
        },
      ),
    );
  });
});

describe('where a section changes its register', () => {
  const usual = [62, 67] as const;
  it('is the part’s usual zone where nobody was asked', () => {
    expect(registerZone([[], []], usual)).toEqual({ zone: [62, 67], asked: 0 });
  });
  it('leaves out the tenth at either end', () => {
    const eleven = [58, 60, 61, 62, 62, 63, 63, 64, 64, 65, 71].map((note) => [note]);
    expect(registerZone([...eleven, []], usual)).toEqual({ zone: [60, 65], asked: 11 });
    expect(registerZone([[64]], usual)).toEqual({ zone: [64, 64], asked: 1 });
  });
  it('holds at least four fifths of what was noted', () => {
    const notes = fc.array(fc.integer({ min: 50, max: 80 }), { minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(notes, (all) => {
        const { zone } = registerZone(
          all.map((note) => [note]),
          usual,
        );
        const inside = all.filter((note) => zone[0] <= note && note <= zone[1]).length;
        expect(inside).toBeGreaterThanOrEqual(0.8 * all.length);
        expect(zone.every((note) => all.includes(note))).toBe(true);
      }),
    );
  });
});

describe('a whole room', () => {
  const person = (id: string, part: string | null, comfort: PitchRange | null = null) => ({
    ...{ id, part, comfort },
  });
  it('sings its low voices an octave below', () => {
    const below = (part: string | null, comfort: PitchRange | null = null) =>
      singsBelow({ part, comfort }, mixedChoir);
    expect(['S', 'A', 'T', 'B'].map((part) => below(part))).toEqual([false, false, true, true]);
    expect([below(null), below(null, [57, 74]), below(null, [45, 62])]).toEqual([
      ...[false, false, true],
    ]);
  });
  it('begins at middle C, or as near to it as is easy for everybody', () => {
    const mixed = [person('a', 'A'), person('b', 'B')];
    expect(beginRoom(mixed, ['b'], mixedChoir)).toMatchObject({ start: 60, expected: [57, 74] });
    const all = ['S', 'A', 'T', 'B'].map((part) => person(part, part));
    expect(beginRoom(all, ['T', 'B'], mixedChoir)).toMatchObject({ start: 62, expected: [62, 74] });
    // Newcomers are expected where all voices of their octave are at ease.
    expect(beginRoom([person('n', null)], ['n'], mixedChoir).expected).toEqual([62, 74]);
    expect(beginRoom([person('n', null, [64, 70])], [], mixedChoir).start).toBe(64);
  });
  it('goes by semitones where nothing is easy for everybody', () => {
    const apart = [person('a', null, [50, 58]), person('b', null, [62, 70])];
    const check = beginRoom(apart, [], mixedChoir);
    expect(check).toMatchObject({ start: 60, expected: null });
    expect(nextNote(check).note).toBe(61);
  });
});
