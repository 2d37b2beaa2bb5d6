import { exercises } from '@wide-fern/catalogue';
import { perform } from '../edit/perform';
import { factsOf } from '../edit/facts';
import { choose } from '../edit/edits';
import { documentOf, idsOf, tonight } from '../testing/plans';
import { segmentsOf, takeAcross, takeWhole, weigh, type Proposal } from './proposal';
import { rememberedWays } from './ways';
import {
  approachOf,
  ledAgoOf,
  needsAsked,
  nothingAsked,
  requestOf,
  wishesOf,
  type Known,
} from './request';

const document = documentOf('coat-off', 'narrow-hum', 'pulley');
const known: Known = {
  choir: { approach: 'evening-after-work', level: 2, approaches: [] },
  document,
  allotted: 900,
  evening: {
    startsAt: '2026-12-01T19:30:00.000Z',
    forbids: ['standing'],
    wishes: [{ skill: 'top notes', weight: 3 }],
  },
  evenings: ['2026-11-17T19:30:00.000Z', '2026-11-24T19:30:00.000Z', '2026-12-01T19:30:00.000Z'],
  exercises: {
    own: [],
    marks: { 'wet-slate': { hidden: true }, pulley: { hidden: false } },
    lastUsed: { pulley: '2026-11-24T19:30:00.000Z', 'coat-off': '2026-11-17T19:30:00.000Z' },
  },
};

describe('what is asked when a warm-up is built', () => {
  it('is what is known, where nothing is said', () => {
    const request = requestOf(known, nothingAsked);
    expect(request).toMatchObject({
      seconds: 900,
      level: 2,
      ledAgo: { pulley: 1, 'coat-off': 2 },
      forbids: ['standing'],
      excluded: ['wet-slate'],
    });
    expect(request.approach.id).toBe('evening-after-work');
    expect(request.wishes).toMatchObject({ 'top notes': 3, legato: 1 });
  });
  it('is what a person says, which goes before', () => {
    const request = requestOf(known, {
      ...nothingAsked,
      approach: 'ears-first',
      seconds: 380,
      wishes: { 'top notes': 0, diction: 2 },
      included: ['wet-slate'],
      top: { part: 'S', note: 72 },
    });
    expect(request.approach.id).toBe('ears-first');
    expect(request.seconds).toBe(380);
    expect(request.wishes).not.toHaveProperty('top notes');
    expect(request.wishes.diction).toBe(2);
    // Asked for by name, so it is not left out although it is hidden.
    expect(request.excluded).toEqual([]);
    expect(request.needs.S?.top).toEqual([65, 72]);
  });
  it('never brings anybody beyond what is comfortable', () => {
    const [soprano] = tonight.sections;
    expect(needsAsked(tonight, { part: 'S', note: 100 }).S?.top?.[1]).toBe(soprano!.comfort[1]);
    expect(needsAsked(tonight, { part: 'X', note: 70 })).toEqual(needsAsked(tonight, null));
  });
  it('asks for nothing that has to be there where there is hardly any time', () => {
    const short = requestOf({ ...known, allotted: 120 }, nothingAsked).approach;
    expect(short.phases.every(({ required, least }) => !required && least === 0)).toBe(true);
    expect(short.phases.map(({ phase }) => phase)).toEqual(
      requestOf(known, nothingAsked).approach.phases.map(({ phase }) => phase),
    );
  });
  it('lets the voice rest at the end of the evening, unless something else is said', () => {
    const end = { ...known, isCoolDown: true };
    expect(requestOf(end, nothingAsked).approach.id).toBe('cool-down');
    expect(requestOf(end, { ...nothingAsked, approach: 'ears-first' }).approach.id).toBe(
      'ears-first',
    );
    const { problem } = weigh(requestOf({ ...end, allotted: 300 }, nothingAsked), exercises);
    expect(problem.candidates.length).toBeGreaterThan(20);
    expect(problem.phases.every(({ strong }) => strong === 0)).toBe(true);
  });
  it('counts evenings since, not days', () => {
    const evenings = ['a', 'c', 'e', 'g'];
    expect(ledAgoOf({ one: 'e', two: 'c', old: 'a', later: 'h' }, evenings, 'g')).toEqual({
      one: 1,
      two: 2,
      old: 3,
    });
  });
  it('takes the heaviest of several wishes for a skill', () => {
    const wishes = wishesOf(
      [
        { skill: 'tuning', weight: 2 },
        { skill: 'tuning', weight: 3 },
      ],
      {},
    );
    expect(wishes.tuning).toBe(3);
  });
  it('knows a choir’s own approach, and falls back on the first', () => {
    const own = { name: 'Ours', approach: { ...approachOf('ears-first', []), id: 'ours' } };
    expect(approachOf('ours', [own]).phases).toEqual(own.approach.phases);
    expect(approachOf('gone', [own]).id).toBe('evening-after-work');
  });
});

describe('a plan that is weighed', () => {
  const pinned = perform(document, choose('pulley', { pinned: true }))!.document;
  const weighed = weigh(requestOf({ ...known, document: pinned }, nothingAsked), exercises);
  it('holds what is pinned, and says what the present plan is worth and breaks', () => {
    expect(weighed.problem.pinned).toEqual(['present:pulley']);
    expect(weighed.present.segments.map(({ exercise, segment }) => [exercise, segment])).toEqual([
      ['coat-off', 'coat-off'],
      ['narrow-hum', 'narrow-hum'],
      ['pulley', 'pulley'],
    ]);
    const sum = weighed.present.segments.reduce((all, { share }) => all + share.points, 0);
    expect(sum).toBe(weighed.present.points);
    expect(weighed.present.breaches).toContain('under');
    expect(weighed.present.breaches).toContain('phase:breath');
  });
  it('leaves out what is hidden and what the place forbids', () => {
    const needs = new Map(exercises.map((one) => [one.id, one.needs]));
    const there = weighed.problem.candidates.filter(({ id }) => !id.startsWith('present:'));
    expect(there.length).toBeGreaterThan(200);
    for (const { exercise } of there) expect(needs.get(exercise)).not.toContain('standing');
    expect(weighed.problem.excluded).toEqual(['wet-slate']);
  });
  it('works its ways out once for the same evening', () => {
    const ways = rememberedWays();
    const request = requestOf(known, nothingAsked);
    const some = exercises.filter((_, i) => i % 4 === 0);
    const first = weigh(request, some, ways);
    const again = weigh({ ...request, wishes: { blend: 3 } }, some, ways);
    const byId = new Map(first.variants.map((one) => [one.candidate.id, one]));
    expect(again.variants.every((one) => byId.get(one.candidate.id) === one)).toBe(true);
    const other = weigh({ ...request, level: 1 }, some, ways);
    expect(other.variants.some((one) => byId.get(one.candidate.id) === one)).toBe(false);
  });

  it('are those of the exercise as it is, where another one of the same name was there before', () => {
    const ways = rememberedWays();
    const request = requestOf(known, nothingAsked);
    const pulley = exercises.find(({ id }) => id === 'pulley')!;
    const longer = { ...pulley, usual: { ...pulley.usual, talk: pulley.usual.talk + 30 } };
    const first = weigh(request, [pulley], ways).variants;
    const then = weigh(request, [longer], ways).variants;
    expect(first.length).toBeGreaterThan(0);
    expect(then.map(({ candidate }) => candidate.seconds)).toEqual(
      weigh(request, [longer], rememberedWays()).variants.map(({ candidate }) => candidate.seconds),
    );
    expect(then).not.toEqual(first);
    // The same one, read once more, is not worked out again.
    expect(weigh(request, [structuredClone(longer)], ways).variants[0]).toBe(then[0]);
  });
});

describe('a proposal that is taken', () => {
  const request = requestOf(known, nothingAsked);
  const { present, variants } = weigh(
    request,
    exercises.filter(({ id }) => id === 'pulley'),
  );
  const byId = new Map(exercises.map((one) => [one.id, one]));
  const proposed = (exercise: string): Proposal['segments'][number] => {
    const { candidate, choices, own } = variants.find(
      (one) => one.candidate.exercise === exercise,
    )!;
    return { exercise, segment: null, choices, candidate, own, share: present.segments[0]!.share };
  };
  const plan = { segments: [proposed('pulley'), present.segments[1]!] };
  it('keeps what stays as it is, and the place of what it has with other choices', () => {
    let count = 0;
    const known = { segments: plan.segments.filter(({ exercise }) => byId.has(exercise)) };
    const segments = segmentsOf(known, byId, document.segments, () => `new-${(count += 1)}`);
    const hum = segments.find(({ exercise }) => exercise.id === 'narrow-hum');
    expect(hum).toBe(document.segments[1]);
    expect(segments.find(({ exercise }) => exercise.id === 'pulley')?.id).toBe('pulley');
  });
  it('whole is one edit, that is undone as one', () => {
    const segments = segmentsOf({ segments: [proposed('pulley')] }, byId, [], () => 'new');
    const edit = takeWhole(document, segments);
    const { document: after, inverse } = perform(document, edit)!;
    expect(idsOf(after)).toEqual(['new']);
    expect(factsOf(edit, document, after)).toEqual([{ code: 'built', segments: 1 }]);
    expect(perform(after, inverse)!.document).toBe(document);
  });
  it('gives a single segment across, where it stands among what both have', () => {
    const [segment] = segmentsOf({ segments: [proposed('pulley')] }, byId, [], () => 'new');
    const order = ['coat-off', 'pulley', 'narrow-hum'];
    const after = perform(document, takeAcross(document, segment!, order))!.document;
    expect(idsOf(after)).toEqual(['coat-off', 'new', 'narrow-hum', 'pulley']);
  });
});
