import { expect } from '@playwright/test';
import { newEvening, newPerson, saved, segment, storePlan } from './person';
import { test } from './test';

test('many evenings: a row around the next one, earlier and later within reach', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  for (let day = -30; day <= 30; day += 1) await newEvening(person, day * 7 + 1);
  const page = await person.context.newPage();
  await page.goto('/');
  const row = page.getByRole('navigation', { name: 'Evenings' });
  await expect(row.locator('[aria-current="date"]')).toBeVisible();
  const shown = await row.getByRole('link').count();
  expect(shown).toBeLessThan(20);
  const dates = await row.innerText();
  await row.getByRole('button', { name: 'later' }).click();
  await expect.poll(() => row.innerText()).not.toBe(dates);
  await row.getByRole('button', { name: 'earlier' }).click();
  await row.getByRole('button', { name: 'earlier' }).click();
  await expect(row.getByRole('button', { name: 'later' })).toBeVisible();
  await row.getByRole('link').first().click();
  await expect(page.getByText('15 minutes are set aside, and nothing is planned')).toBeVisible();
});

test('a window without unsaved changes shows what another one saved when it is looked at', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum']);
  const open = async () => {
    const page = await person.context.newPage();
    await page.goto(`/evenings/${evening.id}/plan`);
    await expect(segment(page, 'Narrow hum')).toBeVisible();
    return page;
  };
  const [first, second] = [await open(), await open()];
  await segment(second, 'Narrow hum').click();
  await second.getByRole('button', { name: 'leave out' }).click();
  await saved(second);
  await first.bringToFront();
  await first.evaluate(() => {
    document.dispatchEvent(new Event('visibilitychange', { bubbles: true }));
    window.dispatchEvent(new Event('focus'));
  });
  await expect(segment(first, 'Narrow hum')).toBeHidden();
  await first.getByRole('button', { name: 'undo' }).click();
  await expect(segment(first, 'Narrow hum')).toBeVisible();
  await saved(first);
});

test('an evening over midnight keeps its clock', async ({ browser }) => {
  const person = await newPerson(browser);
  const date = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10);
  const page = await person.context.newPage();
  await page.goto('/evenings/new');
  await page.getByLabel('Date', { exact: true }).fill(date);
  await page.getByLabel('Starts', { exact: true }).fill('23:50');
  await page.getByLabel('Ends').fill('01:00');
  await page.getByLabel('Place', { exact: true }).fill('Chapel');
  await page.getByRole('button', { name: 'Add the evening' }).click();
  await page.getByRole('button', { name: 'open the shelf' }).click();
  await page.getByRole('button', { name: /Add Slate steps/ }).click();
  await expect(page.getByText(/ends 23:51:54/).first()).toBeVisible();
  for (let i = 0; i < 9; i += 1) await page.getByRole('button', { name: 'Talk: more' }).click();
  await page.getByRole('textbox', { name: 'Talk' }).fill('600');
  await page.getByRole('textbox', { name: 'Talk' }).press('Enter');
  await expect(page.getByText(/ends 00:01:06/).first()).toBeVisible();
});
