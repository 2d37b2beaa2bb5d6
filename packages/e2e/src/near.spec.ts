import { expect, test } from '@playwright/test';
import { expectAccessible } from './accessible';
import {
  expectNoComplaints,
  newEvening,
  newPerson,
  saved,
  segment,
  segmentNames,
  storePlan,
} from './person';

test('looked at from near: by wheel the moment stays, by keyboard down to one key, and back', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const weave = page.getByRole('img', { name: /^The range weave/ });
  const mark = page.locator('[data-moment]');
  const box = (await weave.boundingBox())!;
  const [x, y] = [box.x + 500, box.y + 200];
  await page.mouse.move(x, y);
  const pointedAt = (await mark.textContent())!;
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -300);
  await page.keyboard.up('Control');
  const all = page.getByRole('button', { name: 'all', exact: true });
  await expect(all).toBeVisible();
  // What is under the pointer is under it still.
  await page.mouse.move(x + 1, y);
  await page.mouse.move(x, y);
  await expect(mark).toHaveText(pointedAt);
  await all.click();
  await expect(all).toHaveCount(0);

  // From the segment to its first key, where single notes stand with their syllables.
  await segment(page, 'Pulley').click();
  const notes = page.locator('[data-near]').getByText('yah');
  await page.keyboard.press('v');
  await expect(all).toBeVisible();
  await expect(notes).toHaveCount(0);
  await page.keyboard.press('v');
  // A part that rests there has none.
  await expect(notes.first()).toBeVisible();
  await expectAccessible(page);
  // Whoever goes on sees the segment they go to.
  await page.keyboard.press('p');
  await expect(segment(page, 'Narrow hum')).toBeInViewport();
  await expect(notes).toHaveCount(0);
  await page.keyboard.press('Shift+V');
  await expect(all).toHaveCount(0);
  expectNoComplaints(person.context);
});

test('an exercise is dragged from the shelf to exactly where it shall stand', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(segment(page, 'Pulley')).toBeVisible();
  await page.keyboard.press('/');
  await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('embers');
  const row = page.getByRole('button', { name: /^Add Embers/ });
  const from = (await row.boundingBox())!;
  const behind = (await segment(page, 'Coat off').boundingBox())!;
  await page.mouse.move(from.x + 30, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y - 40, { steps: 4 });
  await page.mouse.move(behind.x + behind.width - 4, behind.y + 20, { steps: 8 });
  await expect(page.locator('[data-gap="1"]')).toBeVisible();
  await page.mouse.up();
  await expect
    .poll(() => segmentNames(page))
    .toEqual(['Coat off', 'Embers', 'Narrow hum', 'Pulley']);
  await expect(page.locator('[data-gap]')).toHaveCount(0);

  // Let go beside the strip, nothing is taken.
  await page.keyboard.press('/');
  await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('slate steps');
  const other = (await page.getByRole('button', { name: /^Add Slate steps/ }).boundingBox())!;
  await page.mouse.move(other.x + 30, other.y + 10);
  await page.mouse.down();
  await page.mouse.move(other.x + 90, other.y + 60, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('region', { name: 'Shelf' })).toBeVisible();
  expect(await segmentNames(page)).toHaveLength(4);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect.poll(() => segmentNames(page)).toEqual(['Coat off', 'Narrow hum', 'Pulley']);
  await saved(page);
  expectNoComplaints(person.context);
});
