import { exercises } from '@wide-fern/catalogue';
import type { PlanDocument, Segment } from '@wide-fern/contract';
import { build, pointsOf, segmentSeconds, type PlannerProblem } from '@wide-fern/core';
import { highsSolver } from '@wide-fern/solver';
import { choose } from '../edit/edits';
import { factsOf } from '../edit/facts';
import { perform, performAll } from '../edit/perform';
import { documentOf, idsOf } from '../testing/plans';
import { evaluate } from '../evaluate';
import { planLoad } from '../load/planLoad';
import { offerFor, takeOffer, type Offer, type Standing } from './adjust';
import { weigh } from './proposal';
import { nothingAsked, requestOf, type BuildRequest } from './request';

const solver = highsSolver();
const planner = { solve: (problem: PlannerProblem) => build(problem, { solver }) };
const requestFor = (document: PlanDocument): BuildRequest =>
  requestOf(
    {
      choir: { approach: 'evening-after-work', level: 2, approaches: [] },
      document,
      allotted: 900,
      evening: {
        startsAt: '2026-12-01T19:30:00.000Z',
        forbids: [],
        wishes: [{ skill: 'top notes', weight: 3 }],
      },
      evenings: [],
      exercises: { own: [], marks: {}, lastUsed: {} },
    },
    nothingAsked,
  );
const plan = documentOf('coat-off', 'long-s', 'narrow-hum', 'pulley', 'slate-steps', 'long-ledge');
const secondsOf = (document: PlanDocument): number =>
  document.segments.reduce(
    (sum, { exercise, choices }) => sum + Math.ceil(segmentSeconds(exercise, choices) - 1e-6),
    0,
  );
const offer = (document: PlanDocument, standing: Standing, favourites: readonly string[] = []) =>
  offerFor(
    requestFor(document),
    standing,
    planner,
    exercises.filter(({ id }) => favourites.includes(id)),
  );
const taken = (document: PlanDocument, found: Offer, sung: readonly string[] = []) =>
  perform(
    document,
    takeOffer(document, found, { sung }, () => 'new'),
  )!.document;

describe('an offer where a warm-up is late', () => {
  it.each([0, 60, 180, 300])('fits into what is left, %i seconds too few', async (short) => {
    const whole = secondsOf(plan);
    const found = await offer(plan, { sung: [], left: whole - short });
    if (short === 0) {
      expect(found).toBeUndefined();
      return;
    }
    expect(found!.kind).toBe('late');
    const after = taken(plan, found!);
    const exact = after.segments.map(({ exercise, choices }) => segmentSeconds(exercise, choices));
    expect(found!.seconds).toBeCloseTo(
      exact.reduce((sum, one) => sum + one, 0),
      6,
    );
    expect(found!.seconds).toBeLessThanOrEqual(whole - short);
    expect(found!.points).toBeLessThanOrEqual(found!.before);
    // In the plan's order, and nothing that was not in it.
    const order = idsOf(plan);
    const places = idsOf(after).map((id) => order.indexOf(id));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places).not.toContain(-1);
    expect(found!.out).toEqual(order.filter((id) => !idsOf(after).includes(id)));
  });

  it('loses least of all that fits: every way of what remains was tried', async () => {
    const few = documentOf('narrow-hum', 'pulley', 'slate-steps');
    const left = secondsOf(few) - 70;
    const found = (await offer(few, { sung: [], left }))!;
    const request = requestFor(few);
    const weighed = (segment: Segment) =>
      weigh({ ...request, present: [segment] }, []).present.segments[0]!.candidate;
    /** Every way of a segment, worth more by as much as it is worth to be in the plan already; or none. */
    const ways = few.segments.map((segment) => {
      const { repetitions } = segment.choices;
      const lift = Math.max(6, 1 - weighed(segment).points);
      const way = (count: number) => {
        const candidate = weighed({
          ...segment,
          choices: { ...segment.choices, repetitions: count },
        });
        const points = candidate.points + lift + (count === repetitions ? 1 : 0);
        return { candidate: { ...candidate, points }, count, id: segment.id };
      };
      const least = Math.max(3, Math.ceil(repetitions / 2));
      const all = Array.from({ length: repetitions - least + 1 }, (_, i) => way(i + least));
      return [undefined, ...all];
    });
    const problem = { wishes: request.wishes as Record<string, number>, needs: request.needs };
    let best = -Infinity;
    for (const one of ways[0]!)
      for (const two of ways[1]!)
        for (const three of ways[2]!) {
          // Steep rises, and what is strong without anything that leads up to it, are not offered.
          if (three && !one) continue;
          // Onset and range are required.
          if (!one || (!two && !three)) continue;
          const segments = few.segments.flatMap((segment, i) => {
            const way = [one, two, three][i];
            return way
              ? [{ ...segment, choices: { ...segment.choices, repetitions: way.count } }]
              : [];
          });
          const { warnings } = planLoad(evaluate({ ...few, segments }, 900));
          if (warnings.some(({ code }) => code === 'rise')) continue;
          const all = [one, two, three].flatMap((way) => (way ? [way.candidate] : []));
          const seconds = all.reduce((sum, candidate) => sum + candidate.seconds, 0);
          if (seconds <= left) best = Math.max(best, pointsOf(problem, all).points);
        }
    const chosen = found.segments.map(({ segment, choices }) =>
      ways.flat().find((way) => way?.id === segment && way?.count === choices.repetitions)!,
    );
    expect(
      pointsOf(
        problem,
        chosen.map(({ candidate }) => candidate),
      ).points,
    ).toBe(best);
    expect(found.points).toBe(best);
  });

  it('keeps a segment of each phase the approach requires, as long as there is time', async () => {
    const whole = secondsOf(plan);
    for (const short of [120, 240]) {
      const after = taken(plan, (await offer(plan, { sung: [], left: whole - short }))!);
      const phases = new Set(after.segments.map(({ exercise }) => exercise.phase));
      for (const phase of ['release', 'breath', 'onset', 'range']) expect(phases).toContain(phase);
      for (const { id, choices } of after.segments) {
        const was = plan.segments.find((one) => one.id === id)!.choices.repetitions;
        expect(choices.repetitions).toBeGreaterThanOrEqual(was / 2);
      }
    }
    expect(await offer(plan, { sung: [], left: 100 })).toBeDefined();
  });

  it('keeps what was sung, and what is pinned, as they are', async () => {
    const pinned = performAll(plan, [choose('long-ledge', { pinned: true })]);
    const sung = ['coat-off', 'long-s'];
    const rest = pinned.segments.filter(({ id }) => !sung.includes(id));
    const left = secondsOf({ ...pinned, segments: rest }) - 150;
    const found = (await offer(pinned, { sung, left }))!;
    const after = taken(pinned, found, sung);
    expect(after.segments.slice(0, 2)).toEqual(pinned.segments.slice(0, 2));
    expect(after.segments.at(-1)).toEqual(pinned.segments.at(-1));
    expect(secondsOf({ ...after, segments: after.segments.slice(2) })).toBeLessThanOrEqual(left);
  });

  it('is none where what is pinned takes longer than there is', async () => {
    const pinned = performAll(plan, [choose('slate-steps', { pinned: true })]);
    expect(await offer(pinned, { sung: [], left: 20 })).toBeUndefined();
  });

  it('leaves out all that remains where no time is left', async () => {
    const found = (await offer(plan, { sung: idsOf(plan).slice(0, 4), left: 0 }))!;
    expect(found).toMatchObject({ kind: 'late', segments: [], seconds: 0 });
    expect(found.out).toEqual(['slate-steps', 'long-ledge']);
    expect(await offer(plan, { sung: idsOf(plan), left: -20 })).toBeUndefined();
  });

  it('is taken as one edit that says how long it is then', async () => {
    const found = (await offer(plan, { sung: [], left: secondsOf(plan) - 90 }))!;
    const edit = takeOffer(plan, found, { sung: [] }, () => 'new');
    const performed = perform(plan, edit)!;
    const [fact] = factsOf(edit, plan, performed.document);
    expect(fact).toMatchObject({ code: 'fitted' });
    expect(perform(performed.document, performed.inverse)!.document).toEqual(plan);
  });
});

describe('an offer where it is early', () => {
  it('does what remains longer, or adds a favourite, and never fills more than is left', async () => {
    const left = secondsOf(plan) + 120;
    const found = (await offer(plan, { sung: [], left }, ['wet-slate', 'sliding-fifths']))!;
    expect(found.kind).toBe('early');
    expect(found.out).toEqual([]);
    expect(found.seconds).toBeLessThanOrEqual(left);
    expect(found.points).toBeGreaterThan(found.before);
    for (const { change, segment, choices, exercise } of found.segments) {
      const was = plan.segments.find(({ id }) => id === segment);
      if (change === 'new') expect(['wet-slate', 'sliding-fifths']).toContain(exercise.id);
      else if (change === 'longer')
        expect(choices.repetitions).toBeGreaterThan(was!.choices.repetitions);
      else expect(choices).toEqual(was!.choices);
    }
  });
  it('is none for a few seconds, nor where nothing is left to sing', async () => {
    expect(await offer(plan, { sung: [], left: secondsOf(plan) + 20 })).toBeUndefined();
    expect(await offer(plan, { sung: idsOf(plan), left: 300 })).toBeUndefined();
  });
});
