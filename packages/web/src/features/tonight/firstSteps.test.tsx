import { fireEvent, screen } from '@testing-library/react';
import type { Room } from '@wide-fern/contract';
import { ids, show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import { FirstSteps } from './FirstSteps';

const room = (here: Partial<Record<Room[number]['of'], number>>): Room =>
  (['evenings', 'singers', 'pieces'] as const).map((of) => ({
    of,
    here: here[of] ?? 0,
    most: 2000,
  }));
afterEach(tidy);

describe('the first steps of a new choir', () => {
  const steps = () => screen.getAllByRole('listitem').map(({ textContent }) => textContent);

  it('stand in order, each with its reason and where it is done', async () => {
    serve({ showRoom: () => room({ evenings: 1 }) });
    await show(<FirstSteps isPlanned={false} planTo="/evenings/1/plan/warm-up" />);
    await screen.findByText('First steps');
    expect(steps()).toHaveLength(4);
    expect(steps()[0]).toBe('An evening is in');
    expect(steps()[1]).toContain('Say who sings');
    const links = screen.getAllByRole('link').map((link) => link.getAttribute('href'));
    expect(links).toEqual(['/voices/roster', '/pieces', '/evenings/1/plan/warm-up']);
  });

  it('can be skipped, and are gone once none is open; that is remembered', async () => {
    serve({ showRoom: () => room({ evenings: 1, singers: 36 }) });
    await show(<FirstSteps isPlanned planTo={undefined} />);
    fireEvent.click(await screen.findByRole('button', { name: /^Skip/ }));
    expect(screen.queryByText('First steps')).toBeNull();
    expect(localStorage.getItem(`wide-fern:steps:${ids.choir}`)).toBe('["music"]');
  });

  it('are nobody’s who only reads', async () => {
    serve({ showRoom: () => room({}) });
    await show(<FirstSteps isPlanned={false} planTo={undefined} />, { role: 'reader' });
    expect(screen.queryByText('First steps')).toBeNull();
  });
});
