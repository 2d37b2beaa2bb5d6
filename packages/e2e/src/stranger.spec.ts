import { expect } from '@playwright/test';
import {
  join,
  newContext,
  newEvening,
  newPerson,
  planAddress,
  segmentNames,
  storePlan,
} from './person';
import { test } from './test';

test('whoever is not signed in is asked to, and then led where they wanted to go', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off']);
  const context = await newContext(browser);
  const page = await context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(page).toHaveURL(/\/sign-in\?to=/);
  await page.getByLabel('E-mail').fill(person.email);
  await page.getByLabel('Password').fill('not the right one');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('E-mail and password do not go together');
  await page.getByLabel('Password').fill(person.password);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page).toHaveURL(new RegExp(`/evenings/${evening.id}/plan`));
  expect(await segmentNames(page)).toEqual(['Coat off']);
});

test('a stranger sees nothing of another choir', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off']);
  const stranger = await newPerson(browser);
  const page = await stranger.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(page.getByRole('alert')).toContainText('not here, or not yours to see');
  expect((await stranger.request.get(planAddress(person, evening))).status()).toBe(404);
});

test('a reader looks and cannot change', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum']);
  const reader = await newPerson(browser);

  await join(person, reader, 'reader');
  const looking = await reader.context.newPage();
  await looking.goto('/choir');
  await looking.getByRole('combobox', { name: 'Choir in use' }).selectOption(person.choir);
  await looking.getByRole('button', { name: 'Look at the plan' }).click();
  await expect(looking.getByText('you may look, not change')).toBeVisible();
  await looking.keyboard.press('n');
  await expect(looking.getByRole('region', { name: 'Bench: Narrow hum' })).toBeVisible();
  await expect(looking.getByRole('button', { name: 'Add an exercise' })).toBeHidden();
  await expect(looking.getByRole('button', { name: 'leave out' })).toBeHidden();
  const put = await reader.request.put(planAddress(person, evening), {
    data: { version: 1, document: { schema: 1, tonight: evening.tonight, segments: [] } },
  });
  expect(put.status()).toBe(403);
});
