import { choose, compare, moveTo, performAll, takeOut } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { differenceInWords } from './compare';
import { editInWords } from './edits';
import { editSaid } from './said';

describe('edits in words', () => {
  it('are listed in a history', () => {
    expect(editInWords({ code: 'moved', name: 'Pulley', place: 2, of: 5 })).toBe(
      'Pulley moved to 2 of 5',
    );
    const chosen = (field: 'tempo' | 'start' | 'shape' | 'demonstrate', value: never) =>
      editInWords({ code: 'chosen', name: 'Pulley', field, value });
    expect(chosen('tempo', 90 as never)).toBe('Pulley: tempo 90');
    expect(chosen('start', null as never)).toBe('Pulley: the best start');
    expect(chosen('start', 61 as never)).toBe('Pulley: start D♭');
    expect(chosen('shape', 'up-and-back' as never)).toBe('Pulley: up and back');
    expect(chosen('demonstrate', false as never)).toBe('Pulley: not sung first');
  });
  it('say how a segment is led from then on', () => {
    const chosen = (
      field: 'voices' | 'lowVoices' | 'tooHigh' | 'purposeSaid' | 'untilRight',
      value: 'in turn' | 'light' | 'never' | 'after' | true | null,
    ) => editInWords({ code: 'chosen', name: 'Pulley', field, value });
    expect(chosen('voices', 'in turn')).toBe('Pulley: high voices first, then low ones');
    expect(chosen('lowVoices', 'light')).toBe(
      'Pulley: tenors and basses light, at the pitch of the women',
    );
    expect(chosen('tooHigh', 'never')).toBe('Pulley: nobody is led out of comfort');
    expect(chosen('tooHigh', null)).toBe('Pulley: what is too high as the exercise has it');
    expect(chosen('purposeSaid', null)).toBe('Pulley: what it is for is said before');
    expect(chosen('untilRight', true)).toBe('Pulley: again until it is right');
  });
  it('are said aloud where the page does not show them at once', () => {
    expect(editSaid({ code: 'added', name: 'Embers', place: 3 })).toBe('Embers is in the plan.');
    expect(editSaid({ code: 'taken-out', name: 'Embers' })).toBe(
      'Embers is left out; undo brings it back.',
    );
    expect(editSaid({ code: 'tonight' })).toBeUndefined();
  });
});

describe('two versions in words', () => {
  const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'ebb-tide');
  const words = (facts: ReturnType<typeof compare>[number]['mine']) => facts.map(differenceInWords);
  it('name what was chosen differently', () => {
    const mine = performAll(document, [choose('pulley', { tempo: 90, start: 61 })]);
    const theirs = performAll(document, [choose('pulley', { shape: 'down' })]);
    const pulley = compare(mine, theirs)[2]!;
    expect(words(pulley.mine)).toEqual(['tempo 90', 'up', 'start D♭']);
    expect(words(pulley.theirs)).toEqual(['tempo 126', 'down', 'the best start']);
  });
  it('name what parts were told and how it is led', () => {
    const led = {
      ...{ told: { S: { 1: 'rest' as const } }, voices: 'together' as const },
      ...{ lowVoices: 'below' as const, tooHigh: 'octave' as const, untilRight: true },
    };
    const mine = performAll(document, [choose('pulley', led)]);
    const pulley = compare(mine, document)[2]!;
    expect(words(pulley.mine)).toEqual([
      'one key by hand',
      'high and low voices each in their own keys',
      'tenors and basses an octave below the women, or lower',
      'whoever cannot go along goes to another octave',
      'again until it is right',
    ]);
    expect(words(pulley.theirs)[0]).toBe('no key by hand');
  });
  it('name what is seldom chosen too, and nothing for what was taken back', () => {
    const all = {
      ...{ coach: 5, after: 10, tempoStep: 4, bySteps: true, countInEach: true },
      ...{ reset: { seconds: 6, every: 3 }, demonstrate: 'each key' as const },
    } as const;
    const mine = performAll(document, [choose('pulley', all)]);
    const pulley = compare(mine, document)[2]!;
    expect(words(pulley.mine)).toEqual([
      '5 s said between keys',
      '10 s said at the end',
      'a shake-out every 3 times',
      'sung first in each key',
      'counted in each time',
      '4 beats quicker each time',
      'by steps of the scale',
    ]);
    expect(words(pulley.theirs)).toEqual([
      'nothing said between keys',
      'nothing said at the end',
      'no shake-out',
      'not sung first',
      'counted in once',
      'one tempo',
      'by semitones',
    ]);
    const back = performAll(document, [choose('pulley', { coach: 0, bySteps: false })]);
    expect(compare(back, document)[2]?.kind).toBe('same');
  });
  it('name what a moved one follows', () => {
    const theirs = performAll(document, [moveTo(document, 'coat-off', 3)]);
    const [moved] = compare(document, theirs).filter(({ kind }) => kind === 'changed');
    expect([words(moved!.mine), words(moved!.theirs)]).toEqual([['first'], ['after Ebb tide']]);
    expect(compare(document, performAll(document, [takeOut('pulley')]))[2]?.kind).toBe('only mine');
  });
});
