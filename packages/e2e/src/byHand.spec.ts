import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import { expectNoComplaints, newEvening, newPerson, saved, storePlan } from './person';

test('a ladder by hand: a part told to rest stays so, and the best is found again', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['pulley', 'narrow-hum']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const grid = page.getByRole('grid', { name: 'Room of each part in each key' });
  const untouched = grid.getByRole('gridcell', { name: /^Altos on .*: / });
  await untouched.first().waitFor();
  const before = await grid
    .getByRole('gridcell')
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')));
  // A key of the ladder is one that asks when it is touched.
  const sung = grid.locator('[data-cell^="1-"]').filter({ has: page.locator('rect') });
  const count = await sung.count();
  const choice = page.getByRole('radiogroup', { name: /^Altos on / });
  let asked = -1;
  for (let i = 0; i < count && asked < 0; i += 1) {
    await sung.nth(i).focus();
    await page.keyboard.press('Enter');
    if (await choice.isVisible()) asked = i;
  }
  expect(asked).toBeGreaterThanOrEqual(0);
  await expect(choice.getByRole('radio', { name: 'what is best' })).toBeFocused();
  await choice.getByRole('radio', { name: 'rest' }).press('Enter');
  const byHand = grid.getByRole('gridcell', { name: /by hand/ });
  await expect(byHand).toHaveCount(1);
  await expect(byHand).toHaveAttribute('aria-label', /^Altos rest on .*; by hand/);
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await expect(byHand).toHaveCount(1);
  await page.getByRole('button', { name: 'let the best be found again' }).click();
  await expect(byHand).toHaveCount(0);
  await saved(page);
  const after = await grid
    .getByRole('gridcell')
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')));
  expect(after).toEqual(before);
  expectNoComplaints(person.context);
});

test('what was not chosen before is not chosen again after undo, and a shake-out can go', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const length = page.getByRole('status', { name: 'Length' });
  await page.getByText('quicker, talk between, shake-outs').click();
  const before = (await length.textContent())!;
  const shakeOut = page.getByRole('textbox', { name: 'Shake-out in seconds' });
  await shakeOut.fill('10');
  await shakeOut.press('Enter');
  await expect(length).not.toHaveText(before);
  await shakeOut.fill('0');
  await shakeOut.press('Enter');
  await expect(length).toHaveText(before);
  const between = page.getByRole('textbox', { name: 'Talk between keys' });
  await between.fill('5');
  await between.press('Enter');
  await expect(length).not.toHaveText(before);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(length).toHaveText(before);
});
