import { expect, type Page } from '@playwright/test';
import {
  expectNoComplaints,
  hearNothing,
  newEvening,
  newPerson,
  saved,
  segment,
  segmentNames,
  storePlan,
} from './person';
import { test } from './test';

async function twoWindows(browser: Parameters<typeof newPerson>[0]) {
  const person = await newPerson(browser);
  await hearNothing(person);
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

test('what two windows change in different places goes together by itself', async ({ browser }) => {
  const person = await newPerson(browser);
  await hearNothing(person);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const open = async (): Promise<Page> => {
    const page = await person.context.newPage();
    await page.goto(`/evenings/${evening.id}/plan`);
    await expect(page.getByRole('list', { name: 'Segments' })).toBeVisible();
    return page;
  };
  const [first, second] = [await open(), await open()];
  await segment(first, 'Coat off').click();
  await first.getByRole('button', { name: 'leave out' }).click();
  await saved(first);
  await segment(second, 'Pulley').click();
  await second.getByRole('button', { name: '− one key' }).click();
  await expect.poll(() => segmentNames(second)).toEqual(['Narrow hum', 'Pulley']);
  await saved(second);
  await expect(second.getByRole('alertdialog')).toBeHidden();
  await expect(second.getByRole('region', { name: /^Bench/ })).toContainText('Six keys');
  // Undo takes back one's own change and leaves theirs.
  await second.getByRole('button', { name: 'undo' }).click();
  await expect(second.getByRole('region', { name: /^Bench/ })).toContainText('Seven keys');
  expect(await segmentNames(second)).toEqual(['Narrow hum', 'Pulley']);
  await saved(second);
  expectNoComplaints(person.context);
});

test('what one window changes shows in the other within a second, whoever has it open', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const elsewhere = await browser.newContext({ storageState: await person.context.storageState() });
  try {
    const open = async (page: Page): Promise<Page> => {
      const following = page.waitForRequest('**/api/choirs/*/events*');
      await page.goto(`/evenings/${evening.id}/plan`);
      await expect(page.getByRole('list', { name: 'Segments' })).toBeVisible();
      await following;
      return page;
    };
    // Two windows of one browser, of which one follows for both, and another browser.
    const here = await open(await person.context.newPage());
    const beside = await person.context.newPage();
    await beside.goto(`/evenings/${evening.id}/plan`);
    await expect(beside.getByRole('list', { name: 'Segments' })).toBeVisible();
    const there = await open(await elsewhere.newPage());
    await segment(there, 'Pulley').click();
    await there.getByRole('button', { name: 'leave out' }).click();
    await saved(there);
    for (const page of [here, beside]) {
      await expect(segment(page, 'Pulley')).toBeHidden({ timeout: 5_000 });
    }
    // When the window that followed for both closes, the other goes on.
    await here.close();
    await segment(there, 'Coat off').click();
    await there.getByRole('button', { name: 'leave out' }).click();
    await saved(there);
    await expect(segment(beside, 'Coat off')).toBeHidden({ timeout: 10_000 });
    expectNoComplaints(person.context);
  } finally {
    await elsewhere.close();
  }
});
