import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { Evening, StoreEvening } from '@wide-fern/contract';
import { tonight } from '@wide-fern/plan/testing';
import { ids } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import { useEveningSaving } from './model/useEveningSaving';

const evening = (version: number, place: string): Evening => ({
  id: ids.one,
  version,
  name: null,
  startsAt: '2026-12-01T19:30:00.000Z',
  endsAt: '2026-12-01T21:30:00.000Z',
  place,
  occasion: 'morning',
  forbids: [],
  agenda: [],
  tonight: { sections: [...tonight.sections], needs: [] },
  pieces: [],
  withEveryone: [],
  asUsual: [],
  wishes: [],
});
const choir = { id: ids.choir, timeZone: 'Europe/London' };
const open = () => renderHook(() => useEveningSaving(evening(3, 'Hall'), ids.account, choir));
const stores = () =>
  serve({
    changeEvening: ({ body }) => evening(4, (body as { evening: StoreEvening }).evening.place),
  });
const kept = () => Object.keys(localStorage).filter((key) => key.includes('draft'));
afterEach(() => {
  cleanup();
  localStorage.clear();
});

describe('an evening that saves by itself', () => {
  it('is stored a moment after a change, with the version it began from', async () => {
    const server = stores();
    const { result } = open();
    act(() => result.current.change({ ...result.current.draft, place: 'Barn' }, 'place'));
    expect(result.current.saved.kind).toBe('saving');
    await waitFor(() => expect(result.current.saved).toMatchObject({ kind: 'saved' }));
    expect(server.asked[0]!.body).toMatchObject({ version: 3, evening: { place: 'Barn' } });
    expect(kept()).toEqual([]);
  });

  it('is stored when the page is left before that moment', async () => {
    const server = stores();
    const { result, unmount } = open();
    act(() => result.current.change({ ...result.current.draft, place: 'Barn' }, 'place'));
    unmount();
    await waitFor(() => expect(server.asked).toHaveLength(1));
    await waitFor(() => expect(kept()).toEqual([]));
  });

  it('is not sent while something is missing, and says so', () => {
    const server = stores();
    const { result, unmount } = open();
    act(() => result.current.change({ ...result.current.draft, place: '' }, 'place'));
    expect(result.current.saved.kind).toBe('unfinished');
    unmount();
    expect(server.asked).toEqual([]);
    expect(kept()).toHaveLength(1);
  });

  it('is undone in steps: what follows quickly under one label is one', () => {
    stores();
    const { result } = open();
    const change = (place: string, label: string) =>
      act(() => result.current.change({ ...result.current.draft, place }, label));
    change('B', 'place');
    change('Ba', 'place');
    change('Barn', 'other');
    act(() => result.current.back());
    expect(result.current.draft.place).toBe('Ba');
    act(() => result.current.back());
    expect(result.current).toMatchObject({ draft: { place: 'Hall' }, canGoBack: false });
    act(() => result.current.again());
    expect(result.current.draft.place).toBe('Ba');
  });

  it('does not go on trying what the server refuses, and keeps it', async () => {
    const server = serve({
      changeEvening: () => {
        throw new Refusal(409, 'has_plan', 'The warm-up has a plan.');
      },
    });
    const { result } = open();
    act(() => result.current.change({ ...result.current.draft, place: 'Barn' }, 'place'));
    await waitFor(() =>
      expect(result.current.saved).toEqual({
        kind: 'kept',
        words: 'The warm-up has a plan.',
        goesOn: false,
      }),
    );
    expect(server.asked).toHaveLength(1);
    expect(kept()).toHaveLength(1);
    act(() => result.current.reset());
    expect(result.current.saved.kind).toBe('saved');
  });
});
