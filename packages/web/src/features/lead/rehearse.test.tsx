import { fireEvent, screen, within } from '@testing-library/react';
import { lastKeptRun } from '@wide-fern/client';
import { documentOf, planOf } from '@wide-fern/plan/testing';
import { eveningFor } from '../../testing/evening';
import { ids, show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import RehearsePage from './RehearsePage';

const evening = { ...eveningFor(), id: ids.one };
const place = { choir: ids.choir, evening: ids.one, item: 'warm-up' };
const address = {
  path: `/evenings/${ids.one}/rehearse/warm-up`,
  pattern: '/evenings/:evening/rehearse/:item',
};
const served = (...segments: readonly string[]) =>
  serve({
    showEvening: () => evening,
    showPlan: () => ({ plan: planOf(documentOf(...segments)) }),
  });
const press = (key: string) => fireEvent.keyDown(window, { key });
const click = async (name: string) => fireEvent.click(await screen.findByRole('button', { name }));

beforeEach(() => localStorage.clear());
afterEach(tidy);

describe('rehearsing to lead', () => {
  it('goes through the warm-up, says what came of it, and counts nowhere', async () => {
    const server = served('long-s', 'slate-steps');
    await show(<RehearsePage />, address);
    await click('Begin');
    expect(await screen.findByText(/A rehearsal with a simulated choir/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Who is here' })).toBeNull();
    press('PageDown');
    await click('its purpose');
    press('PageDown');
    press('o');
    for (let i = 0; i < 8; i += 1) press('PageDown');
    press('PageDown');
    const figures = await screen.findByRole('heading', { level: 1, name: 'Your rehearsal' });
    expect(figures).toBeTruthy();
    const list = document.querySelector('dl')!;
    expect(within(list).getByText('8 of 8')).toBeTruthy();
    const unsaid = within(list).getByText('Purpose not said').nextElementSibling!;
    expect(unsaid.textContent).toBe('Slate steps');
    // Nothing was kept, and nothing sent.
    expect(lastKeptRun(ids.account, place)).toBeUndefined();
    expect(server.asked.map(({ name }) => name)).not.toContain('sendRun');
    await click('rehearse once more');
    expect(screen.getByRole('button', { name: 'Begin' })).toBeTruthy();
  });
  it('says so where nothing is planned', async () => {
    served();
    await show(<RehearsePage />, address);
    expect(await screen.findByText('There is nothing to rehearse yet')).toBeTruthy();
  });
});
