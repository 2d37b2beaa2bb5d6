import { expect, type Page } from '@playwright/test';
import { newEvening, newPerson, saved, segment, segmentNames, storePlan } from './person';
import { test } from './test';

/** Lets no save of this page get out, not even while it closes: a route of the test would be gone by then. */
const refuseSaving = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const fetch = window.fetch.bind(window);
    window.fetch = (input, init) =>
      (init?.method ?? 'GET') === 'GET'
        ? fetch(input, init)
        : Promise.reject(new TypeError('No way out.'));
  });

test('a dead server and a closed tab lose nothing', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum']);
  const address = `/evenings/${evening.id}/plan`;
  const page = await person.context.newPage();
  await page.goto(address);
  await segment(page, 'Narrow hum').click();

  // Saving does not get through, not even while the tab closes.
  await refuseSaving(page);
  await page.getByRole('button', { name: '+ one key' }).click();
  await expect(page.getByRole('banner').getByRole('status')).toHaveText(
    'kept on this device; no connection',
  );
  await page.close();

  // Another tab of the same browser takes the change up and saves it.
  const again = await person.context.newPage();
  await again.goto(address);
  await segment(again, 'Narrow hum').click();
  await expect(again.getByRole('region', { name: /^Bench/ })).toContainText('Six keys');
  await saved(again);

  // A server that answers with trouble: said, kept, tried again by hand.
  await again.route('**/plans/**', (route) =>
    route.request().method() === 'GET'
      ? route.continue()
      : route.fulfill({ status: 503, body: '' }),
  );
  await again.getByRole('button', { name: '+ one key' }).click();
  await expect(again.getByRole('button', { name: 'try now' })).toBeVisible();
  await again.unroute('**/plans/**');
  await again.getByRole('button', { name: 'try now' }).click();
  await saved(again);
});

test('a change that meets another one after a closed tab is a clash like any other', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const document = await storePlan(person, evening, ['coat-off', 'narrow-hum']);
  const address = `/evenings/${evening.id}/plan`;
  const page = await person.context.newPage();
  await page.goto(address);
  await refuseSaving(page);
  await segment(page, 'Coat off').click();
  await page.getByRole('button', { name: 'leave out' }).click();
  await expect(page.getByRole('button', { name: 'try now' })).toBeVisible();
  await page.close();

  // The very segment that was left out here got more talk there.
  const [first, ...rest] = document.segments;
  const choices = { ...first!.choices, talk: first!.choices.talk + 5 };
  const meanwhile = { ...document, segments: [{ ...first!, choices }, ...rest] };
  const put = await person.request.put(
    `/api/choirs/${person.choir}/evenings/${evening.id}/plans/warm-up`,
    { data: { version: 1, document: meanwhile, edits: [] } },
  );
  expect(put.status()).toBe(200);

  const again = await person.context.newPage();
  await again.goto(address);
  const panel = again.getByRole('alertdialog');
  await expect(panel).toContainText('Coat off');
  await expect(panel).toContainText('1 segment is the same in both');
  await panel.getByRole('button', { name: 'Keep yours' }).click();
  await saved(again);
  expect(await segmentNames(again)).toEqual(['Narrow hum']);
});

test('an ended session keeps the change until one signs in again', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await segment(page, 'Narrow hum').click();
  await person.request.delete('/api/sessions');
  await page.getByRole('button', { name: '+ one key' }).click();
  await page.getByRole('link', { name: 'sign in again' }).click();
  await page.getByLabel('E-mail').fill(person.email);
  await page.getByLabel('Password').fill(person.password);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('warm-up is not whole yet');
  await page.goto(`/evenings/${evening.id}/plan`);
  await saved(page);
  await segment(page, 'Narrow hum').click();
  await expect(page.getByRole('region', { name: /^Bench/ })).toContainText('Six keys');
});

test('what is typed outside the limits is said at the field and not taken', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['narrow-hum']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const tempo = page.getByRole('textbox', { name: 'Tempo' });
  await tempo.fill('900');
  await expect(page.getByRole('alert')).toHaveText('Tempo: a number from 20 to 240.');
  await tempo.press('Enter');
  await expect(tempo).toHaveValue('84');
});
