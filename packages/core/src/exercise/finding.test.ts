import { askedFor, isFound, plainWords, type Searchable } from './finding';
import { meanings, saidConditions } from './meanings';

const one: Searchable = {
  title: 'slate steps',
  words: plainWords('Slate steps, five notes up and back. Keep the line.'),
  purposes: ['tuning'],
  kind: 'pattern',
  phase: 'listening',
  effort: 2,
  difficulty: 2,
  needs: ['standing'],
  ages: undefined,
};
const finds = (words: string, changed: Partial<Searchable> = {}) =>
  isFound({ ...one, ...changed }, askedFor(words));

describe('what a director types', () => {
  it('is found as it stands, in part, and in any order', () => {
    expect(['slate', 'sla', 'steps slate', '', '  '].map((words) => finds(words))).toEqual(
      Array<boolean>(5).fill(true),
    );
    expect(finds('granite')).toBe(false);
  });
  it.each<[string, Partial<Searchable>, Partial<Searchable>]>([
    ['flat', {}, { purposes: ['diction'] }],
    ['we sing too flat', {}, { purposes: ['diction'] }],
    ['out of tune', {}, { purposes: ['agility'] }],
    ['sirens', { kind: 'glide' }, {}],
    ['high notes', { purposes: ['top notes'] }, {}],
    ['tired', { purposes: ['settling'] }, { purposes: ['settling'], effort: 3 }],
    ['children', { difficulty: 1 }, {}],
    ['children', { difficulty: 1 }, { difficulty: 1, ages: ['adults'] }],
    ['flat seated', { needs: ['mirror'] }, {}],
    ['mumbl', { purposes: ['diction'] }, {}],
    ['canons', { kind: 'round' }, {}],
  ])('«%s» is understood', (words, yes, no) => {
    expect([finds(words, yes), finds(words, no)]).toEqual([true, false]);
  });
  it('takes a known word only where a word of the name begins', () => {
    const clear = { title: 'a clear bell', words: 'a clear bell for the ear', purposes: [] };
    expect(finds('ear', clear)).toBe(false);
    expect(finds('ear', { ...clear, title: 'an ear for it' })).toBe(true);
  });
  it('takes sayings whole, and empty words only where nothing else is said', () => {
    expect(askedFor('the sopranos run out of breath').map(({ typed }) => typed)).toEqual([
      'out of breath',
      'sopranos',
      'run',
    ]);
    expect(askedFor('the').map(({ typed }) => typed)).toEqual(['the']);
  });
  it('knows its words as they are compared, each once in a list', () => {
    for (const { said } of [...meanings, ...saidConditions]) {
      expect(said.map(plainWords)).toEqual(said);
      expect(new Set(said).size).toBe(said.length);
    }
  });
});
