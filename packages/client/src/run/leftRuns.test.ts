import type { SendRun, SentEvent } from '@wide-fern/contract';
import { documentOf } from '@wide-fern/plan/testing';
import { ApiError } from '../call/call';
import { keepRun, keptRuns } from './keptRun';
import { beginRun } from './leadRun';
import { sendLeftRuns } from './leftRuns';

const place = { choir: 'c', evening: 'e', item: 'warm-up' };
const head = {
  startedAt: new Date().toISOString(),
  seconds: 900,
  document: documentOf('pulley'),
};
const ended: SentEvent = { id: 'x', n: 1, at: 2000, act: { kind: 'ended' } };
const opened: SentEvent = { id: 'w', n: 0, at: 0, act: { kind: 'opened', segment: 'pulley' } };

/** Keeps a run with these events, and answers with what is sent of all that is kept. */
async function sent(
  events: readonly SentEvent[],
  answer: () => Promise<unknown>,
  startedAt = head.startedAt,
) {
  const run = { ...beginRun({ ...head, startedAt }), events: [...events] };
  keepRun('a', place, run);
  const bodies: SendRun[] = [];
  await sendLeftRuns('a', () => (_, body) => {
    bodies.push(body);
    return answer();
  });
  return bodies;
}
const stored = () => Promise.resolve();
beforeEach(() => localStorage.clear());

describe('runs that were left on a device', () => {
  it('are sent, and forgotten when they are over', async () => {
    const bodies = await sent([opened, ended], stored);
    expect(bodies).toEqual([{ head, events: [opened, ended] }]);
    expect(keptRuns('a')).toEqual([]);
  });
  it('are forgotten after a day where nobody ended them, once they are stored', async () => {
    const old = '2020-12-01T18:30:00.000Z';
    await sent([opened], () => Promise.reject(new ApiError(0, 'unreachable', 'Away.')), old);
    expect(keptRuns('a')).toHaveLength(1);
    await sendLeftRuns('a', () => stored);
    expect(keptRuns('a')).toEqual([]);
  });
  it('stay where they go on, and are not sent twice', async () => {
    await sent([opened], stored);
    expect(keptRuns('a')[0]!.run).toMatchObject({ begun: true, known: ['w'] });
    let calls = 0;
    await sendLeftRuns('a', () => () => {
      calls += 1;
      return stored();
    });
    expect(calls).toBe(0);
  });
  it.each([
    ['away', new ApiError(0, 'unreachable', 'The server cannot be reached.')],
    ['refusing', new ApiError(409, 'too_many', 'Too many.')],
  ])('stay as they are while the server is %s', async (_, error) => {
    await sent([opened, ended], () => Promise.reject(error));
    expect(keptRuns('a')[0]!.run).toMatchObject({ begun: false, known: [] });
  });
  it('are those of one person', async () => {
    await sent([opened], stored);
    expect(keptRuns('b')).toEqual([]);
  });
});
