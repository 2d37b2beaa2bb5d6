import { expect } from '@playwright/test';
import { runSummarySchema, z } from '@wide-fern/contract';
import { expectAccessible } from './accessible';
import {
  expectNoComplaints,
  hearNothing,
  newEvening,
  newPerson,
  planAddress,
  storePlan,
} from './person';
import { test } from './test';

test('a deputy rehearses leading to its figures, and it counts nowhere', async ({ browser }) => {
  const person = await newPerson(browser);
  await hearNothing(person);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['long-s', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/lead/warm-up`);
  await page.getByRole('link', { name: 'rehearse it with a simulated choir' }).click();
  await page.getByRole('radio', { name: 'slips often' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('A rehearsal with a simulated choir')).toBeVisible();
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: 'its purpose' }).click();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('o');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Pulley');
  await page.getByRole('button', { name: 'the cue' }).click();
  await expectAccessible(page);
  // Every key, and once more.
  await page.keyboard.press('PageDown');
  await page.keyboard.press('a');
  for (;;) {
    await page.keyboard.press('PageDown');
    if ((await page.getByRole('button', { name: /^End/ }).count()) > 1) break;
  }
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Your rehearsal');
  const figure = (what: string) =>
    page.locator('dt', { hasText: what }).locator('xpath=following-sibling::dd[1]');
  await expect(figure('Purpose not said')).toHaveText('Pulley');
  await expect(figure('Cue not said')).toHaveText('Long s');
  await expect(figure('Keys and steps')).toHaveText(/^(\d+) of \1; one was done again$/);
  await expectAccessible(page);

  const runs = await person.request.get(`${planAddress(person, evening)}/runs`);
  expect(z.array(runSummarySchema).parse(await runs.json())).toEqual([]);
  await page.getByRole('button', { name: 'To the plan' }).click();
  await expect(page.getByRole('link', { name: 'lead it' })).toBeVisible();
  await expect(page.getByText('This warm-up was not ended')).toHaveCount(0);
  expectNoComplaints(person.context);
});
