import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { KeepChecks } from '@wide-fern/contract';
import { beginGroupCheck, nextNote, noteName, tick, turnAround, usualStart } from '@wide-fern/core';
import { show, tidy, ids } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import { keptChecks, keptGroupChecks } from '../model/keptOnDevice';
import { notesShown } from '../model/useCheck';
import { foundInGroup } from '../group/useGroupCheck';
import { sopranos, sopranosTonight, voices } from '../testing/choir';
import { CheckPanel } from './CheckPanel';
import type { PanelProps } from './props';
import { SectionCheckPanel } from './SectionCheckPanel';
import '../../../music/notation/NoteStaff';

const opened: string[] = [];
const panel = (singers = sopranos): PanelProps => ({
  data: {} as PanelProps['data'],
  section: sopranosTonight(singers),
  sections: [sopranosTonight(singers)],
  undecided: [],
  place: 0,
  row: undefined,
  onOpen: (kind) => opened.push(kind),
});
const press = (key: string) => fireEvent.keyDown(window, { key });
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const asked = () =>
  screen
    .getAllByRole('status')
    .map(({ textContent }) => textContent)
    .find((text) => /^[A-G]/.test(text ?? ''));

async function check(name = 'Ash Tarn') {
  const props = panel();
  const row = props.section.rows.find(({ singer }) => singer.name === name)!;
  const done = () => props.onOpen('singer');
  await show(
    <CheckPanel singer={row.singer} states={row.states} parts={voices.parts} onDone={done} />,
  );
  return row.singer;
}
/** Easy going up for so many notes and then not there; the same going down. */
function sing(up: number, down: number) {
  // By semitones, so that a test can count.
  const larger = screen.getByRole<HTMLInputElement>('checkbox', { name: /larger steps/ });
  if (larger.checked) fireEvent.click(larger);
  for (let i = 0; i < up; i += 1) press('e');
  press('x');
  for (let i = 0; i < down; i += 1) press('e');
  press('x');
}

afterEach(() => {
  tidy();
  opened.length = 0;
});

describe('a range check by hand', () => {
  it('begins on an easy note and asks one after the other, up and then down', async () => {
    const singer = await check();
    const start = usualStart(singer.comfort!);
    expect(asked()).toBe(noteName(start, 'flats'));
    press('e');
    // Where it is expected to be easy it goes by larger steps.
    expect(asked()).toBe(noteName(start + 3, 'flats'));
    fireEvent.click(screen.getByRole('checkbox', { name: /larger steps/ }));
    expect(asked()).toBe(noteName(start + 1, 'flats'));
    press('x');
    expect(screen.getByRole('heading', { level: 3 }).textContent).toBe('Range check, going down');
    expect(asked()).toBe(noteName(start - 1, 'flats'));
  });

  it('notes in passing where the voice changes', async () => {
    const server = serve({ keepChecks: () => [] });
    const singer = await check();
    const start = usualStart(singer.comfort!);
    press('e');
    press('r');
    expect(screen.getByText(/^The voice changes its register at/).textContent).toContain(
      noteName(start + 3, 'flats'),
    );
    click('Keep what is found');
    await waitFor(() => expect(opened).toEqual(['singer']));
    const { checks } = server.asked[0]!.body as KeepChecks;
    expect(checks[0]!.changes).toEqual([start + 3]);
  });

  it('takes a step back', async () => {
    await check();
    const first = asked();
    click(/^Easy/);
    click(/^undo a step/);
    expect(asked()).toBe(first);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^undo a step/ }).disabled).toBe(
      true,
    );
  });

  it('says what it found when it is done', async () => {
    const singer = await check();
    const start = usualStart(singer.comfort!);
    sing(4, 5);
    const found = `${noteName(start - 5, 'flats')} to ${noteName(start + 3, 'flats')}`;
    expect(screen.getByText(/^The check is done/).textContent).toContain(found);
  });

  it('is paused on this device, and goes on where it was', async () => {
    const singer = await check();
    press('e');
    const now = asked();
    tidyPage();
    await check();
    expect(asked()).toBe(now);
    click('begin again');
    expect(keptChecks.read(ids.account, singer.id)).toBeUndefined();
  });

  it('asks for another note to begin on where the first is not easy', async () => {
    const singer = await check();
    press('x');
    const start = usualStart(singer.comfort!);
    expect(screen.getByText(/is not easy to begin on/).textContent).toContain(
      noteName(start, 'flats'),
    );
    click('Begin lower');
    expect(asked()).toBe(noteName(start - 4, 'flats'));
  });

  it('is stored as found by ear, and only then forgotten here', async () => {
    const server = serve({ keepChecks: () => [] });
    const singer = await check();
    sing(3, 3);
    click('Keep what is found');
    await waitFor(() => expect(opened).toEqual(['singer']));
    const { checks } = server.asked[0]!.body as KeepChecks;
    const start = usualStart(singer.comfort!);
    expect(checks).toMatchObject([
      { singer: singer.id, comfort: [start - 3, start + 2], means: 'by-ear' },
    ]);
    expect(keptChecks.read(ids.account, singer.id)).toBeUndefined();
  });

  it('is kept here when the server cannot be reached', async () => {
    serve({});
    const singer = await check();
    sing(3, 3);
    click('Keep what is found');
    expect((await screen.findByRole('alert')).textContent).toMatch(/cannot be reached/);
    expect(keptChecks.read(ids.account, singer.id)?.steps).toHaveLength(8);
    expect(opened).toEqual([]);
  });

  it('begins for who has no range yet where the part lies', async () => {
    await check('Cleo Rill');
    const { part } = sopranosTonight();
    expect(asked()).toBe(noteName(usualStart(part.comfort), 'flats'));
  });

  it('warns of what hurts, and never pushes', async () => {
    await check();
    expect(screen.getByText(/Stop when anything hurts/)).toBeTruthy();
    expect(screen.getByText(/Too high shows as strain/)).toBeTruthy();
  });
});

const tidyPage = () => {
  const kept = { ...localStorage };
  tidy();
  for (const [key, value] of Object.entries(kept)) localStorage.setItem(key, value as string);
};

describe('the notes on the staff', () => {
  const step = (note: number) => ({ way: 'up' as const, note, answer: 'easy' as const });
  it('show the one before beside its neighbour, and nothing further away', () => {
    const at = (...steps: readonly number[]) => ({
      start: 60,
      light: false,
      expected: null,
      changes: [],
      steps: steps.map(step),
    });
    expect(notesShown(at(60), 61)).toEqual([60, 61]);
    expect(notesShown(at(60, 61, 62), 59)).toEqual([59]);
    expect(notesShown(at(), 60)).toEqual([60]);
  });
});

describe('a whole section checked together', () => {
  const many = /^(\d+) of (\d+) still sing$/;
  const still = () =>
    many
      .exec(screen.getByText(many).textContent ?? '')!
      .slice(1)
      .map(Number);

  it('goes up note by note while who drops out is ticked', async () => {
    await show(<SectionCheckPanel {...panel()} />);
    expect(still()).toEqual([3, 3]);
    press('n');
    click('Ash Tarn');
    expect(still()).toEqual([2, 3]);
    expect(
      screen.getByRole('button', { name: /^Ash Tarn dropped/ }).getAttribute('aria-pressed'),
    ).toBe('true');
    press('u');
    expect(still()).toEqual([3, 3]);
  });

  it('finds for each what was easy, and keeps it for all at once', async () => {
    const server = serve({ keepChecks: () => [] });
    await show(<SectionCheckPanel {...panel()} />);
    press('n');
    press('n');
    click('Ash Tarn');
    click('Now down');
    press('n');
    click('Bram Oake');
    press('n');
    click('That is all');
    const list = screen.getByRole('list', { name: 'What was found' });
    expect(within(list).getAllByRole('listitem')).toHaveLength(3);
    click('Keep what is found');
    await waitFor(() => expect(opened).toEqual(['section']));
    const { checks } = server.asked[0]!.body as KeepChecks;
    expect(checks.map(({ means }) => means)).toEqual(['section', 'section', 'section']);
    const ash = checks.find(({ singer }) => singer === sopranos[0]!.id)!;
    // What was known to be in reach stays so.
    expect(ash.reach[0]).toBeLessThanOrEqual(sopranos[0]!.reach![0]);
    expect(ash.reach[1]).toBeGreaterThanOrEqual(sopranos[0]!.reach![1]);
  });

  it('says why nothing was stored, and keeps it', async () => {
    serve({
      keepChecks: () => {
        throw new Refusal(422, 'invalid', 'A singer here is not on the roster any more.');
      },
    });
    await show(<SectionCheckPanel {...panel()} />);
    press('n');
    click('Now down');
    click('That is all');
    click('Keep what is found');
    expect((await screen.findByRole('alert')).textContent).toBe(
      'A singer here is not on the roster any more.',
    );
    const { part } = sopranosTonight();
    expect(keptGroupChecks.read(ids.account, `${ids.choir}:${part.id}`)?.way).toBe('done');
  });

  it('finds nothing for who left the section meanwhile', () => {
    const [ash, bram] = sopranos;
    const begun = beginGroupCheck([ash!.id, bram!.id], 67);
    const done = turnAround(turnAround(nextNote(tick(begun, bram!.id))));
    expect(foundInGroup(done, [ash!]).map(({ singer }) => singer.name)).toEqual(['Ash Tarn']);
    expect(foundInGroup(begun, [ash!])).toEqual([]);
  });
});
