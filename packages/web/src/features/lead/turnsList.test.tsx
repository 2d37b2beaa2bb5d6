import { jest } from '@jest/globals';
import { act, render, screen, within } from '@testing-library/react';
import { documentOf } from '@wide-fern/plan/testing';
import { ChakraProvider } from '@chakra-ui/react';
import { system } from '../../ui/system';
import TurnsList from './TurnsList';

const longer: [] = [];

/** The list of an exercise in its first key, and a way to go on to a second of it. */
function listOf(id: string, choices = {}) {
  const segment = documentOf(id).segments[0]!;
  let seconds = 0;
  const since = () => seconds;
  render(
    <ChakraProvider value={system}>
      <TurnsList
        segment={{ ...segment, choices: { ...segment.choices, ...choices } }}
        settled={{ key: 0, longer }}
        since={since}
      />
    </ChakraProvider>,
  );
  return (to: number) => {
    seconds = to;
    act(() => jest.advanceTimersByTime(150));
  };
}
const rows = () => within(screen.getByRole('list')).getAllByRole('listitem');
const present = () => rows().findIndex((row) => row.getAttribute('aria-current') === 'step');

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('what comes one after the other in a key', () => {
  it('marks the way that is due, goes on by itself, and asks at the end', () => {
    const goTo = listOf('pressed-then-easy', { tempo: 60, verses: 2, demonstrate: 'no' });
    expect(rows()).toHaveLength(2);
    expect(present()).toBe(-1);
    goTo(9);
    const first = present();
    goTo(16);
    expect([first, present()]).toEqual([0, 1]);
    goTo(60);
    expect(present()).toBe(-1);
    expect(screen.getByText(/^Then ask: Which one/)).toBeTruthy();
  });
  it('is not there for what is sung once in each key', () => {
    listOf('slate-steps', { verses: 1, demonstrate: 'no' });
    expect(screen.queryByRole('list')).toBeNull();
  });
});
