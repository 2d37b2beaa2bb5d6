import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { thisWindow } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import { useEveningDraft } from './model/useEveningDraft';

const evening = (version: number, place = 'Quarry Lane Hall'): Evening =>
  ({
    id: 'evening',
    version,
    name: null,
    startsAt: '2026-12-01T19:30:00.000Z',
    endsAt: '2026-12-01T21:30:00.000Z',
    place,
    occasion: 'morning',
    forbids: [],
    agenda: [],
  }) as unknown as Evening;

const open = (stored: Evening) =>
  renderHook(({ of }: { of: Evening }) => useEveningDraft(of, 'me', 'Europe/London'), {
    initialProps: { of: stored },
  });
const kept = () => Object.keys(localStorage).filter((key) => key.includes(thisWindow));
afterEach(() => {
  cleanup();
  localStorage.clear();
});

describe('an evening that is changed', () => {
  it('is the stored one by the choir’s clock until something is changed', () => {
    const { result } = open(evening(3));
    expect(result.current).toMatchObject({ version: 3, isChanged: false, isOvertaken: false });
    expect(result.current.draft).toMatchObject({
      date: '2026-12-01',
      start: '19:30',
      end: '21:30',
    });
    expect(kept()).toEqual([]);
  });

  it('is kept on the device while it is, and taken up again', () => {
    const { result, unmount } = open(evening(3));
    act(() => result.current.change({ ...result.current.draft, place: 'St Oswin' }));
    expect(result.current.isChanged).toBe(true);
    expect(kept()).toHaveLength(1);
    unmount();
    expect(open(evening(3)).result.current).toMatchObject({
      isChanged: true,
      draft: { place: 'St Oswin' },
    });
  });

  it('is let go when it is as before', () => {
    const { result } = open(evening(3));
    act(() => result.current.change({ ...result.current.draft, place: 'St Oswin' }));
    act(() => result.current.reset());
    expect(result.current.isChanged).toBe(false);
    expect(kept()).toEqual([]);
  });

  it('follows what others store as long as nothing was changed here', () => {
    const { result, rerender } = open(evening(3));
    rerender({ of: evening(4, 'The old mill') });
    expect(result.current).toMatchObject({ version: 4, draft: { place: 'The old mill' } });
  });

  it('stays when others store meanwhile, and says so; then one of both is taken', () => {
    const { result, rerender } = open(evening(3));
    act(() => result.current.change({ ...result.current.draft, place: 'St Oswin' }));
    const theirs = evening(4, 'The old mill');
    rerender({ of: theirs });
    expect(result.current).toMatchObject({
      version: 3,
      isOvertaken: true,
      draft: { place: 'St Oswin' },
    });
    act(() => result.current.keepMine());
    expect(result.current).toMatchObject({ version: 4, draft: { place: 'St Oswin' } });
    expect(result.current.isOvertaken).toBe(false);
    act(() => result.current.takeStored(theirs));
    expect(result.current).toMatchObject({ isChanged: false, draft: { place: 'The old mill' } });
  });

  it('takes up what a closed window left behind, and makes it this window’s own', async () => {
    const { result, unmount } = open(evening(3));
    act(() => result.current.change({ ...result.current.draft, place: 'St Oswin' }));
    const [key] = kept();
    localStorage.setItem(key!.replace(thisWindow, 'closed'), localStorage.getItem(key!)!);
    localStorage.removeItem(key!);
    unmount();

    const again = open(evening(3)).result;
    await waitFor(() => expect(again.current.draft.place).toBe('St Oswin'));
    expect(Object.keys(localStorage).some((one) => one.includes('closed'))).toBe(false);
    expect(kept()).toHaveLength(1);
  });

  it('is let go when it was stored after the page was left, and keeps what was changed since it was sent', () => {
    const { result, unmount } = open(evening(3));
    act(() => result.current.change({ ...result.current.draft, place: 'St Oswin' }));
    const { stored, draft: sent } = result.current;
    unmount();
    stored(evening(4, 'St Oswin'), sent);
    expect(kept()).toEqual([]);

    const again = open(evening(4, 'St Oswin')).result;
    act(() => again.current.change({ ...again.current.draft, place: 'Barn' }));
    const first = again.current.draft;
    act(() => again.current.change({ ...again.current.draft, place: 'Barn hall' }));
    act(() => again.current.stored(evening(5, 'Barn'), first));
    expect(again.current).toMatchObject({
      version: 5,
      isChanged: true,
      draft: { place: 'Barn hall' },
    });
    expect(kept()).toHaveLength(1);
  });

  it('does not take what cannot be read', () => {
    const { result, unmount } = open(evening(3));
    act(() => result.current.change({ ...result.current.draft, place: 'St Oswin' }));
    const [key] = kept();
    unmount();
    localStorage.setItem(key!, '{"version":"three"}');
    expect(open(evening(3)).result.current.isChanged).toBe(false);
  });
});
