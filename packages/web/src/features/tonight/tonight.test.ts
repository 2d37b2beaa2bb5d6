import type { EveningSummary } from '@wide-fern/contract';
import { choose, evaluate, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { around, nextEvening } from '../../here/dates';
import { readiness, whenInWords } from '@wide-fern/words';

const say = (document: ReturnType<typeof documentOf>, allotted = 900) =>
  readiness('Tuesday', evaluate(document, allotted), 'flats');

describe('the sentence of Tonight', () => {
  it('says that nothing is planned, and what to do', () => {
    expect(say(documentOf())).toEqual({
      sentence: 'Tuesday has no warm-up yet: 15 minutes are set aside for it.',
      act: 'Build the warm-up',
    });
  });
  it('says that it is ready, how long, and that it reaches what is needed', () => {
    expect(say(documentOf('coat-off', 'slate-steps'), 185).sentence).toBe(
      'Tuesday’s warm-up is ready: 3 minutes, in your singers’ reach, up to the F5 that “Lanterns” needs.',
    );
  });
  it('says where it stops short', () => {
    expect(say(documentOf('narrow-hum'), 85).sentence).toMatch(
      /but it stops at \S+, below the F5 that “Lanterns” needs/,
    );
    expect(say(documentOf('coat-off'), 85).sentence).toContain('sings nothing towards');
  });
  it('does not call ready what leaves most of the time open', () => {
    expect(say(documentOf('coat-off', 'slate-steps'))).toEqual({
      sentence: 'Tuesday’s warm-up is not whole yet: 12:08 of 15:00 are still open.',
      act: 'Plan the rest',
    });
  });
  it('claims no reach of singers that nobody asked, and says where no music asks for anything', () => {
    const document = documentOf('coat-off', 'slate-steps');
    const sections = document.tonight.sections.map((one) => ({ ...one, singers: 0 }));
    const nobody = { ...document, tonight: { ...document.tonight, sections } };
    expect(say(nobody, 185).sentence).toBe(
      'Tuesday’s warm-up is planned: 3 minutes, up to the F5 that “Lanterns” needs. Nobody’s range is known here yet, so it rests on voices as they usually are.',
    );
    const silent = { ...document, tonight: { ...document.tonight, needs: [] } };
    expect(say(silent, 185).sentence).toBe(
      'Tuesday’s warm-up is ready: 3 minutes, in your singers’ reach; no piece says yet what it has to prepare.',
    );
  });
  it('says what stands in the way', () => {
    expect(say(documentOf('coat-off'), 60).sentence).toBe('Tuesday’s warm-up is 0:18 too long.');
    const stuck = performAll(documentOf('pulley'), [
      choose('pulley', { repetitions: 24, step: 4 }),
    ]);
    expect(say(stuck).sentence).toContain('“Pulley” has no key that everyone can sing');
    const beyond = performAll(documentOf('pulley'), [choose('pulley', { start: 80 })]);
    expect(say(beyond).sentence).toMatch(/is planned, but “Pulley” goes beyond the reach of the /);
  });
  it('is Tonight on the day itself, by the choir’s clock', () => {
    const moment = '2026-12-01T19:30:00Z';
    const now = (text: string) => whenInWords(moment, Date.parse(text), 'Europe/London');
    expect(now('2026-12-01T08:00:00Z')).toBe('Tonight');
    expect(now('2026-11-30T08:00:00Z')).toBe('Tuesday');
  });
});

describe('the row of dates', () => {
  const evenings = Array.from({ length: 2000 }, (_, i): EveningSummary => ({
    id: String(i),
    name: null,
    startsAt: new Date(i * 86_400_000).toISOString(),
    endsAt: new Date(i * 86_400_000 + 7_200_000).toISOString(),
    place: '',
  }));
  it('finds the evening that is on or comes next', () => {
    expect(nextEvening(evenings, 5 * 86_400_000 + 1000)?.id).toBe('5');
    expect(nextEvening(evenings, 5 * 86_400_000 + 7_200_000)?.id).toBe('6');
    expect(nextEvening([], 0)).toBeUndefined();
  });
  it('shows as many as fit, with none, one or thousands', () => {
    expect(around([], 0, 12)).toEqual({ row: [], before: false, after: false });
    expect(around(evenings.slice(0, 1), 0, 12).row).toHaveLength(1);
    const middle = around(evenings, 1000, 12);
    expect(middle.row.map(({ id }) => id)).toContain('1000');
    expect(middle).toMatchObject({ before: true, after: true });
    expect(around(evenings, 1999, 12)).toMatchObject({ before: true, after: false });
    expect(around(evenings, 0, -3).row).toHaveLength(1);
  });
});
