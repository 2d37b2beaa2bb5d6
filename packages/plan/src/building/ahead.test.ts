import { exercises } from '@wide-fern/catalogue';
import { build } from '@wide-fern/core';
import { highsSolver } from '@wide-fern/solver';
import { emptyDocument } from '../document/document';
import { tonight } from '../testing/plans';
import { planAhead } from './ahead';
import { weigh, type Planner } from './proposal';
import { nothingAsked, requestOf, type BuildRequest } from './request';
import { rememberedWays } from './ways';

const solver = highsSolver();
/** A choir with few exercises, so that repeating one is tempting. */
const few = exercises.filter(({ phase }, i) => phase !== 'cool-down' && i % 3 === 0);
function threadPlanner(): Planner & { readonly asked: BuildRequest[] } {
  const asked: BuildRequest[] = [];
  const ways = rememberedWays();
  return {
    asked,
    weigh: (request) => {
      asked.push(request);
      return Promise.resolve(weigh(request, few, ways));
    },
    solve: (problem) => build(problem, { solver }),
  };
}
const request = (lastUsed: Record<string, string> = {}): BuildRequest =>
  requestOf(
    {
      choir: { approach: 'evening-after-work', level: 2, approaches: [] },
      document: emptyDocument(tonight),
      allotted: 420,
      evening: { startsAt: '2026-12-15T19:30:00.000Z', forbids: [], wishes: [] },
      evenings: ['2026-12-01T19:30:00.000Z', '2026-12-08T19:30:00.000Z'],
      exercises: { own: [], marks: {}, lastUsed },
    },
    nothingAsked,
  );
const exercisesOf = (plan: { segments: readonly { exercise: string }[] } | undefined) =>
  plan!.segments.map(({ exercise }) => exercise);

describe('warm-ups of several evenings at once', () => {
  it('know what the others use', async () => {
    const planner = threadPlanner();
    const told: string[] = [];
    const [first, second] = await planAhead(
      [
        { id: 'one', request: request() },
        { id: 'between', planned: ['pulley'] },
        { id: 'two', request: request({ 'slate-steps': '2026-12-01T19:30:00.000Z' }) },
      ],
      planner,
      ({ id }) => told.push(id),
    );
    expect(told).toEqual(['one', 'two']);
    // The next evening stands already: what it has is not fresh just before it.
    expect(planner.asked[0]!.ledAgo).toEqual({ pulley: 1 });
    // Two evenings on from the first, one on from the one that stood; what was led before is still known.
    expect(planner.asked[1]!.ledAgo).toEqual({
      ...Object.fromEntries(exercisesOf(first!.plan).map((id) => [id, 2])),
      ...{ pulley: 1, 'slate-steps': 2 },
    });
    expect(second!.plan!.bound).toBe(second!.plan!.points);
    // What was used just before counts less, so it differs from what would be built alone.
    const alone = await planAhead([{ id: 'alone', request: request() }], threadPlanner());
    expect(exercisesOf(second!.plan)).not.toEqual(exercisesOf(alone[0]!.plan));
  }, 60_000);

  it('go on where one of them cannot be built', async () => {
    const impossible = { ...request(), included: ['slate-steps'], excluded: ['slate-steps'] };
    const [none, some] = await planAhead(
      [
        { id: 'none', request: impossible },
        { id: 'some', request: request() },
      ],
      threadPlanner(),
    );
    expect(none!.plan).toBeUndefined();
    expect(some!.plan!.segments.length).toBeGreaterThan(2);
  }, 60_000);
});
