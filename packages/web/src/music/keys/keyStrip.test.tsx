import { act, fireEvent, screen, within } from '@testing-library/react';
import { choose, evaluate, performAll } from '@wide-fern/plan';
import { documentOf, tonight } from '@wide-fern/plan/testing';
import { noteInKey, type ToldMove } from '@wide-fern/core';
import fc from 'fast-check';
import { show, tidy } from '../../testing/page';
import { cellAfterKey } from './keyRange';
import { KeyStrip } from './KeyStrip';
import type { Sure } from './sure';

const keysOf = (id: string, changed: object = {}) => {
  const { keys } = evaluate(performAll(documentOf(id), [choose(id, changed)]), 900).segments[0]!
    .computed;
  if (keys.kind !== 'ladder') throw new Error('This has a ladder.');
  return keys;
};

async function showStrip(
  id: string,
  {
    changed = {},
    mayEdit = true,
    width = 700,
    sure,
  }: { changed?: object; mayEdit?: boolean; width?: number; sure?: Sure } = {},
) {
  const started: number[] = [];
  const looked: (number | undefined)[] = [];
  const told: (readonly [string, number, ToldMove | null])[] = [];
  const keys = keysOf(id, changed);
  await show(
    <KeyStrip
      keys={keys}
      sections={tonight.sections}
      sure={sure}
      wording={{ mode: 'major', writing: 'flats' }}
      width={width}
      mayEdit={mayEdit}
      onStart={(tonic) => started.push(tonic)}
      onLook={(tonic) => looked.push(tonic)}
      onTell={(...what) => told.push(what)}
    >
      what is said of it
    </KeyStrip>,
  );
  return { started, looked, told, keys };
}
const grid = () => screen.getByRole('grid');
const cells = () => within(grid()).getAllByRole('gridcell');
const starts = () => within(screen.getByRole('group', { name: 'Starts' })).getAllByRole('button');

describe('the key strip', () => {
  afterEach(tidy);

  it('has a row for every part and a column for every start', async () => {
    await showStrip('pulley');
    expect(
      within(grid())
        .getAllByRole('rowheader')
        .map((one) => one.textContent),
    ).toEqual(['S', 'A', 'T', 'B']);
    expect(cells()).toHaveLength(4 * starts().length);
  });

  it('says in a cell where it is not sure that enough are at ease, by what is sung there', async () => {
    // Sure of everything up to D5, and of nothing beyond.
    const sure: Sure = (part, [, high]) =>
      part === 'S' ? { expected: 1, tooFew: high > 74 ? 0.4 : 0 } : undefined;
    const { keys } = await showStrip('pulley', { sure });
    const unsure = cells().filter((one) =>
      one.getAttribute('aria-label')!.includes('; on four evenings in ten, too few are at ease'),
    );
    expect(unsure.length).toBeGreaterThan(0);
    for (const one of unsure) {
      expect(one.dataset.cell).toMatch(/^0-/);
      expect(one.getAttribute('aria-label')).not.toContain(' rest on ');
    }
    const soprano = cells().filter(({ dataset }) => dataset.cell!.startsWith('0-'));
    expect(unsure.length).toBeLessThan(soprano.length);
    expect(keys.sung).toBeTruthy();
  });

  /** The cell of a part in a key of the ladder, by its place. */
  const cellOf = (keys: ReturnType<typeof keysOf>, row: number, place: number) => {
    const sung = starts().findIndex((one) => one.getAttribute('aria-pressed') === 'true');
    return grid().querySelector<HTMLElement>(
      `[data-cell="${row}-${sung + keys.sung!.tonics[place]! - keys.sung!.start}"]`,
    )!;
  };

  it('lets a part be told what to do in a key, by touch and by keyboard', async () => {
    const { keys, told } = await showStrip('pulley');
    fireEvent.click(cellOf(keys, 1, 2));
    const choice = screen.getByRole('radiogroup', { name: /^Altos on / });
    const word = (name: string) => within(choice).getByRole('radio', { name });
    expect(word('what is best').getAttribute('aria-checked')).toBe('true');
    expect(window.document.activeElement).toBe(word('what is best'));
    fireEvent.click(word('rest'));
    fireEvent.click(word('hold the key’s note'));
    fireEvent.click(word('an octave down'));
    expect(told).toEqual([
      ['A', 2, 'rest'],
      ['A', 2, 'hold'],
      ['A', 2, -12],
    ]);
    fireEvent.keyDown(choice, { key: 'Escape' });
    expect(screen.queryByRole('radiogroup', { name: /^Altos/ })).toBeNull();
    const tenors = cellOf(keys, 2, 0);
    act(() => tenors.focus());
    fireEvent.keyDown(tenors, { key: 'Enter' });
    fireEvent.click(screen.getByRole('radio', { name: 'an octave up' }));
    expect(told.at(-1)).toEqual(['T', 0, 0]);
  });

  it('shows and says that a part holds the key’s note, by hand', async () => {
    const { keys } = await showStrip('pulley', { changed: { told: { B: { '1': 'hold' } } } });
    const cell = cellOf(keys, 3, 1);
    const { tonics, paths } = keys.sung!;
    const note = noteInKey(tonics[1]! + Number(paths[3]!.moves[1]), tonics[1]!, 'major', 'flats');
    expect(cell.getAttribute('aria-label')).toMatch(
      new RegExp(`^Basses hold ${note} on [^;]+; by hand; the best would have the basses `),
    );
    fireEvent.click(cell);
    const [held] = screen.getAllByRole('radio', { name: 'hold the key’s note' });
    expect(held!.getAttribute('aria-checked')).toBe('true');
  });

  it('says beside what was told what would be best, and lets that be found again', async () => {
    const free = keysOf('pulley');
    const alto = free.sung!.paths[1]!.moves;
    const changed = { told: { A: { '1': alto[1] === 'rest' ? 0 : 'rest' } } };
    const { keys, told } = await showStrip('pulley', { changed });
    // Everyone does what was told, and the best is found around it.
    expect(keys.sung!.paths[1]!.moves[1]).toBe(changed.told.A['1']);
    const one = cellOf(keys, 1, 1);
    expect(one.getAttribute('aria-label')).toMatch(/; by hand; the best would /);
    const others = cells().filter((other) => other !== one);
    for (const other of others) expect(other.getAttribute('aria-label')).not.toContain('by hand');
    fireEvent.click(one);
    fireEvent.click(screen.getByRole('radio', { name: 'what is best' }));
    expect(told).toEqual([['A', 1, null]]);
  });

  it('lets nobody who only reads tell anything', async () => {
    const { keys } = await showStrip('pulley', { mayEdit: false });
    fireEvent.click(cellOf(keys, 1, 2));
    expect(screen.queryByRole('radiogroup', { name: /^Altos/ })).toBeNull();
  });

  it('marks the best start, and the start that is sung', async () => {
    const { keys } = await showStrip('pulley');
    const best = starts().filter((one) =>
      /, the best start$/.test(one.getAttribute('aria-label')!),
    );
    expect(best).toHaveLength(1);
    const pressed = starts().filter((one) => one.getAttribute('aria-pressed') === 'true');
    expect(pressed).toHaveLength(1);
    if (keys.best.kind === 'ladder' && keys.best.start === keys.sung!.start) {
      expect(pressed[0]).toBe(best[0]);
    }
  });

  it('starts the ladder where it is asked to', async () => {
    const { started, keys } = await showStrip('pulley');
    const first = starts()[0]!;
    fireEvent.click(first);
    expect(started).toHaveLength(1);
    expect(started[0]).toBeLessThanOrEqual(keys.sung!.start);
  });

  it('only shows to who may not change it', async () => {
    await showStrip('pulley', { mayEdit: false });
    for (const one of starts()) expect((one as HTMLButtonElement).disabled).toBe(true);
  });

  it('is walked through by arrows, held at its edges, and says each cell', async () => {
    await showStrip('pulley');
    const [first] = cells();
    expect(first!.tabIndex).toBe(0);
    fireEvent.focus(first!);
    fireEvent.keyDown(grid(), { key: 'ArrowRight' });
    fireEvent.keyDown(grid(), { key: 'ArrowDown' });
    const now = document.activeElement as HTMLElement;
    expect(now.dataset.cell).toBe('1-1');
    expect(now.getAttribute('aria-label')).toMatch(/^Altos on /);
    // Only the cell that is looked at can be tabbed to.
    expect(cells().filter(({ tabIndex }) => tabIndex === 0)).toEqual([now]);
    fireEvent.keyDown(grid(), { key: 'ArrowUp' });
    fireEvent.keyDown(grid(), { key: 'ArrowUp' });
    expect((document.activeElement as HTMLElement).dataset.cell).toBe('0-1');
    // With Shift they are the plan’s.
    fireEvent.keyDown(grid(), { key: 'ArrowRight', shiftKey: true });
    expect((document.activeElement as HTMLElement).dataset.cell).toBe('0-1');
  });

  it('says below what the pointer is on, until it leaves', async () => {
    await showStrip('pulley');
    const cell = cells()[0]!;
    fireEvent.mouseEnter(cell);
    const words = cell.getAttribute('aria-label')!;
    expect(screen.getAllByText(words).length).toBeGreaterThan(0);
    fireEvent.mouseLeave(grid());
    expect(screen.queryByText(words)).toBeNull();
  });

  it('shows as many keys as there is room for', async () => {
    await showStrip('pulley', { width: 240 });
    expect(starts().length).toBe(Math.floor((240 - 26) / 30));
  });
});

describe('the cell an arrow leads to', () => {
  const size = { rows: 4, columns: 15 };
  it('lies within the strip, one step away at most', () => {
    fc.assert(
      fc.property(
        fc.nat({ max: 3 }),
        fc.nat({ max: 14 }),
        fc.constantFrom('ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'),
        (row, column, key) => {
          const to = cellAfterKey(key, { row, column }, size)!;
          expect(to.row).toBeGreaterThanOrEqual(0);
          expect(to.row).toBeLessThan(size.rows);
          expect(to.column).toBeGreaterThanOrEqual(0);
          expect(to.column).toBeLessThan(size.columns);
          expect(Math.abs(to.row - row) + Math.abs(to.column - column)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
  it('is none for other keys', () => {
    expect(cellAfterKey('Enter', { row: 0, column: 0 }, size)).toBeUndefined();
  });
});
