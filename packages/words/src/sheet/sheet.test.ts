import { choose, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import type { PlanDocument } from '@wide-fern/contract';
import { cautions } from '../cautions';
import { openingsInWords, sheetFor, type SheetEntry } from './index';

const of = (document: PlanDocument) => ({
  ...{ start: Date.parse('2026-12-01T19:30:00.000Z'), allotted: 900 },
  ...{ document, choir: 'Quarry Lane Singers', place: 'Quarry Lane Hall' },
  ...{ timeZone: 'Europe/London', clock: '24' as const, writing: 'flats' as const },
});
const textOf = ({ first, lines }: SheetEntry) =>
  [...first, ...lines].map((line) => line.map(({ text }) => text).join('')).join('\n');

describe('the sheet of whoever plays', () => {
  const sheet = sheetFor('accompany', of(documentOf('coat-off', 'slate-steps')));
  it('has a bar for every key, with its chord and the first note of every part', () => {
    const { notes } = sheet.entries[1]!;
    if (notes?.kind !== 'openings') throw new Error('It has keys.');
    const lead = sheetFor('lead', of(documentOf('slate-steps'))).entries[0]!.table!;
    expect(notes.keys.map(({ name }) => name)).toEqual(lead.head);
    for (const { tonic, chord } of notes.keys) expect(Math.abs(chord[0]! - tonic) % 12).toBe(0);
    // The same notes as the leader's table has, or a rest where it has one.
    const said = openingsInWords(notes, 'flats').split('; ');
    lead.rows.forEach(({ name, cells }) =>
      cells.forEach((cell, i) => {
        expect(said[i]).toMatch(cell === 'rest' ? `${name} rests` : `${name} ${cell}`);
      }),
    );
    expect(lead.rows.some(({ cells }) => cells.includes('rest'))).toBe(true);
  });

  it('says when there is nothing to play', () => {
    expect(textOf(sheet.entries[0]!)).toBe('Nothing to play.');
    const none = performAll(documentOf('pulley'), [choose('pulley', { repetitions: 24, step: 4 })]);
    expect(textOf(sheetFor('accompany', of(none)).entries[0]!)).toBe('No key works for everyone.');
  });
});

describe('the sheet of those who sing', () => {
  const document = documentOf('coat-off', 'slate-steps', 'pulley');
  it('has notes and what to do, and no table, for all in one', () => {
    const sheet = sheetFor('sing', of(document));
    expect(sheet.entries.map(({ name }) => name)).toEqual(['Coat off', 'Slate steps', 'Pulley']);
    expect(sheet.entries.every(({ table }) => table === undefined)).toBe(true);
    const { music } = document.segments[0]!.exercise;
    if (music.kind !== 'body') throw new Error('It is done with the body.');
    expect(textOf(sheet.entries[0]!)).toContain(music.moves[0]!.text);
    expect(sheet.foot[0]![0]!.text).toBe(cautions.pain);
  });

  it('has for one part its own line in the first key in which it sings, and its note in every key', () => {
    const { sections } = document.tonight;
    for (const { id, many } of sections) {
      const sheet = sheetFor('sing', of(document), id);
      expect(sheet.under).toContain(`for ${many}`);
      for (const { notes, table } of sheet.entries.slice(1)) {
        expect(table!.rows.map(({ name }) => name)).toEqual([id]);
        if (notes?.kind !== 'score') throw new Error('It is sung.');
        const [key, ...others] = notes.score.keys;
        expect(others).toEqual([]);
        expect(key!.lines.map(({ part }) => part)).toEqual([id]);
        expect(key!.lines[0]!.events.some(({ midi }) => midi !== null)).toBe(true);
      }
    }
  });

  it('has no notes for a part that rests throughout', () => {
    const told = {
      S: Object.fromEntries(Array.from({ length: 12 }, (_, i) => [i, 'rest' as const])),
    };
    const resting = performAll(documentOf('pulley'), [choose('pulley', { told })]);
    const [entry] = sheetFor('sing', of(resting), 'S').entries;
    expect(entry!.notes).toBeUndefined();
    expect(new Set(entry!.table!.rows[0]!.cells)).toEqual(new Set(['rest']));
  });
});
