import { exerciseSchema } from '@wide-fern/contract';
import { cautions, searched } from '@wide-fern/words';
import {
  askedFor,
  computeSegment,
  isFound,
  meanings,
  figureOf,
  isPitched,
  kinds,
  mixedChoir,
  usualSections,
  phases,
  sharedKeys,
  syllablesOf,
  type Phase,
} from '@wide-fern/core';
import { exercises } from '..';

const byId = new Map(exercises.map((exercise) => [exercise.id, exercise]));
const each = exercises.map((exercise) => [exercise.id, exercise] as const);
const textOf = (id: string) => JSON.stringify(byId.get(id)).toLowerCase();

describe('the built-in exercises', () => {
  it.each(each)(
    '%s keeps the schema and says what to do, and what to do when it fails',
    (_, one) => {
      expect(exerciseSchema.parse(one)).toEqual(one);
      expect(one.steps.length).toBeGreaterThan(0);
      expect(one.watchFor.length).toBeGreaterThan(0);
      expect(one.substitutes.length).toBeGreaterThan(0);
      expect(one.purpose).toMatch(/[.!?]$/);
    },
  );
  it('are at least 110, each with an id and a name of its own, enough in every phase', () => {
    const least: Record<Phase, number> = {
      release: 14,
      breath: 12,
      onset: 14,
      resonance: 12,
      range: 12,
      agility: 10,
      listening: 14,
      articulation: 12,
      piece: 6,
      'cool-down': 8,
    };
    expect(exercises.length).toBeGreaterThanOrEqual(110);
    expect(byId.size).toBe(exercises.length);
    expect(new Set(exercises.map(({ name }) => name.toLowerCase())).size).toBe(exercises.length);
    for (const phase of phases) {
      const count = exercises.filter((one) => one.phase === phase).length;
      expect([phase, count >= least[phase]]).toEqual([phase, true]);
    }
  });
  it('are of every kind, with rounds at two, three and four entries', () => {
    expect(new Set(exercises.map(({ music }) => music.kind))).toEqual(new Set(kinds));
    const entries = exercises.flatMap(({ music }) => (music.kind === 'round' ? music.entries : []));
    expect(entries).toEqual([2, 3, 4]);
  });
  it('stand in the order of the phases', () => {
    const order = exercises.map(({ phase }) => phases.indexOf(phase));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
  it('are no two alike in notes, sound and purpose', () => {
    const pictures = exercises.map(({ music, purposes, vowels }) =>
      JSON.stringify([
        isPitched(music) ? [figureOf(music), syllablesOf(music)[0], vowels] : music,
        [...purposes].sort(),
      ]),
    );
    expect(new Set(pictures).size).toBe(exercises.length);
    expect(new Set(exercises.map(({ purpose }) => purpose)).size).toBe(exercises.length);
  });
  it('use none of the worn-out images', () => {
    const worn =
      /toffee|camel|lizard|cornflake|monster|snarl|tooth|aeroplane|walnut|hazelnut|golf|picket|balloon|rubber|hamster|on a string|hug|marathon/;
    for (const { id } of exercises)
      expect([id, worn.exec(textOf(id))?.[0]]).toEqual([id, undefined]);
  });
});

describe('substitutes', () => {
  it('exist, and are another exercise', () => {
    for (const { id, substitutes } of exercises) {
      for (const { exercise } of substitutes) {
        expect([id, byId.has(exercise), exercise !== id]).toEqual([id, true, true]);
      }
    }
  });
  it.each([
    ['a lip trill', 'brr'],
    ['a tongue trill', 'rr'],
    ['a hum', 'mm'],
    ['ng', 'ng'],
    ['a voiced z', 'z'],
  ])('offer another sound wherever the sound is %s', (_, sound) => {
    const sungOn = (id: string) => syllablesOf(byId.get(id)!.music)[0];
    const withIt = exercises.filter(({ id, music }) => isPitched(music) && sungOn(id) === sound);
    expect(withIt.length).toBeGreaterThan(0);
    for (const { id, substitutes } of withIt) {
      const others = substitutes.filter(({ exercise }) => sungOn(exercise) !== sound);
      expect([id, others.length > 0]).toEqual([id, true]);
    }
  });
});

describe('cautions', () => {
  const saying = (id: string) => byId.get(id)!.cautions;
  it('stand on all counted breath, and on every held one', () => {
    for (const { id, music } of exercises) {
      if (music.kind !== 'breath') continue;
      expect([id, saying(id).includes(cautions.lightHead)]).toEqual([id, true]);
      const held = music.hold > 0 || music.increment.hold > 0;
      expect([id, saying(id).includes(cautions.breathHold)]).toEqual([id, held]);
    }
  });
  it('offer the unheld version of every held breath', () => {
    for (const { id, music, substitutes } of exercises) {
      if (music.kind !== 'breath' || music.hold + music.increment.hold === 0) continue;
      const unheld = substitutes.some(({ exercise }) => {
        const other = byId.get(exercise)!.music;
        return other.kind === 'breath' && other.hold + other.increment.hold === 0;
      });
      expect([id, unheld]).toEqual([id, true]);
    }
  });
  it.each([
    ['slow-look', cautions.neck],
    ['coat-off', cautions.neck],
    ['coat-off', cautions.jaw],
    ['soft-hinge', cautions.jaw],
    ['bread-hum', cautions.jaw],
    ['late-stretch', cautions.jaw],
    ['coil-the-day', cautions.jaw],
    ['across-the-lock', cautions.loud],
    ['lifted-oars', cautions.breathHold],
  ])('%s says what to mind', (id, caution) => {
    expect(saying(id)).toContain(caution);
  });
  it('stand on strong singing, on first sounds and on every exercise of range', () => {
    for (const { id, phase, effort } of exercises) {
      if (effort >= 4)
        expect([id, saying(id)]).toEqual([id, expect.arrayContaining([cautions.pain])]);
      if (phase === 'onset') expect(saying(id)).toContain(cautions.cold);
      if (phase === 'range') expect(saying(id)).toContain(cautions.changing);
    }
  });
});

describe('the keys of the built-in exercises, for a mixed choir', () => {
  const pitched = exercises.filter(({ music }) => isPitched(music));
  it.each(pitched.map((one) => [one.id, one] as const))(
    '%s has three keys that suit everyone, or says how the parts relay; its usual ladder can be sung',
    (_, exercise) => {
      const shared = sharedKeys(exercise, mixedChoir)!.length;
      expect([shared >= 3, exercise.relay !== undefined]).toEqual([shared >= 3, shared < 3]);
      const choices = { ...exercise.usual, start: null };
      const { keys } = computeSegment(
        { id: exercise.id, exercise, choices },
        { sections: usualSections(mixedChoir), needs: [] },
      );
      expect(keys.kind !== 'none' && keys.sung !== undefined).toBe(true);
    },
  );
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
