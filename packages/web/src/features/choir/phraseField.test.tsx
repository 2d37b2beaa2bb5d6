import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { LedOnce } from '@wide-fern/contract';
import { choirSaid } from '../../testing/choirSaid';
import { show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import { PhraseField } from './PhraseField';

const led = (day: number, breath: number): LedOnce => ({
  exercise: 'long-s',
  ledAt: `2026-11-${String(day).padStart(2, '0')}T18:30:00.000Z`,
  ...{ talk: 20, coach: 0, after: 0, singing: 60, planned: 60, strained: [] },
  ...{ managed: 'most', keys: 0, breath },
});
const served = (all: readonly LedOnce[]) => {
  const asked: unknown[] = [];
  serve({
    listLedOnce: () => [...all],
    showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    changeChoir: ({ body }) => {
      asked.push(body);
      return choirSaid({ phraseSeconds: 7 });
    },
  });
  return asked;
};
afterEach(tidy);

describe('how long a breath lasts comfortably', () => {
  it('can be taken from what was led, in one touch, and says from where it is', async () => {
    const asked = served([led(24, 8), led(17, 8), led(10, 7), led(3, 7)]);
    await show(<PhraseField />);
    expect((await screen.findByText(/^Breathed out lately/)).textContent).toContain(
      '8 s (Tue 24 Nov), 8 s (Tue 17 Nov), 7 s (Tue 10 Nov), 7 s (Tue 3 Nov). By that 7 s is comfortable.',
    );
    fireEvent.click(screen.getByRole('button', { name: 'go by 7 s' }));
    await waitFor(() => expect(asked).toEqual([{ phraseSeconds: 7 }]));
  });

  it('says nothing of it below four evenings', async () => {
    served([led(24, 8), led(17, 8), led(10, 7)]);
    await show(<PhraseField />);
    await screen.findByRole('button', { name: /^beginners/ });
    expect(screen.queryByText(/^Breathed out lately/)).toBeNull();
  });
});
