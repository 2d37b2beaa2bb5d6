import { exercises } from '@wide-fern/catalogue';
import { draftOf, draftOfMusic, emptyDraft, type ExerciseDraft } from './draft';
import { keepDraft, readKept } from './kept';
import { exerciseOf, musicOf } from './make';

const told: Partial<ExerciseDraft> = {
  name: 'Bright gate',
  purpose: 'Open the fifth.',
  cue: 'Swing it.',
  purposes: ['open space'],
};
const wrongs = (changed: Partial<ExerciseDraft>): Readonly<Record<string, string>> => {
  const made = exerciseOf({ ...emptyDraft, ...told, ...changed }, 'bright-gate', 1);
  return made.kind === 'wrong' ? made.fields : {};
};

describe('an exercise that is made', () => {
  it.each(exercises.map((one) => [one.id, one] as const))(
    'comes out as it went in: %s',
    (_, exercise) => {
      const made = exerciseOf(draftOf(exercise), exercise.id, exercise.version);
      if (made.kind === 'wrong') throw new Error(JSON.stringify(made.fields));
      const { cautions, ...same } = made.made;
      const { cautions: before, ...expected } = exercise;
      expect(same).toEqual(expected);
      expect([...cautions].sort()).toEqual([...before].sort());
    },
  );
  it('stays linked to the piece it is from', () => {
    const source = {
      piece: '00000000-0000-4000-8000-000000000000',
      title: 'Slate',
      fromBar: 3,
      toBar: 4,
      parts: ['S'],
    };
    const aim = { part: 'S', tonic: 66 };
    const linked = { ...exercises.find(({ id }) => id === 'narrow-hum')!, source, aim };
    const made = exerciseOf(draftOf(linked), linked.id, 2);
    expect(made).toMatchObject({ kind: 'made', made: { source, aim } });
  });
  it('says field by field what is missing or wrong', () => {
    expect(wrongs({})).toEqual({});
    expect(wrongs({ purpose: '', cue: ' ', line: 'do re mi' })).toEqual({});
    expect(wrongs({ name: ' ' })).toEqual({
      name: 'Write something here.',
      figure: 'Write something here.',
    });
    expect(wrongs({ purposes: [] })).toEqual({ purposes: 'Choose what it is for.' });
    expect(wrongs({ cue: 'x'.repeat(91) })).toEqual({ cue: 'At most 90 characters.' });
    expect(wrongs({ tempo: 5 })).toEqual({ tempo: 'The tempo: 20 at least.' });
    expect(wrongs({ line: '1 2 x' }).line).toMatch(/^At character 5: /);
  });
  it.each<[string, Partial<ExerciseDraft>, string]>([
    ['a line for each part', { kind: 'lines', lines: ['1 2', '1 y'] }, 'lines.1'],
    ['a drone that all hold', { kind: 'drone', holders: 'all' }, 'holders'],
    ['a drone on no step', { kind: 'drone', held: 'r' }, 'held'],
    ['a drone without its text', { kind: 'drone', overText: true, text: ' ' }, 'text'],
    ['a slide with a rest', { kind: 'glide', slide: '1 r 5:2' }, 'slide'],
    ['a slide to nowhere', { kind: 'glide', slide: '1' }, 'slide'],
    ['a held note without a syllable', { kind: 'hold', syllables: ' ' }, 'syllables'],
    ['a chord without its root', { kind: 'chord', tones: '3 5' }, 'tones'],
    [
      'breath that is not counted',
      { kind: 'breath', counts: { in: 0, hold: 2, out: 0, rest: 0 } },
      'counts',
    ],
    ['a text of nothing', { kind: 'spoken', text: '\n \n' }, 'text'],
    ['no moves', { kind: 'body', moves: '' }, 'moves'],
  ])('refuses %s at its field', (_, changed, field) => {
    const made = musicOf({ ...emptyDraft, ...changed });
    expect(made.kind === 'wrong' && Object.keys(made.fields)).toEqual([field]);
  });
  it('begins with music from a file, and asks for the words', () => {
    const music = { kind: 'pattern', mode: 'minor', notes: [{ offset: 3, beats: 2 }] } as const;
    const draft = draftOfMusic('x'.repeat(70), music, 300);
    expect(draft).toMatchObject({ name: 'x'.repeat(60), line: ':2 3', mode: 'minor', tempo: 240 });
  });
  it('has the cautions that what is done in it needs', () => {
    const made = exerciseOf(
      { ...emptyDraft, ...told, kind: 'breath', counts: { in: 4, hold: 4, out: 8, rest: 0 } },
      'x',
      1,
    );
    if (made.kind === 'wrong') throw new Error(JSON.stringify(made.fields));
    expect(made.made.cautions.join(' ')).toMatch(/Light head.*Long holds are not for everyone/);
  });
});

describe('a draft on the device', () => {
  afterEach(() => localStorage.clear());
  it('is there again, for this person and this exercise only', () => {
    keepDraft('me', 'choir', 'new', { ...emptyDraft, name: 'Half made' });
    expect(readKept('me', 'choir', 'new')?.name).toBe('Half made');
    expect(readKept('other', 'choir', 'new')).toBeUndefined();
    expect(readKept('me', 'choir', 'pulley')).toBeUndefined();
    keepDraft('me', 'choir', 'new', undefined);
    expect(readKept('me', 'choir', 'new')).toBeUndefined();
  });
  it('that is damaged, or of an older form, does no harm', () => {
    localStorage.setItem('wide-fern:making:me:choir:new', '{"name":');
    expect(readKept('me', 'choir', 'new')).toBeUndefined();
    localStorage.setItem('wide-fern:making:me:choir:new', '{"tempo":"fast"}');
    expect(readKept('me', 'choir', 'new')).toBeUndefined();
    localStorage.setItem('wide-fern:making:me:choir:new', '{"name":"Old"}');
    expect(readKept('me', 'choir', 'new')).toEqual({ ...emptyDraft, name: 'Old' });
  });
});
