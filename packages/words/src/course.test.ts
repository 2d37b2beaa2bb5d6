import { courseWay, type CourseStep } from '@wide-fern/core';
import { coursesSentence, needInWords, nextStep, stepWayInWords } from './course';

const on = (day: number) => `2026-11-${String(day).padStart(2, '0')}T18:30:00.000Z`;
const dayOf = (moment: string) => `${Number(moment.slice(8, 10))} Nov`;
const led = (exercise: string, day: number, managed: 'few' | 'most' | null = null, breath = 0) => ({
  ...{ exercise, ledAt: on(day), managed, keys: 0, breath },
});
const steps: CourseStep[] = [
  { exercise: 'long-s', need: { kind: 'breath', seconds: 10 }, evenings: 2 },
  { exercise: 'keel', need: { kind: 'managed', by: 'all' }, evenings: 1 },
];
const names: Record<string, string> = { 'long-s': 'Long s', keel: 'Keel', pulley: 'Pulley' };
const nameOf = (id: string) => names[id]!;

describe('a course in words', () => {
  it('says what a step needs', () => {
    expect(steps.map(needInWords)).toEqual([
      'ten seconds out on one breath, in two evenings',
      'all manage it',
    ]);
    expect(needInWords({ need: { kind: 'keys', keys: 1 }, evenings: 3 })).toBe(
      'one key, in three evenings',
    );
  });
  it('says how far one is with it', () => {
    const said = (...all: ReturnType<typeof led>[]) =>
      stepWayInWords(courseWay(steps, all, on(1)).steps[0]!, dayOf);
    expect(said()).toBe('not led yet');
    expect(said(led('long-s', 3, 'few', 12), led('long-s', 10, 'most', 8))).toBe(
      'led twice, not managed yet',
    );
    expect(said(led('long-s', 3, null, 10))).toBe('managed once, once more to go');
    expect(said(led('long-s', 3, null, 10), led('long-s', 10, null, 11))).toBe('managed, 10 Nov');
  });
  it('says what comes next on those that are followed', () => {
    const way = (name: string, own: CourseStep[], ...all: ReturnType<typeof led>[]) => ({
      course: { name, steps: own },
      way: courseWay(own, all, on(1)),
    });
    const breath = way('A longer breath', steps);
    const done = way('Short', steps.slice(1), { ...led('keel', 3), managed: 'all' as never });
    const top = way('Top', [{ exercise: 'pulley', need: { kind: 'keys', keys: 7 }, evenings: 1 }]);
    expect(nextStep(breath)).toBe(steps[0]);
    expect(nextStep(done)).toBeUndefined();
    expect(coursesSentence([], nameOf)).toBe('No course is followed now.');
    expect(coursesSentence([breath], nameOf)).toBe('“A longer breath”: next is Long s.');
    expect(coursesSentence([done], nameOf)).toBe('“Short”: every step is managed.');
    expect(coursesSentence([done, done], nameOf)).toBe(
      'Two courses are followed: every step is managed.',
    );
    expect(coursesSentence([breath, done], nameOf)).toBe(
      'Two courses are followed: next is Long s.',
    );
    expect(coursesSentence([breath, top], nameOf)).toBe(
      'Two courses are followed: next are Long s and Pulley.',
    );
  });
});
