import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ChangeChoir } from '@wide-fern/contract';
import { approaches } from '@wide-fern/core';
import { documentOf, planOf } from '@wide-fern/plan/testing';
import { choirSaid } from '../../../testing/choirSaid';
import { show, tidy } from '../../../testing/page';
import { serve } from '../../../testing/served';
import { OwnApproach } from './OwnApproach';

let kept: string[] = [];
const view = async (plans = 0) => {
  const server = serve({
    changeChoir: ({ body: { approach = 'evening-after-work', approaches: own = [] } }) =>
      choirSaid({ approach, approaches: own }),
    listEvenings: () => ({
      items: Array.from({ length: plans }, (_, i) => ({
        id: `00000000-0000-4000-8000-00000000000${i}`,
        name: null,
        startsAt: `2026-0${i + 1}-01T19:30:00.000Z`,
        endsAt: `2026-0${i + 1}-01T21:30:00.000Z`,
        place: 'Hall',
      })),
      next: null,
    }),
    showPlan: () => ({ plan: planOf(documentOf('coat-off', 'narrow-hum', 'pulley')) }),
  });
  await show(
    <OwnApproach
      approach={approaches[0]}
      name="evening after work"
      onKept={(id) => kept.push(id)}
    />,
  );
  return server;
};
const click = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const editor = () => screen.getByRole('group', { name: 'A way of your own' });
const put = (label: string, value: string) => {
  const field = screen.getByLabelText(label, { selector: 'input' });
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
};
afterEach(() => {
  kept = [];
  tidy();
});

describe('a way of warming up of a choir’s own', () => {
  it('begins from one there is, and is kept under a name', async () => {
    const server = await view();
    click('make one of your own from this');
    fireEvent.change(screen.getByLabelText('What it is called'), {
      target: { value: 'Slow start' },
    });
    put('Release 1, to', '40');
    click('take Piece 9 out'.replace('Piece', 'Into the piece'));
    fireEvent.click(within(editor()).getAllByRole('button', { name: 'earlier' })[1]!);
    fireEvent.click(within(editor()).getByRole('radio', { name: 'what is known first' }));
    const field = (label: string) => within(editor()).getByLabelText(label);
    fireEvent.change(field('Too high'), { target: { value: 'rest' } });
    fireEvent.change(field('Low voices'), { target: { value: '' } });
    fireEvent.change(field('Its purpose'), { target: { value: 'after' } });
    click('keep it');
    await waitFor(() => expect(kept).toEqual(['own-evening-after-work']));
    const { approaches: sent } = server.asked.find(({ name }) => name === 'changeChoir')!
      .body as ChangeChoir;
    expect(sent?.[0]).toMatchObject({ name: 'Slow start', approach: { habit: 'keep' } });
    expect(sent?.[0]?.approach).toMatchObject({ tooHigh: 'rest', purposeSaid: 'after' });
    expect(sent?.[0]?.approach.lowVoices).toBeUndefined();
    const phases = sent![0]!.approach.phases.map(({ phase, most }) => `${phase} ${most}`);
    expect(phases.slice(0, 2)).toEqual(['breath 15', 'release 40']);
    expect(phases).toHaveLength(8);
  });

  it('can be told from the last plans, once there are enough', async () => {
    await view(4);
    click('from your last plans, as you do it');
    await waitFor(() => expect(editor()).toBeTruthy());
    expect(screen.getByLabelText<HTMLInputElement>('What it is called').value).toBe('as we do it');
    expect(within(editor()).getAllByRole('listitem')).toHaveLength(3);
  });

  it('says that there are too few', async () => {
    await view(2);
    click('from your last plans, as you do it');
    expect(await screen.findByText('Plan at least three warm-ups first.')).toBeTruthy();
  });

  it('says what is missing, and keeps what was typed', async () => {
    const server = await view();
    click('make one of your own from this');
    fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: ' ' } });
    click('keep it');
    expect(await screen.findByText('Write something here.')).toBeTruthy();
    expect(server.asked.some(({ name }) => name === 'changeChoir')).toBe(false);
    expect(editor()).toBeTruthy();
  });
});
