import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { queryClient } from '@wide-fern/client';
import type { RunSummary } from '@wide-fern/contract';
import { eveningFor } from '../testing/evening';
import { ids, show, tidy } from '../testing/page';
import { serve } from '../testing/served';
import { CoolDownNotice } from './CoolDownNotice';

const evening = eveningFor();
const withCoolDown = {
  ...evening,
  agenda: [
    ...evening.agenda,
    { id: 'sung', kind: 'piece' as const, title: 'Lanterns', minutes: 80, piece: null },
    { id: 'last', kind: 'cool-down' as const, title: 'Cool-down', minutes: 5, piece: null },
  ],
};
const at = (clock: string) => Date.parse(`2026-12-01T${clock}:00.000Z`);

/** The notice of an evening so long after (or, below 0, before) a time of it, in milliseconds. */
async function seen(
  clock: string,
  after: number,
  of = withCoolDown,
  runs: readonly RunSummary[] = [],
) {
  const moved = (moment: string) =>
    new Date(Date.parse(moment) - at(clock) + Date.now() - after).toISOString();
  const now = { ...of, startsAt: moved(of.startsAt), endsAt: moved(of.endsAt) };
  const server = serve({
    listEvenings: () => ({ items: [now], next: null }),
    showEvening: () => now,
    listRuns: () => [...runs],
  });
  await show(<CoolDownNotice />);
  return server;
}
beforeEach(() => localStorage.clear());
afterEach(tidy);

describe('the cool-down', () => {
  // It is planned for 21:20.
  it('is called to mind in time, and once', async () => {
    await seen('21:18', -400);
    expect(screen.queryByRole('status')).toBeNull();
    expect(await screen.findByText(/The cool-down is planned for/)).toBeTruthy();
    const link = await screen.findByRole('link', { name: 'Lead it' });
    expect(link.getAttribute('href')).toBe(`/evenings/${ids.one}/lead/last`);
    fireEvent.click(screen.getByRole('button', { name: 'I know' }));
    expect(screen.queryByText(/The cool-down is planned for/)).toBeNull();
    cleanup();
    await seen('21:19', 0);
    expect(screen.queryByText(/The cool-down is planned for/)).toBeNull();
  });
  it('is not asked for when it was begun', async () => {
    const startedAt = '2026-12-01T21:19:00.000Z';
    const run = { id: ids.two, startedAt, endedAt: null, ledBy: 'Joss' };
    const server = await seen('21:21', 0, withCoolDown, [run]);
    await waitFor(() => expect(server.asked.map(({ name }) => name)).toContain('listRuns'));
    await waitFor(() => expect(queryClient.isFetching()).toBe(0));
    expect(screen.queryByRole('status')).toBeNull();
  });
  it('is not asked for when the evening is over', async () => {
    await seen('21:31', 0);
    expect(screen.queryByRole('status')).toBeNull();
  });
  it('is due after long singing where none is planned', async () => {
    const agenda = withCoolDown.agenda.slice(0, -1);
    await seen('21:25', 0, { ...withCoolDown, agenda });
    expect(await screen.findByText(/it was sung for long/)).toBeTruthy();
  });
});
