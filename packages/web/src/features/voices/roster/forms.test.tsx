import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { StoreSingers } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import { useState } from 'react';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import { type singerNamed, sopranos } from '../testing/choir';
import { guessReading, readCells } from './csv';
import { keepList, readKept, type ReadList } from './keptList';
import { MapList } from './MapList';
import { withColumn } from './reading';
import { SingerForm } from './SingerForm';

const fill = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const alerts = () => screen.queryAllByRole('alert').map(({ textContent }) => textContent);
afterEach(tidy);

describe('the form of a singer', () => {
  let isDone = false;
  const form = (singer?: ReturnType<typeof singerNamed>) =>
    show(
      <SingerForm
        parts={mixedChoir}
        {...(singer ? { singer } : {})}
        onDone={() => {
          isDone = true;
        }}
      />,
    );
  beforeEach(() => {
    isDone = false;
  });

  it('adds a new one to the part it was opened from', async () => {
    const server = serve({ storeSingers: () => [] });
    await form();
    fill('Name', '  Dora Beck ');
    fill('Easy from', 'D4');
    fill('Easy to', 'G5');
    click('Add to the roster');
    await waitFor(() => expect(isDone).toBe(true));
    const { add } = server.asked[0]!.body as StoreSingers;
    expect(add).toMatchObject([
      { name: 'Dora Beck', part: 'S', comfort: [62, 79], reach: [62, 79], onLeave: false },
    ]);
  });

  it('leaves a part undecided, and takes the notes at which the voice changes', async () => {
    const server = serve({ storeSingers: () => [] });
    await form();
    fill('Name', 'Dora Beck');
    fill('Part', '');
    fill('Register changes at', 'E5, soon');
    click('Add to the roster');
    await screen.findByText(/soon/);
    fill('Register changes at', 'E5, F4');
    click('Add to the roster');
    await waitFor(() => expect(isDone).toBe(true));
    const { add } = server.asked[0]!.body as StoreSingers;
    expect(add).toMatchObject([{ name: 'Dora Beck', part: null, changes: [76, 65] }]);
  });

  it('says at its field what is no note, and sends nothing', async () => {
    const server = serve({});
    await form();
    fill('Name', 'Dora Beck');
    fill('Easy from', 'D4');
    fill('Easy to', 'soon');
    click('Add to the roster');
    await screen.findByText(/soon/);
    expect(server.asked).toEqual([]);
    expect(isDone).toBe(false);
  });

  it('changes one over the version that was looked at', async () => {
    const server = serve({ changeSinger: ({ body }) => ({ ...sopranos[0]!, ...body.singer }) });
    await form(sopranos[0]);
    fireEvent.click(screen.getByLabelText('ill'));
    fireEvent.click(screen.getByLabelText('alto'));
    fireEvent.click(screen.getByLabelText(/on leave/));
    click('Keep the changes');
    await waitFor(() => expect(isDone).toBe(true));
    expect(server.asked[0]).toMatchObject({
      params: { singer: sopranos[0]!.id },
      body: { version: 1, singer: { states: ['ill'], also: ['A'], onLeave: true } },
    });
  });

  it('is still there when someone else changed the singer meanwhile', async () => {
    serve({
      changeSinger: () => {
        throw new Refusal(409, 'changed_meanwhile', 'Changed meanwhile.');
      },
    });
    await form(sopranos[0]);
    fill('Name', 'Ash Tarn the elder');
    click('Keep the changes');
    await waitFor(() => expect(alerts().join()).toMatch(/Someone else changed this singer/));
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Ash Tarn the elder');
  });

  it('says what the server found wrong at its field', async () => {
    serve({
      storeSingers: () => {
        throw new Refusal(422, 'invalid', 'Look at the fields.', {
          'add.0.name': 'Somebody has this name.',
        });
      },
    });
    await form();
    fill('Name', 'Ash Tarn');
    click('Add to the roster');
    expect(await screen.findByText('Somebody has this name.')).toBeTruthy();
  });
});

const text = `Name;Part;Easy from;Easy to;Reach from;Reach to
Dora Beck;S;D4;G5;;
Ash Tarn;S;C4;F5;A3;G5
Nobody;S;what;G5;;
`;
const listOf = (typed: string): ReadList => {
  const { rows, warning } = readCells(typed);
  return { rows, ...guessReading(rows), naming: 'octaves', either: [], warning };
};

function Mapped({ typed = text }: { readonly typed?: string }) {
  const [list, setList] = useState(() => listOf(typed));
  return (
    <MapList
      list={list}
      parts={mixedChoir}
      singers={sopranos}
      onChange={(next) => {
        keepList(ids.account, ids.choir, next);
        setList(next);
      }}
      onAway={() => undefined}
    />
  );
}
const store = () => screen.getByRole<HTMLButtonElement>('button', { name: /^Store/ });

describe('a list that is read into the roster', () => {
  it('says how many rows it has, and which have to be put right', async () => {
    await show(<Mapped />);
    expect(screen.getByRole('status').textContent).toBe('3 rows, 1 to put right');
    expect(store().disabled).toBe(true);
    fireEvent.click(screen.getByLabelText('leave them out'));
    expect(store().disabled).toBe(false);
    expect(store().textContent).toBe('Store 2 singers');
  });

  it('changes who is there by name, adds them as others, or leaves those rows out', async () => {
    await show(<Mapped />);
    fireEvent.click(screen.getByLabelText('leave them out'));
    fill('1 on the roster already by name', 'skip');
    expect(store().textContent).toBe('Store 1 singer');
    fill('1 on the roster already by name', 'add');
    expect(store().textContent).toBe('Store 2 singers');
  });

  it('is stored as it is shown, and then forgotten here', async () => {
    const server = serve({ storeSingers: () => [] });
    await show(<Mapped />);
    keepList(ids.account, ids.choir, listOf(text));
    fireEvent.click(screen.getByLabelText('leave them out'));
    click(/^Store/);
    await waitFor(() => expect(readKept(ids.account, ids.choir)).toBeUndefined());
    const { add, change } = server.asked[0]!.body as StoreSingers;
    expect(add.map(({ name }) => name)).toEqual(['Dora Beck']);
    expect(change).toMatchObject([{ id: sopranos[0]!.id, singer: { comfort: [60, 77] } }]);
  });

  it('stays when it could not be stored', async () => {
    serve({});
    await show(<Mapped />);
    fireEvent.click(screen.getByLabelText('leave them out'));
    click(/^Store/);
    await waitFor(() => expect(alerts().join()).toMatch(/Nothing was stored\.$/));
    expect(screen.getByDisplayValue('Dora Beck')).toBeTruthy();
  });

  it('reads every row anew when its first row is none of headings', async () => {
    await show(<Mapped typed={'Dora Beck;S;D4;G5\nEm Firth;A;A3;D5\n'} />);
    expect(screen.getByRole('status').textContent).toBe('2 rows, all of them clear');
    fireEvent.click(screen.getByLabelText('the first row holds headings'));
    expect(screen.getByRole('status').textContent).toBe('1 row, all of them clear');
  });

  it('holds each thing in one column only', () => {
    const list = listOf(text);
    const moved = withColumn(list, 3, 'name');
    expect(moved.columns.filter((column) => column === 'name')).toHaveLength(1);
    expect(moved.columns[3]).toBe('name');
    expect(withColumn(list, 0, null).columns[0]).toBeNull();
  });

  it('shows its columns by what stands at their head', async () => {
    await show(<Mapped />);
    const first = screen.getByLabelText('Column 1: Name');
    expect(within(first).getByText('leave out')).toBeTruthy();
    fireEvent.change(first, { target: { value: '' } });
    // Without names nothing can be stored.
    expect(store().disabled).toBe(true);
  });
});
