import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { setPulled } from '../../../ui/pulling';
import { useSaid } from './useSaid';

afterEach(() => {
  act(() => setPulled(undefined));
  cleanup();
});

describe('what was done, for whoever listens', () => {
  it('is said at once', () => {
    const { result } = renderHook(() => useSaid());
    act(() => result.current[1]('Low Well: one round more.'));
    expect(result.current[0]).toBe('Low Well: one round more.');
  });

  it('is said once the hand rests where something is pulled: the last of it', async () => {
    const { result } = renderHook(() => useSaid());
    act(() => setPulled('strip', 'low-well'));
    act(() => result.current[1]('Low Well: five rounds.'));
    act(() => result.current[1]('Low Well: six rounds.'));
    expect(result.current[0]).toBe('');
    await waitFor(() => expect(result.current[0]).toBe('Low Well: six rounds.'));
  });

  it('gives way to what is said after it', async () => {
    const { result } = renderHook(() => useSaid());
    act(() => setPulled('strip', 'low-well'));
    act(() => result.current[1]('Low Well: five rounds.'));
    act(() => setPulled(undefined));
    act(() => result.current[1]('Undone.'));
    expect(result.current[0]).toBe('Undone.');
    // What waited would have come by then.
    act(() => setPulled('strip', 'low-well'));
    act(() => result.current[1]('Pulley: three keys.'));
    await waitFor(() => expect(result.current[0]).not.toBe('Undone.'));
    expect(result.current[0]).toBe('Pulley: three keys.');
  });
});
