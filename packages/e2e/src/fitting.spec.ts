import type { PlanDocument } from '@wide-fern/contract';
import { expect } from '@playwright/test';
import { expectAccessible } from './accessible';
import {
  addSingers,
  expectNoComplaints,
  newEvening,
  newPerson,
  planAddress,
  saved,
  segmentNames,
  storePlan,
  type Person,
} from './person';
import { test } from './test';

const searched = { timeout: 60_000 };

test('a plan that is too long is fitted to its time by keys, and undone', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const ids = ['coat-off', 'long-s', 'narrow-hum', 'embers', 'pulley', 'slate-steps', 'wet-slate'];
  await storePlan(person, evening, ids);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const before = await segmentNames(page);
  await page.keyboard.press('f');
  const fit = page.getByRole('region', { name: 'Fit to time' });
  const minutes = fit.getByRole('textbox', { name: 'Minutes' });
  await minutes.fill('7');
  await minutes.press('Enter');
  await expect(fit.getByText(/^[67]:\d\d instead of \d+:\d\d; /)).toBeVisible(searched);
  await expectAccessible(page);
  // Shown before it is taken.
  expect(await segmentNames(page)).toEqual(before);
  await fit.getByRole('button', { name: 'Take it' }).press('Enter');
  await expect(page.getByRole('status', { name: 'Length' })).toContainText(/^[67]:\d\d of 15:00/);
  const after = await segmentNames(page);
  expect(after.length).toBeLessThanOrEqual(before.length);
  // In the plan's order.
  expect(before.filter((name) => after.includes(name))).toEqual(after);
  await page.keyboard.press('u');
  await expect.poll(() => segmentNames(page)).toEqual(before);
  await saved(page);
  expectNoComplaints(person.context);
});

test('where it is not sure that enough are at ease is marked, and said in the key strip', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const limits = { comfort: [60, 77], reach: [57, 80] } as const;
  await addSingers(
    person,
    ['Ash Tarn', 'Bram Oake', 'Cleo Rill'].map((name) => ({
      ...{ name, part: 'S' },
      comfort: [...limits.comfort],
      reach: [...limits.reach],
    })),
  );
  await storePlan(person, evening, ['slate-steps']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const unsure = /on \w+ evenings in ten, too few are at ease here|nearly always too few/;
  await expect(page.locator('svg title').filter({ hasText: unsure }).first()).toBeAttached();
  const grid = page.getByRole('grid', { name: 'Room of each part in each key' });
  await expect(grid.getByRole('gridcell', { name: unsure }).first()).toBeVisible();
});

const planOn = async (person: Person, evening: Parameters<typeof planAddress>[1]) => {
  const answer = await person.request.get(planAddress(person, evening));
  return ((await answer.json()) as { plan: { document: PlanDocument } | null }).plan;
};

test('the weeks ahead are built at once, each knowing the others, and stored when taken', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const person = await newPerson(browser);
  const evenings = [await newEvening(person, 1), await newEvening(person, 8)];
  const last = await newEvening(person, 15);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evenings[0]!.id}/plan?build`);
  await expect(page.getByText(/proven best in/)).toBeVisible({ timeout: 120_000 });
  await page.getByRole('button', { name: /plan them too/ }).click();
  const weeks = page.getByRole('region', { name: 'The weeks ahead' });
  await weeks.getByRole('button', { name: 'build the 2 that are open' }).click();
  const take = weeks.getByRole('button', { name: /^take it for/ });
  await expect(take).toHaveCount(2, { timeout: 120_000 });
  expect(await planOn(person, last)).toBeNull();
  await take.first().click();
  await expect(take).toHaveCount(1);
  await take.click();
  await expect(weeks.getByText(/in its plan now/)).toHaveCount(2);
  const exercisesOn = async (evening: (typeof evenings)[number]) =>
    (await planOn(person, evening))!.document.segments.map(({ exercise }) => exercise.id);
  const [second, third] = [await exercisesOn(evenings[1]!), await exercisesOn(last)];
  expect(second.length).toBeGreaterThan(4);
  expect(third.length).toBeGreaterThan(4);
  // What was led the week before is not fresh: little of it comes again.
  const again = third.filter((id) => second.includes(id));
  expect(again.length).toBeLessThan(third.length / 2);
});
