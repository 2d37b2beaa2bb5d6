import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { lastKeptRun } from '@wide-fern/client';
import { documentOf, planOf } from '@wide-fern/plan/testing';
import { eveningFor } from '../../testing/evening';
import { ids, show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import LeadPage from './LeadPage';

const document_ = documentOf('coat-off', 'slate-steps');
const place = { choir: ids.choir, evening: ids.one, item: 'warm-up' };
const address = {
  path: `/evenings/${ids.one}/lead/warm-up`,
  pattern: '/evenings/:evening/lead/:item',
};
const begin = async () => {
  serve({
    showEvening: () => ({ ...eveningFor(), id: ids.one }),
    showPlan: () => ({ plan: planOf(document_) }),
    sendRun: ({ body }) => ({ events: body.events.length }),
  });
  await show(<LeadPage />, address);
  fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
};
const kinds = () => lastKeptRun(ids.account, place)!.events.map(({ act: { kind } }) => kind);
const press = (key: string, more: object = {}) => fireEvent.keyDown(window, { key, ...more });
const touch = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const openKeys = async () => {
  press('?');
  return screen.findByRole('region', { name: 'Keys and pedals' });
};

beforeEach(() => localStorage.clear());
afterEach(tidy);

describe('keys of one’s own', () => {
  it('are set by pressing them, come before the usual ones, and are taken away again', async () => {
    await begin();
    const panel = await openKeys();
    fireEvent.click(
      within(panel).getByRole('button', { name: 'Set a key for on to the next exercise' }),
    );
    expect(screen.getByText(/^Press a key, a pedal or a note now/)).toBeTruthy();
    press('x');
    expect(screen.queryByText(/^Press a key/)).toBeNull();
    // Pressing it was not leading.
    expect(kinds()).toEqual([]);
    press('x');
    press('x');
    expect(kinds()).toEqual(['opened', 'opened']);
    // What is held down is pressed once; what belongs to the browser stays there.
    press('x', { repeat: true });
    press('x', { ctrlKey: true });
    expect(kinds()).toHaveLength(2);
    fireEvent.click(
      within(panel).getByRole('button', { name: 'Take key x away from on to the next exercise' }),
    );
    press('x');
    expect(kinds()).toHaveLength(2);
  });

  it('are kept on the device, and by Escape nothing is set', async () => {
    await begin();
    const panel = await openKeys();
    fireEvent.click(within(panel).getByRole('button', { name: 'Set a key for back' }));
    press('Escape');
    fireEvent.click(
      within(panel).getByRole('button', { name: 'Set a key for the next key, or on' }),
    );
    press('Tab');
    press('F9');
    // The page is closed, and opened again.
    cleanup();
    await show(<LeadPage />, address);
    fireEvent.click(await screen.findByRole('button', { name: /^(Begin|Carry on)$/ }));
    press('F9');
    expect(kinds()).toEqual(['opened']);
  });

  it('may be a pedal or a note: what the simulated ones send is what devices send', async () => {
    await begin();
    const panel = await openKeys();
    fireEvent.click(within(panel).getByRole('radio', { name: 'a simulated pedal and keyboard' }));
    fireEvent.click(
      within(panel).getByRole('button', { name: 'Set a key for the next key, or on' }),
    );
    touch('right pedal');
    fireEvent.click(within(panel).getByRole('button', { name: 'Set a key for a semitone lower' }));
    touch('note 60');
    touch('right pedal');
    touch('right pedal');
    touch('note 60');
    expect(kinds()).toEqual(['opened', 'began', 'shifted']);
    // A note that nothing was put on does nothing.
    touch('note 62');
    expect(kinds()).toHaveLength(3);
  });

  it('devices where the browser has none: that is said, and everything else goes on', async () => {
    await begin();
    const panel = await openKeys();
    fireEvent.click(within(panel).getByRole('radio', { name: 'those that are connected' }));
    expect((await within(panel).findByRole('alert')).textContent).toMatch(/cannot listen to MIDI/);
    press('PageDown');
    expect(kinds()).toEqual(['opened']);
  });
});

describe('sound on the stand', () => {
  it('is asked for in one place, and silent until it is', async () => {
    await begin();
    press('o');
    press('o');
    press('v');
    const panel = await screen.findByRole('region', { name: 'Sound' });
    const wished = within(panel).getByRole('radiogroup', { name: 'With every key' });
    expect(
      within(wished).getByRole('radio', { name: 'nothing' }).getAttribute('aria-checked'),
    ).toBe('true');
    fireEvent.click(within(wished).getByRole('radio', { name: 'chord' }));
    // Here nothing can be heard: that is said, and leading goes on.
    press('PageDown');
    expect(await screen.findByText(/^This device gives no sound/)).toBeTruthy();
    expect(kinds().at(-1)).toBe('began');
    fireEvent.click(within(panel).getByRole('button', { name: 'beat' }));
    expect(within(panel).getByRole('button', { name: 'stop the beat' })).toBeTruthy();
    press('b');
    expect(within(panel).getByRole('button', { name: 'beat' })).toBeTruthy();
    // What lasts is over when it is paused, and with the exercise it was for.
    for (const silences of ['p', 'PageUp'] as const) {
      press('d');
      expect(within(panel).getByRole('button', { name: 'stop the held tonic' })).toBeTruthy();
      press(silences);
      expect(within(panel).getByRole('button', { name: 'held tonic' })).toBeTruthy();
    }
  });

  it('shows the notes of the key as it is sung now', async () => {
    await begin();
    press('o');
    press('k');
    expect(await screen.findByText('This exercise has no notes.')).toBeTruthy();
    press('o');
    press('PageDown');
    const panel = screen.getByRole('region', { name: 'Notes of this key' });
    const shown = () => panel.innerHTML;
    const before = shown();
    press(',');
    expect(shown()).not.toBe(before);
  });
});
