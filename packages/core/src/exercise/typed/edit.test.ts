import fc from 'fast-check';
import type { PatternEvent } from '../music';
import {
  bind,
  breathe,
  bySemitones,
  bySteps,
  longer,
  noteAfter,
  readLine,
  restAfter,
  takeOut,
  toStep,
  withLoudness,
  withSyllable,
  writeLine,
  type LineEdit,
} from './index';

const read = (text: string): readonly PatternEvent[] => {
  const line = readLine(text, 'major');
  if (line.kind === 'problem') throw new Error(line.code);
  return line.events;
};
const after = (text: string, ...edits: readonly LineEdit[]): string =>
  writeLine(
    edits.reduce((line, edit) => edit(line), read(text)),
    'major',
  );

describe('edits on the staff', () => {
  it.each<[string, string, LineEdit[], string]>([
    ['to a step', '1 2 3', [toStep(1, 5, 'major')], '1 5 3'],
    ['a rest to a step', '1 r 3', [toStep(1, 2, 'major')], '1 2 3'],
    ['by steps', '1 2 3', [bySteps(0, -1, 'major')], '<7 2 3'],
    ['by a semitone', '4', [bySemitones(0, 1)], '4+'],
    ['longer', '1 2', [longer(1, 1)], '1 2:3/2'],
    ['shorter', '1 2', [longer(1, -1)], '1 2:2/3'],
    ['a note after', '1 2(la) 3', [noteAfter(1)], '1 2(la) 2 3'],
    ['a note at the end, where it was clicked', '1 2', [noteAfter(1, 8)], '1 2 8'],
    ['a rest after, which frees what was bound', '1~ 2', [restAfter(0)], '1 r 2'],
    ['taken out', '1 2 3', [takeOut(1)], '1 3'],
    ['bound and freed', '1 , 2', [bind(0)], '1~ 2'],
    ['freed', '1~ 2', [bind(0)], '1 2'],
    ['a breath and none', '1~ 2', [breathe(0)], '1 , 2'],
    ['a syllable', '1 2', [withSyllable(0, 'no(o)')], '1(noo) 2'],
    ['no syllable', '1(noo) 2', [withSyllable(0, ' ')], '1 2'],
    ['a loudness', '1 2', [withLoudness(1, 'p')], '1 p 2'],
    ['no loudness', '1 p 2', [withLoudness(1, undefined)], '1 2'],
  ])('%s: %s', (_, before, edits, expected) => {
    expect(after(before, ...edits)).toBe(expected);
  });
  it('leave the line as it is where there is nothing to do', () => {
    const line = read('1 2');
    for (const edit of [
      bind(1),
      takeOut(9),
      toStep(0, 40, 'major'),
      bySemitones(7, 1),
      longer(5, 1),
    ]) {
      expect(edit(line)).toEqual(line);
    }
    expect(takeOut(0)(read('1 r'))).toEqual(read('1 r'));
  });
  it('always leave a line that can be typed and read again', () => {
    const place = fc.nat({ max: 6 });
    const edit: fc.Arbitrary<LineEdit> = fc.oneof(
      fc
        .tuple(place, fc.integer({ min: -9, max: 20 }))
        .map(([at, step]) => toStep(at, step, 'major')),
      fc.tuple(place, fc.integer({ min: -9, max: 9 })).map(([at, by]) => bySteps(at, by, 'major')),
      fc.tuple(place, fc.constantFrom(-1, 1)).map(([at, by]) => bySemitones(at, by)),
      fc.tuple(place, fc.constantFrom(-1 as const, 1 as const)).map(([at, way]) => longer(at, way)),
      place.map((at) => noteAfter(at)),
      place.map(restAfter),
      place.map(takeOut),
      place.map(bind),
      place.map(breathe),
      place.map((at) => withSyllable(at, 'la')),
      place.map((at) => withLoudness(at, 'mf')),
    );
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 25 }), (edits) => {
        const line = edits.reduce((events, one) => one(events), read('1 2 3 r 5'));
        const again = readLine(writeLine(line, 'major'), 'major');
        expect(again).toMatchObject({ kind: 'line', events: line });
      }),
    );
  });
});
