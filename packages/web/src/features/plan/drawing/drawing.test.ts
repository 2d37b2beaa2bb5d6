import { choose, evaluate, performAll } from '@wide-fern/plan';
import { documentOf, tonight } from '@wide-fern/plan/testing';
import { figuredTimes, lanes, middleOf, namedNotes, timeAxis } from '../../../music/lanes/geometry';
import { planLayout } from './layout';
import { gapsOf, signScale, signsOf, type Sign } from '../../../music/lanes/signs';

describe('axes', () => {
  it('put time to scale, and read it back inside the axis only', () => {
    const axis = timeAxis(96, 1208, 900);
    expect(axis.x(0)).toBe(96);
    expect(axis.x(900)).toBe(1208);
    expect(axis.at(axis.x(450))).toBe(450);
    expect(axis.at(0)).toBe(0);
    expect(axis.at(5000)).toBe(900);
  });
  it('give every lane the same pixels a semitone, higher notes higher up', () => {
    const reaches = tonight.sections.map(({ reach }) => reach);
    const all = lanes(reaches, { top: 100, height: 70, gutter: 18 });
    expect(new Set(all.map(({ perSemitone }) => perSemitone)).size).toBe(1);
    all.forEach((lane, i) => {
      const [low, high] = reaches[i]!;
      expect(lane.y(high)).toBeGreaterThanOrEqual(lane.top);
      expect(lane.y(low)).toBeLessThanOrEqual(lane.floor);
      expect(lane.floor).toBeLessThan(lane.top + lane.height);
    });
    expect(all[2]!.top - all[1]!.top).toBe(88);
    expect(middleOf(all, 18)).toBe(249);
  });
  it('name at most three notes, and figures that do not collide', () => {
    expect(namedNotes([62, 79], { perSemitone: 3 })).toEqual([62, 71, 79]);
    expect(namedNotes([60, 66], { perSemitone: 9 })).toEqual([60, 66]);
    // Too low for three names: they would print over each other.
    expect(namedNotes([62, 79], { perSemitone: 1.1 })).toEqual([62, 79]);
    expect(namedNotes([60, 60], { perSemitone: 3 })).toEqual([60]);
    const minutes = (seconds: number, width: number) =>
      figuredTimes({ from: 0, to: seconds }, width, 90).map((time) => time / 60);
    expect(minutes(900, 1112)).toEqual([0, 2, 4, 6, 8, 10, 12, 14]);
    expect(minutes(900, 290)).toEqual([0, 5, 10, 15]);
  });
});

describe('the layout', () => {
  it('takes the height that is left, within its limits', () => {
    const reaches = tonight.sections.map(({ reach }) => reach);
    const at = (pageHeight: number) =>
      planLayout({ width: 1280, pageHeight, reaches, seconds: 900 });
    expect(at(800).lanes[0]!.height).toBeGreaterThan(60);
    expect(at(300).lanes[0]!.height).toBe(44);
    expect(at(3000).lanes[0]!.height).toBe(104);
    const narrow = planLayout({
      width: 390,
      pageHeight: 844,
      reaches: reaches.slice(0, 1),
      seconds: 900,
      narrow: true,
    });
    expect(narrow.axis.right).toBeLessThan(390);
  });
});

describe('signs', () => {
  const layout = planLayout({
    width: 1280,
    pageHeight: 800,
    reaches: tonight.sections.map(({ reach }) => reach),
    seconds: 900,
  });
  const signsFor = (id: string, part: string, changed: object = {}): Sign[][] => {
    const { segment, computed } = evaluate(performAll(documentOf(id), [choose(id, changed)]), 900)
      .segments[0]!;
    const place = tonight.sections.findIndex((band) => band.id === part);
    const band = tonight.sections[place]!;
    return computed.repetitions.map((repetition, i) =>
      signsOf(
        repetition.parts.find((one) => one.part === part)!,
        repetition,
        segment.exercise.music,
        computed.placed.from,
        segment.choices.start !== null && i === 0,
        { axis: layout.axis, lane: layout.lanes[place]!, comfort: band.comfort, reach: band.reach },
      ),
    );
  };
  const kinds = (signs: Sign[][]) => signs.map((some) => some.map(({ kind }) => kind).join(' '));

  it('are a stem in comfort, a wedge at the edge, a ring at rest', () => {
    const steps = kinds(signsFor('slate-steps', 'A'));
    expect(steps[0]).toBe('stem');
    expect(steps.some((sign) => sign === 'stem wedge')).toBe(true);
    expect(steps.at(-1)).toBe('ring');
  });
  it('keep the stem inside the comfort and the wedge outside, never too flat', () => {
    const comfortTop = layout.lanes[1]!.y(74);
    for (const [stem, wedge] of signsFor('slate-steps', 'A')) {
      if (stem?.kind !== 'stem' || wedge?.kind !== 'wedge') continue;
      expect(stem.top).toBeCloseTo(comfortTop);
      expect(wedge.base).toBeCloseTo(comfortTop);
      expect(wedge.base - wedge.tip).toBeGreaterThanOrEqual(6);
    }
  });
  it('split the stem an octave away, and say where it came from', () => {
    const split = signsFor('pulley', 'B', { repetitions: 8 })
      .flat()
      .find(({ kind }) => kind === 'split');
    expect(split).toMatchObject({ cameFrom: 'above' });
  });
  it('slant a glide, lay a held note flat, dot a chord, notch what was chosen by hand', () => {
    expect(kinds(signsFor('sliding-fifths', 'A', { repetitions: 1 }))).toEqual(['slant']);
    expect(kinds(signsFor('open-vowels', 'A', { repetitions: 1 }))).toEqual(['held']);
    expect(kinds(signsFor('lantern-chord', 'A', { repetitions: 1 }))).toEqual(['dot']);
    expect(kinds(signsFor('narrow-hum', 'A', { start: 66 }))[0]).toBe('stem notch');
  });
  it('open the band where a part rests, in one stretch', () => {
    const { computed } = evaluate(documentOf('slate-steps'), 900).segments[0]!;
    const gaps = gapsOf(computed.repetitions, 'A', 0, computed.seconds, layout.axis);
    expect(gaps).toHaveLength(1);
    expect(gaps[0]!.to).toBeCloseTo(layout.axis.x(computed.seconds));
  });
  it('grow narrower where keys stand close', () => {
    const { computed } = evaluate(documentOf('slate-steps'), 900).segments[0]!;
    expect(signScale(computed.repetitions, timeAxis(0, 1112, 900))).toBe(1);
    expect(signScale(computed.repetitions, timeAxis(0, 290, 900))).toBeLessThan(0.5);
  });
});
