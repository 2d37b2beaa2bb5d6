import { screen } from '@testing-library/react';
import { ledPlan, planNow, runAt } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import type { SentAct } from '@wide-fern/contract';
import { standOf } from '@wide-fern/words';
import { show, tidy } from '../../testing/page';
import { ChoirView } from './ChoirView';

const document_ = documentOf('coat-off', 'long-s', 'slate-steps');
const led = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document: document_ });

/** What the choir sees after these touches, so many seconds after the last. */
async function seen(acts: readonly SentAct[], since = 0) {
  const events = acts.map((act, n) => ({ id: `e${n}`, n, at: 1000 * n, act }));
  const state = runAt(led, events);
  const plan = planNow(led, events, state);
  const open = state.segments[state.open]?.id;
  const present = plan.segments.find(({ segment }) => segment.id === open)?.segment;
  await show(
    <ChoirView
      stand={standOf(plan, state, 'flats')}
      present={present}
      settled={state}
      since={() => since}
    />,
  );
  return document.body.textContent ?? '';
}
const opened = (segment: string): SentAct => ({ kind: 'opened', segment });
const began: SentAct = { kind: 'began', key: 0 };
afterEach(tidy);

describe('what the choir sees', () => {
  it('is what is sung and what to think of, and no key and no time', async () => {
    const text = await seen([opened('slate-steps'), began]);
    expect(text).toContain('up the slate steps');
    expect(text).toContain('Taller, not louder, as you climb.');
    expect(screen.queryByLabelText(/^now /)).toBeNull();
    expect(text).not.toMatch(/\d:\d\d/);
  });
  it('is what it is for while it is explained, and what is done where nothing is sung', async () => {
    const { purpose, music } = document_.segments[0]!.exercise;
    expect(await seen([opened('coat-off')])).toContain(purpose);
    tidy();
    const moves = music.kind === 'body' ? music.moves : [];
    expect(moves.length).toBeGreaterThan(0);
    expect(await seen([opened('coat-off'), began])).toContain(moves[0]!.text);
  });
  it('is the breath as one shape with its count', async () => {
    await seen([opened('long-s'), began], 0.5);
    expect(screen.getByRole('timer').textContent).toMatch(/^1in/);
  });
  it('is a movement with its side, its time and what is left of it', async () => {
    expect(await seen([opened('coat-off')])).not.toMatch(/\d+move/);
    expect(await seen([opened('coat-off'), began], 1)).toMatch(/10move/);
  });
  it('is a word that it will begin, before the first', async () => {
    expect(await seen([])).toContain('We begin in a moment');
  });
});
