import { documentOf } from '../../../testing/plans';
import { compare } from './compare';
import { choose, leaveOut, moveSegment } from './edits';

const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'ebb-tide');
const kinds = (differences: ReturnType<typeof compare>) =>
  Object.fromEntries(differences.map(({ id, kind }) => [id, kind]));

describe('two versions of a plan', () => {
  it('that say the same differ nowhere', () => {
    expect(new Set(Object.values(kinds(compare(document, document))))).toEqual(new Set(['same']));
  });

  it('show what only one of them has', () => {
    const mine = leaveOut('pulley')(document);
    const theirs = leaveOut('coat-off')(document);
    expect(kinds(compare(mine, theirs))).toEqual({
      'coat-off': 'only mine',
      'narrow-hum': 'same',
      'ebb-tide': 'same',
      pulley: 'only theirs',
    });
  });

  it('say in words what was chosen differently', () => {
    const mine = choose('pulley', { tempo: 90, start: 61 })(document);
    const theirs = choose('pulley', { shape: 'down' })(document);
    const [, , pulley] = compare(mine, theirs);
    expect(pulley).toMatchObject({
      kind: 'changed',
      mine: ['tempo 90', 'up', 'start D♭'],
      theirs: ['tempo 112', 'down', 'the best start'],
    });
  });

  it('name the one that was moved, not those it passed', () => {
    const theirs = moveSegment('coat-off', 3)(document);
    const changed = compare(document, theirs).filter(({ kind }) => kind !== 'same');
    expect(changed).toEqual([
      expect.objectContaining({ id: 'coat-off', mine: ['first'], theirs: ['after Ebb tide'] }),
    ]);
  });
});
