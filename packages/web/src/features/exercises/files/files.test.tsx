import { fireEvent, screen, waitFor } from '@testing-library/react';
import { exercises } from '@wide-fern/catalogue';
import type { ExerciseVersion } from '@wide-fern/contract';
import { plainScore } from '@wide-fern/core';
import { readFile, writeMidi, writeMusicXml } from '@wide-fern/interchange';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import { readKept } from '../editor/model/kept';
import { Versions } from '../panel/Versions';
import { FoundMusic } from './FoundMusic';
import '../../../music/notation/ScoreStaff';

const pulley = exercises.find(({ id }) => id === 'pulley')!;
const score = plainScore(pulley, 72, [62])!;
const read = (name: string, bytes: Uint8Array) => {
  const found = readFile(name, bytes);
  if (found.kind !== 'music') throw new Error('A file of music was expected.');
  return found;
};
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
afterEach(tidy);

describe('music found in a file', () => {
  const bytes = new TextEncoder().encode(writeMusicXml(score));

  it('says what it is, in which key and how fast', async () => {
    await show(<FoundMusic file="pulley.musicxml" found={read('pulley.musicxml', bytes)} />);
    expect(screen.getByRole('heading').textContent).toBe('Pulley');
    expect(screen.getByText(/^a melody in D major, 72 a minute/)).toBeTruthy();
  });

  it('is named by its file where it has no name, and says what it did not find', async () => {
    const found = { ...read('x.mid', writeMidi(score)), name: '', tempo: undefined };
    await show(<FoundMusic file="Rain song.mid" found={found} />);
    expect(screen.getByRole('heading').textContent).toBe('Rain song');
    expect(screen.getByText(/no tempo in the file, 84 is taken/)).toBeTruthy();
  });

  it('names what cannot be kept', async () => {
    const found = read('x.musicxml', bytes);
    const notKept = [{ where: 'bar 3', what: 'The key changes.' }];
    await show(<FoundMusic file="x" found={{ ...found, notKept }} />);
    expect(document.body.textContent).toContain('The key changes.');
  });

  it('goes on to be made into an exercise, and is kept on the way', async () => {
    const router = await show(<FoundMusic file="x.musicxml" found={read('x.musicxml', bytes)} />);
    click('Make an exercise of it');
    await waitFor(() => expect(router.state.location.pathname).toBe('/exercises/make/new'));
    expect(readKept(ids.account, ids.choir, 'new')).toMatchObject({
      name: 'Pulley',
      kind: 'pattern',
    });
  });
});

describe('the versions of an exercise', () => {
  const now = { ...pulley, version: 2 };
  const versions: ExerciseVersion[] = [2, 1].map((version) => ({
    version,
    savedAt: '2026-11-20T10:00:00.000Z',
    savedBy: 'Imke Sandvoort',
    exercise: { ...pulley, version },
  }));

  it('are fetched when they are asked for', async () => {
    const server = serve({ listExerciseVersions: () => ({ items: versions, next: null }) });
    await show(<Versions exercise={now} />);
    expect(server.asked).toEqual([]);
    click(/^version 2; older ones/);
    expect(await screen.findByText('version 1')).toBeTruthy();
    expect(screen.getAllByText(/20 Nov 2026.*Imke Sandvoort/)).toHaveLength(2);
    // The present one needs no bringing back.
    expect(screen.getAllByRole('button', { name: 'make it the present one' })).toHaveLength(1);
  });

  it('make an old one the present one, over the version that was looked at', async () => {
    const server = serve({
      listExerciseVersions: () => ({ items: versions, next: null }),
      changeExercise: ({ body }) => body.exercise,
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    });
    await show(<Versions exercise={now} />);
    click(/^version 2; older ones/);
    fireEvent.click(await screen.findByRole('button', { name: 'make it the present one' }));
    await waitFor(() =>
      expect(server.asked.find(({ name }) => name === 'changeExercise')?.body).toMatchObject({
        version: 2,
      }),
    );
  });

  it('say why that failed', async () => {
    serve({
      listExerciseVersions: () => ({ items: versions, next: null }),
      changeExercise: () => {
        throw new Refusal(409, 'changed_meanwhile', 'It was changed meanwhile.');
      },
    });
    await show(<Versions exercise={now} />);
    click(/^version 2; older ones/);
    fireEvent.click(await screen.findByRole('button', { name: 'make it the present one' }));
    expect((await screen.findByRole('alert')).textContent).toBe('It was changed meanwhile.');
  });
});
