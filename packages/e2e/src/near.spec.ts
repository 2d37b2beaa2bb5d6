import { expect } from '@playwright/test';
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
import { test } from './test';

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

test('a finger scrolls the shelf, and takes along what it rests on', async ({ browser }) => {
  const person = await newPerson(browser, {
    viewport: { width: 1024, height: 768 },
    hasTouch: true,
  });
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await segment(page, 'Pulley').tap();
  await expect(page.getByRole('heading', { name: 'Pulley' })).toBeVisible();
  await page.getByRole('button', { name: 'Add an exercise' }).tap();
  const shelf = page.getByRole('region', { name: 'Shelf' });
  const row = shelf.getByRole('button', { name: /^Add Tin and tackle/ });
  await row.scrollIntoViewIfNeeded();
  const cdp = await person.context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x = 0, y = 0) =>
    cdp.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x, y }],
    });
  const pull = async (from: { x: number; y: number }, to: { x: number; y: number }) => {
    for (let i = 1; i <= 10; i += 1) {
      const share = i / 10;
      await touch('touchMove', from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share);
    }
  };
  const inRow = async () => {
    const { x, y } = (await row.boundingBox())!;
    return { x: x + 40, y: y + 12 };
  };
  const scrolled = () => page.evaluate(() => window.scrollY);
  const before = await scrolled();
  const first = await inRow();
  await touch('touchStart', first.x, first.y);
  await pull(first, { x: first.x, y: first.y - 120 });
  await touch('touchEnd');
  await expect.poll(scrolled).not.toBe(before);
  expect(await segmentNames(page)).toHaveLength(3);

  await row.scrollIntoViewIfNeeded();
  const rest = await inRow();
  await touch('touchStart', rest.x, rest.y);
  // How long a finger rests is what is tried here, so the page's own clock is waited for.
  const since = await page.evaluate(() => performance.now());
  await page.waitForFunction((from) => performance.now() - from > 400, since);
  await pull(rest, { x: rest.x, y: rest.y - 20 });
  const behind = (await segment(page, 'Coat off').boundingBox())!;
  await pull({ x: rest.x, y: rest.y - 20 }, { x: behind.x + behind.width - 4, y: behind.y + 20 });
  await expect(page.locator('[data-gap="1"]')).toBeVisible();
  await touch('touchEnd');
  await expect
    .poll(() => segmentNames(page))
    .toEqual(['Coat off', 'Tin and tackle', 'Narrow hum', 'Pulley']);
  await saved(page);
  expectNoComplaints(person.context);
});
