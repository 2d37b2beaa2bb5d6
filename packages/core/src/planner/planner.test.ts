import { mixedChoir, usualSections } from '../voices';
import { approaches, visitsOf } from './approaches';
import { inOrder } from './order';
import { skillPoints } from './points';
import type { Candidate, PlannerProblem } from './problem';
import { needsOf, phasesIn, reachedAtFirst } from './question';
import { servedBy, sharesOf } from './shares';
import { freshness } from './variants';

describe('points of a skill', () => {
  it('count the first two units of 30 s twice, the next two once, and more not at all', () => {
    const of = (seconds: number) => skillPoints(seconds, 2);
    expect([0, 29.9, 30, 60, 90, 120, 500].map(of)).toEqual([0, 0, 4, 8, 10, 12, 12]);
    // Thirds that add up to a unit are one.
    expect(skillPoints(10 / 3 + 20 / 3 + 20, 1)).toBe(2);
  });
});

describe('freshness', () => {
  it('is 3 for what was never or long not led, down to 0 for last time', () => {
    expect([undefined, 9, 5, 4, 3, 2, 1].map((ago) => freshness(ago, 'vary'))).toEqual([
      3, 3, 3, 2, 2, 1, 0,
    ]);
  });
  it('is turned round where what is known is kept', () => {
    expect([undefined, 9, 4, 3, 2, 1].map((ago) => freshness(ago, 'keep'))).toEqual([
      0, 0, 0, 1, 2, 3,
    ]);
  });
});

describe('what is known of tonight', () => {
  const sections = usualSections(mixedChoir);
  it('is what counts as reached at first: the narrowest part of all', () => {
    const reached = reachedAtFirst({ sections, needs: [] });
    for (const {
      comfort: [low, high],
      octave,
    } of sections) {
      const upper = Math.floor((low + high) / 2 + 0.55 * ((high - low) / 2)) - octave;
      expect(reached).toBeLessThanOrEqual(upper);
    }
  });
  it('is how far each part has to have been: eight semitones to its top, four from its bottom', () => {
    const [soprano] = sections;
    const [low, high] = soprano!.comfort;
    const need = { part: 'S', highestIn: 'x', lowestIn: 'x' };
    expect(needsOf({ sections, needs: [{ ...need, highest: high + 3, lowest: low + 2 }] })).toEqual(
      { S: { top: [high - 7, high], bottom: [low + 2, low + 5] } },
    );
    expect(
      needsOf({ sections, needs: [{ ...need, part: 'none', highest: 70, lowest: 60 }] }),
    ).toEqual({});
  });
});

describe('approaches', () => {
  it('visit a phase again under another id', () => {
    const ears = approaches.find(({ id }) => id === 'ears-first')!;
    expect(visitsOf(ears).map(({ id }) => id)).toEqual([
      'resonance',
      'listening',
      'breath',
      'range',
      'listening-2',
    ]);
  });
  it.each(approaches.map((one) => [one.id, one] as const))(
    '%s: its least shares fit together, its most fill the time',
    (_, approach) => {
      const phases = phasesIn(approach, 900);
      const sum = (name: 'least' | 'most') => phases.reduce((all, phase) => all + phase[name], 0);
      expect(sum('least')).toBeLessThanOrEqual(900);
      expect(sum('most')).toBeGreaterThanOrEqual(900 - 45);
      for (const { least, most } of phases) expect(least).toBeLessThanOrEqual(most);
    },
  );
});

describe('the order', () => {
  it('is by phase, then by top note, unpitched first, then strong ones last, then by id', () => {
    const one = (id: string, phase: string, top: number | null, strong = false): Candidate => ({
      ...{ id, exercise: id, phase, seconds: 60, points: 0, serves: {} },
      ...{ high: null, low: null, top, strong },
    });
    const phase = (id: string) => ({ id, required: false, least: 0, most: 900, strong: 1 });
    const problem: PlannerProblem = {
      ...{ seconds: 900, slack: 45, reached: null, strongAfter: [], wishes: {}, needs: {} },
      ...{ candidates: [], pinned: [], excluded: [], alternatives: 0 },
      phases: [phase('onset'), phase('range')],
    };
    const all = [
      one('z', 'range', 70),
      one('b', 'range', 70, true),
      one('c', 'range', 76),
      one('a', 'range', null),
      one('y', 'onset', 79),
      one('d', 'range', 70),
    ];
    expect(inOrder(problem, all).map(({ id }) => id)).toEqual(['y', 'a', 'd', 'z', 'b', 'c']);
  });
});

describe('the shares of the points', () => {
  const one = (id: string, more: Partial<Candidate>): Candidate => ({
    ...{ id, exercise: id, phase: 'range', seconds: 60, points: -4, serves: {} },
    ...{ high: null, low: null, top: null, strong: false },
    ...more,
  });
  const problem = { wishes: { legato: 2, tuning: 1 }, needs: { S: { top: [70, 72] as const } } };
  const plan = [
    one('a', { serves: { legato: 60 }, high: { S: 71 } }),
    one('b', { serves: { legato: 45, tuning: 20 }, high: { S: 72 }, points: -7 }),
    one('c', { serves: { legato: 90, tuning: 10 } }),
  ];
  it('go to whatever comes first, and add up to the points of the plan', () => {
    const shares = sharesOf(problem, plan);
    expect(
      shares.map(({ skills, steps, own, points }) => [skills, steps.length, own, points]),
    ).toEqual([
      [{ legato: 8 }, 2, -4, 6],
      [{ legato: 2 }, 1, -7, -4],
      // The fourth unit of legato, and the first of tuning, which two of them make together.
      [{ legato: 2, tuning: 2 }, 0, -4, 0],
    ]);
    const sum = shares.reduce((all, { points }) => all + points, 0);
    expect(sum).toBe(servedBy(problem, plan).points);
  });
  it('say how far each part has been, and what stays open', () => {
    expect(servedBy(problem, plan.slice(0, 1))).toMatchObject({
      seconds: { legato: 60, tuning: 0 },
      open: [{ part: 'S', end: 'top', note: 72 }],
      reached: { S: { high: 71 } },
    });
  });
});
