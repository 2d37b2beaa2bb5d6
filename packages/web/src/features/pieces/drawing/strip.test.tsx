import { fireEvent, screen } from '@testing-library/react';
import { demoScores } from '@wide-fern/catalogue/demo';
import type { PieceMark } from '@wide-fern/contract';
import { analysePiece, mixedChoir, usualSections } from '@wide-fern/core';
import fc from 'fast-check';
import { useState } from 'react';
import { ids, show, tidy } from '../../../testing/page';
import type { ChosenBars } from '../model/bars';
import { BarStrip } from './BarStrip';
import { endMoved, markPlaces, strip, stripScale, withEnd } from './geometry';

const { score } = demoScores.lanterns;
const sections = usualSections(mixedChoir);
const mapping = score.staves.map(({ id }, i) => ({
  line: `${id}/all`,
  parts: [sections[i]!.id],
}));
const analysis = analysePiece(score, { mapping, sections, pace: 1, transpose: 0, phrase: 9 });
const numbers = analysis.bars.map(({ number }) => number);
const last = numbers[numbers.length - 1]!;
const mark = (fromBar: number, toBar: number, more: Partial<PieceMark> = {}): PieceMark => ({
  id: ids.one,
  fromBar,
  toBar,
  parts: [],
  skill: 'legato',
  note: '',
  ...more,
});

let chosen: ChosenBars | undefined;
function Strip({ begun }: { readonly begun?: ChosenBars }) {
  const [bars, setBars] = useState(begun);
  chosen = bars;
  return (
    <BarStrip
      analysis={analysis}
      marks={[mark(3, 4, { note: 'the leap' })]}
      chosen={bars}
      onChoose={(next) =>
        setBars((was) => (typeof next === 'function' ? (was ? next(was) : was) : next))
      }
      sounding={2}
      width={1000}
    />
  );
}
const scale = stripScale(numbers, analysis.parts.length, 1000);
const placeOf = (bar: number) => scale.x(scale.columnOf(bar)) + scale.step / 2;
const surface = () => document.querySelector<SVGRectElement>('rect[style*="pointer"]')!;
const down = (on: Element, bar: number, more: object = {}) =>
  fireEvent.pointerDown(on, { clientX: placeOf(bar), buttons: 1, pointerId: 1, ...more });
const move = (on: Element, bar: number) =>
  fireEvent.pointerMove(on, { clientX: placeOf(bar), buttons: 1, pointerId: 1 });
const up = (on: Element) => fireEvent.pointerUp(on, { pointerId: 1, buttons: 0 });

describe('the strip of bars', () => {
  afterEach(tidy);

  it('chooses the bar that is pressed, and those up to where the pointer goes, both ways', async () => {
    await show(<Strip />);
    down(surface(), 5);
    expect(chosen).toEqual({ from: 5, to: 5 });
    move(surface(), 8);
    expect(chosen).toEqual({ from: 5, to: 8 });
    move(surface(), 2);
    expect(chosen).toEqual({ from: 2, to: 5 });
    up(surface());
    move(surface(), 9);
    expect(chosen).toEqual({ from: 2, to: 5 });
  });

  it('goes on from what is chosen while Shift is held', async () => {
    await show(<Strip begun={{ from: 5, to: 6 }} />);
    down(surface(), 9, { shiftKey: true });
    expect(chosen).toEqual({ from: 5, to: 9 });
    up(surface());
  });

  it('moves an end by keys, never past the other', async () => {
    await show(<Strip begun={{ from: 5, to: 6 }} />);
    const end = (name: string) => screen.getByRole('slider', { name });
    fireEvent.keyDown(end('Last bar chosen'), { key: 'ArrowRight' });
    fireEvent.keyDown(end('First bar chosen'), { key: 'PageDown' });
    expect(chosen).toEqual({ from: 7, to: 7 });
    fireEvent.keyDown(end('First bar chosen'), { key: 'PageUp' });
    expect(chosen).toEqual({ from: 3, to: 7 });
    expect(end('First bar chosen').getAttribute('aria-valuetext')).toBe('bar 3');
    fireEvent.keyDown(end('First bar chosen'), { key: 'a' });
    expect(chosen).toEqual({ from: 3, to: 7 });
  });

  it('moves an end by the pointer', async () => {
    await show(<Strip begun={{ from: 5, to: 6 }} />);
    const end = screen.getByRole('slider', { name: 'Last bar chosen' });
    down(end, 7);
    // Pressing a grip moves nothing yet.
    expect(chosen).toEqual({ from: 5, to: 6 });
    move(end, 10);
    up(end);
    expect(chosen).toEqual({ from: 5, to: 10 });
  });

  it('says what it shows and what is chosen', async () => {
    await show(<Strip begun={{ from: 5, to: 6 }} />);
    expect(screen.getByRole('group').querySelector('title')!.textContent).toMatch(
      /^How hard each bar is for each part; bars 5 to 6 chosen$/,
    );
  });
});

const ends = ['from', 'to'] as const;

describe('the scale of the strip', () => {
  const scaleOf = fc
    .record({
      count: fc.integer({ min: 1, max: 400 }),
      parts: fc.integer({ min: 1, max: 8 }),
      width: fc.integer({ min: 300, max: 1400 }),
    })
    .map(({ count, parts, width }) => {
      const bars = Array.from({ length: count }, (_, i) => i + 1);
      return { bars, scale: stripScale(bars, parts, width) };
    });

  it('finds every bar where it is drawn, whatever the width', () => {
    fc.assert(
      fc.property(scaleOf, ({ bars, scale: one }) => {
        for (const bar of bars) {
          const place = one.x(one.columnOf(bar)) + one.step / 2;
          const { from, to } = one.columnAt(place);
          expect(bar).toBeGreaterThanOrEqual(from);
          expect(bar).toBeLessThanOrEqual(to);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('ends at its edges, also for a pointer beyond them', () => {
    fc.assert(
      fc.property(scaleOf, fc.integer({ min: -900, max: 3000 }), ({ bars, scale: one }, x) => {
        const { from, to } = one.columnAt(x);
        expect(bars).toContain(from);
        expect(bars).toContain(to);
        expect(one.x(one.columns.length)).toBeCloseTo(one.width, 6);
        expect(one.x(0)).toBe(strip.gutter);
      }),
    );
  });
  it('prints numbers with room for each', () => {
    fc.assert(
      fc.property(scaleOf, ({ scale: one }) => {
        expect(one.numbered).toBeGreaterThanOrEqual(1);
        expect(one.numbered * one.step).toBeGreaterThanOrEqual(Math.min(one.room, 40));
      }),
    );
  });
  it('keeps the ends of what is chosen in order, however they are moved', () => {
    const bar = fc.integer({ min: 0, max: last });
    fc.assert(
      fc.property(
        fc.tuple(bar, bar),
        fc.constantFrom(...ends),
        fc.integer({ min: -50, max: 50 }),
        ([a, b], end, by) => {
          const was = { from: Math.min(a, b), to: Math.max(a, b) };
          const now = endMoved(was, end, by, scale);
          expect(now.from).toBeLessThanOrEqual(now.to);
          // The other end stays where it is.
          expect(now[end === 'from' ? 'to' : 'from']).toBe(was[end === 'from' ? 'to' : 'from']);
        },
      ),
    );
    const column = { from: 9, to: 12, places: [] };
    expect(withEnd({ from: 2, to: 5 }, 'from', column)).toEqual({ from: 5, to: 5 });
    expect(withEnd({ from: 2, to: 5 }, 'to', column)).toEqual({ from: 2, to: 12 });
  });
});

describe('marks above the strip', () => {
  const note = 'Tenors: take the octave from the altos, not from the piano';
  it('stand in the order of their bars, each over its middle', () => {
    const places = markPlaces([mark(9, 10), mark(3, 3)], scale);
    expect(places.map((place) => place.mark.fromBar)).toEqual([3, 9]);
    expect(places[0]!.x).toBeCloseTo(placeOf(3), 6);
  });
  it('say as much as there is room for, and nothing where there is none', () => {
    const [first, second, third] = markPlaces(
      [mark(2, 2, { note }), mark(3, 3, { note }), mark(4, 4)],
      scale,
    );
    expect(first!.words ?? '').not.toBe(note);
    expect(second!.words === undefined || second!.words.endsWith('…')).toBe(true);
    expect(third).toMatchObject({ words: 'legato', isBefore: false });
  });
  it('stand before the last sign where there is no room behind it', () => {
    const [only] = markPlaces([mark(last, last, { note })], scale);
    expect(only).toMatchObject({ isBefore: true, words: note });
  });
  it('never run into the next sign', () => {
    const marks = fc.array(
      fc.tuple(fc.integer({ min: 1, max: last }), fc.constantFrom(note, 'leap', '')),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(marks, (all) => {
        const places = markPlaces(
          all.map(([bar, said]) => mark(bar, bar, { note: said })),
          scale,
        );
        places.forEach(({ x, words, isBefore }, i) => {
          if (words === undefined || isBefore) return;
          const end = x + 8 + words.length * 6.2;
          expect(end).toBeLessThanOrEqual((places[i + 1]?.x ?? scale.width) + 1);
        });
      }),
    );
  });
});
