import { exerciseSchema, type Exercise } from '@wide-fern/contract';
import { searched } from '@wide-fern/words';
import {
  askedFor,
  isFound,
  kinds,
  meanings,
  offsetsOf,
  phases,
  purposes,
  soundsOfPasses,
  syllablesOf,
  isPitched,
} from '@wide-fern/core';
import { exercises } from '..';

const byId = new Map(exercises.map((exercise) => [exercise.id, exercise]));
const each = exercises.map((exercise) => [exercise.id, exercise] as const);
const soundOf = (id: string) => syllablesOf(byId.get(id)!.music)[0];

describe('the built-in exercises', () => {
  it.each(each)(
    '%s keeps the schema and says what to do, and what to do when it fails',
    (_, one) => {
      expect(exerciseSchema.parse(one)).toEqual(one);
      expect(one.steps.length).toBeGreaterThan(0);
      expect(one.watchFor.length).toBeGreaterThanOrEqual(2);
      expect(one.watchFor.every(({ help }) => help.length > 0)).toBe(true);
      expect(one.substitutes.length).toBeGreaterThan(0);
    },
  );
  it('are 200 or more, each with an id and a name of its own, ten or more in every phase', () => {
    expect(exercises.length).toBeGreaterThanOrEqual(200);
    expect(byId.size).toBe(exercises.length);
    expect(new Set(exercises.map(({ name }) => name.toLowerCase())).size).toBe(exercises.length);
    for (const phase of phases) {
      const count = exercises.filter((one) => one.phase === phase).length;
      expect([phase, count >= 10]).toEqual([phase, true]);
    }
  });
  it('are of every kind, with rounds at two, three and four entries', () => {
    expect(new Set(exercises.map(({ music }) => music.kind))).toEqual(new Set(kinds));
    const entries = exercises.flatMap(({ music }) => (music.kind === 'round' ? music.entries : []));
    expect(new Set(entries)).toEqual(new Set([2, 3, 4]));
    expect(entries.length).toBeGreaterThanOrEqual(6);
  });
  it('stand in the order of the phases', () => {
    const order = exercises.map(({ phase }) => phases.indexOf(phase));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
  it('serve every purpose with four or more at each of two difficulties', () => {
    for (const purpose of purposes) {
      const enough = [1, 2, 3].filter(
        (difficulty) =>
          exercises.filter((one) => one.purposes.includes(purpose) && one.difficulty === difficulty)
            .length >= 4,
      );
      expect([purpose, enough.length >= 2]).toEqual([purpose, true]);
    }
  });
});

describe('what is said', () => {
  it.each(each)(
    '%s: the purpose is a whole sentence, the cue can be said in two seconds',
    (_, one) => {
      expect(one.purpose).toMatch(/^[A-Z].*[a-z].*\.$/);
      expect(one.purpose.split(' ').length).toBeGreaterThanOrEqual(6);
      // Two seconds are about eight words; a cue is what to do, not a picture.
      expect(one.cue.split(/\s+/).length).toBeLessThanOrEqual(8);
      expect(one.cue).not.toMatch(/;/);
      for (const text of [one.cue, one.purpose, ...one.watchFor.map(({ see }) => see)]) {
        expect(text).not.toMatch(/\bnobody\b/i);
      }
    },
  );
  it('names parts by their place, never by a name that some choirs do not have', () => {
    const said = (one: Exercise) =>
      JSON.stringify([
        one.purpose,
        one.cue,
        one.image,
        one.steps,
        one.watchFor,
        one.relay,
        one.figure,
      ]);
    for (const one of exercises) {
      expect([one.id, /\b(soprano|alto|tenor|bass)(e?s)?\b/i.exec(said(one))?.[0]]).toEqual([
        one.id,
        undefined,
      ]);
    }
  });
  it('has a purpose of its own for each', () => {
    expect(new Set(exercises.map(({ purpose }) => purpose)).size).toBe(exercises.length);
  });
});

describe('families', () => {
  const alike = (one: Exercise, with_: (one: Exercise) => unknown) =>
    exercises.filter(
      (other) => other.id !== one.id && JSON.stringify(with_(other)) === JSON.stringify(with_(one)),
    );
  it.each(each.filter(([, { music }]) => isPitched(music)))(
    '%s shares pitches, rhythm and sounds with none',
    (_, one) => {
      const whole = ({ music, passes, anchor }: Exercise) => [music, passes, anchor];
      expect(alike(one, whole).map(({ id }) => id)).toEqual([]);
    },
  );
  it.each(
    each.filter(([, { music }]) => ['pattern', 'glide', 'hold', 'round'].includes(music.kind)),
  )('%s is of one family with all that share its pitches', (_, one) => {
    const { mode } = one.music as { mode: string };
    const pitches = ({ music }: Exercise) => [music.kind, offsetsOf(music)];
    expect(mode).toBeDefined();
    for (const other of alike(one, pitches)) {
      expect([other.id, other.family?.id]).toEqual([other.id, one.family?.id]);
    }
  });
  it('tell their ways apart', () => {
    const ways = exercises.flatMap(({ family }) =>
      family ? [`${family.id}: ${family.variant}`] : [],
    );
    expect(new Set(ways).size).toBe(ways.length);
  });
  it('name what is easier and what is harder', () => {
    for (const { id, easier = [], harder = [], difficulty, effort } of exercises) {
      const hardness = 10 * difficulty + effort;
      const of = (other: string) => 10 * byId.get(other)!.difficulty + byId.get(other)!.effort;
      expect([id, easier.every((other) => of(other) < hardness)]).toEqual([id, true]);
      expect([id, harder.every((other) => of(other) > hardness)]).toEqual([id, true]);
    }
    expect(exercises.filter(({ easier }) => easier).length).toBeGreaterThan(60);
  });
});

/** What a failure says is missing, and how a substitute can be told to need it. */
const missing: readonly (readonly [RegExp, (one: Exercise) => boolean])[] = [
  [/stand|balance|knees/i, ({ needs }) => needs.includes('standing')],
  [/straw|paper|wall/i, ({ held = '' }) => /straw|paper|wall/.test(held)],
  [/lying|floor/i, ({ needs }) => needs.includes('floor')],
  [/too loud|loud already/i, ({ needs }) => needs.includes('noise')],
  [/nose/i, ({ id }) => ['mm', 'nn', 'ng', 'ung'].includes(soundOf(id) ?? '')],
  [/lips will not trill|no trill/i, ({ id }) => soundOf(id) === 'brr'],
  [/tongue will not trill|no trill/i, ({ id }) => soundOf(id) === 'rr'],
  [
    /z whistles/i,
    ({ id, passes }) => [soundOf(id) ?? '', ...soundsOfPasses(passes)].some((s) => /^z/.test(s)),
  ],
  [/jaw/i, ({ strains = [] }) => strains.includes('jaw')],
  [/neck/i, ({ strains = [] }) => strains.includes('neck')],
  [/shoulder|arms/i, ({ strains = [] }) => strains.includes('shoulders')],
  [/pulses/i, ({ strains = [] }) => strains.includes('pulses')],
  [
    /bending|back is tender/i,
    ({ strains = [] }) => strains.includes('bending') || strains.includes('back'),
  ],
  [
    /holding|waiting/i,
    ({ music }) => music.kind === 'breath' && (music.hold > 0 || music.increment.hold > 0),
  ],
];

describe('substitutes', () => {
  it.each(each)('%s: each exists, is never harder, and never needs what failed', (id, one) => {
    for (const { when, exercise } of one.substitutes) {
      const other = byId.get(exercise);
      expect([exercise, other !== undefined, exercise !== id]).toEqual([exercise, true, true]);
      expect([exercise, other!.difficulty <= one.difficulty]).toEqual([exercise, true]);
      expect([exercise, other!.effort <= one.effort]).toEqual([exercise, true]);
      for (const [said, needs] of missing) {
        if (said.test(when))
          expect([when, exercise, needs(other!)]).toEqual([when, exercise, false]);
      }
    }
  });
});

describe('what directors ask for in their words', () => {
  const found = (typed: string) => {
    const asked = askedFor(typed);
    return exercises.filter((one) => isFound(searched(one), asked)).length;
  };
  it.each(meanings.flatMap(({ said }) => said))(
    '«%s» finds something, and not everything',
    (said) => {
      expect(found(said)).toBeGreaterThan(0);
      expect(found(said)).toBeLessThan(exercises.length / 2);
    },
  );
});

describe('the time to explain', () => {
  it('is half of the time 20 s or more, as it is in practice', () => {
    const talk = exercises.map(({ usual }) => usual.talk).sort((a, b) => a - b);
    expect(talk[Math.floor(talk.length / 2)]).toBeGreaterThanOrEqual(20);
    expect(talk[Math.floor(talk.length / 2)]).toBeLessThanOrEqual(24);
  });
});
