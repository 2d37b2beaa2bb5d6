import { idFromName } from './id';
import { wantedBy, type Choosable, type Wanted } from './choosing';
import { plainWords } from './finding';

const one: Choosable = {
  phase: 'range',
  purposes: ['top notes', 'legato'],
  kind: 'pattern',
  effort: 3,
  difficulty: 2,
  needs: ['standing'],
  ages: undefined,
  keys: [60, 61, 62],
  lastUsed: 0,
  favourite: false,
  hidden: false,
  own: false,
  title: 'susser zug',
  words: plainWords('Süßer Zug, an octave. Open it. Pull down. top notes legato, a line for all'),
};
const weeks = (count: number) => count * 7 * 24 * 3600 * 1000;
const fits = (wanted: Wanted, changed: Partial<Choosable> = {}, now = weeks(3)) =>
  wantedBy(wanted, now)({ ...one, ...changed });

describe('choosing among exercises', () => {
  it.each<[string, Wanted, Wanted]>([
    ['phase', { phase: 'range' }, { phase: 'onset' }],
    ['purpose', { purpose: 'legato' }, { purpose: 'diction' }],
    ['kind', { kind: 'pattern' }, { kind: 'round' }],
    ['effort', { mostEffort: 3 }, { mostEffort: 2 }],
    ['difficulty', { mostDifficulty: 2 }, { mostDifficulty: 1 }],
    ['what the place lacks', { without: ['floor'] }, { without: ['standing'] }],
    ['keys tonight', { leastKeys: 3 }, { leastKeys: 4 }],
    ['weeks without it', { unusedWeeks: 3 }, { unusedWeeks: 4 }],
    ['words in any order, without accents', { words: 'pull SÜSSER' }, { words: 'pull up' }],
  ])('looks at %s', (_, yes, no) => {
    expect([fits(yes), fits(no)]).toEqual([true, false]);
  });
  it('looks at age where one is said, and lets through what never was used or has no pitch', () => {
    expect(fits({ age: 'children' })).toBe(true);
    expect(fits({ age: 'children' }, { ages: ['adults'] })).toBe(false);
    expect(fits({ unusedWeeks: 50 }, { lastUsed: undefined })).toBe(true);
    expect(fits({ leastKeys: 50 }, { keys: undefined })).toBe(true);
  });
  it('keeps what is hidden away until it is asked for, and shows only favourites or own ones', () => {
    expect(fits({}, { hidden: true })).toBe(false);
    expect(fits({ hidden: true }, { hidden: true })).toBe(true);
    expect([fits({ favourites: true }), fits({ favourites: true }, { favourite: true })]).toEqual([
      false,
      true,
    ]);
    expect([fits({ ownOnly: true }), fits({ ownOnly: true }, { own: true })]).toEqual([
      false,
      true,
    ]);
  });
});

describe('an id from a name', () => {
  it('has small letters, figures and hyphens, and is never empty', () => {
    expect(idFromName('Süße Töne, leise!')).toBe('susse-tone-leise');
    expect(idFromName('—')).toBe('exercise');
    expect(idFromName('a'.repeat(59) + '-b')).toBe('a'.repeat(59));
  });
});
