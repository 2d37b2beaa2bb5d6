import { expect, test, type Page } from '@playwright/test';
import {
  expectNoComplaints,
  newEvening,
  newPerson,
  saved,
  segment,
  segmentNames,
  storePlan,
} from './person';

async function twoWindows(browser: Parameters<typeof newPerson>[0]) {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const open = async (): Promise<Page> => {
    const page = await person.context.newPage();
    await page.goto(`/evenings/${evening.id}/plan`);
    await expect(page.getByRole('list', { name: 'Segments' })).toBeVisible();
    return page;
  };
  const first = await open();
  const second = await open();
  // Both changed from the same version: the first leaves one out, the second makes it shorter.
  await segment(first, 'Pulley').click();
  await first.getByRole('button', { name: 'leave out' }).click();
  await saved(first);
  await segment(second, 'Pulley').click();
  await second.getByRole('button', { name: '− one key' }).click();
  const panel = second.getByRole('alertdialog', { name: 'Two versions of this plan' });
  await expect(panel).toContainText('changed in another window');
  await expect(panel.getByRole('row', { name: /Pulley/ })).toContainText('not in it');
  return { person, evening, first, second, panel };
}

test('a clash is told and shown; keeping mine leaves theirs an undo away', async ({ browser }) => {
  const { person, first, second, panel } = await twoWindows(browser);
  await panel.getByRole('button', { name: 'Keep yours' }).click();
  await expect(panel).toBeHidden();
  await saved(second);
  expect(await segmentNames(second)).toContain('Pulley');

  // The first window learns of it when it is looked at again.
  await first.bringToFront();
  await first.reload();
  await expect(segment(first, 'Pulley')).toBeVisible();

  await second.getByRole('button', { name: 'undo' }).click();
  expect(await segmentNames(second)).not.toContain('Pulley');
  await saved(second);
  expectNoComplaints(person.context);
});

test('taking theirs leaves mine an undo away', async ({ browser }) => {
  const { person, second, panel } = await twoWindows(browser);
  await panel.getByRole('button', { name: 'Take the other' }).click();
  await expect(panel).toBeHidden();
  expect(await segmentNames(second)).not.toContain('Pulley');
  await second.getByRole('button', { name: 'undo' }).click();
  expect(await segmentNames(second)).toContain('Pulley');
  await saved(second);
  await second.reload();
  await segment(second, 'Pulley').click();
  await expect(second.getByRole('region', { name: /^Bench/ })).toContainText('Six keys');
  expectNoComplaints(person.context);
});
