import { readFileSync } from 'node:fs';
import { loudnessOf, readWav } from '@wide-fern/sound';
import { expect } from '@playwright/test';
import { expectAccessible } from './accessible';
import { handedOver } from './files';
import {
  expectNoComplaints,
  newEvening,
  newPerson,
  saved,
  segment,
  segmentNames,
  storePlan,
} from './person';
import { begin } from './runs';
import { test } from './test';

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
  const byHand = grid.getByRole('gridcell', { name: /by hand/ });
  await choice.getByRole('radio', { name: 'hold the key’s note' }).press('Enter');
  await expect(byHand).toHaveAttribute('aria-label', /^Altos hold .* on .*; by hand/);
  await choice.getByRole('radio', { name: 'rest' }).press('Enter');
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

test('the ends of a ladder are pulled: its start, and how many keys', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['narrow-hum']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const shown = page
    .getByRole('list', { name: 'Segments', exact: true })
    .getByRole('button', { name: /Narrow hum/ });
  await shown.click();
  const state = async () => (await shown.getAttribute('aria-label'))!;
  const count = page.getByRole('textbox', { name: 'Keys', exact: true });
  const keys = Number(await count.inputValue());
  const pull = async (name: 'start' | 'end', columns: number) => {
    const box = (await page.locator(`[data-hold="${name}"]`).boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 30 * columns, y, { steps: 5 });
    await page.mouse.up();
  };
  // It goes down by semitones: a column is a key.
  const before = await state();
  await pull('end', 2);
  await expect(count).toHaveValue(String(keys - 2));
  await pull('end', -1);
  await expect(count).toHaveValue(String(keys - 1));
  await page.getByRole('button', { name: 'undo' }).click();
  await expect.poll(state).toBe(before);

  await pull('start', -1);
  await expect.poll(state).not.toBe(before);
  const start = /, ([A-G][♭♯]?) → /;
  const lower = await state();
  expect(start.exec(lower)![1]).not.toBe(start.exec(before)![1]);
  await expect(page.getByRole('button', { name: /take the best/ })).toBeVisible();
  await page.getByRole('button', { name: 'undo' }).click();
  await expect.poll(state).toBe(before);

  // A ladder of more keys than there is room for ends at the edge of the strip, not over the words beside it.
  await count.fill('24');
  await count.press('Enter');
  await expect(page.getByText('24 keys, down by semitone')).toBeVisible();
  const strip = (await page.getByRole('grid', { name: /^Room of each part/ }).boundingBox())!;
  const line = (await page.locator('[data-hold="start"]').boundingBox())!;
  for (const x of [strip.x - 30, strip.x + strip.width + 30]) {
    const hit = await page.evaluate(
      ([at, y]) => document.elementFromPoint(at!, y!)?.closest('svg')?.getAttribute('height'),
      [x, line.y + line.height / 2],
    );
    expect(hit).not.toBe('18');
  }
  await page.getByRole('button', { name: 'undo' }).click();
  await expect.poll(state).toBe(before);
  await saved(page);
  expectNoComplaints(person.context);
});

test('segments by hand: pulled, chosen together, another instead, and everything taken back', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley', 'embers']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const strip = page.getByRole('list', { name: 'Segments' });
  const segment = (name: RegExp) => strip.getByRole('button', { name });
  const names = () =>
    strip
      .getByRole('button')
      .evaluateAll((all) =>
        all.map((one) => /^\d+\. ([^,]+),/.exec(one.getAttribute('aria-label')!)![1]),
      );
  const length = page.getByRole('status', { name: 'Length' });
  await expect(length).toBeVisible();
  const before = (await length.textContent())!;

  // An end is pulled to the left: fewer keys, a shorter plan; one undo brings them back.
  const end = strip.locator('[data-pull="end"]').nth(2);
  const box = (await end.boundingBox())!;
  await page.mouse.move(box.x + 5, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x - 40, box.y + 20, { steps: 6 });
  await page.mouse.up();
  await expect(length).not.toHaveText(before);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(length).toHaveText(before);

  // Two are chosen together and moved as they stand to each other.
  await segment(/Narrow hum/).click();
  await segment(/Pulley/).click({ modifiers: ['Shift'] });
  await expect(page.getByText(/^Chosen together: two segments/)).toBeVisible();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(names).toEqual(['Narrow hum', 'Pulley', 'Coat off', 'Embers']);
  await page.getByRole('button', { name: 'only this one' }).click();

  // Another in its place, by the keyboard.
  await page.keyboard.press('i');
  const other = page.getByRole('button', { name: /^Take .+ instead: / }).first();
  await expect(other).toBeVisible();
  await expectAccessible(page);
  const taken = /^Take (.+) instead/.exec((await other.getAttribute('aria-label'))!)![1]!;
  await other.press('Enter');
  await expect.poll(names).toEqual(['Narrow hum', taken, 'Coat off', 'Embers']);

  // The moment that is pointed at is said in words.
  await page.getByRole('slider', { name: 'Moment of the warm-up' }).focus();
  await page.keyboard.press('End');
  await expect(page.locator('[data-moment]')).toContainText('Embers');

  // What was done stands there by its name; all of it goes back at once.
  await page.getByRole('button', { name: 'versions' }).click();
  const done = page.getByRole('region', { name: 'What was done' });
  await expect(done).toContainText(`${taken} in place of Pulley`);
  await expectAccessible(page);
  await done.getByRole('button', { name: 'back to before this' }).last().click();
  await expect.poll(names).toEqual(['Coat off', 'Narrow hum', 'Pulley', 'Embers']);
  await expect(length).toHaveText(before);
  await saved(page);
  expectNoComplaints(person.context);
});

test('a plan that is pulled beyond its time says so, and the strip stays under the hand', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, [
    ...['coat-off', 'long-s', 'narrow-hum', 'sliding-fifths', 'open-vowels', 'pulley'],
    ...['wet-slate', 'slate-steps', 'lantern-chord', 'long-ledge'],
  ]);
  const page = await person.context.newPage();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`/evenings/${evening.id}/plan`);
  const strip = page.getByRole('list', { name: 'Segments' });
  const length = page.getByRole('status', { name: 'Length' });
  await expect(length).not.toContainText('too long');
  // A breath is led as often as it is asked for; keys end where nobody sings them.
  const end = strip.locator('[data-pull="end"]').nth(1);
  const from = (await end.boundingBox())!;
  await page.mouse.move(from.x + 5, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 200, from.y + 20, { steps: 10 });
  await expect(length).toContainText('too long');
  expect((await end.boundingBox())!.y).toBe(from.y);
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'fit to time' })).toBeVisible();
  expect((await end.boundingBox())!.y).toBe(from.y);
  await saved(page);
  expectNoComplaints(person.context);
});

test('another plan in place of this one can be looked at beside it, and taken back', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley', 'embers', 'long-s']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const segments = page.getByRole('list', { name: 'Segments', exact: true }).getByRole('button');
  await expect(segments).toHaveCount(5);
  await page.keyboard.press('f');
  const fit = page.getByRole('region', { name: 'Fit to time' });
  await fit.getByRole('textbox', { name: 'Minutes' }).fill('4');
  await fit.getByRole('textbox', { name: 'Minutes' }).press('Enter');
  await fit.getByRole('button', { name: 'Take it' }).click();
  await expect(segments).not.toHaveCount(5);
  await saved(page);
  const kept = await segments.count();
  expect(kept).toBeLessThan(5);
  await page.reload();
  // Once they are drawn, keys are listened to.
  await expect(segments).toHaveCount(kept);
  await page.keyboard.press('w');
  const done = page.getByRole('region', { name: 'What was done' });
  await done.getByRole('button', { name: 'compare with now' }).click();
  await expect(done.getByRole('table', { name: /in figures/ })).toBeVisible();
  await expectAccessible(page);
  await done.getByRole('button', { name: 'Take it back whole' }).click();
  await expect(segments).toHaveCount(5);
  await saved(page);
  expectNoComplaints(person.context);
});

test('a whole warm-up leaves as files, and a file becomes a plan to begin from', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/sheet/warm-up`);
  const fileOf = (name: string) => handedOver(page.getByRole('button', { name, exact: true }));
  const xml = await fileOf('MusicXML');
  expect(xml.name).toMatch(/^warm-up-\d{4}-\d\d-\d\d\.musicxml$/);
  expect(xml.bytes.toString()).toMatch(/<score-partwise[\s\S]*<part-name>/);
  const midi = await fileOf('MIDI');
  expect(midi.bytes.subarray(0, 4).toString()).toBe('MThd');
  const json = await fileOf('all that is planned (JSON)');
  await expectAccessible(page);

  // Two exercises as one sound: each at the usual level, with a silence between them.
  const wav = await fileOf('sound to practise with (WAV)');
  const { sampleRate, samples } = readWav(new Uint8Array(readFileSync(wav.path)));
  expect(samples.length / sampleRate).toBeGreaterThan(60);
  expect(loudnessOf(samples)).toBeGreaterThan(-20);
  const second = (from: number) => samples.subarray(from * sampleRate, (from + 1) * sampleRate);
  const seconds = Array.from({ length: Math.floor(samples.length / sampleRate) }, (_, i) => i);
  expect(seconds.some((from) => loudnessOf(second(from + 0.25)) < -60)).toBe(true);

  // Another evening begins from it.
  const later = await newEvening(person);
  await page.goto(`/evenings/${later.id}/plan`);
  await page.getByRole('button', { name: 'begin from a plan that is kept' }).click();
  const kept = page.getByRole('list', { name: 'Plans to begin from' });
  await page.getByLabel('A file with a warm-up').setInputFiles(json.path);
  await kept.getByRole('button', { name: 'look at it' }).click();
  await kept.getByRole('button', { name: 'Take it whole' }).click();
  const segments = page.getByRole('list', { name: 'Segments', exact: true }).getByRole('button');
  await expect(segments).toHaveCount(3);
  await saved(page);
  expectNoComplaints(person.context);
});

test('a plan is split into two warm-ups of the evening', async ({ browser }) => {
  const person = await newPerson(browser);
  const second = { id: 'second', kind: 'cool-down' as const, title: 'Before Lanterns' };
  const evening = await newEvening(person, 1, [{ ...second, minutes: 5, piece: null }]);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'slate-steps', 'pulley']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  await segment(page, 'Slate steps').click();
  await page.getByRole('button', { name: 'into another warm-up of this evening' }).press('Enter');
  await page.getByRole('button', { name: 'all from here on' }).press('Enter');
  await expect(
    page.getByText('Two segments stand at the end of “Before Lanterns” now.'),
  ).toBeVisible();
  expect(await segmentNames(page)).toEqual(['Coat off', 'Narrow hum']);
  await saved(page);
  await page.goto(`/evenings/${evening.id}/plan/second`);
  expect(await segmentNames(page)).toEqual(['Slate steps', 'Pulley']);
  await expectAccessible(page);
  expectNoComplaints(person.context);
});

test('the parts take turns with their lines: on the plan, on the sheet and on the stand', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['borrowed-tune']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/plan`);
  const whose = page.getByRole('combobox', { name: 'Who sings which line' });
  await whose.selectOption('each time everybody takes the next line');
  await expect(page.getByRole('textbox', { name: 'Times sung in each key' })).toHaveValue('4');
  await expect(page.getByText('Each time everybody takes the next line.')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(whose).toHaveValue('turn');
  await page.goto(`/evenings/${evening.id}/sheet/warm-up`);
  const cells = page.getByRole('table').first().getByRole('row').nth(1).getByRole('cell');
  await expect(cells.first()).toHaveText(/^([A-G][♭♯]?\d, ){3}[A-G][♭♯]?\d$/);
  await begin(page, evening);
  await page.keyboard.press('o');
  await page.keyboard.press(' ');
  const first = page.getByRole('list', { name: 'First notes' }).getByRole('listitem').first();
  await expect(first).toContainText(/([A-G][♭♯]?\d, ){3}[A-G][♭♯]?\d/);
  await expect(page.getByText(/Each time everybody takes the next line\.$/)).toBeVisible();
  await expectAccessible(page);
  expectNoComplaints(person.context);
});
