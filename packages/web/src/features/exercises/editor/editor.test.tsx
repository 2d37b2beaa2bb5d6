import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { exercises } from '@wide-fern/catalogue';
import type { ChangeExercise, Exercise, StoreExercises } from '@wide-fern/contract';
import { tonight } from '@wide-fern/plan/testing';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import { listExercises, type Listed } from '../model/listed';
import type { ReadyExercises } from '../model/useExercises';
import { Editor } from './Editor';
import { readKept } from './model/kept';
import '../../../music/notation/ScoreStaff';

const pulley = exercises.find(({ id }) => id === 'pulley')!;
const own: Exercise = { ...pulley, id: 'our-pulley', name: 'Our pulley', version: 3 };
const all = listExercises(exercises, { own: [own], marks: {}, lastUsed: {} }, tonight.sections);
const listed = (id: string): Listed => all.find(({ exercise }) => exercise.id === id)!;
const data: ReadyExercises = { kind: 'ready', all, tonight, evening: undefined };

const edit = (begun?: Listed) =>
  show(<Editor from={begun?.exercise.id ?? 'new'} begun={begun} data={data} />);
const fill = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const field = (label: string | RegExp) => screen.getByLabelText<HTMLInputElement>(label);
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const alerts = () =>
  screen
    .queryAllByRole('alert')
    .map(({ textContent }) => textContent)
    .join(' ');
const kept = (from = 'new') => readKept(ids.account, ids.choir, from);
afterEach(tidy);

describe('an exercise that is made', () => {
  it('begins empty, and says on the first try what is missing', async () => {
    const server = serve({});
    await edit();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Make an exercise');
    expect(alerts()).toBe('');
    click('Keep it');
    expect(alerts()).toMatch(/Not kept yet: /);
    expect(server.asked).toEqual([]);
  });

  it('is kept on this device at every stroke, and taken up again', async () => {
    await edit();
    fill('Name', 'Bright gate');
    expect(kept()?.name).toBe('Bright gate');
    cleanup();
    await edit();
    expect(field('Name').value).toBe('Bright gate');
    expect(screen.getByText(/^Taken up where you left it/)).toBeTruthy();
    click('begin again');
    expect(field('Name').value).toBe('');
    expect(kept()).toBeUndefined();
  });

  it('says while it is made how long it is and in how many keys it can be sung', async () => {
    await edit(listed('pulley'));
    const said = screen.getAllByRole('status').map(({ textContent }) => textContent ?? '');
    expect(
      said.some((one) => /^\d:\d\d with its keys and its talk\..*suits? every part/.test(one)),
    ).toBe(true);
  });

  it('changes from pass to pass as it is told, and the instrument plays under it', async () => {
    const page = edit(listed('our-pulley'));
    await page;
    click(/^change something from pass to pass/);
    const way = (number: number) => within(screen.getByRole('group', { name: `Way ${number}` }));
    const put = (number: number, label: string, value: string) =>
      fireEvent.change(way(number).getByLabelText(label), { target: { value } });
    put(1, 'sounds, parted by blanks', 'mm');
    put(2, 'sounds, parted by blanks', 'nah');
    put(2, 'touch', 'short');
    put(2, 'how loud', 'p');
    put(2, 'for', 'legato');
    fill('The ways below take turns', 'verses');
    fill('Asked after the last of them, if you wish', 'Which one rang?');
    fill('The instrument plays under it', 'drone');
    const server = serve({
      changeExercise: ({ body }) => body.exercise,
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    });
    const router = await page;
    click('Keep as a new version');
    await waitFor(() => expect(router.state.location.pathname).toBe('/exercises/our-pulley'));
    const body = server.asked.find(({ name }) => name === 'changeExercise')!.body as ChangeExercise;
    expect(body.exercise).toMatchObject({
      passes: {
        over: 'verses',
        each: [
          { sounds: ['mm'] },
          { sounds: ['nah'], articulation: 'short', dynamic: 'p', serves: 'legato' },
        ],
        ask: 'Which one rang?',
      },
      accompaniment: { kind: 'drone', tones: [0, 7] },
    });
  });

  it('says what most do without: its kin, breath by the nose, shake-outs, what it strains', async () => {
    const none = { in: 0, hold: 0, out: 0, rest: 0 };
    const counts = { in: 4, hold: 0, out: 8, rest: 2 };
    const ours: Exercise = {
      ...pulley,
      ...{ id: 'our-breath', name: 'Our breath', version: 1, easier: [], harder: [] },
      music: { kind: 'breath', ...counts, increment: none, outOn: 's' },
    };
    const page = edit({ ...listed('pulley'), exercise: ours, own: true });
    await page;
    const server = serve({
      changeExercise: ({ body }) => body.exercise,
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    });
    fill('It goes', 'nose');
    fireEvent.click(field('breathe out all the air first'));
    fill('arms, in', 'they rise');
    fireEvent.click(screen.getByRole('button', { name: /^out, each round adds: less/ }));
    fireEvent.click(screen.getByRole('button', { name: /^out, never under: more/ }));
    fireEvent.click(screen.getByRole('button', { name: /^Shake out for: more/ }));
    fill('Easier ones', 'pulley');
    fill('Harder ones', 'narrow-hum');
    click('take Narrow hum away');
    fill('Held in the hand, if anything', 'a straw for each');
    click('compare two ways, round by round');
    // Without a voice there is nothing to sing another way.
    expect(screen.queryByLabelText('sounds, parted by blanks')).toBeNull();
    const [high, low] = screen.getAllByLabelText('said for it');
    fireEvent.change(high!, { target: { value: 'high in the chest' } });
    fireEvent.change(low!, { target: { value: 'low and wide' } });
    fill('Asked after the last of them, if you wish', 'Which one lasted?');
    const family = exercises.find((one) => one.family)!.family!.id;
    fill('One idea in several ways, with', family);
    fill('This way', 'as breath');
    click('Keep as a new version');
    await waitFor(() =>
      expect(server.asked.some(({ name }) => name === 'changeExercise')).toBe(true),
    );
    const body = server.asked.find(({ name }) => name === 'changeExercise')!.body as ChangeExercise;
    expect(body.exercise).toMatchObject({
      family: { id: family, variant: 'as breath' },
      easier: ['pulley'],
      held: 'a straw for each',
      passes: {
        over: 'keys',
        each: [{ cue: 'high in the chest' }, { cue: 'low and wide' }],
        ask: 'Which one lasted?',
      },
      usual: { reset: { seconds: 5, every: 4 } },
      music: { way: 'nose', emptyFirst: true, arms: { in: 'they rise' }, least: { out: 1 } },
    });
    expect(body.exercise.harder).toBeUndefined();
  });

  it('has high and low voices apart, chords under it, and notes of one’s own', async () => {
    const server = serve({
      changeExercise: ({ body }) => body.exercise,
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    });
    const page = edit(listed('our-pulley'));
    await page;
    fill('High and low voices', 'together');
    fireEvent.click(field('count in every time'));
    fill('The instrument plays under it', 'chords');
    fill('Chords: steps of the key, a colon, beats; a stroke between two', '1 3 5 : 4 | 5 7');
    click('Keep as a new version');
    await screen.findByText(/^Chord 2 is not understood/);
    fill('Chords: steps of the key, a colon, beats; a stroke between two', '1 3 5 : 4 | 5 7 : 4');
    click('Keep as a new version');
    await waitFor(() =>
      expect(server.asked.some(({ name }) => name === 'changeExercise')).toBe(true),
    );
    const body = server.asked.find(({ name }) => name === 'changeExercise')!.body as ChangeExercise;
    expect(body.exercise).toMatchObject({
      keys: { groups: 'together' },
      usual: { countInEach: true },
      accompaniment: {
        kind: 'chords',
        chords: [
          { beats: 4, tones: [0, 4, 7] },
          { beats: 4, tones: [7, 11] },
        ],
      },
    });
    cleanup();
    await edit();
    fill('Kind', 'hold');
    fireEvent.click(field('each on a note of one’s own'));
    fill('Kind', 'chord');
    fireEvent.click(field('no two parts on one note'));
    expect(kept()?.further.music).toEqual({ ownPitch: { recovery: 3 }, distinct: true });
  });

  it('asks for what its kind needs', async () => {
    await edit();
    fill('Kind', 'glide');
    expect(
      field('The slide: where it begins, then each step with the beats to get there'),
    ).toBeTruthy();
    expect(screen.queryByLabelText('Bars')).toBeNull();
    fill('Kind', 'chord');
    expect(field('Tones of the chord, as steps from its root')).toBeTruthy();
    fill('Kind', 'breath');
    expect(screen.queryByLabelText('Mode')).toBeNull();
    fill('Kind', 'hold');
    expect(field('Syllables, one after the other on the same note')).toBeTruthy();
    fill('Kind', 'body');
    expect(field(/^What is done, one move a line/)).toBeTruthy();
  });

  it('can have a line more, and one less', async () => {
    await edit();
    fill('Kind', 'lines');
    const lines = () => screen.getAllByLabelText(/^Line \d.*, typed$/).length;
    const before = lines();
    click('another line below');
    expect(lines()).toBe(before + 1);
    click(`take line ${before + 1} away`);
    expect(lines()).toBe(before);
  });

  it('is stored and then forgotten here', async () => {
    const server = serve({
      storeExercises: ({ body }) => ({ stored: body.exercises, alike: [] }),
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    });
    const router = await edit(listed('pulley'));
    expect(field('Name').value).toBe('Pulley, ours');
    fill('Name', 'Pulley in the rain');
    expect(kept('pulley')).toBeDefined();
    click('Keep it');
    await waitFor(() =>
      expect(router.state.location.pathname).toBe('/exercises/pulley-in-the-rain'),
    );
    const { exercises: stored } = server.asked.find(({ name }) => name === 'storeExercises')!
      .body as StoreExercises;
    expect(stored[0]).toMatchObject({ name: 'Pulley in the rain', music: pulley.music });
    expect(kept('pulley')).toBeUndefined();
  });

  it('is not stored twice when it is here already', async () => {
    serve({ storeExercises: () => ({ stored: [], alike: ['Pulley'] }) });
    await edit(listed('pulley'));
    click('Keep it');
    await waitFor(() => expect(alerts()).toMatch(/“Pulley” is here already, exactly like this/));
  });
});

describe('an exercise of one’s own', () => {
  it('is stored as a new version over the one that was looked at', async () => {
    const server = serve({
      changeExercise: ({ body }) => body.exercise,
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    });
    const router = await edit(listed('our-pulley'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Change an exercise');
    fill('Name', 'Our old pulley');
    click('Keep as a new version');
    await waitFor(() => expect(router.state.location.pathname).toBe('/exercises/our-pulley'));
    const body = server.asked.find(({ name }) => name === 'changeExercise')!.body as ChangeExercise;
    expect([body.version, body.exercise.name]).toEqual([3, 'Our old pulley']);
  });

  it('can be kept as another when somebody changed it meanwhile', async () => {
    const server = serve({
      changeExercise: () => {
        throw new Refusal(409, 'changed_meanwhile', 'Changed meanwhile.');
      },
      storeExercises: ({ body }) => ({ stored: body.exercises, alike: [] }),
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    });
    await edit(listed('our-pulley'));
    fill('Name', 'Pulley of mine');
    click('Keep as a new version');
    await waitFor(() => expect(alerts()).toMatch(/Someone else changed this exercise meanwhile/));
    expect(field('Name').value).toBe('Pulley of mine');
    click('keep mine as one of its own');
    await waitFor(() =>
      expect(server.asked.some(({ name }) => name === 'storeExercises')).toBe(true),
    );
  });

  it('stays here when the server cannot be reached', async () => {
    serve({});
    await edit(listed('our-pulley'));
    fill('Name', 'Pulley of mine');
    click('Keep as a new version');
    await waitFor(() => expect(alerts()).toMatch(/cannot be reached/));
    expect(kept('our-pulley')?.name).toBe('Pulley of mine');
  });
});
