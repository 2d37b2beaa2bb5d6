import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useQuery } from '@tanstack/react-query';
import { demoScores } from '@wide-fern/catalogue/demo';
import { pieceQuery, queryClient } from '@wide-fern/client';
import type { Judgement, JudgementBody, Piece } from '@wide-fern/contract';
import { analysePiece, mixedChoir, usualSections } from '@wide-fern/core';
import { useState } from 'react';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import type { ChosenBars } from '../model/bars';
import { bodyOf, removePiece, storePiece } from '../model/changes';
import { Judgements } from './Judgements';
import { MarkBars } from './MarkBars';

const { score } = demoScores.lanterns;
const sections = usualSections(mixedChoir);
const mapping = score.staves.map(({ id }, i) => ({ line: `${id}/all`, parts: [sections[i]!.id] }));
const analysis = analysePiece(score, { mapping, sections, pace: 1, transpose: 0, phrase: 9 });

const judged = (judgedOn: string, more: Partial<Judgement> = {}): Judgement => ({
  id: ids.two,
  judgedOn,
  by: 'Imke Sandvoort',
  scores: [{ skill: 'legato', score: 3, note: '' }],
  target: null,
  ...more,
});
const lanterns = (more: Partial<Piece> = {}): Piece => ({
  id: ids.one,
  version: 4,
  piece: {
    title: 'Lanterns',
    composer: 'Ruben Falk',
    language: 'English',
    tempo: null,
    transpose: 0,
    notes: '',
    ranges: { S: [62, 77] },
    score: null,
  },
  marks: [],
  judgements: [],
  ...more,
});
const key = pieceQuery(ids.choir, ids.one).queryKey;
const stored = () => queryClient.getQueryData<Piece>(key)!;
/** A panel that follows what is held of the piece. */
function Held({ children }: { readonly children: (piece: Piece) => React.ReactNode }) {
  const { data } = useQuery({ queryKey: key, queryFn: () => stored(), staleTime: Infinity });
  return data ? children(data) : null;
}
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const fill = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
afterEach(tidy);

describe('marking bars', () => {
  let went: ChosenBars | undefined;
  function Panel() {
    const [chosen] = useState<ChosenBars>({ from: 3, to: 4 });
    return (
      <Held>
        {(piece) => (
          <MarkBars
            piece={piece}
            analysis={analysis}
            sections={sections}
            chosen={chosen}
            onChoose={(bars) => {
              went = bars;
            }}
          />
        )}
      </Held>
    );
  }
  const marks = () => screen.queryAllByRole('listitem').map(({ textContent }) => textContent);

  it('stores what was said of the chosen bars, and shows it among the others', async () => {
    queryClient.setQueryData(key, lanterns());
    const server = serve({ addMark: ({ body }) => ({ id: ids.three, ...body }) });
    await show(<Panel />);
    fill('Skill', 'low breath');
    fill('A word about it', 'carry it over');
    fireEvent.submit(screen.getByLabelText('Skill').closest('form')!);
    await waitFor(() => expect(stored().marks).toHaveLength(1));
    expect(server.asked[0]).toMatchObject({
      name: 'addMark',
      body: { fromBar: 3, toBar: 4, skill: 'low breath', note: 'carry it over', parts: [] },
    });
    await waitFor(() => expect(marks().join()).toMatch(/carry it over/));
    // Ready for the next one.
    expect(screen.getByLabelText<HTMLInputElement>('A word about it').value).toBe('');
  });

  it('takes a mark out again', async () => {
    const mark = { id: ids.three, fromBar: 9, toBar: 10, parts: [], note: 'here', skill: 'legato' };
    queryClient.setQueryData(key, lanterns({ marks: [mark as Piece['marks'][number]] }));
    const server = serve({ removeMark: () => undefined });
    await show(<Panel />);
    const list = screen.getAllByRole('listitem')[0]!;
    fireEvent.click(within(list).getAllByRole('button').at(-1)!);
    await waitFor(() => expect(stored().marks).toEqual([]));
    expect(server.asked[0]!.params.mark).toBe(ids.three);
    expect(went).toBeUndefined();
  });

  it('says why nothing was stored, and keeps what was written', async () => {
    queryClient.setQueryData(key, lanterns());
    serve({});
    await show(<Panel />);
    fill('A word about it', 'carry it over');
    fireEvent.submit(screen.getByLabelText('Skill').closest('form')!);
    expect((await screen.findByRole('alert')).textContent).toMatch(/cannot be reached/);
    expect(screen.getByLabelText<HTMLInputElement>('A word about it').value).toBe('carry it over');
  });
});

describe('runs judged', () => {
  const panel = (piece: Piece, role?: 'reader') => {
    queryClient.setQueryData(key, piece);
    return show(<Held>{(held) => <Judgements piece={held} />}</Held>, role ? { role } : {});
  };

  it('say that there are none yet', async () => {
    await panel(lanterns());
    expect(screen.getByText('No run of it has been judged yet.')).toBeTruthy();
  });

  it('name the next target, and since when it is open', async () => {
    await panel(
      lanterns({
        judgements: [
          judged('2026-11-24', { target: 'low breath' }),
          judged('2026-11-17', { id: ids.three }),
        ],
      }),
    );
    expect(screen.getByText(/Next target:/).textContent).toMatch(
      /^Next target: low breath, open since 24 Nov/,
    );
    const lines = screen.getAllByRole('listitem').map(({ textContent }) => textContent ?? '');
    expect(lines[0]).toMatch(/24 Nov.*legato 3.*next: low breath.*Imke Sandvoort/);
  });

  it('are only looked at by a reader', async () => {
    await panel(lanterns({ judgements: [judged('2026-11-24')] }), 'reader');
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('are judged skill by skill', async () => {
    const server = serve({
      addJudgement: ({ body }) => ({ id: ids.three, by: 'Joss Whitlam', ...body }),
      showPiece: () => lanterns({ judgements: [judged('2026-12-01')] }),
      listPieces: () => ({ items: [], next: null }),
    });
    await panel(lanterns());
    click('judge a run');
    click(/^Keep the judgement/);
    // Nothing was judged yet.
    expect(screen.getByRole('alert').textContent).toMatch(/^Judge at least one skill/);
    const points = within(screen.getByRole('radiogroup', { name: 'How legato was' }));
    fireEvent.click(points.getByRole('radio', { name: '4' }));
    fill('A word about legato', 'better');
    fill('Next target', 'low breath');
    click(/^Keep the judgement/);
    await waitFor(() => expect(screen.queryByRole('radiogroup')).toBeNull());
    const { body } = server.asked.find(({ name }) => name === 'addJudgement')!;
    expect(body as JudgementBody).toMatchObject({
      scores: [{ skill: 'legato', score: 4, note: 'better' }],
      target: 'low breath',
    });
  });

  it('are kept half judged, so that a closed tab loses nothing', async () => {
    await panel(lanterns());
    click('judge a run');
    fill('A word about legato', 'better');
    cleanup();
    await panel(lanterns());
    click('judge a run');
    expect(screen.getByLabelText<HTMLInputElement>('A word about legato').value).toBe('better');
    click('leave it');
    click('judge a run');
    expect(screen.getByLabelText<HTMLInputElement>('A word about legato').value).toBe('');
  });

  it('say why one could not be taken back', async () => {
    serve({
      removeJudgement: () => {
        throw new Refusal(404, 'not_found', 'This run is not there any more.');
      },
    });
    await panel(lanterns({ judgements: [judged('2026-11-24')] }));
    fireEvent.click(within(screen.getAllByRole('listitem')[0]!).getByRole('button'));
    expect((await screen.findByRole('alert')).textContent).toBe('This run is not there any more.');
  });
});

describe('a piece that is stored', () => {
  const listKey = ['choirs', ids.choir, 'pieces'];
  const isOld = () => queryClient.getQueryState(listKey)?.isInvalidated;
  beforeEach(() => {
    queryClient.setQueryData(listKey, []);
  });

  it('is new, or goes over the version that was looked at', async () => {
    const server = serve({
      addPiece: () => lanterns(),
      changePiece: () => lanterns({ version: 5 }),
    });
    const body = bodyOf(lanterns());
    await storePiece(ids.choir, body);
    expect(stored().version).toBe(4);
    await storePiece(ids.choir, body, lanterns());
    expect(stored().version).toBe(5);
    expect(server.asked.map(({ name }) => name)).toEqual(['addPiece', 'changePiece']);
    expect(server.asked[1]!.body).toEqual({ version: 4, piece: body });
    expect(isOld()).toBe(true);
  });

  it('hands in its file and mapping, and leaves to the server what is read in it', () => {
    const read = { byBar: { numbers: [], parts: {} }, seconds: 60, name: 'a.mxl', size: 9 };
    const kept = { file: ids.two, mapping: [{ line: 'P1.1/all', parts: ['S'] }] };
    const { piece } = lanterns();
    const { score: sent } = bodyOf(lanterns({ piece: { ...piece, score: { ...kept, ...read } } }));
    expect(sent).toEqual(kept);
  });

  it('is gone everywhere when it is taken out', async () => {
    queryClient.setQueryData(key, lanterns());
    serve({ removePiece: () => undefined });
    await removePiece(ids.choir, ids.one);
    expect(stored()).toBeUndefined();
    expect(isOld()).toBe(true);
  });
});
