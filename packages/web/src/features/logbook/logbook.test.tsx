import { fireEvent, screen, within } from '@testing-library/react';
import { documentOf, ledOnce, logbookOf, planOf } from '@wide-fern/plan/testing';
import { show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import { writeCsv } from './files';
import LogbookPage from './LogbookPage';

const week = 7 * 86_400_000;
const ago = (weeks: number) => new Date(Date.now() - weeks * week).toISOString().slice(0, 10);
const breath = ledOnce('long-s', { name: 'Long s', phase: 'breath', managed: 'most', top: null });
const range = ledOnce('pulley', { name: 'Pulley' });
const book = logbookOf(
  [5, 4, 3, 2, 1].map((weeks) => ({
    day: ago(weeks),
    led: weeks === 5 ? [breath, range] : [range],
  })),
  {
    lastLed: [{ exercise: 'long-s', name: 'Long s', ledAt: `${ago(5)}T19:30:00.000Z` }],
  },
);
const path = { path: '/logbook' };
const served = (logbook = book) =>
  serve({
    showLogbook: () => logbook,
    listEvenings: () => ({ items: [], next: null }),
    showPlan: () => ({ plan: planOf(documentOf('coat-off')) }),
  });
const cells = (name: string) =>
  within(screen.getByRole('rowheader', { name }).closest('tr')!).getAllByRole('cell');

afterEach(tidy);

describe('the logbook', () => {
  it('says what is neglected, and shows each kind of work week by week', async () => {
    served();
    await show(<LogbookPage />, path);
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe(
      'Breath has had nothing for four weeks.',
    );
    const own = cells('Breath').map(({ textContent }) => textContent);
    expect(own.slice(0, 2)).toEqual(['1:00', expect.stringMatching(/nothing for four weeks/)]);
    expect(cells('Range').map(({ textContent }) => textContent)).toEqual(
      expect.arrayContaining(['1:00']),
    );
    expect(screen.getByRole('heading', { name: 'Never late' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Long s' })).toBeTruthy();
  });

  it('any stem opens what was led, and leads to that evening', async () => {
    served();
    await show(<LogbookPage />, path);
    await screen.findByRole('table');
    fireEvent.click(within(cells('Breath')[0]!).getByRole('button', { name: '1:00' }));
    const aside = screen.getByRole('complementary');
    expect(within(aside).getByText('most managed')).toBeTruthy();
    const [link] = within(aside).getAllByRole('link');
    expect(link!.getAttribute('href')).toBe(`/evenings/${book.evenings[0]!.id}/led/warm-up`);
    fireEvent.click(within(aside).getByRole('button', { name: 'close' }));
    expect(within(aside).queryByText('most managed')).toBeNull();
  });

  it('folds weeks into months, and asks for more where years are looked at', async () => {
    const server = served();
    await show(<LogbookPage />, path);
    fireEvent.click(await screen.findByRole('radio', { name: 'twelve months' }));
    expect(screen.getAllByRole('columnheader').length).toBeLessThan(8);
    fireEvent.click(screen.getByRole('radio', { name: 'ten years' }));
    await screen.findByRole('columnheader', { name: new RegExp(ago(0).slice(0, 4)) });
    const asked = server.asked.filter(({ name }) => name === 'showLogbook');
    expect(asked.map(({ query }) => query.weeks)).toEqual(['60', '530']);
  });

  it('has something to say where nothing was led, and where it cannot be fetched', async () => {
    served(logbookOf([]));
    await show(<LogbookPage />, path);
    expect(await screen.findByText('Nothing was led yet')).toBeTruthy();
    tidy();
    serve({});
    await show(<LogbookPage />, path);
    expect(await screen.findByText('This could not be shown')).toBeTruthy();
  });

  it('is written as a table that no program takes for formulas', () => {
    const evil = logbookOf([{ day: ago(1), led: [{ ...range, name: '=1+1' }] }]);
    const [head, row] = writeCsv(evil, (moment) => moment.slice(0, 10)).split('\r\n');
    expect(head).toMatch(/^evening,exercise,kind of work/);
    expect(row).toBe(`${ago(1)},"'=1+1",range,top notes,60,10,62,`);
  });
});
