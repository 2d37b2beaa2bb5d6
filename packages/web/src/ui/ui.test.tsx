import { fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { show, tidy } from '../testing/page';
import { LongList } from './LongList';
import { PlainSelect } from './PlainSelect';
import { Stepper } from './Stepper';
import { Tick } from './Tick';
import { useDrag, type Drag } from './useDrag';
import { letter, lettersOn, setLettersOn, useShortcuts } from './useShortcuts';

describe('a stepper', () => {
  afterEach(tidy);
  function Tempo({ begun = 72, disabled = false }) {
    const [value, setValue] = useState(begun);
    return (
      <Stepper
        label="Tempo"
        labelWidth="auto"
        value={value}
        limits={[40, 80]}
        step={4}
        unit="a minute"
        disabled={disabled}
        onChange={setValue}
      />
    );
  }
  const field = () => screen.getByLabelText<HTMLInputElement>('Tempo', { selector: 'input' });
  const value = () => field().value;
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

  it('goes up and down by its step, within its limits', async () => {
    await show(<Tempo />);
    press('Tempo: more');
    expect(value()).toBe('76');
    press('Tempo: more');
    press('Tempo: more');
    expect(value()).toBe('80');
    press('Tempo: less');
    expect(value()).toBe('76');
  });
  it('does nothing where it may not', async () => {
    await show(<Tempo disabled />);
    for (const button of screen.queryAllByRole<HTMLButtonElement>('button')) {
      expect(button.disabled).toBe(true);
    }
  });
});

describe('a long list', () => {
  afterEach(tidy);
  const showList = (count: number) =>
    show(
      <LongList
        items={Array.from({ length: count }, (_, i) => `singer ${i}`)}
        label="Singers"
        rowHeight={30}
        mostHeight={300}
        keyOf={(item) => item}
      >
        {(item) => <span>{item}</span>}
      </LongList>,
    );
  it('of nothing is empty', async () => {
    await showList(0);
    expect(within(screen.getByRole('list')).queryAllByRole('listitem')).toEqual([]);
  });
  it('of one shows it', async () => {
    await showList(1);
    expect(screen.getByRole('listitem').textContent).toBe('singer 0');
  });
  it('of two thousand draws few, and says how many there are', async () => {
    await showList(2000);
    const items = screen.getAllByRole('listitem');
    expect(items.length).toBeLessThan(60);
    expect(items[0]!.getAttribute('aria-setsize')).toBe('2000');
    // It scrolls, so it can be reached by keys.
    expect(screen.getByRole('list').tabIndex).toBe(0);
  });
});

describe('a tick and a choice', () => {
  afterEach(tidy);
  it('tell what was chosen', async () => {
    const told: unknown[] = [];
    await show(
      <>
        <Tick checked={false} onChange={(checked) => told.push(checked)}>
          leave them out
        </Tick>
        <PlainSelect
          label="Which part"
          value="S"
          options={[
            { value: 'S', word: 'Sopranos' },
            { value: 'A', word: 'Altos' },
          ]}
          onChange={(value) => told.push(value)}
        />
      </>,
    );
    fireEvent.click(screen.getByLabelText('leave them out'));
    fireEvent.change(screen.getByLabelText('Which part'), { target: { value: 'A' } });
    expect(told).toEqual([true, 'A']);
  });
});

describe('a drag', () => {
  afterEach(tidy);
  const drags: Drag[] = [];
  let below = 0;
  function Drawing() {
    const drag = useDrag((one) => drags.push(one));
    return (
      // What lies below is not told.
      <div onPointerDown={() => (below += 1)}>
        <svg width={100} height={100}>
          <rect data-testid="grip" width={10} height={10} {...drag} />
        </svg>
      </div>
    );
  }
  const at = (clientX: number, clientY: number, more: object = {}) => ({
    clientX,
    clientY,
    buttons: 1,
    pointerId: 1,
    ...more,
  });
  beforeEach(() => {
    drags.length = 0;
    below = 0;
  });

  it('is followed from where it begins until it is let go', async () => {
    await show(<Drawing />);
    const grip = screen.getByTestId('grip');
    fireEvent.pointerMove(grip, at(5, 5));
    expect(drags).toEqual([]);
    fireEvent.pointerDown(grip, at(10, 20, { shiftKey: true }));
    fireEvent.pointerMove(grip, at(14, 26));
    fireEvent.pointerUp(grip, at(14, 26, { buttons: 0 }));
    fireEvent.pointerMove(grip, at(40, 40));
    expect(drags[0]).toEqual({
      x: 10,
      y: 20,
      began: { x: 10, y: 20 },
      isFirst: true,
      shift: true,
    });
    expect(drags[1]).toMatchObject({ x: 14, y: 26, began: { x: 10, y: 20 }, isFirst: false });
    expect(drags.at(-1)).toMatchObject({ x: 14, y: 26 });
    expect(below).toBe(0);
  });
});

describe('shortcuts', () => {
  afterEach(tidy);
  const done: string[] = [];
  function Keys({ letters = true }) {
    useShortcuts(
      [
        { keys: 'n', words: 'next', match: letter('n'), act: () => done.push('next') },
        { keys: '?', words: 'list', match: letter('?'), act: () => done.push('list') },
        {
          keys: 'Ctrl and z',
          words: 'undo',
          match: ({ ctrlKey, key }) => ctrlKey && key === 'z',
          act: () => done.push('undo'),
        },
      ],
      letters,
    );
    return <input aria-label="Name" />;
  }
  const press = (key: string, more: object = {}, on: Element | Window = window) =>
    fireEvent.keyDown(on, { key, ...more });
  beforeEach(() => {
    done.length = 0;
  });

  it('act by their letter, without a key that belongs to the platform', async () => {
    await show(<Keys />);
    press('n');
    press('n', { ctrlKey: true });
    press('n', { altKey: true });
    press('x');
    press('z', { ctrlKey: true });
    expect(done).toEqual(['next', 'undo']);
  });
  it('never act while something is typed', async () => {
    await show(<Keys />);
    press('n', {}, screen.getByLabelText('Name'));
    expect(done).toEqual([]);
  });
  it('of letters can be turned off on a device; the list and the platform’s keys stay', async () => {
    setLettersOn(false);
    expect(lettersOn()).toBe(false);
    await show(<Keys letters={lettersOn()} />);
    press('n');
    press('?');
    press('z', { ctrlKey: true });
    expect(done).toEqual(['list', 'undo']);
    setLettersOn(true);
    expect(lettersOn()).toBe(true);
  });
});
