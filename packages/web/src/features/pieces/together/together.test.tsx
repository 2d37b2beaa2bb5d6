import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Judging, JudgingCard, OpenJudging, Piece, SettleJudging } from '@wide-fern/contract';
import { judgingsQuery, queryClient } from '@wide-fern/client';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve, type Answers } from '../../../testing/served';
import { shortNames } from './names';
import Together from './Together';

const piece: Piece = {
  id: ids.one,
  version: 1,
  piece: {
    ...{ title: 'Lanterns', composer: '', language: '', tempo: null, transpose: 0, notes: '' },
    ...{ ranges: { S: [62, 77] }, score: null },
  },
  marks: [],
  judgements: [
    {
      ...{ id: ids.three, judgedOn: '2026-11-24', by: 'Imke Sandvoort' },
      ...{ scores: [{ skill: 'tuning', score: 2, note: '' }], target: 'tuning' },
    },
  ],
};
type Shown = NonNullable<Judging['cards']>[number];
const card = (by: string, tuning: number, more: Partial<Shown> = {}): Shown => ({
  ...{ by, judge: null, isOwn: false, target: null },
  scores: [{ skill: 'tuning', score: tuning, note: '' }],
  ...more,
});
const judging = (more: Partial<Judging> = {}): Judging => ({
  ...{ id: ids.two, judgedOn: '2026-12-01', skills: ['tuning', 'blend'], group: '', tried: '' },
  ...{ openedBy: 'Imke Sandvoort', handedIn: [], cards: null, closed: false, agreed: null },
  recording: null,
  ...more,
});
const sound = (size = 40) => {
  const file = new File(['OggS'], 'run.ogg');
  Object.defineProperty(file, 'size', { value: size });
  return file;
};

const page = async (answers: Answers, role: 'director' | 'reader' = 'director') => {
  const server = serve(answers);
  await show(<Together piece={piece} />, { role });
  return server;
};
const click = (name: string | RegExp, within_: HTMLElement = document.body) =>
  fireEvent.click(within(within_).getByRole('button', { name }));
const score = (skill: string, points: number, within_: HTMLElement = document.body) =>
  fireEvent.click(
    within(within(within_).getByRole('radiogroup', { name: `How ${skill} was` })).getByRole(
      'radio',
      { name: String(points) },
    ),
  );
const yours = () => screen.findByRole('group', { name: 'Your card' });
const sent = (server: Awaited<ReturnType<typeof page>>, name: string) =>
  server.asked.filter((one) => one.name === name);
afterEach(() => {
  tidy();
  queryClient.clear();
});

describe('a run that is opened to be judged together', () => {
  it('asks for what was judged before, who sang and what was tried; sent again it is the same run', async () => {
    let isAway = true;
    const server = await page({
      listJudgings: () => [],
      openJudging: ({ params, body }) => {
        if (isAway) throw new Refusal(503, 'database_away', 'The database is away.');
        return judging({ id: params.judging!, ...body });
      },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'judge together' }));
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'tuning' }).checked).toBe(true);
    fireEvent.click(screen.getByRole('checkbox', { name: 'tuning' }));
    click('Open the cards');
    expect(screen.getByRole('alert').textContent).toBe('Choose at least one skill.');
    fireEvent.change(screen.getByLabelText('Another skill on the card'), {
      target: { value: 'blend' },
    });
    fireEvent.click(screen.getByRole('radio', { name: 'a small group' }));
    click('Open the cards');
    expect(screen.getByText('Say who sang, “two of each part”.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Who they are'), { target: { value: ' a few ' } });
    fireEvent.change(screen.getByLabelText(/^What was tried/), { target: { value: 'Embers' } });
    click('Open the cards');
    expect((await screen.findByRole('alert')).textContent).toBe('The database is away.');
    // A closed tab loses nothing, and it is the same run.
    cleanup();
    await show(<Together piece={piece} />);
    fireEvent.click(await screen.findByRole('button', { name: 'judge together' }));
    fireEvent.change(screen.getByLabelText('Another skill on the card'), {
      target: { value: 'legato' },
    });
    fireEvent.click(screen.getByRole('checkbox', { name: 'legato' }));
    expect(screen.getByLabelText<HTMLInputElement>(/^What was tried/).value).toBe('Embers');
    isAway = false;
    click('Open the cards');
    await yours();
    const [first, second] = sent(server, 'openJudging');
    expect(second!.params).toEqual(first!.params);
    expect(second!.body as OpenJudging).toMatchObject({
      ...{ skills: ['blend'], group: 'a few', tried: 'Embers' },
    });
  });

  it('is no reader’s to open, and says nothing where there is none', async () => {
    await page({ listJudgings: () => [] }, 'reader');
    await waitFor(() =>
      expect(queryClient.getQueryData(judgingsQuery(ids.choir, ids.one).queryKey)).toEqual([]),
    );
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByRole('heading')).toBeNull();
  });

  it('that could not be fetched is said, and fetched when it is tried again', async () => {
    const server = await page({
      listJudgings: () => {
        throw new Refusal(404, 'not_found', 'This piece is not here.');
      },
    });
    expect((await screen.findByRole('alert')).textContent).toMatch(/could not be fetched/);
    server.answers = { listJudgings: () => [judging()] };
    click('try again');
    await yours();
  });
});

describe('one’s own card', () => {
  it('is handed in, and shows what the others say then', async () => {
    const server = await page(
      {
        listJudgings: () => [judging({ handedIn: ['Ruta Oksanen-Bey'] })],
        handInCard: ({ body }) =>
          judging({
            handedIn: ['Ruta Oksanen-Bey', 'Joss Whitlam'],
            cards: [
              card('Ruta Oksanen-Bey', 4, { target: 'blend' }),
              { ...card('Joss Whitlam', 2), ...body, isOwn: true },
            ],
          }),
      },
      'reader',
    );
    await yours();
    expect(screen.getByText(/Handed in: Ruta Oksanen-Bey/)).toBeTruthy();
    expect(screen.queryByRole('table')).toBeNull();
    click('Hand in your card');
    expect(screen.getByRole('alert').textContent).toMatch(/^Judge at least one skill/);
    score('tuning', 2);
    fireEvent.change(screen.getByLabelText('A word about tuning'), { target: { value: 'flat' } });
    click('Hand in your card');
    const row = within(await screen.findByRole('row', { name: /^tuning/ }));
    expect(row.getAllByRole('cell').map(({ textContent }) => textContent)).toEqual([
      ...['', 'you', '', 'Ruta', ''],
      'from 2 to 4: more than one apart',
    ]);
    expect(screen.getByText('you on tuning: flat')).toBeTruthy();
    expect(screen.getByText('Next target: blend (Ruta).')).toBeTruthy();
    expect(sent(server, 'handInCard')[0]!.body as JudgingCard).toEqual({
      ...{ scores: [{ skill: 'tuning', score: 2, note: 'flat' }], target: null },
    });
    // What readers may not do is not offered.
    expect(screen.queryByRole('button', { name: /take no more|throw|attach/ })).toBeNull();
    // Thought over, it begins with what was said.
    click('change it');
    expect(screen.getByLabelText<HTMLInputElement>('A word about tuning').value).toBe('flat');
  });

  it('waits on the device half filled, and is there no more when it was handed in', async () => {
    const answers: Answers = {
      listJudgings: () => [judging()],
      handInCard: () => judging({ cards: [card('Joss Whitlam', 3, { isOwn: true })] }),
    };
    await page(answers);
    await yours();
    score('blend', 3);
    cleanup();
    queryClient.clear();
    await page(answers);
    await yours();
    const chosen = screen.getAllByRole('radio', { checked: true });
    expect(chosen.map(({ textContent }) => textContent)).toEqual(['3']);
    click('Hand in your card');
    await screen.findByText(/Your card is in/);
    cleanup();
    queryClient.clear();
    await page(answers);
    await yours();
    expect(screen.queryAllByRole('radio', { checked: true })).toEqual([]);
  });

  it('that comes too late says so, and what was agreed on is shown', async () => {
    let isOver = false;
    await page({
      listJudgings: () => [
        isOver
          ? judging({
              ...{ closed: true, cards: [card('Ruta Oksanen-Bey', 3)] },
              agreed: { scores: [{ skill: 'tuning', score: 3, note: '' }], target: 'blend' },
            })
          : judging(),
      ],
      handInCard: () => {
        isOver = true;
        throw new Refusal(409, 'judging_over', 'No more cards are taken.');
      },
    });
    await yours();
    score('tuning', 5);
    click('Hand in your card');
    expect(await screen.findByText('agreed: tuning 3 and next blend')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toBe('No more cards are taken.');
  });
});

describe('what is agreed on', () => {
  const cards = [
    card('Ruta Oksanen-Bey', 2, { target: 'tuning' }),
    card('Ruta Marsh', 3, { target: 'tuning' }),
    card('Joss Whitlam', 4, { isOwn: true }),
  ];

  it('begins with the middle and the target that most name, and is kept once', async () => {
    let kept = judging({ cards });
    const server = await page({
      listJudgings: () => [kept],
      settleJudging: ({ body }) => (kept = judging({ cards, closed: true, agreed: body.agreed })),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'take no more cards, and agree' }));
    const form = screen.getByRole('group', { name: 'What you agree on' });
    const chosen = within(form).getAllByRole('radio', { checked: true });
    expect(chosen.map(({ textContent }) => textContent)).toEqual(['3']);
    score('blend', 5, form);
    click('Keep it as the judgement', form);
    expect(await screen.findByText('agreed: tuning 3, blend 5 and next tuning')).toBeTruthy();
    expect(screen.queryByRole('group', { name: 'What you agree on' })).toBeNull();
    const [settled] = sent(server, 'settleJudging');
    expect((settled!.body as SettleJudging).agreed).toMatchObject({ target: 'tuning' });
    // Two of one name are told apart.
    expect(screen.getByText('Ruta Marsh')).toBeTruthy();
  });

  it('can wait: whoever did not judge looks at the cards first', async () => {
    let kept = judging({ handedIn: ['Ruta Marsh'] });
    await page({
      listJudgings: () => [kept],
      settleJudging: () => (kept = judging({ closed: true, cards: [card('Ruta Marsh', 4)] })),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^take no more cards, and show/ }));
    const form = await screen.findByRole('group', { name: 'What you agree on' });
    expect(within(form).getAllByRole('radio', { checked: true })).toHaveLength(1);
    expect(screen.queryByRole('group', { name: 'Your card' })).toBeNull();
  });

  it('of a few is a trial: what changed after something was tried is said, and it is judged again so', async () => {
    const few = { group: 'a few', closed: true, skills: ['tuning' as const] };
    const agreed = { scores: [{ skill: 'tuning' as const, score: 3, note: '' }], target: null };
    await page({
      listJudgings: () => [
        judging({
          ...{ ...few, agreed, tried: 'Embers' },
          cards: [card('Ruta Marsh', 3, { judge: ids.account })],
        }),
        judging({ id: ids.one, skills: ['tuning'] }),
        judging({
          ...{ ...few, agreed, id: ids.three },
          cards: [card('Ruta Marsh', 2, { judge: ids.account })],
        }),
      ],
    });
    expect(
      await screen.findByText(/^After “Embers”: tuning from 2 to 3 \(better to the one judge\)/),
    ).toBeTruthy();
    const [again] = screen.getAllByRole('button', { name: 'judge it again' });
    fireEvent.click(again!);
    expect(screen.getByLabelText<HTMLInputElement>('Who they are').value).toBe('a few');
  });

  it('goes only after it was asked, and says so where it cannot', async () => {
    let here = [judging()];
    let isAway = true;
    await page({
      listJudgings: () => here,
      removeJudging: () => {
        if (isAway) throw new Refusal(503, 'database_away', 'The database is away.');
        here = [];
        return undefined;
      },
    });
    await yours();
    click(/^Throw the cards of/);
    click('keep them');
    click(/^Throw the cards of/);
    click('throw the cards away for good');
    expect((await screen.findByRole('alert')).textContent).toBe('The database is away.');
    isAway = false;
    click('throw the cards away for good');
    await waitFor(() => expect(screen.queryByRole('group', { name: 'Your card' })).toBeNull());
  });
});

describe('a recording', () => {
  const until = '2026-12-15T20:00:00.000Z';
  const recording = { name: 'run.ogg', size: 4000, until };

  it('is sent with how long it is kept, and says when it is deleted', async () => {
    let kept: Judging = judging();
    const server = await page({
      listJudgings: () => [kept],
      keepRecording: () => (kept = judging({ recording })),
      removeRecording: () => {
        kept = judging();
        return undefined;
      },
    });
    await yours();
    fireEvent.change(screen.getByLabelText(/^For how many days/), { target: { value: '7' } });
    fireEvent.change(screen.getByLabelText('A recording of this run'), {
      target: { files: [sound()] },
    });
    expect(await screen.findByText(/^run\.ogg, 4 kB, deleted by itself on/)).toBeTruthy();
    expect(sent(server, 'keepRecording')[0]!.query).toEqual({ name: 'run.ogg', days: '7' });
    click('throw the recording away');
    expect(await screen.findByRole('button', { name: 'attach a recording' })).toBeTruthy();
  });

  it('that did not arrive is sent again without being chosen anew', async () => {
    let isAway = true;
    let kept: Judging = judging();
    const server = await page({
      listJudgings: () => [kept],
      keepRecording: () => {
        if (isAway) throw new Refusal(503, 'database_away', 'The database is away.');
        return (kept = judging({ recording }));
      },
    });
    await yours();
    fireEvent.change(screen.getByLabelText('A recording of this run'), {
      target: { files: [sound()] },
    });
    expect((await screen.findByRole('alert')).textContent).toMatch(/^The database is away/);
    isAway = false;
    click('send it again');
    expect(await screen.findByText(/^run\.ogg, 4 kB/)).toBeTruthy();
    expect(sent(server, 'keepRecording')).toHaveLength(2);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('that is none is refused, and not offered to be sent again', async () => {
    await page({
      listJudgings: () => [judging()],
      keepRecording: () => {
        throw new Refusal(400, 'invalid', 'This is no recording.');
      },
    });
    await yours();
    fireEvent.change(screen.getByLabelText('A recording of this run'), {
      target: { files: [sound()] },
    });
    expect((await screen.findByRole('alert')).textContent?.trim()).toBe('This is no recording.');
    expect(screen.queryByRole('button', { name: 'send it again' })).toBeNull();
  });

  it('that is too large is not sent at all', async () => {
    const server = await page({ listJudgings: () => [judging()] });
    await yours();
    fireEvent.change(screen.getByLabelText('A recording of this run'), {
      target: { files: [sound(20_000_001)] },
    });
    expect(screen.getByRole('alert').textContent).toMatch(/^Recordings up to 20 MB/);
    expect(sent(server, 'keepRecording')).toEqual([]);
  });

  it('that cannot be fetched says so, and can be tried again', async () => {
    await page({ listJudgings: () => [judging({ recording })] }, 'reader');
    fireEvent.click(await screen.findByRole('button', { name: 'hear the recording' }));
    expect((await screen.findByRole('alert')).textContent).not.toBe('');
    expect(
      screen.getByRole<HTMLButtonElement>('button', { name: 'hear the recording' }).disabled,
    ).toBe(false);
    expect(screen.queryByRole('button', { name: /attach|throw the recording/ })).toBeNull();
  });
});

describe('names on a card', () => {
  it('are as short as they can be told apart', () => {
    expect(shortNames(['Ruta Marsh', 'Joss Whitlam', 'Ruta Ash', 'Odile', ''])).toEqual([
      ...['Ruta Marsh', 'Joss', 'Ruta Ash', 'Odile', 'somebody'],
    ]);
    expect(shortNames([])).toEqual([]);
  });
});
