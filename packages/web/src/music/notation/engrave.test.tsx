import { exercises } from '@wide-fern/catalogue';
import { demoScores } from '@wide-fern/catalogue/demo';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import {
  barsScore,
  choirScore,
  computeSegment,
  mixedChoir,
  partsOfScore,
  plainScore,
  usualSections,
  type Score,
} from '@wide-fern/core';
import { tonight } from '@wide-fern/plan/testing';
import { show, tidy } from '../../testing/page';
import { canBeClosed, engraveClosed } from './closed';
import { engrave, signatureName, stepOfTonic } from './engrave';
import ScoreStaff, { type PointedAt } from './ScoreStaff';

const one = (id: string) => exercises.find((exercise) => exercise.id === id)!;
const plain = (id: string, tonic = 60) => plainScore(one(id), 72, [tonic])!;
const choir = (id: string): Score => {
  const exercise = one(id);
  const { repetitions } = computeSegment(
    { id, exercise, choices: { ...exercise.usual, start: null } },
    tonight,
  );
  return choirScore(exercise, 72, tonight.sections, repetitions)!;
};
const drawn = (score: Score, width = 900, more: object = {}) => {
  // Syllables find one another on the page.
  const frame = document.body.appendChild(document.createElement('div'));
  const names = score.parts.map(({ id }) => id);
  const engraved = engrave(frame, {
    score,
    keyIndex: 0,
    writing: 'flats',
    width,
    names,
    ...more,
  });
  const svg = frame.querySelector('svg')!;
  const words = [...svg.querySelectorAll('text')].map(({ textContent }) => textContent ?? '');
  return { ...engraved, svg, words };
};

describe('an exercise in notation', () => {
  it.each(exercises.flatMap(({ id }) => (plainScore(one(id), 72, [60]) ? [id] : [])))(
    'has a head for every event of its first line: %s',
    (id) => {
      const score = plain(id);
      const { heads } = drawn(score);
      const { events } = score.keys[0]!.lines[0]!;
      const sounding = events.flatMap(({ beats }, i) => (beats > 0 ? [i] : []));
      expect(heads.length).toBeGreaterThanOrEqual(sounding.length);
      // From left to right in each row.
      heads.forEach((head, i) => {
        const before = heads[i - 1];
        if (before && before.top === head.top) expect(head.x).toBeGreaterThan(before.x);
      });
    },
  );

  it('prints each syllable under its note, all of a row on one line', () => {
    const score = plain('pulley');
    const { svg, words, height } = drawn(score);
    const sung = score.keys[0]!.lines[0]!.events.flatMap(({ syllable }) => syllable ?? []);
    expect(sung.length).toBeGreaterThan(0);
    for (const syllable of sung) expect(words).toContain(syllable);
    const heights = (wanted: (word: string) => boolean) =>
      [...svg.querySelectorAll('text')]
        .filter(({ textContent }) => wanted(textContent ?? ''))
        .map((text) => Number(text.getAttribute('y')));
    const [line, ...others] = new Set(heights((word) => sung.includes(word)));
    expect(others).toEqual([]);
    // Below every head and sign of the staff, and not beyond the page.
    expect(line).toBeGreaterThan(Math.max(...heights((word) => !sung.includes(word))));
    expect(line).toBeLessThan(height);
  });

  it('has a staff for each part, with its letters before it', () => {
    const score = choir('borrowed-tune');
    const { words, height } = drawn(score);
    expect(words.filter((word) => /^[SATB]$/.test(word))).toEqual(['S', 'A', 'T', 'B']);
    expect(height).toBeGreaterThan(4 * 100);
  });

  it('breaks into rows where the page is narrow, and never stands beyond its edge', () => {
    const score = plain('slate-steps');
    const wide = drawn(score, 1200);
    const narrow = drawn(score, 330);
    expect(narrow.height).toBeGreaterThan(wide.height);
    for (const { x } of narrow.heads) expect(x).toBeLessThan(330);
  });

  it('marks the event that is chosen', () => {
    const { svg } = drawn(plain('pulley'), 900, { selected: 1 });
    expect(svg.innerHTML).toContain('--chakra-colors-fern');
    expect(drawn(plain('pulley')).svg.innerHTML).not.toContain('--chakra-colors-fern');
  });

  it('reads back at which step a note stands', () => {
    const score = plainScore(
      {
        ...one('pulley'),
        music: {
          kind: 'pattern',
          mode: 'major',
          notes: [
            { offset: 0, beats: 1 },
            { offset: 7, beats: 1 },
          ],
        },
      },
      72,
      [60],
    )!;
    const { stepAt } = drawn(score);
    const tonic = stepOfTonic(60, score, 'flats');
    // From the top of the page down, steps only go down, a whole octave and more.
    const steps = Array.from({ length: 40 }, (_, i) => stepAt(i * 3));
    for (let i = 1; i < steps.length; i += 1) expect(steps[i]).toBeLessThanOrEqual(steps[i - 1]!);
    expect(steps).toContain(tonic);
    expect(steps).toContain(tonic + 4);
  });

  it('names signatures by the major key that has them', () => {
    const named = (signature: number) =>
      signatureName({ letter: 'C', accidental: 0, mode: 'major', signature });
    expect([-7, -3, 0, 2, 7].map(named)).toEqual(['Cb', 'Eb', 'C', 'D', 'C#']);
  });
});

describe('bars of a piece set close together', () => {
  const { score } = demoScores.lanterns;
  const sections = usualSections(mixedChoir);
  const mapping = score.staves.map(({ id }, i) => ({
    line: `${id}/all`,
    parts: [sections[i]!.id],
  }));
  const musics = partsOfScore(
    score,
    mapping,
    sections.map(({ id }) => id),
  );
  const bars = barsScore(score, musics, sections, [2, 5]);
  const frame = document.createElement('div');

  it('can be where four parts read treble and bass', () => {
    expect(canBeClosed(bars)).toBe(true);
    expect(canBeClosed(plain('pulley'))).toBe(false);
  });
  it('stand on two staves, with all letters, the number of the first bar, and the words once', () => {
    engraveClosed(frame, { score: bars, writing: 'flats', width: 900, numbers: [3, 4, 5, 6] });
    const words = [...frame.querySelectorAll('text')].map(({ textContent }) => textContent ?? '');
    for (const word of ['S', 'A', 'T', 'B', '3']) expect(words).toContain(word);
    const [first] = bars.keys[0]!.lines;
    const sung = first!.events.flatMap(({ syllable }) => syllable ?? []);
    expect(words.filter((word) => sung.includes(word))).toHaveLength(sung.length);
  });
});

describe('a staff on the page', () => {
  afterEach(tidy);

  it('says in words what it shows', async () => {
    await show(<ScoreStaff score={plain('pulley')} writing="flats" />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/C4/);
  });

  it('answers where it was pointed at: on a head, or beside all of them', async () => {
    const pointed: PointedAt[] = [];
    const score = plain('pulley');
    await show(<ScoreStaff score={score} writing="flats" onPoint={(at) => pointed.push(at)} />);
    const staff = screen.getByRole('img');
    await waitFor(() => expect(staff.querySelector('svg')).toBeTruthy());
    // As wide as a page.
    const { heads } = drawn(score, 1280);
    fireEvent.click(staff, { clientX: heads[2]!.x, clientY: heads[2]!.top + 50 });
    fireEvent.click(staff, { clientX: 5000, clientY: 50 });
    expect(pointed.map(({ event }) => event)).toEqual([heads[2]!.event, undefined]);
    for (const { step } of pointed) expect(Number.isInteger(step)).toBe(true);
  });
});
