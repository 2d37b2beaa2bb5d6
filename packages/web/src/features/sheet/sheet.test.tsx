import { ChakraProvider } from '@chakra-ui/react';
import { system } from '../../ui/system';
import { cleanup, render, screen, within } from '@testing-library/react';
import type { PlanDocument } from '@wide-fern/contract';
import { choose, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { cautions, sheetFor } from '@wide-fern/words';
import { Sheet } from './Sheet';

const sheet = (document: PlanDocument) =>
  render(
    <ChakraProvider value={system}>
      <Sheet
        sheet={sheetFor('lead', {
          ...{ start: Date.parse('2026-12-01T19:30:00.000Z'), allotted: 900 },
          ...{ document, choir: 'Quarry Lane Singers', place: 'Quarry Lane Hall' },
          ...{ timeZone: 'Europe/London', clock: '24', writing: 'flats' },
        })}
        paper="a4"
        writing="flats"
      />
    </ChakraProvider>,
  );
const rows = (table: HTMLElement) =>
  within(table)
    .getAllByRole('row')
    .map((row) => [...row.querySelectorAll('th, td')].map(({ textContent }) => textContent ?? ''));
afterEach(cleanup);

describe('the sheet for the stand', () => {
  it('says when and where, and how long it lasts', () => {
    sheet(documentOf('coat-off', 'pulley'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/^Tue 1 Dec/);
    expect(document.body.textContent).toMatch(
      /Quarry Lane Singers · Quarry Lane Hall · warm-up 19:30 to 19:3\d:\d\d · \d:\d\d of 15:00/,
    );
  });

  it('has every segment at its clock, in order', () => {
    sheet(documentOf('coat-off', 'narrow-hum', 'pulley'));
    const names = screen.getAllByRole('heading', { level: 2 }).map((one) => one.textContent ?? '');
    expect(names.map((name) => name.split(' ')[0])).toEqual(['Coat', 'Narrow', 'Pulley']);
    const clocks = [...document.querySelectorAll('.sheet-when strong')].map(
      (one) => one.textContent,
    );
    expect(clocks[0]).toBe('19:30');
    expect([...clocks].sort()).toEqual(clocks);
  });

  it('has the first note of every part in every key, or that it rests', () => {
    sheet(documentOf('slate-steps'));
    const [head, ...parts] = rows(screen.getByRole('table'));
    expect(parts.map(([part]) => part)).toEqual(['S', 'A', 'T', 'B']);
    for (const part of parts) expect(part).toHaveLength(head!.length);
    const cells = parts.flatMap(([, ...notes]) => notes);
    for (const cell of cells) expect(cell).toMatch(/^([A-G][♭♯]*\d|rest)$/);
    expect(cells).toContain('rest');
  });

  it('says what is done where nothing is sung, and has no table for it', () => {
    sheet(documentOf('coat-off'));
    expect(screen.queryByRole('table')).toBeNull();
    const { music } = documentOf('coat-off').segments[0]!.exercise;
    if (music.kind !== 'body') throw new Error('It is done with the body.');
    expect(document.body.textContent).toContain(music.moves[0]!.text);
  });

  it('prints no note where everyone sings an own one, and says so', () => {
    sheet(documentOf('own-easy-note'));
    expect(screen.queryByRole('img')).toBeNull();
    expect(document.body.textContent).toContain('Everyone on the own easy note, on mm: four times');
  });

  it('has the notes of the first key', async () => {
    sheet(documentOf('slate-steps'));
    const staff = await screen.findByRole('img', { name: /major/ });
    expect(staff.getAttribute('aria-label')).toContain('A3 B3 C♯4 D4 E4');
  });

  it('says that no key works where none does', () => {
    sheet(performAll(documentOf('pulley'), [choose('pulley', { repetitions: 24, step: 4 })]));
    expect(screen.getByText('No key works for everyone.')).toBeTruthy();
    expect(screen.queryByRole('table')).toBeNull();
  });

  it('ends with what to mind: what hurts for all, and each caution once with its exercises', () => {
    sheet(documentOf('slate-steps', 'pulley', 'quarry-lift'));
    expect(screen.getByText(cautions.pain)).toBeTruthy();
    const named = [...document.querySelectorAll('footer strong')].map((one) => one.textContent);
    expect(new Set(named).size).toBe(named.length);
  });
});
