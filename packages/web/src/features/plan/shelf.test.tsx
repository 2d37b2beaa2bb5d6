import { fireEvent, screen, within } from '@testing-library/react';
import type { Wish } from '@wide-fern/contract';
import { evaluate } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import Shelf from './Shelf';

const taken: [id: string, after: string | null | undefined][] = [];
const plan = evaluate(documentOf('coat-off', 'narrow-hum'), 900);
const wishes = [
  { piece: '00000000-0000-4000-8000-000000000001', title: 'Lanterns', skill: 'diction', weight: 3 },
] as unknown as readonly Wish[];
const view = async (wished = wishes) => {
  serve({ showExercises: () => ({ own: [], lastUsed: {}, templates: [], marks: {} }) });
  await show(
    <Shelf
      plan={plan}
      chosen={plan.segments[0]!.segment}
      wishes={wished}
      forbids={[]}
      writing="flats"
      onTake={(exercise, _, after) => taken.push([exercise.id, after])}
      onClose={() => undefined}
    />,
  );
  await screen.findByRole('button', { name: /^Add Pulley: / });
};
afterEach(() => {
  taken.length = 0;
  tidy();
});

describe('the shelf', () => {
  it('puts an exercise where it is said: by its phase, behind the chosen one, or first', async () => {
    await view();
    const pulley = () => screen.getByRole('button', { name: /^Add Pulley: / });
    fireEvent.click(pulley());
    fireEvent.click(screen.getByRole('radio', { name: 'behind Coat off' }));
    fireEvent.click(pulley());
    fireEvent.click(screen.getByRole('radio', { name: 'at the beginning' }));
    fireEvent.click(pulley());
    expect(taken).toEqual([
      ['pulley', undefined],
      ['pulley', 'coat-off'],
      ['pulley', null],
    ]);
  });

  it('shows first what is still missing and fits tonight', async () => {
    await view();
    const missing = screen.getByText('Still missing, and fits tonight').parentElement!;
    const offered = within(missing).getAllByRole('button', { name: /^Add .+, for diction$/ });
    expect(offered.length).toBeGreaterThan(0);
    fireEvent.change(screen.getByRole('textbox', { name: 'Look for an exercise' }), {
      target: { value: 'pulley' },
    });
    expect(screen.queryByText('Still missing, and fits tonight')).toBeNull();
  });

  it('says nothing of it where nothing is wished for', async () => {
    await view([]);
    expect(screen.queryByText('Still missing, and fits tonight')).toBeNull();
  });
});
