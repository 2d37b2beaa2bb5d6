import { expect, type Page } from '@playwright/test';
import type { Run } from '@wide-fern/contract';
import { runState } from '@wide-fern/core';
import { ledSegments } from '@wide-fern/plan';
import { expectAccessible } from './accessible';
import { expectNoComplaints, join, newEvening, newPerson, storePlan } from './person';
import { begin, followed, heading, storedRun } from './runs';
import { test } from './test';

const stateOf = ({ head, events }: Run) => runState(ledSegments(head.document), events);
/** Whether a page's code lies on the device with all that it needs at first. */
const isReadable = (page: Page, name: string): Promise<boolean> =>
  page.evaluate(async (wanted) => {
    const cache = await caches.open('wide-fern-shell');
    const urls = (await cache.keys()).map(({ url }) => url);
    const left = urls.filter((url) => url.includes(wanted) && url.endsWith('.js'));
    const seen = new Set(left);
    if (left.length === 0) return false;
    for (let url = left.pop(); url !== undefined; url = left.pop()) {
      const found = await cache.match(url);
      if (!found) return false;
      // What it imports at once; what it asks for later stands in calls.
      for (const [, path] of (await found.text()).matchAll(/(?:from|import)"(\.\/[^"]+\.js)"/g)) {
        const needed = new URL(path!, url).href;
        if (!seen.has(needed)) left.push(needed);
        seen.add(needed);
      }
    }
    return true;
  }, name);

test('a whole warm-up by the pedal, on a clock that runs faster', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const document = await storePlan(person, evening, ['coat-off', 'long-s', 'slate-steps']);
  const led = ledSegments(document);
  const page = await person.context.newPage();
  await page.clock.install();
  await begin(page, evening);
  await expectAccessible(page);

  const sung: string[] = [];
  for (const segment of led) {
    await page.keyboard.press('PageDown');
    await expect(heading(page)).not.toHaveText('Ready');
    await page.clock.fastForward(1000 * segment.talk);
    for (const { span } of segment.keys) {
      await page.keyboard.press('PageDown');
      await page.clock.fastForward(Math.round(1000 * span));
      const now = page.getByLabel(/^now /);
      if (segment.id === led[2]!.id) sung.push((await now.textContent()) ?? '');
    }
  }
  await expect(heading(page)).toHaveText('Slate steps');
  await expectAccessible(page);
  const names = await page
    .getByRole('list', { name: 'Keys' })
    .getByRole('listitem')
    .allTextContents();
  expect(sung).toEqual(names);
  await page.keyboard.press('PageDown');
  await expect(heading(page)).toHaveText('What happened');
  await page.getByRole('button', { name: 'Slate steps: all managed' }).click();
  await expect(page.getByText('kept with the evening')).toBeVisible();
  await expectAccessible(page);

  // The server has what was planned, done as it was planned: each key once, in its time.
  const { records, isOver } = stateOf(await storedRun(person, evening));
  expect(isOver).toBe(true);
  expect(records.map(({ keys }) => keys.map(({ key }) => key))).toEqual(
    led.map(({ keys }) => keys.map((_, i) => i)),
  );
  for (const [i, { singing, talk }] of records.entries()) {
    const planned = led[i]!.keys.reduce((sum, { span }) => sum + span, 0);
    expect(Math.abs(singing - planned)).toBeLessThan(0.1 * planned + 8);
    expect(Math.abs(talk - led[i]!.talk)).toBeLessThan(8);
  }
  expect(records[2]!.managed).toEqual(['all']);
  expectNoComplaints(person.context);
});

test('without the network in the middle, reloaded, and back: nothing lost, nothing twice', async ({
  browser,
}) => {
  const person = await newPerson(browser, { serviceWorkers: 'allow' });
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  // The stand is fetched behind the plan, so that it is here without a connection.
  await page.goto('/');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect.poll(() => isReadable(page, 'LeadPage'), { timeout: 20_000 }).toBe(true);
  await person.context.setOffline(true);
  await page.getByRole('link', { name: 'lead it' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('PageDown');
  await page.keyboard.press('PageDown');
  await expect(page.getByText('offline, kept here')).toBeVisible();
  await expect(heading(page)).toHaveText('Coat off');

  // The tab is closed; another one goes on where it was.
  await page.close();
  const again = await person.context.newPage();
  await again.goto(`/evenings/${evening.id}/lead/warm-up`);
  await again.getByRole('button', { name: 'Carry on' }).click();
  await expect(heading(again)).toHaveText('Coat off');
  await expect(again.getByText('2 of 5')).toBeVisible();
  await again.keyboard.press('o');
  await expect(heading(again)).toHaveText('Pulley');
  await again.keyboard.press(' ');
  await again.keyboard.press('a');

  await person.context.setOffline(false);
  await expect(again.getByText('offline, kept here')).toBeHidden({ timeout: 30_000 });
  const { events } = await storedRun(person, evening);
  expect(events.map(({ act }) => act.kind)).toEqual([
    ...['opened', 'began', 'began', 'opened', 'began', 'again'],
  ]);
  expect(events.map(({ n }) => n)).toEqual([0, 1, 2, 3, 4, 5]);
});

test('the stand begins also where who is here cannot be fetched', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  let missed = 0;
  await page.route('**/WhoBefore*', (route) => {
    missed += 1;
    return route.abort();
  });
  await page.goto(`/evenings/${evening.id}/lead/warm-up`);
  await expect.poll(() => missed).toBe(2);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(heading(page)).toHaveText('Ready');
});

test('another screen follows whoever leads, and shows afterwards what happened', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const pianist = await newPerson(browser);
  await join(person, pianist, 'reader');
  const page = await person.context.newPage();
  await begin(page, evening);
  await page.keyboard.press('o');

  const other = await followed(pianist, person, evening);
  await expect(heading(other)).toHaveText('Coat off');
  await expectAccessible(other);
  await page.keyboard.press('o');
  await expect(heading(other)).toHaveText('Pulley');
  await page.keyboard.press(' ');
  await page.keyboard.press(' ');
  const key = (await page.getByLabel(/^now /).textContent()) ?? '';
  await expect(other.getByLabel(/^now /)).toHaveText(key);
  // Taken back here, it is taken back there.
  await page.keyboard.press('u');
  await expect(other.getByLabel(/^now /)).not.toHaveText(key);
  // A large screen shows the choir what is sung, and nothing of the rest.
  await other.getByRole('button', { name: 'for the choir to see' }).click();
  await expect(other.getByLabel(/^now /)).toBeHidden();
  await expect(heading(other)).toHaveText('Pulley');
  await expectAccessible(other);
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await expect(heading(other)).toHaveText('Coat off');
  await other.getByRole('button', { name: 'as whoever leads sees it' }).click();

  await page.getByRole('button', { name: 'End', exact: true }).click();
  await expect(heading(other)).toHaveText('What happened');
  await expect(other.getByRole('list', { name: 'What happened' })).toContainText('Pulley');
  await expectAccessible(other);
  expectNoComplaints(pianist.context);
});

test('late: one line offers what loses least, one touch takes it, one takes it back', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const ids = ['coat-off', 'long-s', 'narrow-hum', 'pulley', 'slate-steps', 'lantern-chord'];
  await storePlan(person, evening, ids);
  const page = await person.context.newPage();
  await page.clock.install();
  await begin(page, evening);
  await page.keyboard.press('PageDown');
  // Ten minutes of talk before the first movement.
  await page.clock.fastForward('10:00');
  await page.keyboard.press('PageDown');
  await expect(page.getByText(/\d:\d\d late$/)).toBeVisible();
  const offer = page.getByRole('status').filter({ hasText: 'ends' });
  await expect(offer).toBeVisible({ timeout: 30_000 });
  await expect(offer).toContainText('as it stands');
  await expectAccessible(page);
  await offer.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText(/\d:\d\d late$/)).toBeHidden();
  const taken = async () => (await storedRun(person, evening)).events.map(({ act }) => act.kind);
  await expect.poll(taken).toEqual(['opened', 'began', 'renewed']);
  const state = stateOf(await storedRun(person, evening));
  expect(state.segments.length).toBeLessThan(ids.length);
  await page.keyboard.press('u');
  await expect(page.getByText(/\d:\d\d late$/)).toBeVisible();
  await expect
    .poll(async () => stateOf(await storedRun(person, evening)).segments.length)
    .toBe(ids.length);
  expectNoComplaints(person.context);
});

test('another device takes over knowingly; both show the same, and the record is one', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const deputy = await newPerson(browser);
  await join(person, deputy, 'deputy');
  const page = await person.context.newPage();
  await begin(page, evening);
  await page.keyboard.press('o');

  const other = await deputy.context.newPage();
  await other.addInitScript(
    (choir) => localStorage.setItem('wide-fern:choir', choir),
    person.choir,
  );
  await other.goto(`/evenings/${evening.id}/lead/warm-up`);
  await expect(other.getByText('Wren Aldous leads it from another device')).toBeVisible();
  await expectAccessible(other);
  await other.getByRole('button', { name: 'lead it on from here' }).click();
  await expect(heading(other)).toHaveText('Coat off');
  await other.keyboard.press('o');
  await expect(heading(other)).toHaveText('Pulley');
  // It goes on at the first device too, and that is said.
  await expect(heading(page)).toHaveText('Pulley');
  await expect(page.getByText(/^Another device leads this too/)).toBeVisible();
  await page.keyboard.press(' ');
  await expect(other.getByLabel(/^now [A-G]/)).toBeVisible();
  await other.getByRole('button', { name: 'End', exact: true }).click();
  await expect(heading(page)).toHaveText('What happened');
  const { events } = await storedRun(person, evening);
  expect(events.map(({ act }) => act.kind)).toEqual(['opened', 'opened', 'began', 'ended']);
  expectNoComplaints(deputy.context);
});

test('a simulated pedal leads on, once it was set', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  await begin(page, evening);
  await page.keyboard.press('?');
  await page.getByRole('radio', { name: 'a simulated pedal and keyboard' }).click();
  await page.getByRole('button', { name: 'Set a key for on to the next exercise' }).click();
  await page.getByRole('button', { name: 'right pedal' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'right pedal' }).click();
  await expect(heading(page)).toHaveText('Coat off');
  await page.getByRole('button', { name: 'right pedal' }).click();
  await expect(heading(page)).toHaveText('Pulley');
  // What can be heard is there with one key each, and the notes go along.
  await page.keyboard.press('v');
  await expect(page.getByRole('region', { name: 'Sound' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('k');
  await expect(
    page.getByRole('region', { name: 'Notes of this key' }).locator('svg'),
  ).toBeVisible();
  await expectAccessible(page);
  expectNoComplaints(person.context);
});

test('a screen without an account follows by a code read aloud, and steps along where it may', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  await begin(page, evening);
  await page.getByRole('button', { name: 'Screens' }).click();
  await page.getByRole('button', { name: 'one that may step too' }).click();
  const panel = page.getByRole('region', { name: 'Other screens' });
  const code = (await panel.getByText(/^[A-Z2-9]{4}-[A-Z2-9]{4}$/).textContent()) ?? '';
  await expectAccessible(page);
  await panel.getByRole('button', { name: 'close' }).click();

  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await context.newPage();
  await phone.goto('/follow');
  await expect(heading(phone)).toHaveText('Follow a warm-up');
  await expectAccessible(phone);
  await phone.getByLabel('Code').fill(` ${code.toLowerCase().replace('-', ' ')}`);
  await phone.getByRole('button', { name: 'Follow' }).click();
  await expect(heading(phone)).toHaveText('Ready');
  await page.keyboard.press('o');
  await expect(heading(phone)).toHaveText('Coat off');
  await expectAccessible(phone);
  // One touch there is a touch here, and nobody is said to lead from elsewhere.
  await phone.getByRole('button', { name: 'On', exact: true }).click();
  await expect(heading(phone)).toHaveText('Pulley');
  await expect(heading(page)).toHaveText('Pulley');
  await phone.getByRole('button', { name: 'Next', exact: true }).click();
  const key = (await phone.getByLabel(/^now /).textContent()) ?? '';
  await expect(page.getByLabel(/^now /)).toHaveText(key);
  await expect(page.getByText('Another device leads this too')).toHaveCount(0);
  // What it stepped is undone here by one touch.
  await page.keyboard.press('u');
  await expect(phone.getByLabel(/^now /)).toHaveCount(0);

  await page.getByRole('button', { name: 'Screens' }).click();
  await panel.getByRole('button', { name: 'take it back' }).click();
  await expect(panel.getByRole('listitem')).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByRole('alert')).toContainText('This code leads nowhere');
  await context.close();
  expectNoComplaints(person.context);
});

test('its review takes a note and a next target, also later', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  await begin(page, evening);
  await page.keyboard.press('o');
  await page.keyboard.press('PageDown');
  await page.keyboard.press('o');
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByLabel('a note, if you wish').fill('Brighter than last week.');
  await page.getByRole('button', { name: 'Pulley: most managed' }).click();
  await expect(page.getByRole('list', { name: 'Notes' })).toHaveText('Brighter than last week.');
  await expect(page.getByRole('status').filter({ hasText: 'kept with the evening' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Done' }).click();

  await page.goto(`/evenings/${evening.id}/led/warm-up`);
  await expect(page.getByRole('list', { name: 'Notes' })).toHaveText('Brighter than last week.');
  await page.getByRole('button', { name: 'Coat off: all managed' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'kept with the evening' })).toBeVisible();
  await expectAccessible(page);
  const { records, notes } = stateOf(await storedRun(person, evening));
  expect(notes).toEqual(['Brighter than last week.']);
  expect(records.map(({ managed }) => managed)).toEqual([['all'], ['most']]);
  expectNoComplaints(person.context);
});

test('two ways in one key: the one that is due is marked, then it is asked', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['pressed-then-easy']);
  const page = await person.context.newPage();
  await page.clock.install();
  await begin(page, evening);
  await page.keyboard.press('o');
  await page.keyboard.press(' ');
  const ways = page.getByRole('list', { name: 'One after the other' }).getByRole('listitem');
  await expect(ways).toHaveCount(2);
  const due: string[] = [];
  // From the touch to well behind its second time.
  for (let second = 0; second < 20; second += 1) {
    await page.clock.runFor(1000);
    const present = await ways.and(page.locator('[aria-current]')).allTextContents();
    if (present[0] && present[0] !== due.at(-1)) due.push(present[0]);
  }
  expect(due).toEqual(['With a small knock', 'As if it had already begun']);
  await expect(page.getByText('Then ask: Which one could you do')).toBeVisible();
  await expectAccessible(page);
  expectNoComplaints(person.context);
});
