import { expect, type Page } from '@playwright/test';
import { runSchema } from '@wide-fern/contract';
import { runState } from '@wide-fern/core';
import { ledSegments } from '@wide-fern/plan';
import { freePort } from '../../../tools/postgres/cluster';
import { ensureDatabase } from '../../../tools/postgres/database';
import { throwawayCluster } from '../../../tools/postgres/throwaway';
import { root } from '../../../tools/root';
import { startServer, type RunningServer } from '../../../tools/start/server';
import { expectNoComplaints, join, newEvening, newPerson, planAddress, storePlan } from './person';
import { begin, followed, heading, storedRun } from './runs';
import { test } from './test';

/** Server processes on one database of their own, each at its own address. */
async function servers() {
  const cluster = await throwawayCluster();
  await ensureDatabase(cluster.url, 'servers');
  const running = new Set<RunningServer>();
  const start = async (port: number): Promise<RunningServer> => {
    const server = await startServer(root, {
      ...{ DATABASE_URL: cluster.url('servers'), PORT: String(port), LOG_LEVEL: 'fatal' },
    });
    running.add(server);
    return server;
  };
  const stop = async () => {
    await Promise.all([...running].map((server) => server.stop()));
    await cluster.stop();
  };
  return { start, stop };
}

test('two servers: the other screen follows at the other one; one is killed and nothing is lost or there twice', async ({
  browser,
}) => {
  const { start, stop } = await servers();
  try {
    const [port, otherPort] = [await freePort(), await freePort()];
    const address = (at: number) => `http://127.0.0.1:${at}`;
    const server = await start(port);
    await start(otherPort);

    const person = await newPerson(browser, { baseURL: address(port) });
    const evening = await newEvening(person);
    await storePlan(person, evening, ['coat-off', 'slate-steps']);
    const pianist = await newPerson(browser, { baseURL: address(otherPort) });
    await join(person, pianist, 'reader');

    const page = await person.context.newPage();
    await begin(page, evening);
    await page.keyboard.press('o');

    const other = await followed(pianist, person, evening);
    await expect(heading(other)).toHaveText('Coat off');
    await page.keyboard.press('o');
    await page.keyboard.press(' ');
    const now = (on: Page) => on.getByLabel(/^now /);
    const first = (await now(page).textContent())!;
    await expect(now(other)).toHaveText(first);

    // The server of whoever leads is gone in the middle; it goes on from the device.
    server.child.kill('SIGKILL');
    await server.ended;
    await page.keyboard.press(' ');
    await page.keyboard.press(' ');
    await expect(page.getByText('offline, kept here')).toBeVisible();
    const third = (await now(page).textContent())!;
    expect(third).not.toBe(first);
    await expect(now(other)).toHaveText(first);

    // It is there again: what was kept is sent, and the other screen comes along.
    await start(port);
    await expect(page.getByText('offline, kept here')).toBeHidden({ timeout: 60_000 });
    await expect(now(other)).toHaveText(third);
    await page.keyboard.press(' ');
    await expect(now(other)).toHaveText((await now(page).textContent())!);

    await expect
      .poll(async () => (await storedRun(person, evening)).events.map(({ act }) => act.kind))
      .toEqual(['opened', 'opened', 'began', 'began', 'began', 'began']);
    const { events } = await storedRun(person, evening);
    expect(events.map(({ n }) => n)).toEqual([0, 1, 2, 3, 4, 5]);
    expect(new Set(events.map(({ id }) => id)).size).toBe(6);
    // Through the other server it is the same record.
    const elsewhere = await pianist.request.get(
      `${planAddress(person, evening)}/runs/${(await storedRun(person, evening)).id}`,
    );
    expect(runSchema.parse(await elsewhere.json()).events).toEqual(events);
    expectNoComplaints(person.context);
    expectNoComplaints(pianist.context);
  } finally {
    await stop();
  }
});

test('the laptop sleeps for ten minutes: it is where it was, and the time is told as talk', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['slate-steps', 'pulley']);
  const page = await person.context.newPage();
  await page.clock.install();
  await begin(page, evening);
  await page.keyboard.press('o');
  await page.keyboard.press(' ');
  await page.keyboard.press(' ');
  const now = page.getByLabel(/^now /);
  const key = (await now.textContent())!;
  await page.clock.fastForward('10:00');
  await expect(heading(page)).toHaveText('Slate steps');
  await expect(now).toHaveText(key);
  await page.keyboard.press(' ');
  await expect(now).not.toHaveText(key);
  await expect
    .poll(async () => (await storedRun(person, evening)).events.map(({ act }) => act.kind))
    .toEqual(['opened', 'began', 'began', 'began']);
  const { head, events } = await storedRun(person, evening);
  const { records } = runState(ledSegments(head.document), events);
  const [slate] = records;
  expect(slate!.keys.map(({ key: place }) => place)).toEqual([0, 1, 2]);
  // Nobody sings one key for ten minutes.
  expect(slate!.singing).toBeLessThan(60);
  expect(slate!.coach).toBeGreaterThan(500);
});
