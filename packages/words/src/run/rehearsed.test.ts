import type { Rehearsed } from '@wide-fern/plan';
import { rehearsedInWords } from './rehearsed';

const well: Rehearsed = {
  ...{ planned: 600, real: 610, talkPlanned: 120, talk: 125, keysPlanned: 40, keys: 40, again: 2 },
  ...{ slips: 3, answered: 3, unsaid: { purpose: [], cue: [], breath: [] } },
};

describe('what came of a rehearsal', () => {
  it('is said in figures', () => {
    const { rows } = rehearsedInWords(well);
    expect(rows.map((row) => row.join(': '))).toEqual([
      'Time: 10:10, planned 10:00',
      'Talk: 2:05, planned 2:00',
      'Keys and steps: 40 of 40; two were done again',
      'Slips: 3, something was done about all',
      'Purpose not said: nowhere',
      'Cue not said: nowhere',
      'Breath not said: nowhere',
    ]);
  });
  it('says what went well, whatever else', () => {
    expect(rehearsedInWords(well).went).toContain('every slip');
    expect(rehearsedInWords({ ...well, slips: 0, answered: 0 }).went).toContain('Every key');
    expect(rehearsedInWords({ ...well, answered: 0, keys: 3, talk: 900 }).went).toContain(
      'You stood in front',
    );
  });
  it.each<[string, Partial<Rehearsed>]>([
    ['three slips of three went by', { answered: 0 }],
    ['Talk took 5:00 more', { talk: 420 }],
    ['what Pulley is for', { unsaid: { purpose: ['Pulley'], cue: [], breath: [] } }],
    [
      'the cue of A, B, C and two others',
      { unsaid: { purpose: [], cue: [...'ABCDE'], breath: [] } },
    ],
    ['where to breathe in Pulley', { unsaid: { purpose: [], cue: [], breath: ['Pulley'] } }],
    ['ten keys were left out', { keys: 30 }],
    ['1:40 longer than planned', { real: 700 }],
    ['slips more often', {}],
  ])('names one thing to try: %s', (words, changed) => {
    expect(rehearsedInWords({ ...well, ...changed }).toTry.toLowerCase()).toContain(
      words.toLowerCase(),
    );
  });
});
