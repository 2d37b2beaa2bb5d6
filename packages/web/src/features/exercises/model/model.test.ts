import { exercises } from '@wide-fern/catalogue';
import { tonight } from '@wide-fern/plan/testing';
import { listExercises } from './listed';
import { breathAdviceFor, lastUsedInWords } from '@wide-fern/words';
import { familyKey } from '@wide-fern/core';
import { countOf, rowsOf } from './rows';
import { isNarrowed, useWanted } from './wanted';

const now = Date.parse('2026-12-01T12:00:00Z');
const pulley = exercises.find(({ id }) => id === 'pulley')!;
const own = { ...pulley, id: 'our-pulley', name: 'Our pulley' };
const listed = listExercises(
  exercises,
  {
    own: [own],
    marks: {
      pulley: { favourite: true, hidden: false, note: '' },
      embers: { favourite: false, hidden: true, note: '' },
    },
    lastUsed: { pulley: '2026-11-24T19:30:00.000Z' },
  },
  tonight.sections,
);
const ids = (wanted: Parameters<typeof rowsOf>[1]) =>
  rowsOf(listed, wanted, now, everyFamily).flatMap((row) =>
    row.kind === 'one' ? [row.item.exercise.id] : [],
  );

/** Every family open. */
const everyFamily = new Set(
  exercises.flatMap(({ phase, family }) => (family ? [familyKey(phase, family.id)] : [])),
);

describe('the list of exercises', () => {
  it('has the built-in ones and the choir’s own, each with what is known of it', () => {
    expect(listed).toHaveLength(exercises.length + 1);
    const one = listed.find(({ exercise }) => exercise.id === 'pulley')!;
    expect(one).toMatchObject({
      own: false,
      favourite: true,
      seconds: expect.any(Number) as number,
    });
    expect(one.keys).toHaveLength(1);
    expect(listed.at(-1)).toMatchObject({ own: true, favourite: false, lastUsed: undefined });
    expect(listed.find(({ kind }) => kind === 'body')!.keys).toBeUndefined();
  });
  it('is grouped by phase, favourites first, hidden ones away', () => {
    const rows = rowsOf(listed, {}, now);
    expect(countOf(rows)).toBe(exercises.length);
    const count = exercises.filter(({ phase }) => phase === 'release').length;
    expect(rows[0]).toEqual({ kind: 'phase', phase: 'release', count });
    expect(ids({ phase: 'range' }).slice(0, 2)).toEqual(['pulley', 'slate-steps']);
    expect(ids({})).not.toContain('embers');
    expect(ids({ words: 'embers', hidden: true })).toContain('embers');
    expect(rowsOf([], {}, now)).toEqual([]);
  });
  it('folds a family behind the first of its ways, and finds each by its words', () => {
    const onset = (unfolded?: ReadonlySet<string>) =>
      rowsOf(listed, { phase: 'onset' }, now, unfolded);
    const named = (rows: ReturnType<typeof onset>) =>
      rows.flatMap((row) => (row.kind === 'one' ? [row.item.exercise.id] : []));
    expect(named(onset())).toContain('narrow-hum');
    expect(named(onset())).not.toContain('bell-cord');
    const ways = onset().find((row) => row.kind === 'ways' && row.family === 'five-falling');
    const more = exercises.filter(
      ({ family, phase }) => family?.id === 'five-falling' && phase === 'onset',
    );
    expect(ways).toMatchObject({ more: more.length - 1, open: false });
    // What is folded away is counted.
    expect(countOf(onset())).toBe(exercises.filter(({ phase }) => phase === 'onset').length);
    const open = onset(new Set([familyKey('onset', 'five-falling')]));
    expect(named(open)).toContain('bell-cord');
    expect(named(rowsOf(listed, { words: 'bell cord' }, now))).toContain('bell-cord');
  });
  it('finds what was not used for weeks', () => {
    expect(ids({ unusedWeeks: 2 })).not.toContain('pulley');
    expect(ids({ unusedWeeks: 2 })).toContain('our-pulley');
  });
  it('knows another evening’s keys from this one’s', () => {
    const low = tonight.sections.map((band) => ({
      ...band,
      comfort: [band.comfort[0], band.comfort[0] + 3] as const,
    }));
    const again = listExercises(exercises, { own: [], marks: {}, lastUsed: {} }, low);
    expect(again.find(({ exercise }) => exercise.id === 'narrow-hum')!.keys).toEqual([]);
  });
});

describe('what is wanted', () => {
  it('is nothing until something is, and can be all again', () => {
    const { want, wantAll } = useWanted.getState();
    expect(isNarrowed(useWanted.getState().wanted)).toBe(false);
    want({ phase: 'onset' });
    want({ words: '' });
    expect(isNarrowed(useWanted.getState().wanted)).toBe(true);
    wantAll();
    expect(useWanted.getState().wanted).toEqual({});
  });
});

describe('words about an exercise', () => {
  it('say when it was last used, in the choir’s zone', () => {
    expect(lastUsedInWords(undefined, 'Europe/London')).toBe('Not used in a warm-up yet.');
    const moment = Date.parse('2026-11-24T23:30:00Z');
    expect(lastUsedInWords(moment, 'Europe/Berlin')).toContain('25 Nov 2026');
  });
  it('warn when a phrase outlasts the choir’s breath', () => {
    const steps = exercises.find(({ id }) => id === 'slate-steps')!;
    expect(breathAdviceFor(steps, steps.usual, 9)).toBeUndefined();
    expect(breathAdviceFor(steps, steps.usual, 5)).toContain(
      '6 s on one breath; 5 s is comfortable here.',
    );
    expect(breathAdviceFor(steps, { ...steps.usual, tempo: 60 }, 9)).toContain(
      'Take it at 67 a minute',
    );
    // Where each breathes when it suits, nothing is too long.
    const ledge = exercises.find(({ id }) => id === 'long-ledge')!;
    expect(breathAdviceFor(ledge, ledge.usual, 6)).toBeUndefined();
  });
});
