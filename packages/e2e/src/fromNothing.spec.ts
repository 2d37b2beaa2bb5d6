import { expect, type Locator, type Page } from '@playwright/test';
import { expectNoComplaints, newPerson, saved, segment, segmentNames } from './person';
import { test } from './test';

/** Two minutes for everything that is scripted, the page's own answers included. */
test.describe.configure({ timeout: 120_000 });

const tomorrow = () => new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
const wanted = ['Coat off', 'Long s', 'Narrow hum', 'Slate steps', 'Pulley'];

/** What is planned, as a person who comes next finds it. */
async function foundAgain(page: Page, names: readonly string[]): Promise<void> {
  await saved(page);
  await page.reload();
  expect(await segmentNames(page)).toEqual(names);
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /warm-up is (not whole yet|planned)/,
  );
}

test('an evening and its warm-up from nothing, by mouse', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/');
  await page.getByRole('link', { name: 'Say when you rehearse' }).click();
  await page.getByLabel('Date', { exact: true }).fill(tomorrow());
  await page.getByLabel('Starts', { exact: true }).fill('19:30');
  await page.getByLabel('Ends').fill('21:30');
  await page.getByLabel('Place', { exact: true }).fill('Old pump house');
  await page.getByRole('button', { name: 'Add the evening' }).click();
  for (const name of wanted) {
    await page.getByRole('button', { name: 'Add an exercise' }).click();
    await page.getByRole('textbox', { name: 'Look for an exercise' }).fill(name);
    await page.getByRole('button', { name: new RegExp(`^Add ${name}:`) }).click();
    await expect(segment(page, name)).toBeVisible();
  }
  // The last one is taken to another place.
  const pulley = (await segment(page, 'Pulley').boundingBox())!;
  const steps = (await segment(page, 'Slate steps').boundingBox())!;
  const order = await segmentNames(page);
  await page.mouse.move(pulley.x + 20, pulley.y + 30);
  await page.mouse.down();
  await page.mouse.move(pulley.x - 20, pulley.y + 30, { steps: 4 });
  await page.mouse.move(steps.x + 4, steps.y + 30, { steps: 6 });
  await page.mouse.up();
  const moved = order.filter((name) => name !== 'Pulley');
  moved.splice(moved.indexOf('Slate steps'), 0, 'Pulley');
  await expect.poll(() => segmentNames(page)).toEqual(moved);
  await foundAgain(page, moved);
  expectNoComplaints(person.context);
});

test('the same by keyboard alone', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/');
  /** On to something with the tabulator. */
  const to = async (what: Locator) => {
    await what.waitFor();
    for (let i = 0; i < 120; i += 1) {
      if (await what.evaluate((one) => one === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error('It cannot be reached with the tabulator.');
  };
  const press = async (what: Locator) => {
    await to(what);
    await page.keyboard.press('Enter');
  };
  const type = async (label: string, words: string) => {
    await to(page.getByLabel(label, { exact: true }));
    await page.keyboard.press('Control+a');
    await page.keyboard.type(words);
  };
  await press(page.getByRole('link', { name: 'Say when you rehearse' }));
  await type('Date', tomorrow());
  await type('Starts', '19:30');
  await type('Ends', '21:30');
  await type('Place', 'Old pump house');
  await press(page.getByRole('button', { name: 'Add the evening' }));
  await page.getByRole('button', { name: 'Build the warm-up' }).waitFor();
  for (const name of wanted) {
    await page.keyboard.press('/');
    const field = page.getByRole('textbox', { name: 'Look for an exercise' });
    await expect(field).toBeFocused();
    await page.keyboard.type(name);
    await press(page.getByRole('button', { name: new RegExp(`^Add ${name}:`) }));
    await expect(segment(page, name)).toBeFocused();
  }
  const order = await segmentNames(page);
  const at = order.indexOf('Pulley');
  await page.keyboard.press('Shift+ArrowLeft');
  const moved = [...order];
  moved.splice(at, 1);
  moved.splice(at - 1, 0, 'Pulley');
  await expect.poll(() => segmentNames(page)).toEqual(moved);
  await foundAgain(page, moved);
  expectNoComplaints(person.context);
});
