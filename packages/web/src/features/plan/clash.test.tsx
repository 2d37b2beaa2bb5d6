import { ChakraProvider } from '@chakra-ui/react';
import { jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { PlanEdit } from '@wide-fern/contract';
import { choose, performAll, takeOut } from '@wide-fern/plan';
import { documentOf, planOf } from '@wide-fern/plan/testing';
import { system } from '../../ui/system';
import { ClashPanel } from './ClashPanel';
import { clockIn } from '@wide-fern/words';

const document = documentOf('coat-off', 'narrow-hum', 'pulley');

function showClash(mine: typeof document, theirs: typeof document, ownName = 'Imke Sandvoort') {
  const settle = jest.fn<(which: 'mine' | 'theirs') => void>();
  render(
    <ChakraProvider value={system}>
      <ClashPanel
        mine={mine}
        theirs={planOf(theirs, 2)}
        allotted={900}
        clock={clockIn('Europe/London')}
        ownName={ownName}
        onSettle={settle}
      />
    </ChakraProvider>,
  );
  return settle;
}

const after = (edit: PlanEdit) => performAll(document, [edit]);

describe('two versions of a plan', () => {
  afterEach(cleanup);

  it('are told with who and when, and only what differs is listed', () => {
    showClash(after(choose('pulley', { repetitions: 5 })), after(takeOut('narrow-hum')));
    expect(window.document.activeElement).toBe(screen.getByRole('alertdialog'));
    expect(screen.getByRole('heading').textContent).toBe(
      'This plan was changed by Joss Whitlam at 19:12, while you changed it here.',
    );
    expect(screen.getAllByRole('row').map(({ textContent }) => textContent)).toEqual([
      expect.stringMatching(/^SegmentYours, \d:\d\dThe other, \d:\d\d$/),
      'Narrow humin itnot in it',
      'Pulleyfive keysseven keys',
    ]);
    expect(screen.getByText(/1 segments? (is|are) the same in both/)).toBeTruthy();
  });

  it('may come from one’s own other window', () => {
    showClash(document, after(takeOut('pulley')), 'Joss Whitlam');
    expect(screen.getByRole('heading').textContent).toContain('changed in another window at 19:12');
  });

  it('are settled by one act', () => {
    const settle = showClash(document, after(takeOut('pulley')));
    fireEvent.click(screen.getByRole('button', { name: 'Keep yours' }));
    fireEvent.click(screen.getByRole('button', { name: 'Take the other' }));
    expect(settle.mock.calls).toEqual([['mine'], ['theirs']]);
  });
});
