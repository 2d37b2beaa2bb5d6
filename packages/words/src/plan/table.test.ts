import { evaluate } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { weaveHeads, weaveRows } from './table';
import { clockIn } from './words';

const plan = evaluate(documentOf('coat-off', 'slate-steps', 'pulley'), 900);
const start = Date.parse('2026-12-01T19:30:00.000Z');

describe('the weave as a table', () => {
  const rows = weaveRows(plan, start, clockIn('Europe/London'), 'flats');
  it('has a row for every key that is drawn, one for what has none, in the order of time', () => {
    const keys = plan.segments.reduce(
      (sum, { segment, computed }) =>
        sum + (segment.exercise.music.kind === 'body' ? 1 : computed.repetitions.length),
      0,
    );
    expect(rows).toHaveLength(keys);
    const clocks = rows.map(({ clock }) => clock);
    expect([...clocks].sort()).toEqual(clocks);
    expect(rows[0]).toMatchObject({ name: 'Coat off', key: '', parts: ['', '', '', ''] });
    expect(weaveHeads(plan)).toEqual([
      ...['At', 'Exercise', 'Key', 'Sopranos', 'Altos', 'Tenors', 'Basses'],
    ]);
  });
  it('says the same of each part as the drawing does', () => {
    const drawn = plan.segments.slice(1).flatMap(({ computed }) => computed.repetitions);
    const said = rows.slice(1);
    const { sections } = plan.document.tonight;
    drawn.forEach(({ parts }, i) =>
      sections.forEach(({ id }, part) => {
        const sounding = parts.find((one) => one.part === id)!;
        const words = said[i]!.parts[part]!;
        if (sounding.does !== 'sing') expect(words).toBe('rests');
        else {
          expect(words.includes('at the edge')).toBe(sounding.fit.state === 'edge');
          expect(words.includes('an octave')).toBe(sounding.away !== 0);
          expect(words).toMatch(/^[A-G][♭♯]*\d to [A-G][♭♯]*\d/);
        }
      }),
    );
    expect(said.some(({ parts }) => parts.includes('rests'))).toBe(true);
    expect(said.some(({ parts }) => parts.some((words) => words.includes('edge')))).toBe(true);
  });
});
