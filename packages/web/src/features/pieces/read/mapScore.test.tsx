import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { demoScores } from '@wide-fern/catalogue/demo';
import type { StorePiece } from '@wide-fern/contract';
import { foundIn, mixedChoir, readingOfScore, usualSections } from '@wide-fern/core';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import type { Asks } from '../../../here/score/messages';
import type { ScoreWorker } from '../../../here/score/scoreWorker';
import { guessedMapping, missingIn, rangesInWords, whoSings } from './mappingModel';
import { MapScore } from './MapScore';

const { score } = demoScores.lanterns;
const found = foundIn(score);
const sections = usualSections(mixedChoir);
/** The score read on this thread; a worker does the same beside the page. */
const worker = {
  ask: (_: string, { mapping, parts }: Asks['reading']['asked']) =>
    Promise.resolve(readingOfScore(score, mapping, parts)),
} as unknown as ScoreWorker;
const file = new File(['score'], 'lanterns-over-slate.mxl');

const map = () =>
  show(
    <MapScore
      name={file.name}
      file={file}
      found={found}
      worker={worker}
      sections={sections}
      piece={undefined}
    />,
  );
const fill = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep the piece' }));
const lines = () =>
  within(screen.getByRole('list', { name: 'Lines of the score' })).getAllByRole('listitem');
const alerts = () =>
  screen
    .queryAllByRole('alert')
    .map(({ textContent }) => textContent)
    .join(' ');
afterEach(tidy);

describe('saying who sings which line', () => {
  it('begins with what is guessed, and what that asks of each part', async () => {
    await map();
    expect(screen.getByRole('heading').textContent).toMatch(
      /^Found in lanterns-over-slate\.mxl: \d+ (staff|staves), \d+ bars/,
    );
    expect(lines()).toHaveLength(found.staves.length);
    await waitFor(() =>
      expect(screen.getByRole('status').textContent).toMatch(
        /^sopranos [A-G].* · altos .* · tenors .* · basses /i,
      ),
    );
    expect(screen.getByText(/ lines, 4 of 4 parts$/)).toBeTruthy();
  });

  it('says which part nobody is asked to sing', async () => {
    await map();
    const [first] = lines();
    fireEvent.click(within(first!).getAllByRole('button', { pressed: true })[0]!);
    expect(screen.getByText(/ lines, 3 of 4 parts$/)).toBeTruthy();
    expect(screen.getByRole('status').textContent).toMatch(/nobody is asked to sing the .* part$/);
  });

  it('keeps the file first, and then the piece with its mapping', async () => {
    const server = serve({
      keepScoreFile: ({ query }) => ({ id: ids.two, name: query.name!, size: 5 }),
      addPiece: ({ body }) => ({
        id: ids.one,
        version: 1,
        piece: { ...body, score: null },
        marks: [],
        judgements: [],
      }),
    });
    const router = await map();
    fill('Title', 'Lanterns');
    keep();
    await waitFor(() => expect(router.state.location.pathname).toBe(`/pieces/${ids.one}`));
    expect(server.asked.map(({ name }) => name)).toEqual(['keepScoreFile', 'addPiece']);
    expect(server.asked[0]!.query).toEqual({ name: file.name });
    const body = server.asked[1]!.body as StorePiece;
    expect(body).toMatchObject({ title: 'Lanterns', ranges: {}, score: { file: ids.two } });
    expect(body.score!.mapping.flatMap(({ parts }) => parts).sort()).toEqual(['A', 'B', 'S', 'T']);
  });

  it('asks for a title, and for one line at least, before anything is sent', async () => {
    const server = serve({});
    await map();
    fill('Title', '  ');
    keep();
    expect(alerts()).toMatch(/^Write the title first\./);
    fill('Title', 'Lanterns');
    for (const line of lines()) {
      for (const part of within(line).queryAllByRole('button', { pressed: true })) {
        fireEvent.click(part);
      }
    }
    keep();
    expect(alerts()).toMatch(/^Say at least for one line who sings it\./);
    expect(server.asked).toEqual([]);
  });

  it('stays as it was chosen when it could not be stored', async () => {
    serve({
      keepScoreFile: () => {
        throw new Refusal(413, 'too_large', 'This file is too large.');
      },
    });
    await map();
    fill('Composer', 'Ruben Falk');
    keep();
    await waitFor(() =>
      expect(alerts()).toBe('This file is too large. What you chose is still here.'),
    );
    expect(screen.getByLabelText<HTMLInputElement>('Composer').value).toBe('Ruben Falk');
  });
});

describe('a mapping in words', () => {
  const draft = guessedMapping(found, sections);
  it('names the range of each part that sings, in the choir’s order', () => {
    expect(rangesInWords({ B: [43, 62], S: [62, 77] }, sections, 'flats')).toBe(
      `${sections[0]!.many} D4 to F5 · ${sections[3]!.many} G2 to D4`,
    );
    expect(rangesInWords({}, sections, 'flats')).toBe('');
  });
  it('counts who is left out', () => {
    expect(whoSings(found, draft, sections).nobody).toEqual([]);
    const nobody = { ...draft, parts: {} };
    expect(whoSings(found, nobody, sections).nobody).toHaveLength(4);
    expect(missingIn('Slate', found, nobody, sections)).toMatch(/^Say at least/);
    expect(missingIn('Slate', found, draft, sections)).toBeUndefined();
  });
});
