import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { lastKeptRun } from '@wide-fern/client';
import type { Evening, Presence, Singer } from '@wide-fern/contract';
import { documentOf, planOf, tonight } from '@wide-fern/plan/testing';
import { eveningFor } from '../../testing/evening';
import { ids, show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import LeadPage from './LeadPage';
import { whoGroups } from './who/groups';

const place = { choir: ids.choir, evening: ids.one, item: 'warm-up' };
const address = {
  path: `/evenings/${ids.one}/lead/warm-up`,
  pattern: '/evenings/:evening/lead/:item',
};
const singer = (n: number, name: string, part: string | null): Singer => ({
  ...{ id: `00000000-0000-4000-8000-00000000001${n}`, version: 1, name, part, also: [] },
  ...{ comfort: [60, 79], reach: [57, 81], lightTop: null, changes: [], states: [] },
  ...{ onLeave: false, notes: '', checkedOn: null },
});
const people = [
  singer(1, 'Ash Tarn', 'S'),
  singer(2, 'Bram Oake', 'S'),
  singer(3, 'Odo Pell', null),
];
const [ash, bram] = people as [Singer, Singer];
/** Without the first soprano the sopranos sing a fourth less far up. */
const sung = ({ singers }: Presence): Evening['tonight'] => ({
  needs: [...tonight.needs],
  sections: tonight.sections.map((one) =>
    one.id === 'S' && singers.some((said) => said.away)
      ? { ...one, comfort: [one.comfort[0], one.comfort[1] - 5], singers: 7, away: 1 }
      : one,
  ),
});

/** A server whose sections follow who is here. */
function served(presence: Presence) {
  let now = presence;
  const evening = () => ({ ...eveningFor(), id: ids.one, tonight: sung(now) });
  const document = { ...documentOf('coat-off', 'slate-steps'), tonight: sung(presence) };
  return serve({
    showEvening: evening,
    showPlan: () => ({ plan: planOf(document) }),
    savePlan: () => planOf(document, 2),
    sendRun: ({ body }) => ({ events: body.events.length }),
    listSingers: () => ({ items: [...people], next: null }),
    showPresence: () => now,
    changePresence: ({ body }) => {
      const said = new Map(now.singers.map((one) => [one.singer, one]));
      for (const one of body.singers ?? []) said.set(one.singer, one);
      now = { condition: body.condition ?? now.condition, singers: [...said.values()] };
      return now;
    },
  });
}
const isAway = {
  condition: 'rested' as const,
  singers: [{ singer: ash.id, away: true, states: [] }],
};
const acts = () => lastKeptRun(ids.account, place)!.events.map(({ act }) => act);
const press = (key: string) => fireEvent.keyDown(window, { key });

beforeEach(() => localStorage.clear());
afterEach(tidy);

describe('who is here', () => {
  it('is told by part and by name, whose part is undecided at the end', () => {
    const parts = [{ id: 'S', many: 'sopranos' }];
    const { sections, undecided, away } = whoGroups([...people].reverse(), isAway, parts);
    expect(sections[0]!.rows.map((row) => row.singer.name)).toEqual(['Ash Tarn', 'Bram Oake']);
    expect(undecided.map((row) => row.singer.name)).toEqual(['Odo Pell']);
    expect(away.map((row) => row.singer.name)).toEqual(['Ash Tarn']);
    const onLeave = whoGroups([{ ...ash, onLeave: true }, bram], isAway, parts);
    expect([onLeave.away, onLeave.sections[0]!.rows.length]).toEqual([[], 1]);
  });

  it('who comes late is one touch, and what remains is weighed anew', async () => {
    served(isAway);
    await show(<LeadPage />, address);
    fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
    press('o');
    press('w');
    fireEvent.click(await screen.findByRole('button', { name: 'Ash Tarn has come' }));
    expect(await screen.findByText(/^Weighed anew: one exercise has other keys/)).toBeTruthy();
    const last = acts().at(-1)!;
    expect(last).toMatchObject({ kind: 'renewed', why: 'here' });
    const sopranos = last.kind === 'renewed' && last.tonight!.sections[0]!;
    expect(sopranos).toMatchObject({ comfort: tonight.sections[0]!.comfort });
    expect(screen.getByText('Everybody is here.')).toBeTruthy();
    // One touch takes it back, and then it is only told.
    press('u');
    expect(acts().at(-1)).toMatchObject({ kind: 'undone' });
    expect(await screen.findByText(/^The sopranos sing .+ easily now/)).toBeTruthy();
  });

  it('said elsewhere, it is told and changes nothing by itself', async () => {
    const server = served({ condition: 'rested', singers: [] });
    await show(<LeadPage />, address);
    await screen.findByRole('button', { name: 'Begin' });
    const region = () => screen.getByRole('region', { name: 'Who is here' });
    expect(within(region()).queryByText(/easily now/)).toBeNull();
    server.answers = {
      ...server.answers,
      showEvening: () => ({ ...eveningFor(), tonight: sung(isAway) }),
    };
    const { queryClient } = await import('@wide-fern/client');
    await queryClient.invalidateQueries();
    expect(await within(region()).findByText(/easily now/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'take tonight’s keys' }));
    await waitFor(() => expect(within(region()).queryByText(/easily now/)).toBeNull());
    fireEvent.click(screen.getByRole('button', { name: 'Begin' }));
    const { head } = lastKeptRun(ids.account, place)!;
    expect(head.document.tonight.sections[0]).toMatchObject({ singers: 7, away: 1 });
  });

  it('says so where nothing changes by it', async () => {
    served({ condition: 'rested', singers: [] });
    await show(<LeadPage />, address);
    fireEvent.click(await screen.findByRole('button', { name: 'say who is here' }));
    fireEvent.change(await screen.findByLabelText('How Bram Oake is tonight'), {
      target: { value: 'tired' },
    });
    expect(await screen.findByText('Weighed anew: every key stays as it is.')).toBeTruthy();
  });

  it('before the first, a tick changes the plan at once', async () => {
    served({ condition: 'rested', singers: [] });
    await show(<LeadPage />, address);
    fireEvent.click(await screen.findByRole('button', { name: 'say who is here' }));
    fireEvent.click(await screen.findByRole('checkbox', { name: 'Ash Tarn' }));
    expect(await screen.findByText(/^Weighed anew/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Begin' }));
    const { head } = lastKeptRun(ids.account, place)!;
    expect(head.document.tonight.sections[0]).toMatchObject({ away: 1 });
  });
});
