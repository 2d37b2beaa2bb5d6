import { renderHook, waitFor } from '@testing-library/react';
import { useHeld, useRested } from './useHeld';

describe('what is drawn while something is pulled', () => {
  const following = (use: (value: string, isPulled: boolean) => string) => {
    const seen = renderHook(
      ({ value, isPulled }: { value: string; isPulled: boolean }) => use(value, isPulled),
      { initialProps: { value: 'first', isPulled: false } },
    );
    const at = (value: string, isPulled: boolean) => {
      seen.rerender({ value, isPulled });
      return seen.result.current;
    };
    return { at, now: () => seen.result.current };
  };

  it('can stand as it was before, and comes along when it is let go', () => {
    const { at } = following(useHeld);
    expect(at('second', false)).toBe('second');
    expect(at('third', true)).toBe('second');
    expect(at('fourth', true)).toBe('second');
    expect(at('fourth', false)).toBe('fourth');
  });

  it('or comes along when the hand rests, too', async () => {
    const { at, now } = following(useRested);
    expect(at('second', false)).toBe('second');
    expect(at('third', true)).toBe('second');
    expect(at('fourth', true)).toBe('second');
    await waitFor(() => expect(now()).toBe('fourth'));
    expect(at('fifth', true)).toBe('fourth');
    expect(at('fifth', false)).toBe('fifth');
  });
});
