import { exercises } from '@wide-fern/catalogue';
import { build } from '@wide-fern/core';
import { emptyDocument, nothingAsked, propose, requestOf, weigh } from '@wide-fern/plan';
import { highsSolver } from '@wide-fern/solver';
import { expect, type Locator, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import {
  expectNoComplaints,
  newContext,
  newEvening,
  newPerson,
  saved,
  segment,
  segmentNames,
  storePlan,
} from './person';
import { test } from './test';

/** Proving may take a while on a slow machine. */
const proven = (page: Page) =>
  expect(page.getByText(/^(proven best|best found) in [\d.]+ s/)).toBeVisible({ timeout: 120_000 });
const proposal = (page: Page, name: string) =>
  page.getByRole('region', { name: `Proposal: ${name}` });
const proposed = (page: Page, name: string): Locator =>
  proposal(page, name).getByRole('list').getByRole('button');
const namesIn = async (page: Page, name: string): Promise<string[]> => {
  const labels = await proposed(page, name).evaluateAll((all) =>
    all.map((one) => one.getAttribute('aria-label') ?? ''),
  );
  return labels.map((label) => label.replace(/^\d+\. /, '').replace(/, [^,]*.*$/, ''));
};

test('a first-time choir with a pasted roster has a proven warm-up in nine clicks', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  let clicks = 0;
  const click = async (what: Locator) => {
    clicks += 1;
    await what.click();
  };
  const named = (name: string | RegExp) =>
    page.getByRole('button', { name }).or(page.getByRole('link', { name }));
  await page.goto('/');
  await click(named('Say who sings').first());
  await click(named('Read a list').first());
  const rows = ['Name\tPart', ...'SSSSAAAATTBB'.split('').map((part, i) => `Singer ${i}\t${part}`)];
  await page.getByRole('textbox', { name: 'Rows from a spreadsheet' }).fill(rows.join('\n'));
  await click(named('Look at these rows'));
  await click(named(/^Store/));
  await expect(page.getByRole('heading', { name: '12 singers' })).toBeVisible();
  await click(page.getByRole('link', { name: 'Tonight' }));
  await click(named('Say when you rehearse').first());
  const tomorrow = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel('Date', { exact: true }).fill(tomorrow);
  await page.getByLabel('Starts', { exact: true }).fill('19:30');
  await page.getByLabel('Ends').fill('21:30');
  await page.getByLabel('Place', { exact: true }).fill('Old pump house');
  await click(named('Add the evening'));
  await click(page.getByRole('button', { name: 'Build the warm-up' }));
  await proven(page);
  await expect(proposal(page, 'first').getByText('proven best')).toBeVisible();
  await click(page.getByRole('button', { name: 'Take it whole' }));
  expect(clicks).toBeLessThan(10);
  const names = await segmentNames(page);
  expect(names.length).toBeGreaterThan(4);
  await saved(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /warm-up is (ready|planned): 1[45] minutes/,
  );
  expectNoComplaints(person.context);
});

test('built, compared, taken, kept in part, built again, asked why and why not, and back from the impossible', async ({
  browser,
}) => {
  test.slow();
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(page.getByRole('button', { name: 'build it' })).toBeVisible();
  await page.keyboard.press('b');
  await proven(page);
  await expectAccessible(page);

  // A part of it across, and two of the plan kept as they are.
  await expect(proposal(page, 'now')).toContainText(/worth/);
  await proposed(page, 'now').nth(1).click();
  await page.getByRole('button', { name: 'it stays as it is' }).click();
  await proposed(page, 'now').nth(2).click();
  await page.getByRole('button', { name: 'it stays as it is' }).click();
  await proven(page);
  expect(await namesIn(page, 'first')).toEqual(expect.arrayContaining(['Narrow hum', 'Pulley']));

  // One of the others not tonight.
  const names = await namesIn(page, 'first');
  const unwanted = names.find((name) => !['Narrow hum', 'Pulley'].includes(name))!;
  await proposed(page, 'first').nth(names.indexOf(unwanted)).click();
  const why = page.getByRole('region', { name: `Why ${unwanted}` });
  await expect(why).toContainText(/Works on|Never led here yet/);
  await expect(why.getByRole('table')).toContainText('worth in all');
  await why.getByRole('button', { name: 'not tonight' }).click();
  await proven(page);
  expect(await namesIn(page, 'first')).not.toContain(unwanted);

  // Why not this one?
  await page.getByLabel('Why not this one?').selectOption({ label: unwanted });
  await page.getByRole('button', { name: 'ask', exact: true }).click();
  await expect(page.getByText(new RegExp(`^With ${unwanted} the plan would be worth`))).toBeVisible(
    { timeout: 120_000 },
  );

  // What is asked is still asked when the page was closed in the middle of a search.
  await page.close();
  const again = await person.context.newPage();
  await again.goto(`/evenings/${evening.id}/plan?build`);
  await expect(again.getByText(`without ${unwanted}`)).toBeVisible();
  await proven(again);
  expect(await namesIn(again, 'first')).toEqual(expect.arrayContaining(['Narrow hum', 'Pulley']));

  // The impossible, and the way out.
  await again.getByRole('button', { name: /^Fifteen minutes/ }).click();
  await again.getByRole('textbox', { name: 'Minutes' }).fill('2');
  await again.getByRole('textbox', { name: 'Minutes' }).press('Enter');
  const alert = again.getByRole('alert');
  await expect(alert).toContainText(/do not fit together|not possible/, { timeout: 120_000 });
  await again.getByRole('button', { name: /^all 15:00/ }).click();
  await proven(again);
  const whole = await namesIn(again, 'first');
  await again.getByRole('button', { name: 'Take it whole' }).click();
  expect(await segmentNames(again)).toEqual(whole);
  await saved(again);

  // One edit, undone as one.
  await again.keyboard.press('u');
  expect(await segmentNames(again)).toEqual(['Coat off', 'Narrow hum', 'Pulley']);
  expectNoComplaints(person.context);
});

test('the page builds the very plan that Node builds', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan?build`);
  await proven(page);
  const solver = highsSolver();
  const request = requestOf(
    {
      choir: { approach: 'evening-after-work', level: 2, approaches: [] },
      document: emptyDocument(evening.tonight),
      allotted: 900,
      evening,
      evenings: [evening.startsAt],
      exercises: { own: [], marks: {}, lastUsed: {} },
    },
    nothingAsked,
  );
  const proposed = await propose(
    { ...request, alternatives: 0 },
    {
      weigh: (asked) => Promise.resolve(weigh(asked, exercises)),
      solve: (problem) => build(problem, { solver }),
    },
  );
  const names = new Map(exercises.map(({ id, name }) => [id, name]));
  const best = proposed.kind === 'plans' ? proposed.plans[0]!.segments : [];
  expect(best.length).toBeGreaterThan(4);
  expect(await namesIn(page, 'first')).toEqual(best.map(({ exercise }) => names.get(exercise)));
});

test('by keyboard alone', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(page.getByRole('button', { name: 'Build the warm-up' })).toBeVisible();
  await page.keyboard.press('b');
  await proven(page);
  const tabTo = async (what: Locator) => {
    for (let i = 0; i < 80; i += 1) {
      if (await what.evaluate((one) => one === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error('It is not reached by the keyboard.');
  };
  await tabTo(page.getByRole('button', { name: 'strong where it is led up to' }));
  await page.keyboard.press('Enter');
  await tabTo(page.getByLabel('nothing loud tonight'));
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'nothing loud', exact: true })).toBeVisible();
  await proven(page);
  await tabTo(proposed(page, 'first').nth(0));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: /^Why / })).toBeVisible();
  await tabTo(page.getByRole('button', { name: 'Take it whole' }));
  await page.keyboard.press('Enter');
  expect((await segmentNames(page)).length).toBeGreaterThan(4);
});

test('on a phone, with nothing cut off', async ({ browser }) => {
  const context = await newContext(browser, { viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Look around as the demo director' }).click();
  await page.getByRole('button', { name: 'Open the plan' }).click();
  await page.getByRole('button', { name: 'build it' }).click();
  await proven(page);
  const beyond = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(beyond).toBeLessThanOrEqual(0);
  const names = await namesIn(page, 'first');
  await page.getByRole('button', { name: 'Take it whole' }).click();
  await expect(segment(page, names[0]!)).toBeVisible();
  expectNoComplaints(context);
});
