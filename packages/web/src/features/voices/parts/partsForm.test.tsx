import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { SaveParts } from '@wide-fern/contract';
import { arrangements, mixedChoir } from '@wide-fern/core';
import { show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import { voices } from '../testing/choir';
import { partMoved, partsLeft } from './partForm';
import { PartsForm } from './PartsForm';

const form = (mayChange = true) => show(<PartsForm parts={mixedChoir} mayChange={mayChange} />);
const parts = () => screen.getAllByRole('group', { name: /^Part \d/ });
const letters = () =>
  screen.getAllByLabelText<HTMLInputElement>('Letters').map(({ value }) => value);
const click = (name: string | RegExp, at = 0) =>
  fireEvent.click(screen.getAllByRole('button', { name })[at]!);
const fill = (label: string, value: string, at = 0) =>
  fireEvent.change(screen.getAllByLabelText(label)[at]!, { target: { value } });
const alerts = () =>
  screen
    .queryAllByRole('alert')
    .map(({ textContent }) => textContent)
    .join(' ');
afterEach(tidy);

describe('the parts of a choir', () => {
  it('begin as they are kept, the highest first', async () => {
    await form();
    expect(letters()).toEqual(['S', 'A', 'T', 'B']);
  });

  it('are stored as they were typed', async () => {
    const server = serve({ saveParts: () => voices });
    await form();
    fill('Easy to', 'A5');
    click('Keep these parts');
    expect(await screen.findByText('Kept.')).toBeTruthy();
    const { parts: saved } = server.asked[0]!.body as SaveParts;
    expect(saved[0]!.comfort).toEqual([mixedChoir[0]!.comfort[0], 81]);
    expect(saved.slice(1)).toEqual(mixedChoir.slice(1));
  });

  it('say at its field what is no note, and send nothing', async () => {
    const server = serve({});
    await form();
    fill('Easy from', 'low', 2);
    click('Keep these parts');
    expect(alerts()).toMatch(/Put the marked fields right/);
    expect(screen.getByText('“low” is no note; write it like C4, F♯3 or B♭4.')).toBeTruthy();
    expect(server.asked).toEqual([]);
  });

  it('can begin with a usual set', async () => {
    await form();
    const other = arrangements.find(({ parts: usual }) => usual.length !== mixedChoir.length)!;
    click(other.name);
    expect(letters()).toEqual(other.parts.map(({ id }) => id));
  });

  it('change places, are added and taken out, two to eight of them', async () => {
    await form();
    click('lower');
    expect(letters()).toEqual(['A', 'S', 'T', 'B']);
    click('higher', 1);
    expect(letters()).toEqual(['S', 'A', 'T', 'B']);
    click('add a part');
    expect(parts()).toHaveLength(5);
    for (let i = 0; i < 3; i += 1) click('take out');
    expect(parts()).toHaveLength(2);
    for (const one of screen.getAllByRole<HTMLButtonElement>('button', { name: 'take out' })) {
      expect(one.disabled).toBe(true);
    }
  });

  it('ask who sings what now, when a part goes that has singers', async () => {
    const server = serve({
      saveParts: ({ body }) => {
        if (body.moves.A) return voices;
        throw new Refusal(409, 'singers_left', 'Two singers sing A.', { 'moves.A': 'Choose.' });
      },
    });
    await form();
    click('take out', 1);
    click('Keep these parts');
    const ask = await screen.findByLabelText('Who sang A sings from now on');
    fireEvent.change(ask, { target: { value: 'S' } });
    click('Keep these parts');
    await waitFor(() => expect(server.asked).toHaveLength(2));
    expect((server.asked[1]!.body as SaveParts).moves).toEqual({ A: 'S' });
  });

  it('are only looked at by who does not decide', async () => {
    await form(false);
    expect(screen.queryByRole('button')).toBeNull();
    for (const field of screen.getAllByLabelText<HTMLInputElement>('Letters')) {
      expect(field.disabled).toBe(true);
    }
  });
});

describe('parts in their order', () => {
  it('lose none when one is moved', () => {
    expect(partMoved(['a', 'b', 'c'], 0, 1)).toEqual(['b', 'a', 'c']);
    expect(partMoved(['a', 'b', 'c'], 2, -1)).toEqual(['a', 'c', 'b']);
  });
  it('are named by what the server refused', () => {
    expect(partsLeft({ 'moves.A': 'x', name: 'y', 'moves.T2': 'z' })).toEqual(['A', 'T2']);
  });
});
