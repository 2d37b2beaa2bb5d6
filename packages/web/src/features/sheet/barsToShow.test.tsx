import { fireEvent, screen } from '@testing-library/react';
import type { Segment } from '@wide-fern/contract';
import { tonight } from '@wide-fern/plan/testing';
import { eveningFor } from '../../testing/evening';
import { show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import { BarsToShow } from './BarsToShow';

const evening = eveningFor();
const place = { choir: evening.id, evening: evening.id, item: 'warm-up' };

async function opened() {
  const told: (Segment[] | undefined)[] = [];
  await show(
    <BarsToShow place={place} sections={tonight.sections} onBars={(bars) => told.push(bars)} />,
  );
  fireEvent.click(screen.getByRole('checkbox', { name: /^show the marked bars/ }));
  return told;
}
afterEach(tidy);

describe('hard bars for a link to practise', () => {
  it('are none where no piece of the evening has any, and that is said', async () => {
    const agenda = evening.agenda.map((one) => ({ ...one, piece: null }));
    serve({ showEvening: () => ({ ...evening, agenda }) });
    const told = await opened();
    expect(await screen.findByText(/^No piece of this evening has a score/)).toBeTruthy();
    expect(told).toEqual([undefined, []]);
  });

  it('are not known where they could not be fetched, until that is tried again or given up', async () => {
    let isAway = true;
    const agenda = evening.agenda.map((one) => ({ ...one, piece: null }));
    serve({
      showEvening: () => {
        if (isAway) throw new Refusal(503, 'database_away', 'The database is away.');
        return { ...evening, agenda };
      },
    });
    const told = await opened();
    expect((await screen.findByRole('alert')).textContent).toContain('The database is away.');
    // Nothing is sent as long as it is wished for and not there.
    expect(told.at(-1)).toBeUndefined();
    isAway = false;
    fireEvent.click(screen.getByRole('button', { name: 'try again' }));
    expect(await screen.findByText(/^No piece of this evening/)).toBeTruthy();
    fireEvent.click(screen.getByRole('checkbox'));
    expect(told.at(-1)).toEqual([]);
    expect(screen.queryByText(/^No piece of this evening/)).toBeNull();
  });
});
