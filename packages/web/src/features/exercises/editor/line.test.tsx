import { fireEvent, screen, within } from '@testing-library/react';
import { readLine } from '@wide-fern/core';
import { useState } from 'react';
import { show, tidy } from '../../../testing/page';
import '../../../music/notation/ScoreStaff';
import { LineEditor } from './LineEditor';
import { actOfKey, choiceOfKey, chosenInWords, lineActs } from './model/lineActs';
import { metreNamed, metreOptions, metreWord } from './model/metres';

function Typed({ begun, error }: { readonly begun: string; readonly error?: string }) {
  const [text, setText] = useState(begun);
  return (
    <LineEditor label="Line" text={text} mode="major" metre={null} error={error} onText={setText} />
  );
}
const field = () => screen.getByLabelText<HTMLTextAreaElement>('Line, typed');
const staff = () => screen.getByRole('group', { name: /^Line on the staff/ });
const press = (key: string, more: object = {}) => fireEvent.keyDown(staff(), { key, ...more });
const says = () => screen.getByRole('status').textContent;
const act = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('a line on the staff, by keys', () => {
  afterEach(tidy);

  it('chooses notes from either end, and says which', async () => {
    await show(<Typed begun="1 2:2 r" />);
    expect(says()).toBe('Click a note, or the staff behind the last one.');
    press('ArrowRight');
    expect(says()).toBe('1 of 3: C4, 1 beat');
    press('ArrowRight');
    expect(says()).toBe('2 of 3: D4, 2 beats');
    press('ArrowRight');
    press('ArrowRight');
    expect(says()).toBe('3 of 3: rest, 1 beat');
  });

  it('shows in the typed line what is chosen', async () => {
    await show(<Typed begun="1 2:2 3" />);
    press('ArrowRight');
    press('ArrowRight');
    const { selectionStart, selectionEnd, value } = field();
    expect(value.slice(selectionStart, selectionEnd)).toBe('2:2');
  });

  it.each([
    ['ArrowUp', {}, '2 3'],
    ['ArrowDown', {}, '<7 3'],
    ['ArrowUp', { shiftKey: true }, '1+ 3'],
    ['+', {}, '1:1.5 3'],
    ['-', {}, '1:2/3 3'],
    ['Enter', {}, '1 1 3'],
    ['r', {}, '1 r 3'],
    ['Delete', {}, '3'],
    ['~', {}, '1~ 3'],
    [',', {}, '1, 3'],
  ])('%s %o makes of «1 3» the line «%s»', async (key, more, wanted) => {
    await show(<Typed begun="1 3" />);
    press('ArrowRight');
    press(key, more);
    // How a line is typed is free; what it holds is not.
    expect(readLine(field().value, 'major')).toMatchObject({
      events: (readLine(wanted, 'major') as { events: unknown }).events,
    });
  });

  it('leaves the platform’s own keys alone', async () => {
    await show(<Typed begun="1 3" />);
    press('ArrowRight');
    press('ArrowUp', { ctrlKey: true });
    press('x');
    expect(field().value).toBe('1 3');
  });

  it('goes back step by step', async () => {
    await show(<Typed begun="1 3" />);
    press('ArrowLeft');
    press('ArrowUp');
    press('ArrowUp');
    expect(field().value).toBe('1 5');
    press('z');
    expect(field().value).toBe('1 4');
    fireEvent.click(act('step back'));
    expect(field().value).toBe('1 3');
    expect(act('step back').disabled).toBe(true);
  });

  it('chooses the note that was added, and one that is left when one goes', async () => {
    await show(<Typed begun="1 3" />);
    press('ArrowLeft');
    press('Enter');
    expect(says()).toMatch(/^3 of 3/);
    press('Backspace');
    expect(says()).toMatch(/^2 of 2/);
    press('Delete');
    expect(says()).toMatch(/^1 of 1/);
  });
});

describe('a line on the staff, in words', () => {
  afterEach(tidy);

  it('offers nothing to do while nothing is chosen', async () => {
    await show(<Typed begun="1 3" />);
    for (const { words } of lineActs) expect(act(words).disabled).toBe(true);
    press('ArrowRight');
    for (const { words } of lineActs) expect(act(words).disabled).toBe(false);
  });

  it('gives a note its syllable and its loudness, and a rest none', async () => {
    await show(<Typed begun="1 r" />);
    press('ArrowRight');
    fireEvent.change(screen.getByLabelText('Syllable'), { target: { value: 'noo' } });
    fireEvent.change(screen.getByLabelText('How loud from here on'), { target: { value: 'mf' } });
    expect(readLine(field().value, 'major')).toMatchObject({
      events: [{ offset: 0, syllable: 'noo', dynamic: 'mf' }, { rest: true }],
    });
    press('ArrowRight');
    expect(screen.queryByLabelText('Syllable')).toBeNull();
  });

  it('says where the typed line stops, and keeps what stood on the staff', async () => {
    await show(<Typed begun="1 3" />);
    press('ArrowRight');
    fireEvent.change(field(), { target: { value: '1 3 x' } });
    expect(screen.getByRole('alert').textContent).toMatch(/^At character 5: /);
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText(/as it was before the mistake/)).toBeTruthy();
    expect(says()).toBe('1 of 2: C4, 1 beat');
    // What cannot be read is not changed behind one’s back.
    press('ArrowUp');
    expect(field().value).toBe('1 3 x');
    expect(screen.queryByRole('button', { name: 'higher' })).toBeNull();
  });

  it('says what else is wrong with it', async () => {
    await show(<Typed begun="1 3" error="A line has at least one note." />);
    expect(screen.getByRole('alert').textContent).toBe('A line has at least one note.');
  });

  it('explains how it is typed', async () => {
    await show(<Typed begun="1" />);
    const list = screen.getByText('how a line is typed').parentElement!;
    expect(within(list).getByText('a rest')).toBeTruthy();
  });
});

describe('what a key does to a line', () => {
  it('has a word for each key and a key for each word', () => {
    for (const one of lineActs) {
      for (const key of one.keys) {
        const shift = key.startsWith('Shift+');
        expect(actOfKey(shift ? key.slice('Shift+'.length) : key, shift)).toBe(one);
      }
    }
    expect(actOfKey('q', false)).toBeUndefined();
  });
  it('moves the choice by the arrows alone', () => {
    expect(choiceOfKey('ArrowLeft', undefined, 4)).toBe(3);
    expect(choiceOfKey('ArrowRight', 1, 4)).toBe(2);
    expect(choiceOfKey('ArrowUp', 1, 4)).toBeUndefined();
  });
  it('says nothing of a note that is not there', () => {
    expect(chosenInWords([], 0, 'major', 'flats')).toMatch(/^Click a note/);
  });
});

describe('bars to choose', () => {
  it('are the usual ones, and those an exercise has already', () => {
    expect(metreOptions(null)[0]).toBe('without bars');
    expect(metreOptions({ beats: 3, unit: 4 })).toEqual(metreOptions(null));
    expect(metreOptions({ beats: 7, unit: 8 })).toEqual([...metreOptions(null), '7/8']);
  });
  it('mean what they say', () => {
    for (const word of metreOptions(null)) expect(metreWord(metreNamed(word)!)).toBe(word);
    expect(metreNamed('7/8')).toBeUndefined();
  });
});
