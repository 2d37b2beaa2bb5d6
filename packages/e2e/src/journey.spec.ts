import { expect } from '@playwright/test';
import { expectNoComplaints, newContext, saved, segment, segmentNames } from './person';
import { test } from './test';

test('from the door to a sheet for the stand', async ({ browser }) => {
  const context = await newContext(browser);
  const page = await context.newPage();

  await page.goto('/');
  await page.getByRole('button', { name: 'Look around as the demo director' }).click();

  // Tonight: the sentence, the evening, one main act.
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /warm-up is ready: 14 minutes, in your singers’ reach, up to the G4 that “Lanterns over Slate” needs/,
  );
  await page.getByRole('button', { name: 'Open the plan' }).click();

  // The plan, with its length and its end.
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/^Tue \d+ \w+$/);
  await expect(page.getByText('14:21 of 15:00')).toBeVisible();
  await expect(page.getByText(/ends 19:44:21 · likely 19:\d\d–19:\d\d/)).toBeVisible();
  const atFirst = await segmentNames(page);
  expect(atFirst).toContain('Slate steps');

  // One segment reaches what the music needs; another says why its keys, and what each part does.
  await segment(page, 'Pulley').click();
  await expect(page.getByRole('region', { name: 'Bench: Pulley' })).toContainText(
    'Reaches the G4 that “Lanterns over Slate” needs.',
  );
  await segment(page, 'Slate steps').click();
  const bench = page.getByRole('region', { name: 'Bench: Slate steps' });
  await expect(bench).toContainText('Sopranos and tenors rest at B♭ and B.');
  await expect(bench.getByRole('status')).toHaveText('Best start B♭.');

  // Another start is allowed, and says what it costs.
  await bench.getByRole('button', { name: 'Start on C', exact: true }).click();
  await expect(bench.getByRole('status')).toContainText(
    /Start C is harder than B♭: the \S+ (rest in|go to) /,
  );
  await bench.getByRole('button', { name: /take the best/ }).click();
  await expect(bench.getByRole('status')).toHaveText('Best start B♭.');

  // Fewer keys, another tempo, another way: everything follows at once.
  await bench.getByRole('button', { name: '− one key' }).click();
  await expect(bench).toContainText('Six keys, up by semitone');
  await bench.getByRole('combobox', { name: 'Which way the keys move' }).selectOption('down');
  await expect(bench).toContainText('Six keys, down by semitone');
  const before = await page.getByText(/of 15:00/).textContent();
  await bench.getByRole('textbox', { name: 'Tempo' }).fill('60');
  await bench.getByRole('textbox', { name: 'Tempo' }).press('Enter');
  await expect(page.getByText(/of 15:00/)).not.toHaveText(before!);

  // An exercise from the shelf goes where its phase belongs.
  await page.getByRole('button', { name: 'Add an exercise' }).click();
  await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('ember');
  await page.getByRole('button', { name: /Add Embers/ }).click();
  expect(await segmentNames(page)).toEqual([
    ...atFirst.slice(0, atFirst.indexOf('Pulley')),
    'Embers',
    ...atFirst.slice(atFirst.indexOf('Pulley')),
  ]);

  // Moved by the keyboard, then by dragging.
  await segment(page, 'Embers').focus();
  await page.keyboard.press('Shift+ArrowLeft');
  const moved = await segmentNames(page);
  expect(moved.indexOf('Embers')).toBe(atFirst.indexOf('Pulley') - 1);
  const from = (await segment(page, 'Embers').boundingBox())!;
  const to = (await segment(page, 'Narrow hum').boundingBox())!;
  await page.mouse.move(from.x + 20, from.y + 30);
  await page.mouse.down();
  await page.mouse.move(from.x - 10, from.y + 30, { steps: 4 });
  await page.mouse.move(to.x + 10, to.y + 30, { steps: 12 });
  await page.mouse.up();
  await expect
    .poll(async () => (await segmentNames(page)).indexOf('Embers'))
    .toBe(atFirst.indexOf('Narrow hum'));

  // Left out, brought back, and the very first state is still an undo away.
  await page.getByRole('button', { name: 'leave out' }).click();
  expect(await segmentNames(page)).not.toContain('Embers');
  await page.keyboard.press('u');
  expect(await segmentNames(page)).toContain('Embers');
  await page.keyboard.press('Shift+U');
  expect(await segmentNames(page)).not.toContain('Embers');

  // It was saved by itself; a reload shows the same.
  await saved(page);
  const state = await segmentNames(page);
  const figure = await page.getByText(/of 15:00/).textContent();
  await page.reload();
  await expect(page.getByText(figure!)).toBeVisible();
  expect(await segmentNames(page)).toEqual(state);

  // The sheet, on both papers.
  await page.getByRole('link', { name: 'sheet for the stand' }).click();
  const sheet = page.getByRole('main');
  await expect(sheet).toContainText('Taller, not louder, as you climb.');
  await expect(sheet.getByRole('row', { name: /^S / }).first()).toBeVisible();
  for (const [paper, width] of [
    ['A4', 595],
    ['Letter', 612],
  ] as const) {
    await page.getByRole('combobox', { name: 'Paper' }).selectOption({ label: paper });
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const box = /\/MediaBox ?\[ ?0 0 ([\d.]+) ([\d.]+) ?\]/.exec(pdf);
    expect(Math.round(Number(box?.[1]))).toBe(width);
  }
  expectNoComplaints(context);
});

test('every act of the plan by the keyboard alone', async ({ browser }) => {
  const context = await newContext(browser);
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /demo director/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('navigation', { name: 'Evenings' }).getByRole('link').first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Segments' })).toBeVisible();

  const names = await segmentNames(page);
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  const bench = page.getByRole('region', { name: /^Bench/ });
  await expect(bench).toHaveAttribute('aria-label', `Bench: ${names[2]}`);
  await page.keyboard.press('p');
  await expect(bench).toHaveAttribute('aria-label', `Bench: ${names[1]}`);
  await page.keyboard.press('n');
  await expect(bench).toHaveAttribute('aria-label', `Bench: ${names[2]}`);

  await page.keyboard.press(']');
  await expect(bench.getByRole('status')).toContainText(/is harder than|as good as/);
  await page.keyboard.press('[');
  await expect(bench.getByRole('status')).toContainText('Best start');
  await page.keyboard.press('+');
  await expect(bench).toContainText('Six keys');
  await page.keyboard.press('-');
  await expect(bench).toContainText('Five keys');

  // The cells of the key strip are read one by one.
  await bench.getByRole('gridcell').first().focus();
  await page.keyboard.press('ArrowDown');
  await expect(bench.getByRole('gridcell', { name: /^Altos on/ }).first()).toBeFocused();

  await page.keyboard.press('?');
  await expect(page.getByRole('region', { name: 'Keys' })).toContainText('next segment');
  await page.getByRole('checkbox', { name: 'single letters act' }).uncheck();
  await page.keyboard.press('/');
  await expect(page.getByRole('region', { name: 'Shelf' })).toBeHidden();
  await page.getByRole('checkbox', { name: 'single letters act' }).check();
  await page.keyboard.press('/');
  await expect(page.getByRole('textbox', { name: 'Look for an exercise' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: /^Bench/ })).toBeVisible();
  expectNoComplaints(context);
});
