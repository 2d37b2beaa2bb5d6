import { fireEvent, screen } from '@testing-library/react';
import type { ChangePresence } from '@wide-fern/contract';
import { show, tidy } from '../../testing/page';
import { WhoList, type WhoGroup } from './WhoList';

const id = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const named = (n: number, name: string) => ({ id: id(n), name, states: [] });
const [ash, bram, cleo, odo] = [
  named(1, 'Ash Tarn'),
  named(2, 'Bram Oake'),
  named(3, 'Cleo Rill'),
  named(4, 'Odo Pell'),
] as const;

async function list(away: readonly string[] = [], others: readonly (typeof ash)[] = []) {
  const rows = (singers: readonly (typeof ash)[]): WhoGroup['rows'] =>
    singers.map((singer) => ({ singer, away: away.includes(singer.id), statesTonight: [] }));
  const sections: WhoGroup[] = [
    { part: { id: 'S', many: 'sopranos' }, rows: rows([ash, bram, cleo]) },
    { part: { id: 'A', many: 'altos' }, rows: [] },
    { part: { id: 'B', many: 'basses' }, rows: rows([odo]) },
  ];
  const changes: ChangePresence[] = [];
  await show(
    <WhoList
      sections={sections}
      undecided={rows(others)}
      first="S"
      change={(change) => void changes.push(change)}
    />,
  );
  return changes;
}
afterEach(tidy);

describe('who is here', () => {
  it('is one list of all parts that have singers', async () => {
    await list([ash.id]);
    expect(screen.getAllByRole('heading').map(({ textContent }) => textContent)).toEqual([
      'Sopranos: 2 of 3 here',
      'Basses: 1 of 1 here',
    ]);
    expect(screen.getAllByRole('checkbox')).toHaveLength(4);
  });

  it('names last whose part is not decided', async () => {
    await list([], [named(5, 'Wim Fell')]);
    const headings = screen.getAllByRole('heading').map(({ textContent }) => textContent);
    expect(headings[2]).toBe('Others, parts not decided: 1 of 1 here');
  });

  it('is said with a tick, with a word, or for a whole part at once', async () => {
    const changes = await list([ash.id]);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Odo Pell' }));
    fireEvent.change(screen.getByLabelText('How Bram Oake is tonight'), {
      target: { value: 'tired' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'All sopranos are here' }));
    expect(changes.map((change) => change.singers)).toEqual([
      [{ singer: odo.id, away: true, states: [] }],
      [{ singer: bram.id, away: false, states: ['tired'] }],
      [{ singer: ash.id, away: false, states: [] }],
    ]);
  });

  it('asks nothing more of whoever is away', async () => {
    await list([ash.id]);
    expect(screen.queryByLabelText('How Ash Tarn is tonight')).toBeNull();
  });
});
