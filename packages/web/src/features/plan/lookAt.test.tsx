import { jest } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { queryClient } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import { evaluate, planLoad } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { clockIn } from '@wide-fern/words';
import { eveningFor } from '../../testing/evening';
import { ids, show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import { AsTable } from './drawing/AsTable';
import { LookAt } from './LookAt';
import { bringing } from './model/bring';

const wish = { piece: ids.one, title: 'Lanterns over Slate', skill: 'long outflow', weight: 2 };
const wishing = { ...eveningFor(), wishes: [wish] } as unknown as Evening;
const plan = evaluate(documentOf('coat-off'), 900);
afterEach(tidy);

describe('what is wished for and not served', () => {
  const look = async (of = plan, mayEdit = true) => {
    const onBring = jest.fn();
    await show(
      <LookAt
        plan={of}
        behind={{
          load: planLoad(of),
          sure: () => undefined,
          unsure: [],
          minded: [],
          reminders: [],
        }}
        evening={wishing}
        writing="flats"
        mayEdit={mayEdit}
        onShow={() => undefined}
        onRemedy={() => undefined}
        onBring={onBring}
      />,
    );
    return onBring;
  };

  it('is said as a sentence, with one act that brings it', async () => {
    const onBring = await look();
    expect(document.body.textContent).toContain(
      'Nothing here works on long outflow, which “Lanterns over Slate” asks for.',
    );
    fireEvent.click(screen.getByText('add what brings it'));
    expect(onBring).toHaveBeenCalledWith('long outflow');
  });

  it('is no more said once something works on it, and offered to nobody who only reads', async () => {
    await look(evaluate(documentOf('coat-off', 'long-s'), 900));
    expect(document.body.textContent).not.toContain('Nothing here works on');
    tidy();
    await look(plan, false);
    expect(document.body.textContent).toContain('Nothing here works on');
    expect(screen.queryByText('add what brings it')).toBeNull();
  });

  it('is brought by an exercise that works on it and has time; by none where there is none', async () => {
    serve({ showExercises: () => ({ own: [], lastUsed: {}, templates: [], marks: {} }) });
    const found = await bringing(queryClient, ids.one, wishing, plan, 'long outflow');
    expect(found!.exercise.purposes).toContain('long outflow');
    expect(found!.isNew).toBe(true);
    const full = evaluate(documentOf('coat-off'), plan.total + 5);
    expect(await bringing(queryClient, ids.one, wishing, full, 'long outflow')).toBeUndefined();
  });
});

describe('the weave as a table', () => {
  const table = (of: typeof plan) =>
    show(
      <AsTable
        plan={of}
        start={Date.parse('2026-12-01T19:30:00.000Z')}
        clock={clockIn('Europe/London')}
        writing="flats"
        onClose={() => undefined}
      />,
    );
  it('has a head for every part and a row for every key', async () => {
    const sung = evaluate(documentOf('coat-off', 'pulley'), 900);
    await table(sung);
    const rows = [...document.querySelectorAll('tr')].map((row) =>
      [...row.children].map(({ textContent }) => textContent),
    );
    expect(rows[0]).toEqual(['At', 'Exercise', 'Key', 'Sopranos', 'Altos', 'Tenors', 'Basses']);
    expect(rows).toHaveLength(2 + sung.segments[1]!.computed.repetitions.length);
    expect(rows.at(-1)![3]).toMatch(/^([A-G][♭♯]?\d to |rests)/);
  });
  it('says so where nothing is planned', async () => {
    await table(evaluate(documentOf(), 900));
    expect(document.body.textContent).toContain('Nothing is planned yet.');
  });
});
