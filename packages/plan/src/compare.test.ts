import type { Segment } from '@wide-fern/contract';
import { documentOf } from './testing/plans';
import { compare } from './compare';
import { choose, moveTo, takeOut } from './edit/edits';
import { performAll } from './edit/perform';

const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'ebb-tide');
const kinds = (differences: ReturnType<typeof compare>) =>
  Object.fromEntries(differences.map(({ id, kind }) => [id, kind]));

const chose = (field: string, segment: Segment | undefined): unknown =>
  expect.objectContaining({ code: 'choice', field, segment });

describe('two versions of a plan', () => {
  it('that say the same differ nowhere', () => {
    expect(new Set(Object.values(kinds(compare(document, document))))).toEqual(new Set(['same']));
  });

  it('show what only one of them has', () => {
    const mine = performAll(document, [takeOut('pulley')]);
    const theirs = performAll(document, [takeOut('coat-off')]);
    expect(kinds(compare(mine, theirs))).toEqual({
      'coat-off': 'only mine',
      'narrow-hum': 'same',
      'ebb-tide': 'same',
      pulley: 'only theirs',
    });
  });

  it('say what was chosen differently', () => {
    const mine = performAll(document, [choose('pulley', { tempo: 90, start: 61 })]);
    const theirs = performAll(document, [choose('pulley', { shape: 'down' })]);
    const [, , pulley] = compare(mine, theirs);
    expect(pulley).toMatchObject({
      kind: 'changed',
      mine: ['tempo', 'shape', 'start'].map((field) => chose(field, mine.segments[2])),
      theirs: ['tempo', 'shape', 'start'].map((field) => chose(field, theirs.segments[2])),
    });
  });

  it('name the one that was moved, not those it passed', () => {
    const theirs = performAll(document, [moveTo(document, 'coat-off', 3)]);
    const changed = compare(document, theirs).filter(({ kind }) => kind !== 'same');
    expect(changed).toEqual([
      expect.objectContaining({
        id: 'coat-off',
        mine: [{ code: 'follows', name: null }],
        theirs: [{ code: 'follows', name: 'Ebb tide' }],
      }),
    ]);
  });
});
