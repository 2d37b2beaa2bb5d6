import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { SavePlan } from '@wide-fern/contract';
import { documentOf, planOf } from '@wide-fern/plan/testing';
import { eveningFor } from '../../../testing/evening';
import { show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import IntoOther from './IntoOther';

const document = documentOf('coat-off', 'narrow-hum', 'pulley');
const [warmUp] = eveningFor().agenda;
const later = { ...warmUp!, id: 'later', kind: 'cool-down' as const, title: 'Before Lanterns' };

async function opened(chosen: readonly string[], agenda = [warmUp!, later]) {
  const gone: { ids: string[]; words: string }[] = [];
  await show(
    <IntoOther
      evening={{ ...eveningFor(), agenda }}
      item={warmUp!.id}
      document={document}
      chosen={chosen}
      onGone={(ids, words) => gone.push({ ids: [...ids], words })}
    />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'into another warm-up of this evening' }));
  return gone;
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
function served() {
  const saves: SavePlan[] = [];
  const server = serve({
    showPlan: () => ({ plan: planOf(documentOf('ebb-tide')) }),
    savePlan: ({ body }) => {
      saves.push(body);
      return planOf(body.document, 2);
    },
  });
  const stored = () => saves.map((one) => one.document.segments.map(({ exercise }) => exercise.id));
  return { server, stored };
}
afterEach(tidy);

describe('into another warm-up of the evening', () => {
  it('goes what is chosen, and is left out here once it is there', async () => {
    const { stored } = served();
    const gone = await opened(['narrow-hum']);
    press('this one');
    await waitFor(() => expect(gone.map(({ ids }) => ids)).toEqual([['narrow-hum']]));
    expect(stored()).toEqual([['ebb-tide', 'narrow-hum']]);
    expect(gone[0]!.words).toBe(
      'One segment stands at the end of “Before Lanterns” now. Undo brings it back here; it stays there too.',
    );
  });

  it('goes all that follows, or all that are chosen together', async () => {
    const { stored } = served();
    const gone = await opened(['narrow-hum']);
    press('all from here on');
    await waitFor(() => expect(gone).toHaveLength(1));
    expect(gone[0]!.ids).toEqual(['narrow-hum', 'pulley']);
    tidy();
    const several = await opened(['coat-off', 'pulley']);
    press('the two segments that are chosen');
    await waitFor(() => expect(several).toHaveLength(1));
    expect(stored()).toEqual([
      ['ebb-tide', 'narrow-hum', 'pulley'],
      ['ebb-tide', 'coat-off', 'pulley'],
    ]);
  });

  it('leaves everything where it is when it was refused, and says so', async () => {
    const { server } = served();
    server.answers = {
      ...server.answers,
      savePlan: () => {
        throw new Refusal(503, 'database_away', 'The database is away.');
      },
    };
    const gone = await opened(['pulley']);
    press('this one');
    expect((await screen.findByRole('alert')).textContent).toBe(
      'Nothing is left out here. The database is away.',
    );
    expect(gone).toEqual([]);
    // The last one has nothing behind it.
    expect(screen.queryByRole('button', { name: 'all from here on' })).toBeNull();
  });

  it('does not stand there twice when only the answer was lost', async () => {
    const there = { plan: planOf(documentOf('ebb-tide')), isLost: true };
    serve({
      showPlan: () => ({ plan: there.plan }),
      savePlan: ({ body }) => {
        there.plan = planOf(body.document, there.plan.version + 1);
        if (there.isLost) throw new Refusal(503, 'database_away', 'The answer was lost.');
        return there.plan;
      },
    });
    const gone = await opened(['pulley']);
    press('this one');
    await screen.findByRole('alert');
    there.isLost = false;
    press('this one');
    await waitFor(() => expect(gone).toHaveLength(1));
    const ids = there.plan.document.segments.map(({ exercise }) => exercise.id);
    expect(ids).toEqual(['ebb-tide', 'pulley']);
  });

  it('leads to the evening where there is no other', async () => {
    await opened(['pulley'], [warmUp!]);
    expect(screen.getByRole('link', { name: 'Add one to the evening' })).toBeTruthy();
  });
});
