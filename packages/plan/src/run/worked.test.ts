import { runState, type RunEvent } from '@wide-fern/core';
import { evaluate } from '../evaluate';
import { documentOf } from '../testing/plans';
import { ledSegments } from './led';
import { workedOn } from './worked';

describe('what was worked on', () => {
  const document = documentOf('long-s', 'pulley');
  const plan = evaluate(document, 900);
  const run = (...acts: readonly (readonly [number, RunEvent['act']])[]) =>
    runState(
      ledSegments(document),
      acts.map(([seconds, act], n) => ({ id: `e${n}`, n, at: 1000 * seconds, act })),
    );
  it('is what was sung or done for it, the longest first; what was only opened does not count', () => {
    const purposesOf = (i: number) =>
      plan.segments[i]!.segment.exercise.purposes.filter((one) => one !== 'posture');
    expect(plan.segments[0]!.segment.exercise.purposes.length).toBeGreaterThan(0);
    const opened = (segment: string) => ({ kind: 'opened', segment }) as const;
    const began = { kind: 'began', key: 0 } as const;
    const only = run(
      [0, opened('long-s')],
      [5, opened('pulley')],
      [9, began],
      [12, { kind: 'ended' }],
    );
    expect(workedOn(plan, only)).toEqual([...purposesOf(1)]);
    const both = run(
      ...([
        [0, opened('pulley')],
        [5, began],
        [9, opened('long-s')],
      ] as const),
      ...([
        [12, began],
        [40, { kind: 'ended' }],
      ] as const),
    );
    expect(workedOn(plan, both).slice(0, purposesOf(0).length).sort()).toEqual(
      [...purposesOf(0)].sort(),
    );
    expect(workedOn(plan, both)).toEqual(expect.arrayContaining([...purposesOf(1)]));
  });
});
