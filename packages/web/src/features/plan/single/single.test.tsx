import { ChakraProvider } from '@chakra-ui/react';
import { jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import type { Choices } from '@wide-fern/contract';
import { choose, evaluate, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { wordingFor } from '@wide-fern/words';
import { system } from '../../../ui/system';
import { KeyByKey, type SingleActions } from './KeyByKey';

/** The row of one segment, and what it asks to be done. */
function showRow(changed: Partial<Choices>, mayEdit = true) {
  const plan = evaluate(
    performAll(documentOf('pulley'), [choose('pulley', { repetitions: 4, ...changed })]),
    900,
  );
  const evaluated = plan.segments[0]!;
  const actions = {
    choose: jest.fn<SingleActions['choose']>(),
    split: jest.fn<SingleActions['split']>(),
    elseAfter: jest.fn<SingleActions['elseAfter']>(),
  };
  const wording = wordingFor(plan.document.tonight.sections, evaluated.segment, 'flats');
  render(
    <ChakraProvider value={system}>
      <KeyByKey {...{ evaluated, wording, mayEdit, actions }} />
    </ChakraProvider>,
  );
  // What is not opened is there all the same.
  const open = (name: RegExp) => {
    fireEvent.click(screen.getByRole('button', { name, hidden: true }));
    const which = new RegExp(name.source.split('.*')[0]!);
    return within(screen.getByRole('group', { name: which, hidden: true }));
  };
  return { ...actions, open };
}
const hidden = { hidden: true } as const;

describe('a segment key by key', () => {
  afterEach(cleanup);

  it('takes over what a key is sung on when the field is left', () => {
    const { open, choose: chosen } = showRow({});
    const field = open(/^Second key/).getByLabelText('sung on, parted by blanks');
    fireEvent.change(field, { target: { value: ' noo  nah ' } });
    expect(chosen).not.toHaveBeenCalled();
    fireEvent.blur(field);
    expect(chosen.mock.calls).toEqual([
      [{ inKeys: { '1': { way: { sounds: ['noo', 'nah'] } } } }, 'pulley key 1'],
    ]);
  });
  it('says what is too long and takes none of it', () => {
    const { open, choose: chosen } = showRow({});
    const group = open(/^First key/);
    const field = group.getByLabelText('said for it');
    fireEvent.change(field, { target: { value: 'a'.repeat(91) } });
    fireEvent.blur(field);
    expect(group.getByText('At most 90 letters; say it shorter.')).toBeTruthy();
    expect(chosen).not.toHaveBeenCalled();
  });
  it('puts a pause between two keys and names what is done in it; none after the last', () => {
    const { open, choose: chosen } = showRow({ inKeys: { '0': { pause: { seconds: 10 } } } });
    const group = open(/^First key.*then 10 s: a pause/);
    const field = group.getByLabelText('what is done in it');
    fireEvent.change(field, { target: { value: 'shake out' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(chosen.mock.calls[0]![0]).toEqual({
      inKeys: { '0': { pause: { seconds: 10, does: 'shake out' } } },
    });
    expect(open(/^Number 4|^Fourth key/).queryByLabelText('Pause after it in seconds')).toBeNull();
  });
  it('chooses what the instrument does, and makes a key as the rest again', () => {
    const { open, choose: chosen } = showRow({ inKeys: { '2': { played: 'chord' } } });
    const group = open(/^Third key.*only the chord before it/);
    fireEvent.change(group.getByLabelText('the instrument'), { target: { value: 'nothing' } });
    fireEvent.click(group.getByRole('button', { name: 'as the rest again', ...hidden }));
    expect(chosen.mock.calls.map(([one]) => one)).toEqual([
      { inKeys: { '2': { played: 'nothing' } } },
      { inKeys: undefined },
    ]);
  });
  it('parts the segment after a key, or puts something else there', () => {
    const { open, split, elseAfter } = showRow({});
    const group = open(/^Second key/);
    fireEvent.click(group.getByRole('button', { name: 'in two parts after it', ...hidden }));
    fireEvent.click(group.getByRole('button', { name: /^something else after it/, ...hidden }));
    expect(split.mock.calls).toEqual([[2]]);
    expect(elseAfter.mock.calls).toEqual([[2]]);
  });
  it('has each time beside it where a key is sung more than once', () => {
    const { open, choose: chosen } = showRow({ verses: 2 });
    const group = open(/^Second time in each key/);
    fireEvent.change(group.getByLabelText('how loud'), { target: { value: 'p' } });
    expect(chosen.mock.calls[0]![0]).toEqual({ inTimes: { '1': { dynamic: 'p' } } });
  });
  it('shows all of it to whoever only reads, and lets nothing be changed', () => {
    const { open } = showRow({ inKeys: { '0': { way: { cue: 'lips only' } } } }, false);
    const group = open(/^First key.*lips only/);
    expect(group.getByLabelText<HTMLInputElement>('said for it').disabled).toBe(true);
    expect(group.queryAllByRole('button', { name: /parts|again|else/, ...hidden })).toEqual([]);
  });
});
