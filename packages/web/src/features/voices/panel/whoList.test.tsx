import { fireEvent, screen } from '@testing-library/react';
import type { ChangePresence } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import { show, tidy } from '../../../testing/page';
import { rowsTonight, sectionView } from '../model/section';
import { singerNamed, sopranos, voices } from '../testing/choir';
import { WhoList } from './WhoList';

const singers = [...sopranos, singerNamed('Odo Pell', 9, { part: 'B', comfort: [43, 60] })];
async function list(away: readonly string[] = [], all = singers) {
  const presence = {
    condition: 'rested' as const,
    singers: away.map((singer) => ({ singer, away: true, states: [] })),
  };
  const setting = { voices, presence, date: '2026-12-01' };
  const rows = rowsTonight(all, setting);
  const sections = mixedChoir.map((part) => sectionView(part, rows, setting, 0.85));
  const changes: ChangePresence[] = [];
  await show(
    <WhoList
      sections={sections}
      undecided={rows.filter(({ singer }) => singer.part === null)}
      section={sections[0]!}
      change={(change) => void changes.push(change)}
    />,
  );
  return changes;
}
afterEach(tidy);

describe('who is here', () => {
  it('is one list of all parts that have singers', async () => {
    await list([sopranos[0]!.id]);
    expect(screen.getAllByRole('heading').map(({ textContent }) => textContent)).toEqual([
      'Sopranos: 2 of 3 here',
      'Basses: 1 of 1 here',
    ]);
    expect(screen.getAllByRole('checkbox')).toHaveLength(4);
  });

  it('names last whose part is not decided', async () => {
    await list([], [...singers, singerNamed('Wim Fell', 10, { part: null })]);
    const headings = screen.getAllByRole('heading').map(({ textContent }) => textContent);
    expect(headings[2]).toBe('Others, parts not decided: 1 of 1 here');
  });

  it('is said with a tick, with a word, or for a whole part at once', async () => {
    const [ash, bram] = sopranos;
    const changes = await list([ash!.id]);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Odo Pell' }));
    fireEvent.change(screen.getByLabelText('How Bram Oake is tonight'), {
      target: { value: 'tired' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'All sopranos are here' }));
    expect(changes.map((change) => change.singers)).toEqual([
      [{ singer: singers[3]!.id, away: true, states: [] }],
      [{ singer: bram!.id, away: false, states: ['tired'] }],
      [{ singer: ash!.id, away: false, states: [] }],
    ]);
  });

  it('asks nothing more of whoever is away', async () => {
    await list([sopranos[0]!.id]);
    expect(screen.queryByLabelText('How Ash Tarn is tonight')).toBeNull();
  });
});
