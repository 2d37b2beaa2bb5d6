import fc from 'fast-check';
import { modeNames, noteInKey, type Mode } from '../../pitch';
import type { PatternEvent } from '../music';
import { dynamics } from '../vocabulary';
import {
  degreeOfSemitones,
  offsetOfDegree,
  readLine,
  stepBy,
  writeDegree,
  writeLine,
} from './index';

const events = (text: string, mode: Mode = 'major') => {
  const read = readLine(text, mode);
  if (read.kind === 'problem') throw new Error(`${read.at}: ${read.code}`);
  return read.events;
};
const offsets = (text: string, mode?: Mode) =>
  events(text, mode).map((event) => ('offset' in event ? event.offset : null));

describe('a typed line', () => {
  it('counts steps of the scale, over and under the tonic, raised and lowered', () => {
    expect(offsets('1 2 3 4 5 8 9 <7 <<1 r')).toEqual([0, 2, 4, 5, 7, 12, 14, -1, -24, null]);
    expect(offsets('4+ 3- 7-- <7+')).toEqual([6, 3, 9, 0]);
    expect(offsets('3 6 7', 'minor')).toEqual([3, 8, 10]);
    expect(offsets('2 4', 'phrygian')).toEqual([1, 5]);
    expect(offsets('3 7', 'chromatic')).toEqual([4, 11]);
  });
  it('gives lengths one by one or for all that follow', () => {
    const lengths = (text: string) => events(text).map(({ beats }) => beats);
    expect(lengths(':1/2 1 2 3:2 r :1 5 5:1.5 5:1/3')).toEqual([0.5, 0.5, 2, 0.5, 1, 1.5, 1 / 3]);
  });
  it('takes syllables, binding, breath, loudness and bar lines', () => {
    expect(events('mf 1(noo)~ 2 , | p 3(a-)')).toEqual([
      { offset: 0, beats: 1, syllable: 'noo', slur: true, dynamic: 'mf' },
      { offset: 2, beats: 1, breathAfter: true },
      { offset: 4, beats: 1, syllable: 'a-', dynamic: 'p' },
    ]);
  });
  it('says where it stops and what to do there', () => {
    const problem = (text: string) => {
      const read = readLine(text, 'major');
      return read.kind === 'problem' ? [read.at, read.code] : undefined;
    };
    expect(problem('')).toEqual([0, 'no-note']);
    expect(problem('1 2 x 3')?.[0]).toBe(4);
    expect(problem('1 2:')).toEqual([4, 'no-length']);
    expect(problem('1:0')).toEqual([2, 'length-nothing']);
    expect(problem('1:1/0')?.[0]).toBe(2);
    expect(problem('1 40')?.[0]).toBe(2);
    expect(problem('1(noo')).toEqual([1, 'syllable-open']);
    expect(problem('1( )')?.[0]).toBe(1);
    expect(problem(', 1')).toEqual([0, 'breath-without-note']);
    expect(problem('1~ , 2')?.[0]).toBe(3);
    expect(problem('1 p')?.[0]).toBe(2);
    expect(problem('p f 1')?.[0]).toBe(2);
    expect(problem('1 < 2')?.[0]).toBe(3);
    expect(problem('1(a)2')).toEqual([4, 'no-blank']);
    expect(problem('1+++')?.[0]).toBe(1);
    expect(problem('<<<<<1')?.[0]).toBe(0);
    expect(problem('r r')?.[0]).toBe(0);
  });
  it('never throws, whatever is typed, and points inside the text', () => {
    const letters = fc.constantFrom(...'1289<>+-:/.()~,|rpmf x\n'.split(''));
    fc.assert(
      fc.property(
        fc.array(letters).map((all) => all.join('')),
        (text) => {
          const read = readLine(text, 'major');
          return read.kind === 'line' || (read.at >= 0 && read.at <= text.length);
        },
      ),
    );
  });
});

const length = fc.oneof(
  fc.integer({ min: 1, max: 32 }).map((n) => n / 8),
  fc.integer({ min: 1, max: 24 }).map((n) => n / 6),
  fc.double({ min: 0.01, max: 200, noNaN: true }).map((n) => Math.round(n * 1000) / 1000),
);
const event: fc.Arbitrary<PatternEvent> = fc.oneof(
  { weight: 1, arbitrary: length.map((beats): PatternEvent => ({ rest: true, beats })) },
  {
    weight: 6,
    arbitrary: fc
      .record(
        {
          offset: fc.integer({ min: -24, max: 36 }),
          beats: length,
          syllable: fc.constantFrom('noo', 'a-', 'oh my', '’tis'),
          slur: fc.constant(true),
          breathAfter: fc.constant(true),
          dynamic: fc.constantFrom(...dynamics),
        },
        { requiredKeys: ['offset', 'beats'] },
      )
      // A bound note goes on without a breath.
      .map(({ breathAfter, ...note }) =>
        breathAfter && !note.slur ? { ...note, breathAfter } : note,
      ),
  },
);

describe('writing a line', () => {
  it('reads back as the same, in every mode', () => {
    const lines = fc
      .array(event, { minLength: 1, maxLength: 30 })
      .filter((all) => all.some((one) => 'offset' in one));
    fc.assert(
      fc.property(lines, fc.constantFrom(...modeNames), (line, mode) => {
        expect(events(writeLine(line, mode), mode)).toEqual(line);
      }),
    );
  });
  it('is short where most notes are alike', () => {
    expect(writeLine(events('1:1/2 2:1/2 3:1/2 1:2'), 'major')).toBe(':1/2 1 2 3 1:2');
  });
});

describe('steps of the scale', () => {
  it('are spelled as their key spells them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -24, max: 36 }),
        fc.constantFrom(...modeNames),
        (offset, mode) => {
          const degree = degreeOfSemitones(offset, mode);
          expect(offsetOfDegree(degree, mode)).toBe(offset);
          // In the key of C the step’s letter is the one of its place in the scale.
          const letter = 'CDEFGAB'[(((degree.step - 1) % 7) + 7) % 7];
          return noteInKey(60 + offset, 60, mode === 'chromatic' ? 'major' : mode)[0] === letter;
        },
      ),
    );
  });
  it('move by the scale', () => {
    expect(stepBy(0, 1, 'minor')).toBe(2);
    expect(stepBy(0, -1, 'major')).toBe(-1);
    expect(stepBy(6, 1, 'major')).toBe(7);
    expect(writeDegree(-1, 'major')).toBe('<7');
  });
});
