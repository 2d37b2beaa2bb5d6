import { expect } from '@playwright/test';
import { choirSchema } from '@wide-fern/contract';
import { expectAccessible } from './accessible';
import { expectNoComplaints, newEvening, newPerson, storePlan } from './person';
import { test } from './test';

test('a course is made, followed, led a step on, seen in the logbook, and offered by Build', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person, 0);
  await storePlan(person, evening, ['coat-off', 'keel']);
  const page = await person.context.newPage();
  await page.goto('/exercises');
  await page.getByRole('link', { name: 'courses' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No course is followed now.');
  await expectAccessible(page);

  // By keyboard alone: made from a built-in one, its first step managed in one evening.
  const listening = page.getByRole('region', { name: 'Listening to each other' });
  await listening.getByRole('button', { name: 'make your own from it' }).press('Enter');
  await page.getByLabel('What it is called').fill('Hearing each other');
  const first = page.getByRole('group', { name: 'Step 1', exact: true });
  await first.getByLabel('exercise').selectOption('keel');
  await page.getByRole('button', { name: 'Keep the course' }).press('Enter');
  // It is there twice: that is said, and nothing is kept.
  await expect(page.getByText(/^An exercise stands here twice/)).toBeVisible();
  await page.getByRole('button', { name: 'Step 4: away' }).press('Enter');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep the course' }).press('Enter');
  const own = page.getByRole('region', { name: 'Hearing each other' });
  await own.getByRole('button', { name: 'follow it from now on' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    '“Hearing each other”: next is Keel.',
  );
  const kept = choirSchema.parse(
    await (await person.request.get(`/api/choirs/${person.choir}`)).json(),
  );
  expect(Object.keys(kept.courses)).toEqual(['own-course-1']);

  await page.goto(`/evenings/${evening.id}/lead/warm-up`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.keyboard.press('o');
  await page.keyboard.press('o');
  await page.keyboard.press(' ');
  await page.keyboard.press(' ');
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('button', { name: 'Keel: most managed' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'kept with the evening' })).toBeVisible();

  await page.goto('/logbook');
  const steps = page.getByRole('list', { name: 'Steps of Hearing each other' });
  await expect(steps.getByRole('listitem').first()).toContainText(/^Keel.*managed, \d+ \w+$/);
  await expect(steps.locator('[aria-current=step]')).toContainText('Two poles');
  await expectAccessible(page);

  const next = await newEvening(person, 7);
  await page.goto(`/evenings/${next.id}/plan`);
  await expect(page.getByRole('button', { name: 'Build the warm-up' })).toBeVisible();
  await page.keyboard.press('b');
  await page.getByRole('button', { name: 'ask for Two poles, next in Hearing each other' }).click();
  await expect(page.getByText('Next in “Hearing each other”')).toBeHidden();
  await expect(page.getByRole('button', { name: /Two poles/ }).first()).toBeVisible();
  await expectAccessible(page);

  await page.goto('/courses');
  await own.getByRole('button', { name: 'throw it away' }).click();
  await expect(page.getByText('“Hearing each other” was thrown away.')).toBeVisible();
  await page.getByRole('button', { name: 'bring it back' }).click();
  await expect(own).toBeVisible();
  expectNoComplaints(person.context);
});
