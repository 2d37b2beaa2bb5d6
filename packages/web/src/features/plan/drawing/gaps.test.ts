import { evaluate } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { lanes, timeAxis } from '../../../music/lanes/geometry';
import { gapAt, gapPlaces, placeInGap } from './gaps';
import { notesFromNear } from './notes';

const plan = evaluate(documentOf('coat-off', 'narrow-hum', 'pulley'), 900);

describe('where something dragged goes', () => {
  const axis = timeAxis(96, 1208, 900);
  it('is the nearest gap, from before the first to behind the last', () => {
    const places = gapPlaces(plan, axis);
    expect(places).toHaveLength(4);
    expect(places.every((place, i) => i === 0 || place > places[i - 1]!)).toBe(true);
    places.forEach((place, gap) => {
      expect(gapAt(plan, axis, place + 3)).toBe(gap);
      expect(gapAt(plan, axis, place - 3)).toBe(gap);
    });
    expect(gapAt(plan, axis, -500)).toBe(0);
    expect(gapAt(plan, axis, 5000)).toBe(3);
  });
  it('leaves a segment where it is on both its own sides, and else stands it in the gap', () => {
    const row = ['a', 'b', 'c', 'd'];
    row.forEach((one, from) => {
      for (let gap = 0; gap <= row.length; gap += 1) {
        const moved = row.filter((other) => other !== one);
        moved.splice(placeInGap(from, gap), 0, one);
        // As it would be if it were put into the gap first, and taken from its old place then.
        const put = [...row.slice(0, gap), '*', ...row.slice(gap)];
        const wanted = put.filter((other) => other !== one).map((x) => (x === '*' ? one : x));
        expect(moved).toEqual(wanted);
      }
    });
  });
  it('in an empty plan is the beginning', () => {
    expect(gapAt(evaluate(documentOf(), 900), axis, 700)).toBe(0);
  });
});

describe('single notes', () => {
  const [lane] = lanes([[55, 84]], { top: 0, height: 80, gutter: 0 });
  it('are drawn from near only, each at its pitch and for its length, as many as are sung', () => {
    const { placed, repetitions } = plan.segments[2]!.computed;
    const first = repetitions[0]!;
    const from = placed.from + first.at;
    expect(notesFromNear(plan, 'S', timeAxis(100, 1100, 900), lane!)).toEqual([]);
    const axis = timeAxis(100, 1100, 900, { from, to: from + first.seconds });
    const notes = notesFromNear(plan, 'S', axis, lane!).filter(({ x1 }) => x1 < axis.right - 1e-6);
    const { music } = plan.segments[2]!.segment.exercise;
    if (music.kind !== 'pattern') throw new Error('It is a pattern.');
    expect(notes).toHaveLength(music.notes.length);
    expect(notes[0]!.x1).toBeCloseTo(100);
    notes.slice(1).forEach(({ x1 }, i) => expect(x1).toBeCloseTo(notes[i]!.x2));
    const sung = first.parts.find(({ part }) => part === 'S')!;
    if (sung.does !== 'sing') throw new Error('They sing.');
    const pitches = music.notes.map((note) =>
      lane!.y(sung.tonic + ('offset' in note ? note.offset : 0)),
    );
    notes.forEach(({ y1, y2 }, i) => expect([y1, y2]).toEqual([pitches[i], pitches[i]]));
    expect(notes.map(({ syllable }) => syllable)).toContain('yah');
  });
  it('of a part that rests are none', () => {
    const { placed, repetitions } = plan.segments[2]!.computed;
    const at = repetitions.findIndex(({ parts }) =>
      parts.some(({ part, does }) => part === 'A' && does === 'rest'),
    );
    expect(at).toBeGreaterThan(-1);
    const resting = repetitions[at]!;
    const from = placed.from + resting.at + 0.01;
    const axis = timeAxis(100, 1100, 900, { from, to: from + resting.seconds - 0.1 });
    expect(notesFromNear(plan, 'A', axis, lane!)).toEqual([]);
  });
});
