import type { LedOnce } from '@wide-fern/contract';
import { documentOf, tonight } from '@wide-fern/plan/testing';
import { evaluate } from '@wide-fern/plan';
import { givenUpInWords, learnedInWords } from './learned';

const segment = documentOf('pulley').segments[0]!;
const usual = segment.exercise.usual.talk;
const led = (talk: number, day: number, exercise = 'pulley'): LedOnce => ({
  exercise,
  ledAt: `2026-11-${String(day).padStart(2, '0')}T18:30:00.000Z`,
  ...{ talk, coach: 0, after: 0, singing: 60, planned: 60, strained: [] },
  ...{ managed: null, keys: 7, breath: null },
});
const said = (all: readonly LedOnce[], talk = usual) =>
  learnedInWords({ ...segment, choices: { ...segment.choices, talk } }, all, 'Europe/London');

describe('what leading an exercise has taught', () => {
  it('names the evenings it comes from, and what to plan', () => {
    const found = said([led(60, 24), led(60, 17), led(60, 10)]);
    expect(found?.words).toBe(
      `Led three times, with talk of 1:00 (Tue 24 Nov), 1:00 (Tue 17 Nov), 1:00 (Tue 10 Nov). ` +
        `Planned: 0:${String(usual).padStart(2, '0')}.`,
    );
    // Three evenings weigh as much as what is usual.
    expect(found?.talk).toBe(Math.round((usual + 60) / 2 / 5) * 5);
  });
  it('offers nothing where that is planned already, and says nothing where it was never led', () => {
    const planned = said([led(60, 24)])!.talk!;
    expect(said([led(60, 24)], planned)?.talk).toBeUndefined();
    expect(said([led(60, 24, 'embers')])).toBeUndefined();
  });
  it('says how long it takes against its plan, where that is another length', () => {
    const slow = [24, 17, 10].map((day) => ({ ...led(20, day), singing: 72 }));
    expect(said(slow)!.words).toContain('takes about 10 % longer than planned.');
    expect(said(slow.map((one) => ({ ...one, singing: 48 })))!.words).toContain('10 % less than');
    expect(said([led(20, 24)])!.words).not.toContain('What is sung');
    expect(said([{ ...led(20, 24), planned: 0 }])!.words).not.toContain('What is sung');
  });
  it('names four evenings at most', () => {
    const { words } = said([30, 29, 28, 27, 26].map((day) => led(20, day)))!;
    expect(words).toContain('Led five times');
    expect(words).toContain('(Fri 27 Nov), and before.');
  });
});

describe('what was refused', () => {
  it('counts no more: only what was led from then on', () => {
    const all = [led(60, 24), led(20, 17)];
    const found = learnedInWords(segment, all, 'Europe/London', '2026-11-20T00:00:00.000Z');
    expect(found?.words).toContain('Led once, with talk of 1:00 (Tue 24 Nov).');
    expect(
      learnedInWords(segment, all, 'Europe/London', '2026-11-25T00:00:00.000Z'),
    ).toBeUndefined();
  });
});

describe('a key that was given up', () => {
  const tonics = evaluate(documentOf('pulley'), 900).segments[0]!.computed.repetitions.map(
    ({ tonic }) => tonic!,
  );
  const top = tonics.at(-1)!;
  const how = { timeZone: 'Europe/London', writing: 'flats' } as const;
  const strained = (day: number, tonic: number): LedOnce => ({
    ...led(20, day),
    strained: [{ part: 'S', tonic }],
  });
  it('is named with its evenings, and one touch leaves it out', () => {
    const found = givenUpInWords(segment, tonight, [strained(24, top), strained(17, top)], how)!;
    expect(found.words).toMatch(/^The sopranos strained at \S+ \(Tue 24 Nov, Tue 17 Nov\)\.$/);
    expect(found.act).toMatch(/^go to \S+$/);
    expect(found.choices).toEqual({ repetitions: tonics.length - 1, start: tonics[0] });
  });
  it('is no word where nobody sings it, nor when it was refused', () => {
    expect(givenUpInWords(segment, tonight, [strained(24, top + 1)], how)).toBeUndefined();
    const from = '2026-11-25T00:00:00.000Z';
    expect(givenUpInWords(segment, tonight, [strained(24, top)], { ...how, from })).toBeUndefined();
  });
});
