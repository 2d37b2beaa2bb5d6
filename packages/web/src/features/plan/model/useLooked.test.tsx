import { renderHook } from '@testing-library/react';
import { evaluate } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import type { Behind } from './useBehind';
import { useLooked } from './useLooked';

const [before, pulled, after] = ['coat-off', 'pulley', 'long-s'].map((id) =>
  evaluate(documentOf(id), 900),
) as [ReturnType<typeof evaluate>, ReturnType<typeof evaluate>, ReturnType<typeof evaluate>];

const behind = { load: { warnings: [] } } as unknown as Behind;

it('what to look at follows the plan, stands still while something is pulled, and comes after it', () => {
  const seen = renderHook(
    ({ plan, isPulled }: { plan: typeof before; isPulled: boolean }) =>
      useLooked(plan, behind, isPulled)?.plan,
    { initialProps: { plan: before, isPulled: false } },
  );
  const at = (plan: typeof before, isPulled: boolean) => {
    seen.rerender({ plan, isPulled });
    return seen.result.current;
  };
  expect(at(after, false)).toBe(after);
  expect(at(before, false)).toBe(before);
  expect(at(pulled, true)).toBe(before);
  expect(at(after, true)).toBe(before);
  expect(at(after, false)).toBe(after);
});
