import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Answer, KeepChecks } from '@wide-fern/contract';
import { rangeInWords } from '@wide-fern/words';
import { ids, show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import SentIn from './SentIn';
import { sopranos, voices } from './testing/choir';

const [first, second] = sopranos;
const sentAt = '2026-12-01T20:00:00.000Z';
const easy = (id: string, name: string, low: number, high: number): Answer => ({
  ...{ id, part: 'S', sentAt, said: { kind: 'range', name, low, high } },
});

/** A server with what singers sent, that keeps checks. */
function served(answers: Answer[]) {
  const kept: KeepChecks['checks'] = [];
  const server = serve({
    listAnswers: () => answers,
    dropAnswer: ({ params }) => {
      answers = answers.filter(({ id }) => id !== params.answer);
    },
    keepChecks: ({ body }) => {
      kept.push(...body.checks);
      return [];
    },
  });
  return { server, kept, left: () => answers.map(({ id }) => id) };
}
const opened = async (title: string) => {
  await show(<SentIn singers={sopranos} parts={voices.parts} />);
  fireEvent.click(await screen.findByRole('button', { name: title }));
  return within(screen.getByRole('region', { name: 'What singers sent' })).getAllByRole('listitem');
};

afterEach(tidy);

describe('what singers sent as easy', () => {
  it('is not spoken of where nobody sent anything of their voice', async () => {
    const helped = { kind: 'exercise', exercise: 'pulley', words: 'it helped' } as const;
    served([{ id: ids.one, part: null, sentAt, said: helped }]);
    await show(<SentIn singers={sopranos} parts={voices.parts} />);
    await waitFor(() => expect(screen.queryByRole('button')).toBeNull());
  });

  it('is said where it could not be fetched, and fetched again', async () => {
    const { server } = served([easy(ids.one, 'Ash Tarn', 60, 72)]);
    const { listAnswers } = server.answers;
    server.answers = {
      ...server.answers,
      listAnswers: () => {
        throw new Refusal(503, 'database_away', 'The database is away.');
      },
    };
    await show(<SentIn singers={sopranos} parts={voices.parts} />);
    expect((await screen.findByRole('alert')).textContent).toContain(
      'What singers sent from home could not be fetched. The database is away.',
    );
    server.answers = { ...server.answers, ...(listAnswers ? { listAnswers } : {}) };
    fireEvent.click(screen.getByRole('button', { name: 'try again' }));
    expect(
      await screen.findByRole('button', { name: 'One singer has sent what was easy' }),
    ).toBeTruthy();
  });

  it('becomes a check of the singer whose name it bears, once it is confirmed', async () => {
    const { kept, left } = served([
      easy(ids.one, ` ${first!.name.toUpperCase()}`, 60, 100),
      easy(ids.two, 'Somebody else', 62, 75),
    ]);
    const [known, unknown] = await opened('Two singers have sent what was easy');
    expect(known!.textContent).toContain(', sopranos: C4 to E7');
    // What was known stands beside it, so that a page of another part is noticed.
    expect(known!.textContent).toContain(`so far ${rangeInWords(first!.comfort!, 'flats')}`);
    expect(unknown!.textContent).not.toContain('so far');
    // Who it is has to be said where no name says it.
    const keep = (row: HTMLElement) =>
      within(row).getByRole<HTMLButtonElement>('button', { name: 'keep it as a check' });
    expect([keep(known!).disabled, keep(unknown!).disabled]).toEqual([false, true]);
    fireEvent.click(keep(known!));
    await waitFor(() => expect(left()).toEqual([ids.two]));
    // What was known to be reached is not lost, and reaches as far as what is easy.
    const low = Math.min(60, first!.reach?.[0] ?? 60);
    expect(kept).toEqual([
      {
        ...{ singer: first!.id, comfort: [60, 100], reach: [low, 100] },
        ...{ lightTop: null, changes: [], means: 'at-home' },
      },
    ]);
    await screen.findByRole('button', { name: 'One singer has sent what was easy' });
    const row = screen.getByRole('listitem');
    fireEvent.change(within(row).getByRole('combobox'), { target: { value: second!.id } });
    fireEvent.click(keep(row));
    await waitFor(() => expect(left()).toEqual([]));
    expect(kept[1]!.singer).toBe(second!.id);
  });

  it('is gone without a word where somebody else threw it away meanwhile', async () => {
    let answers = [easy(ids.one, 'Somebody', 60, 70)];
    serve({
      listAnswers: () => answers,
      dropAnswer: () => {
        answers = [];
        throw new Refusal(404, 'not_found', 'What was sent is not here.');
      },
    });
    await opened('One singer has sent what was easy');
    fireEvent.click(screen.getByRole('button', { name: 'throw it away' }));
    await waitFor(() => expect(screen.queryByRole('listitem')).toBeNull());
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('is thrown away in one touch, and stays where that was refused', async () => {
    const { server, kept, left } = served([easy(ids.one, 'Somebody', 60, 70)]);
    const { dropAnswer } = server.answers;
    server.answers = {
      ...server.answers,
      dropAnswer: () => {
        throw new Refusal(503, 'database_away', 'The database is away.');
      },
    };
    await opened('One singer has sent what was easy');
    const drop = () => fireEvent.click(screen.getByRole('button', { name: 'throw it away' }));
    drop();
    expect((await screen.findByRole('alert')).textContent).toContain('The database is away.');
    server.answers = { ...server.answers, dropAnswer: dropAnswer! };
    drop();
    await waitFor(() => expect(screen.queryByRole('listitem')).toBeNull());
    expect([left(), kept]).toEqual([[], []]);
  });
});
