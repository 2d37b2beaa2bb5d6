import { expect } from '@playwright/test';
import { expectAccessible } from './accessible';
import { pagesOf } from './pages';
import {
  addSingers,
  expectNoComplaints,
  newContext,
  newEvening,
  newPerson,
  storePlan,
} from './person';
import { test } from './test';

const sizes = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
] as const;

for (const colorScheme of ['light', 'dark'] as const) {
  test(`every view is accessible, ${colorScheme}`, async ({ browser }) => {
    test.slow();
    const context = await newContext(browser, { colorScheme });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await expect(page.getByRole('button', { name: /demo director/ })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/sign-up');
    await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/sign-in');
    await page.getByRole('button', { name: /demo director/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('warm-up is ready');
    await expectAccessible(page);
    await page.getByRole('button', { name: /plan/ }).click();
    await expect(page.getByRole('list', { name: 'Segments' })).toBeVisible();
    await expectAccessible(page);
    for (const name of ['Long s', 'Wet slate', 'Pulley', 'Lantern chord']) {
      await page.getByRole('list', { name: 'Segments' }).getByRole('button', { name }).click();
      await expectAccessible(page);
    }
    await page.keyboard.press('/');
    await expect(page.getByRole('region', { name: 'Shelf' })).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('?');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'sheet for the stand' }).click();
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/choir');
    await expect(page.getByText(/^joss\..*@quarrylane\.example$/)).toBeVisible();
    await expectAccessible(page);
    await page.goto('/account');
    await expect(page.getByText('this one')).toBeVisible();
    await expectAccessible(page);
    await page.goto('/evenings/new');
    await expect(page.getByRole('heading', { name: 'A new evening' })).toBeVisible();
    await expectAccessible(page);
    expectNoComplaints(context);
  });

  test(`every view of exercises is accessible, ${colorScheme}`, async ({ browser }) => {
    test.slow();
    const context = await newContext(browser, { colorScheme });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await page.getByRole('button', { name: /demo director/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('warm-up is ready');
    for (const [path, heading] of [
      ['/exercises', /exercises, \d+ fit/],
      ['/exercises/four-corners', /Four corners/],
      ['/exercises/four-doors', /Four doors/],
      ['/exercises/make/new', /Make an exercise/],
      ['/exercises/make/keel', /Copy and change/],
      ['/exercises/read/file', /Read a file/],
    ] as const) {
      await page.goto(path);
      await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
      await expectAccessible(page);
    }
    expectNoComplaints(context);
  });

  test(`every view of pieces and evenings is accessible, ${colorScheme}`, async ({ browser }) => {
    test.slow();
    const context = await newContext(browser, { colorScheme });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await page.getByRole('button', { name: /demo director/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('warm-up is ready');
    await page.getByRole('link', { name: 'change it' }).click();
    await expect(page.getByRole('list', { name: 'Agenda' })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/evenings/dates');
    await expect(page.getByRole('button', { name: 'Download a calendar file' })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/pieces');
    await expect(page.getByRole('link', { name: /Lanterns over Slate/ })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('link', { name: /Lanterns over Slate/ }).click();
    await expect(page.getByRole('img', { name: /^sopranos:/ })).toBeVisible();
    await page.goto(`${page.url()}?bars=19-22`);
    await expect(page.getByRole('button', { name: 'Make the exercise' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'mark trouble' }).click();
    await page.getByRole('button', { name: 'judge a run' }).click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'what the figures suggest' }).click();
    await expectAccessible(page);
    await page.getByRole('link', { name: /say anew who sings what/ }).click();
    await page.getByRole('button', { name: /say anew/ }).click();
    await expect(page.getByRole('list', { name: 'Lines of the score' })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/pieces/new');
    await expect(page.getByRole('heading', { name: 'A new piece' })).toBeVisible();
    await expectAccessible(page);
    expectNoComplaints(context);
  });

  test(`every view of voices is accessible, ${colorScheme}`, async ({ browser }) => {
    test.slow();
    const context = await newContext(browser, { colorScheme });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await page.getByRole('button', { name: /demo director/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('warm-up is ready');
    await page.goto('/voices');
    await page.getByRole('option', { name: /Noor/ }).click();
    await expect(page.getByText('Thick: easy')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Check the range' }).click();
    await expect(page.getByRole('heading', { name: /Range check/ })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'pause' }).click();
    await page.getByRole('button', { name: 'Change' }).click();
    await expect(page.getByRole('button', { name: 'Keep the changes' })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/voices?who');
    await expect(page.getByRole('checkbox', { name: /Noor/ })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/voices/roster');
    await page.getByRole('button', { name: /Noor/ }).click();
    await expectAccessible(page);
    await page.goto('/voices/parts');
    await expect(page.getByRole('group', { name: /^Part 1/ })).toBeVisible();
    await expectAccessible(page);
    await page.goto('/voices/room');
    await page.getByRole('button', { name: /^Begin with/ }).click();
    await expect(page.getByText(/still sing/)).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Now down' }).click();
    await page.getByRole('button', { name: 'That is all' }).click();
    await expect(page.getByText(/^Found for/)).toBeVisible();
    await expectAccessible(page);
    await page.goto('/voices/roster/read');
    await page.getByRole('textbox', { name: /Rows/ }).fill('Ash Tarn;X');
    await page.getByRole('button', { name: 'Look at these rows' }).click();
    await expect(page.getByText('1 row, 1 to put right')).toBeVisible();
    await expectAccessible(page);
    expectNoComplaints(context);
  });
}

test('no page is wider than its window, at the desk, on the stand and in the hand', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'long-s', 'narrow-hum', 'pulley', 'lantern-chord']);
  await addSingers(person, [
    { name: 'Wilmet Quay', part: 'S', comfort: [62, 79], reach: [59, 81] },
  ]);
  const page = await person.context.newPage();
  for (const path of pagesOf(evening)) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    // The window is made narrower under the open page, as by turning a tablet.
    for (const { width, height } of sizes) {
      await page.setViewportSize({ width, height });
      const needs = () => page.evaluate(() => document.documentElement.scrollWidth);
      await expect.poll(needs, `${path} at ${width}`).toBeLessThanOrEqual(width);
    }
    await page.setViewportSize(sizes[0]);
  }
});

test('in the hand one part is shown at a time, and segments follow by arrows', async ({
  browser,
}) => {
  const person = await newPerson(browser, { viewport: { width: 390, height: 844 } });
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(page.getByText('1 of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Next segment' }).click();
  await expect(page.getByRole('region', { name: 'Bench: Narrow hum' })).toBeVisible();
  await page.getByRole('button', { name: 'basses' }).click();
  await expect(page.getByRole('button', { name: 'basses' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a new choir is led from nothing to a first plan', async ({ browser }) => {
  const context = await newContext(browser);
  const page = await context.newPage();
  await page.goto('/sign-up');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('Write something here.').first()).toBeVisible();
  await page.getByLabel('Your name').fill('Perrin Lowe');
  await page.getByLabel('E-mail').fill(`perrin-${Date.now()}@example.org`);
  await page.getByLabel('Password').fill('short');
  await page.getByLabel('Choir').fill('Harbour Voices');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('A password has at least 10 characters.')).toBeVisible();
  await page.getByLabel('Password').fill('harbour lamps at nine');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'There is no evening yet' })).toBeVisible();
  await page.getByRole('link', { name: 'Add an evening' }).click();
  const date = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel('Date', { exact: true }).fill(date);
  await page.getByLabel('Minutes for the warm-up').fill('500');
  await page.getByLabel('Place', { exact: true }).fill('Hall');
  await page.getByRole('button', { name: 'Add the evening' }).click();
  await expect(page.getByText('At most 90 minutes.')).toBeVisible();
  await page.getByLabel('Minutes for the warm-up').fill('12');
  await page.getByRole('button', { name: 'Add the evening' }).click();
  await expect(page.getByText('12 minutes are set aside, and nothing is planned')).toBeVisible();
  await page.getByRole('button', { name: 'open the shelf' }).click();
  await page.getByRole('button', { name: /Add Soft v/ }).click();
  await expect(page.getByRole('region', { name: 'Bench: Soft v' })).toContainText('Best start');
  await page.getByRole('link', { name: 'Tonight' }).click();
  // One exercise of a minute is no whole warm-up, and nobody is on the roster yet.
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /warm-up is not whole yet: 1\d:\d\d of 12:00 are still open/,
  );
  const steps = page.getByRole('region', { name: 'First steps' });
  await expect(steps.getByText('An evening is in')).toBeVisible();
  await expect(steps.getByText('A warm-up is planned')).toBeVisible();
  await steps.getByRole('button', { name: 'Skip: Add the music you sing' }).click();
  await expect(steps.getByText('Add the music you sing: later')).toBeVisible();
  await steps.getByRole('button', { name: 'Skip: Say who sings' }).click();
  await expect(steps).toBeHidden();
  expectNoComplaints(context);
});

test('what is on its way, broken, or nowhere is said', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const page = await person.context.newPage();
  await page.goto('/nowhere');
  await expect(page.getByRole('alert')).toContainText('There is no page at this address');

  let letGo = () => {};
  const held = new Promise<void>((done) => (letGo = done));
  await page.route('**/evenings', async (route) => {
    await held;
    await route.fulfill({ status: 500, body: 'nonsense' });
  });
  await page.goto('/');
  await expect(page.getByText('Fetching your evenings …')).toBeVisible();
  letGo();
  await expect(page.getByRole('alert')).toContainText('answered in a way we do not understand', {
    timeout: 15_000,
  });
  await page.unroute('**/evenings');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('has no warm-up yet');

  await page.route('**/plans/**', (route) => route.abort());
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(page.getByRole('alert')).toContainText('The server cannot be reached', {
    timeout: 15_000,
  });
});

test('a plan stands where what comes behind it cannot be fetched', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  const behind =
    /\/assets\/(Over|Zoom|MomentMark|Dragging|SegmentEnds|PartSwitch|LookAt|Bench|Notices|SectionsChanged)-/;
  const missed = new Set<string>();
  await page.route(behind, (route) => {
    missed.add(behind.exec(route.request().url())![1]!);
    return route.abort();
  });
  await page.goto(`/evenings/${evening.id}/plan`);
  await expect(page.getByRole('alert')).toContainText(
    'What belongs to this segment could not be fetched. Load the page again',
  );
  await expect.poll(() => missed.size).toBeGreaterThan(6);
  const strip = page.getByRole('list', { name: 'Segments' });
  await expect(strip.getByRole('listitem')).toHaveCount(2);
  // What is gone is left out, and the plan can be changed all the same.
  await strip.getByRole('button', { name: /Pulley/ }).click();
  await page.keyboard.press('o');
  await expect(strip.getByRole('listitem')).toHaveCount(3);
  await page.unroute(behind);
  await page.reload();
  await expect(strip.getByRole('listitem')).toHaveCount(3);
  await expect(page.getByRole('alert')).toBeHidden();
});

test('each page names its tab, and the keyboard goes past the head', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/voices');
  await expect(page).toHaveTitle('Sopranos · Test Choir');
  await page.goto('/pieces/new');
  await expect(page).toHaveTitle('A new piece · Test Choir');
  await page.goto('/choir');
  await expect(page).toHaveTitle('Test Choir');
  await page.goto('/account');
  await expect(page).toHaveTitle('Wren Aldous · Test Choir');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the page' })).toBeFocused();
  await expect(page.getByRole('link', { name: 'To the page' })).toBeInViewport();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: /the choir’s settings/ })).toBeFocused();
});
