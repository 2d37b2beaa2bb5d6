import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { KeepChecks, Singer, StoreSingers } from '@wide-fern/contract';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import { keptGroupChecks } from '../model/keptOnDevice';
import type { ReadyVoices } from '../model/useVoices';
import { singerNamed, voices } from '../testing/choir';
import { Room } from './RoomPage';

const nothing = { part: null, comfort: null, reach: null } as const;
const people: readonly Singer[] = [
  singerNamed('Ash Tarn', 1),
  singerNamed('Odo Pell', 2, { part: 'B', comfort: [43, 62], reach: [40, 64] }),
  singerNamed('Cleo Rill', 3, nothing),
  singerNamed('Bram Oake', 4, { onLeave: true }),
];
const data = (singers = people): ReadyVoices => ({
  kind: 'ready',
  voices,
  singers,
  evening: undefined,
  presence: {
    presence: undefined,
    change: () => {},
    isPending: false,
    trouble: undefined,
    error: undefined,
  },
  setting: { voices, presence: undefined, date: undefined },
});
const room = (singers = people) => show(<Room data={data(singers)} />);
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const press = (key: string, times = 1) => {
  for (let i = 0; i < times; i += 1) fireEvent.keyDown(window, { key });
};
afterEach(tidy);

describe('a check of a whole room', () => {
  it('takes everybody who is not on leave, the low voices an octave below', async () => {
    await room();
    const below = screen.getAllByRole<HTMLInputElement>('checkbox');
    expect(below.map((box) => [box.getAttribute('aria-label'), box.checked])).toEqual([
      ['Ash Tarn sings an octave below', false],
      ['Odo Pell sings an octave below', true],
      ['Cleo Rill sings an octave below', false],
    ]);
    fireEvent.change(screen.getByLabelText('Who takes part'), { target: { value: 'no-part' } });
    expect(screen.getAllByRole('checkbox')).toHaveLength(1);
    click('Begin with one');
    expect(screen.getByText('1 of 1 still sing')).toBeTruthy();
  });

  it('gives the note to both octaves, and goes on after a pause', async () => {
    await room();
    click('Begin with three');
    expect(screen.getByRole('status').textContent).toBe('D4');
    expect(screen.getByText('low voices D3')).toBeTruthy();
    press('n');
    expect(screen.getByRole('status').textContent).toBe('E4');
    const kept = { ...localStorage };
    tidy();
    for (const [key, value] of Object.entries(kept)) localStorage.setItem(key, value as string);
    await room();
    expect(screen.getByRole('status').textContent).toBe('E4');
    click('begin again');
    expect(screen.getByRole('button', { name: 'Begin with three' })).toBeTruthy();
    expect(keptGroupChecks.read(ids.account, `${ids.choir}:room`)).toBeUndefined();
    // Begun again by a slip: nothing is lost.
    click('go on with the check before');
    expect(screen.getByRole('status').textContent).toBe('E4');
    expect(keptGroupChecks.read(ids.account, `${ids.choir}:room`)?.note).toBe(64);
  });

  it('suggests a part for each in one table, keeps whose is decided, and stores all at once', async () => {
    const server = serve({ keepChecks: () => [] });
    const router = await room();
    // A newcomer who turns out to be a low voice.
    fireEvent.click(screen.getByLabelText('Cleo Rill sings an octave below'));
    click('Begin with three');
    press('n', 3);
    click('Odo Pell: the voice changes here');
    press('n', 2);
    click('Cleo Rill');
    press('n');
    click('Now down');
    press('n', 4);
    click('That is all');
    const list = screen.getByRole('list', { name: /the parts it suits/ });
    expect(within(list).getAllByRole('listitem')).toHaveLength(3);
    const partOf = (name: string) => screen.getByLabelText<HTMLSelectElement>(`Part of ${name}`);
    expect([partOf('Ash Tarn').value, partOf('Odo Pell').value]).toEqual(['S', 'B']);
    const suggested = partOf('Cleo Rill').value;
    expect(within(partOf('Cleo Rill')).getByText(/, suggested$/)).toBeTruthy();
    expect(['T', 'B']).toContain(suggested);
    fireEvent.change(partOf('Cleo Rill'), { target: { value: 'T' } });
    click('Keep the ranges and the parts');
    await waitFor(() => expect(router.state.location.pathname).toBe('/voices/roster'));
    const { checks } = server.asked[0]!.body as KeepChecks;
    expect(checks.map(({ part, means }) => [part, means])).toEqual([
      ['S', 'room'],
      ['B', 'room'],
      ['T', 'room'],
    ]);
    // As it sounds: an octave below what was given.
    expect(checks[1]!.changes).toEqual([56]);
    expect(checks[2]!.comfort[1]).toBeLessThan(checks[0]!.comfort[1] - 10);
  });

  it('says why nothing was kept, and keeps it here', async () => {
    serve({
      keepChecks: () => {
        throw new Refusal(404, 'not_found', 'This singer is not there any more.');
      },
    });
    await room();
    click('Begin with three');
    click('Now down');
    click('That is all');
    click('Keep the ranges and the parts');
    expect((await screen.findByRole('alert')).textContent).toMatch(/not there any more/);
    expect(keptGroupChecks.read(ids.account, `${ids.choir}:room`)?.way).toBe('done');
  });

  it('takes names of newcomers, one in a line, without a part', async () => {
    const server = serve({ storeSingers: () => [] });
    await room([]);
    expect(screen.getByText(/Nobody is here yet/)).toBeTruthy();
    const names = screen.getByLabelText(/names, one in a line/);
    fireEvent.change(names, { target: { value: 'x'.repeat(81) } });
    expect(screen.getByRole('alert').textContent).toMatch(/at most 80 characters/);
    fireEvent.change(names, { target: { value: ' Dora Beck \n\nOdo Pell' } });
    click('Add them, parts not decided');
    await waitFor(() => expect(server.asked).toHaveLength(1));
    const { add } = server.asked[0]!.body as StoreSingers;
    expect(add.map(({ name, part }) => [name, part])).toEqual([
      ['Dora Beck', null],
      ['Odo Pell', null],
    ]);
  });
});
