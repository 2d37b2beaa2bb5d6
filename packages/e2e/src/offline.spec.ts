import { expect } from '@playwright/test';
import { newEvening, newPerson, planAddress, storePlan } from './person';
import { test } from './test';

test('what was opened once can be read without a connection, in a new tab too', async ({
  browser,
}) => {
  const person = await newPerson(browser, { serviceWorkers: 'allow' });
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const page = await person.context.newPage();
  const plan = `/evenings/${evening.id}/plan`;
  // Seen is what the server answered, not the frame around it: what is left before is not kept.
  const seen = async () => {
    for (const [path, words] of [
      ['/', /warm-up/],
      ['/voices', /sing/],
      ['/exercises/pulley', /Pulley/],
    ] as const) {
      await page.goto(path);
      await expect(page.getByRole('heading', { name: words }).first()).toBeVisible();
    }
    await page.goto(plan);
    await expect(page.getByRole('list', { name: 'Segments' })).toContainText('Pulley');
  };
  // The worker is there from the second page on; what the first one had loaded is told to it.
  await page.goto('/');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await seen();

  // What is stored is what is kept, though no event tells the page to fetch it again.
  await page.route('**/events*', (route) => route.abort());
  await page.goto(plan);
  await page
    .getByRole('list', { name: 'Segments' })
    .getByRole('button', { name: /Pulley/ })
    .click();
  await page.getByRole('button', { name: 'leave out' }).click();
  await expect(page.getByText(/^saved/)).toBeVisible();
  const keptSegments = () =>
    page.evaluate(
      async (address) => {
        const kept = await caches.match(address, { cacheName: 'wide-fern-answers' });
        const { plan: stored } = (await kept?.json()) as { plan: { document: { segments: [] } } };
        return stored.document.segments.length;
      },
      planAddress(person, evening),
    );
  await expect.poll(keptSegments).toBe(2);

  await person.context.setOffline(true);
  await page.close();
  const again = await person.context.newPage();
  await again.goto(plan);
  await expect(again.getByRole('list', { name: 'Segments' })).toContainText('Narrow hum');
  await expect(again.getByRole('list', { name: 'Segments' })).not.toContainText('Pulley');
  await expect(
    again.getByText(/^The server cannot be reached\. What you see was fetched on/),
  ).toBeVisible();
  for (const [path, words] of [
    ['/', /warm-up/],
    ['/exercises/pulley', /Pulley/],
    ['/voices', /sing/],
  ] as const) {
    await again.goto(path);
    await expect(again.getByRole('heading', { name: words }).first()).toBeVisible();
  }
  // What was never opened says so, and does not stay on its way for ever.
  await again.goto('/evenings/dates');
  await expect(again.getByRole('alert')).toContainText('This page was not opened on this device');

  await person.context.setOffline(false);
  await again.goto(plan);
  await expect(again.getByText(/^The server cannot be reached/)).toBeHidden();

  // Signed out from elsewhere: nothing of the choir is left to read on this device.
  const keptOfChoirs = () =>
    again.evaluate(async () => {
      const keys = await (await caches.open('wide-fern-answers')).keys();
      return keys.filter(({ url }) => url.includes('/choirs/')).length;
    });
  expect(await keptOfChoirs()).toBeGreaterThan(0);
  expect((await person.request.delete('/api/session')).ok()).toBe(true);
  await again.goto('/');
  await expect(again.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await expect.poll(keptOfChoirs).toBe(0);
});
