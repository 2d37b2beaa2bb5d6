import { ChakraProvider } from '@chakra-ui/react';
import { jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import type { Choices } from '@wide-fern/contract';
import { choose, evaluate, keysNumber, performAll, planLoad, startOn } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { lengthInFigures } from '@wide-fern/words';
import { system } from '../../../ui/system';
import type { BenchActions } from './actions';
import { Bench } from './Bench';

/** The bench of one exercise, with what is chosen for it, and what it asks to be done. */
function showBench(
  id: string,
  {
    changed = {},
    mayEdit = true,
    asked,
  }: { changed?: Partial<Choices>; mayEdit?: boolean; asked?: Partial<Choices> } = {},
) {
  const plan = evaluate(performAll(documentOf(id), [choose(id, changed)]), 900);
  const hear = jest.fn();
  const actions = {
    hear,
    choose: jest.fn<BenchActions['choose']>(),
    startOn: jest.fn<BenchActions['startOn']>(),
    keysBy: jest.fn<BenchActions['keysBy']>(),
    moveBy: jest.fn<BenchActions['moveBy']>(),
    tellPart: jest.fn<BenchActions['tellPart']>(),
    untell: jest.fn<BenchActions['untell']>(),
    takeOut: jest.fn<BenchActions['takeOut']>(),
    pin: jest.fn<BenchActions['pin']>(),
    onceMore: jest.fn<BenchActions['onceMore']>(),
    split: jest.fn<BenchActions['split']>(),
    resize: jest.fn<BenchActions['resize']>(),
    instead: jest.fn<BenchActions['instead']>(),
    elseAfter: jest.fn<BenchActions['elseAfter']>(),
  };
  const onLeave = jest.fn();
  const [{ segment }] = plan.segments as [(typeof plan.segments)[number]];
  const step = asked?.start
    ? startOn(segment, asked.start, plan.document)
    : asked?.repetitions && keysNumber(segment, asked.repetitions, plan.document);
  render(
    <ChakraProvider value={system}>
      <Bench
        evaluated={plan.segments[0]!}
        plan={plan}
        behind={{
          load: planLoad(plan),
          sure: () => undefined,
          unsure: [],
          minded: [],
          reminders: [],
        }}
        forbids={asked ? [] : ['standing', 'noise']}
        writing="flats"
        phraseSeconds={9}
        hearing={{ canBeHeard: true, isOn: false, failed: undefined, toggle: hear }}
        mayEdit={mayEdit}
        width={1280}
        actions={actions}
        together={undefined}
        proposal={step && step.kind === 'ask' ? step.proposal : undefined}
        onLeave={onLeave}
      />
    </ChakraProvider>,
  );
  return actions;
}

const button = (name: string | RegExp) => screen.getByRole('button', { name });

describe('the bench', () => {
  afterEach(cleanup);

  it('says what was told by hand, and lets the best be found again', () => {
    const told = { A: { '0': 'rest' as const, '1': 'rest' as const }, B: { '3': -24 } };
    const { untell } = showBench('slate-steps', { changed: { told } });
    expect(screen.getByText('By hand: altos in two keys and basses in one key.')).toBeTruthy();
    fireEvent.click(button('the best for the altos'));
    fireEvent.click(button('let the best be found again'));
    expect(untell.mock.calls).toEqual([['A'], [null]]);
  });

  it('shows what each part’s singing adds up to, in figures that agree with what is computed', () => {
    showBench('slate-steps');
    const table = screen.getByRole('table', { name: 'In this segment', hidden: true });
    const rows = within(table).getAllByRole('row', { hidden: true }).slice(1);
    const plan = evaluate(documentOf('slate-steps'), 900);
    const parts = planLoad(plan).segments[0]!.parts;
    expect(rows.map((row) => row.textContent)).toEqual(
      parts.map(({ part, seconds, topSeconds, changeSeconds, cycles, metres }) =>
        [
          part,
          ...[seconds, topSeconds, changeSeconds].map(lengthInFigures),
          ...[cycles.toFixed(1), metres.toFixed(0)],
        ].join(''),
      ),
    );
    // Who rests in some keys sings less than who does not.
    const sung = Object.fromEntries(parts.map(({ part, seconds }) => [part, seconds]));
    expect(sung['S']!).toBeLessThan(sung['A']!);
    expect(screen.getByText(/never a limit for a person/)).toBeTruthy();
  });

  it('says why, what the parts do, what to say and what to mind', () => {
    showBench('slate-steps');
    const bench = screen.getByRole('region', { name: 'Bench: Slate steps' });
    for (const words of [
      'Seven keys, up by semitone',
      'Reaches the F5 that “Lanterns” needs.',
      'Sopranos and tenors rest from A to B.',
      'Taller, not louder, as you climb.',
      'Nothing here should hurt.',
      'up the slate steps one by one and down again before the light is gone',
    ]) {
      expect(bench.textContent).toContain(words);
    }
    expect(screen.getByRole('status').textContent).toContain('Best start A.');
  });

  it('lets the parts take turns where they sing different lines, as often as all of them need', () => {
    const { choose: chosen } = showBench('keel');
    const whose = () => screen.getByRole('combobox', { name: 'Who sings which line' });
    fireEvent.change(whose(), { target: { value: 'turn' } });
    expect(chosen).toHaveBeenLastCalledWith({ linesInTurn: true, verses: 4 }, 'keel lines');
    cleanup();
    const { choose: again } = showBench('keel', { changed: { linesInTurn: true, verses: 6 } });
    expect(screen.getByText('Each time others hold the note.')).toBeTruthy();
    fireEvent.change(whose(), { target: { value: 'own' } });
    expect(again).toHaveBeenLastCalledWith({ linesInTurn: undefined }, 'keel lines');
    cleanup();
    showBench('slate-steps');
    expect(screen.queryByRole('combobox', { name: 'Who sings which line' })).toBeNull();
  });

  it('says what it needs that the place does not allow', () => {
    showBench('settle-the-feet');
    const bench = screen.getByRole('region', { name: /^Bench: / });
    expect(bench.textContent).toContain('Needs standing, which the place does not allow.');
  });

  it('lets the segment be heard', () => {
    const { hear } = showBench('narrow-hum');
    fireEvent.click(button('hear it'));
    expect(hear).toHaveBeenCalledTimes(1);
  });

  it('says when a phrase outlasts the choir’s breath at the tempo chosen', () => {
    showBench('slate-steps', { changed: { tempo: 60 } });
    const bench = screen.getByRole('region', { name: 'Bench: Slate steps' });
    expect(bench.textContent).toContain('10 s on one breath; 9 s is comfortable here.');
  });

  it('marks the best start, and starts on another key when it is chosen', () => {
    const { startOn: started } = showBench('slate-steps');
    expect(button('Start on A, the best start').getAttribute('aria-pressed')).toBe('true');
    // What it would ask is said before it is done.
    fireEvent.focus(button('Start on C'));
    expect(screen.getByRole('status').textContent).toMatch(/Start C is harder than A/);
    fireEvent.blur(button('Start on C'));
    expect(screen.getByRole('status').textContent).toContain('Best start A.');
    fireEvent.click(button('Start on C'));
    expect(started).toHaveBeenLastCalledWith(60);
  });

  it('says what a start chosen by hand costs, and offers the best one', () => {
    const { startOn: started } = showBench('slate-steps', { changed: { start: 60 } });
    expect(screen.getByRole('status').textContent).toMatch(/Start C is harder than A/);
    fireEvent.click(button('take the best, A'));
    expect(started).toHaveBeenLastCalledWith(null);
  });

  it('shows who would go beyond their reach before it is done, and marks it afterwards', () => {
    const { choose: chosen } = showBench('pulley', { asked: { start: 90 } });
    const asked = screen.getByRole('status').textContent;
    expect(asked).toMatch(/^From G♭ the sopranos go above their reach in \w+ keys/);
    expect(asked).toContain('Nothing is changed yet.');
    fireEvent.click(button('sing it anyway'));
    expect(chosen).toHaveBeenLastCalledWith({ start: 90 }, 'pulley keys');
    cleanup();
    showBench('pulley', { changed: { start: 90 } });
    expect(screen.getByRole('status').textContent).toMatch(/above their reach .*Sung anyway\./);
  });

  it('shows where a ladder would begin that cannot go on from its start', () => {
    const { choose: chosen } = showBench('slate-steps', { asked: { repetitions: 3 } });
    expect(screen.getByRole('status').textContent).toMatch(
      /^With three keys it cannot start where it does: it would go /,
    );
    fireEvent.click(button(/^start on /));
    expect(chosen).toHaveBeenLastCalledWith({ repetitions: 3 }, 'slate-steps keys');
  });

  it('reads a cell of the strip in words when it has the focus', () => {
    showBench('narrow-hum', { changed: { start: 66 } });
    const grid = screen.getByRole('grid');
    const [first] = within(grid).getAllByRole('gridcell');
    fireEvent.focus(first!);
    fireEvent.keyDown(first!, { key: 'ArrowDown' });
    fireEvent.keyDown(first!, { key: 'ArrowRight' });
    const active = document.activeElement!;
    expect(active.getAttribute('aria-label')).toMatch(/^Altos on \S+: \S+ to \S+, /);
    expect(screen.getAllByText(active.getAttribute('aria-label')!)).toHaveLength(1);
  });

  it('steps and takes figures within their limits', () => {
    const { choose: chosen, keysBy } = showBench('narrow-hum');
    fireEvent.click(button('Tempo: more'));
    expect(chosen).toHaveBeenLastCalledWith({ tempo: 86 }, 'narrow-hum tempo');
    fireEvent.click(button('− one key'));
    expect(keysBy).toHaveBeenLastCalledWith(-1);
    const tempo = screen.getByRole('textbox', { name: 'Tempo' });
    fireEvent.change(tempo, { target: { value: '72,5' } });
    fireEvent.keyDown(tempo, { key: 'Enter' });
    expect(chosen).toHaveBeenLastCalledWith({ tempo: 72.5 }, 'narrow-hum tempo');
    chosen.mockClear();
    for (const wrong of ['', 'fast', '500']) {
      fireEvent.change(tempo, { target: { value: wrong } });
      expect(screen.getByRole('alert').textContent).toBe('Tempo: a number from 20 to 240.');
      fireEvent.keyDown(tempo, { key: 'Enter' });
    }
    fireEvent.change(tempo, { target: { value: '90' } });
    fireEvent.keyDown(tempo, { key: 'Escape' });
    expect(chosen).not.toHaveBeenCalled();
  });

  it('changes the way, the step and whether it is sung first', () => {
    const { choose: chosen } = showBench('narrow-hum');
    fireEvent.change(screen.getByRole('combobox', { name: 'Which way the keys move' }), {
      target: { value: 'outward' },
    });
    expect(chosen).toHaveBeenLastCalledWith({ shape: 'outward' }, 'narrow-hum shape');
    fireEvent.change(screen.getByRole('combobox', { name: 'How far from key to key' }), {
      target: { value: '2' },
    });
    expect(chosen).toHaveBeenLastCalledWith({ step: 2 }, 'narrow-hum step');
    fireEvent.change(screen.getByRole('combobox', { name: 'How far from key to key' }), {
      target: { value: '-1' },
    });
    expect(chosen).toHaveBeenLastCalledWith({ step: 1, bySteps: true }, 'narrow-hum step');
    fireEvent.change(screen.getByRole('combobox', { name: 'Whether it is sung first' }), {
      target: { value: 'each key' },
    });
    expect(chosen).toHaveBeenLastCalledWith({ demonstrate: 'each key' }, 'narrow-hum show');
  });

  it('moves its segment and leaves it out', () => {
    const { moveBy, takeOut } = showBench('coat-off');
    fireEvent.click(button('earlier'));
    fireEvent.click(button('later'));
    expect(moveBy.mock.calls).toEqual([[-1], [1]]);
    fireEvent.click(button('leave out'));
    expect(takeOut).toHaveBeenCalledTimes(1);
  });

  it('shows breath, words, moves and chords in their own way', () => {
    showBench('long-s');
    expect(screen.getByRole('img', { name: 'The breath, round by round' })).toBeTruthy();
    expect(screen.getByText(/each round out 2 longer/)).toBeTruthy();
    cleanup();
    showBench('wet-slate');
    expect(screen.getByText(/Pale dripping gutters/)).toBeTruthy();
    cleanup();
    showBench('coat-off');
    expect(screen.getAllByRole('listitem')).toHaveLength(5);
    cleanup();
    showBench('lantern-chord', { changed: { start: 64, repetitions: 1 } });
    // The third of E is a G sharp, whatever the axis prefers.
    const [chord] = screen.getAllByRole('table');
    expect(chord!.textContent).toMatch(/G♯/);
    expect(chord!.textContent).not.toMatch(/A♭/);
  });

  it('offers a reader nothing to change', () => {
    showBench('slate-steps', { mayEdit: false });
    expect(screen.queryByRole('button', { name: 'leave out' })).toBeNull();
    expect(screen.queryByRole('button', { name: '+ one key' })).toBeNull();
    for (const field of screen.getAllByRole('textbox')) {
      expect((field as HTMLInputElement).disabled).toBe(true);
    }
  });

  it('changes what is chosen more rarely: quicker, talk between, shake-outs, counted in', () => {
    const actions = showBench('slate-steps', { changed: { reset: { seconds: 10, every: 3 } } });
    const set = (name: string, value: string) => {
      const field = screen.getByRole('textbox', { name });
      fireEvent.change(field, { target: { value } });
      fireEvent.blur(field);
    };
    set('Beats a minute quicker each time', '4');
    expect(actions.choose).toHaveBeenLastCalledWith({ tempoStep: 4 }, expect.any(String));
    set('Talk between keys', '5');
    expect(actions.choose).toHaveBeenLastCalledWith({ coach: 5 }, expect.any(String));
    set('Talk at the end', '8');
    expect(actions.choose).toHaveBeenLastCalledWith({ after: 8 }, expect.any(String));
    set('Times between shake-outs', '2');
    expect(actions.choose).toHaveBeenLastCalledWith(
      { reset: { seconds: 10, every: 2 } },
      expect.any(String),
    );
    // None is none: the choice goes.
    set('Shake-out in seconds', '0');
    expect(actions.choose).toHaveBeenLastCalledWith({ reset: undefined }, expect.any(String));
    fireEvent.click(screen.getByLabelText('count in every time'));
    expect(actions.choose).toHaveBeenLastCalledWith({ countInEach: true }, expect.any(String));
  });

  it('says who sings when, what is too high and how it is taught, and takes it back again', () => {
    const { choose: chosen } = showBench('pulley', { changed: { tooHigh: 'never' } });
    const group = screen.getByText('who sings when, what is too high, how it is taught');
    expect(group.closest('details')).toHaveProperty('open', true);
    fireEvent.change(screen.getByLabelText('Voices'), { target: { value: 'in turn' } });
    expect(chosen.mock.lastCall?.[0]).toEqual({ voices: 'in turn' });
    fireEvent.change(screen.getByLabelText('How often'), { target: { value: 'right' } });
    expect(chosen.mock.lastCall?.[0]).toEqual({ untilRight: true });
    fireEvent.change(screen.getByLabelText('Too high'), { target: { value: '' } });
    expect(chosen.mock.lastCall?.[0]).toEqual({ tooHigh: undefined });
  });

  it('asks of what has no keys only how it is taught', () => {
    showBench('coat-off');
    expect(screen.getByText('how it is taught').closest('details')).toHaveProperty('open', false);
    expect(screen.queryByLabelText('Too high')).toBeNull();
  });
});
