import type { Evening, EveningSummary } from '@wide-fern/contract';
import { expect, type Page } from '@playwright/test';
import { handedOver } from './files';
import {
  expectNoComplaints,
  hearNothing,
  newEvening,
  newPerson,
  storePlan,
  type Person,
} from './person';
import { test } from './test';

const eveningsOf = async ({ request, choir }: Person): Promise<EveningSummary[]> => {
  const response = await request.get(`/api/choirs/${choir}/evenings`);
  return ((await response.json()) as { items: EveningSummary[] }).items;
};

test('an evening is laid out to its end, repeated, and others begin like it', async ({
  browser,
}) => {
  test.slow();
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}`);
  await expect(page.getByText('105 minutes left over')).toBeVisible();
  // The words of the sentence are its fields.
  await page.getByRole('button', { name: 'evening after work' }).click();
  await page.getByRole('combobox', { name: 'What it is' }).selectOption('morning');
  await expect(page.getByText(/A warm-up of 15 to 20 minutes/)).toBeVisible();

  // A short warm-up of its own after the break, and an evening that is too full.
  const item = (name: RegExp) => page.locator('[data-item]').filter({ hasText: name });
  await page.getByRole('button', { name: 'break', exact: true }).click();
  await page.getByRole('button', { name: 'warm-up', exact: true }).click();
  await page.getByRole('button', { name: 'notices', exact: true }).click();
  const minutes = page.getByRole('textbox', { name: 'Minutes of Notices' });
  await minutes.fill('95');
  await minutes.press('Enter');
  await expect(page.getByText('10 minutes too much for the evening')).toBeVisible();
  // Minute by minute, by keyboard and by pointer.
  await minutes.fill('8');
  await minutes.press('Enter');
  await page.getByRole('slider', { name: 'Length of Notices' }).press('ArrowRight');
  await expect(minutes).toHaveValue('9');
  const end = (await page.getByRole('slider', { name: 'Length of Notices' }).boundingBox())!;
  await page.mouse.move(end.x + 12, end.y + 15);
  await page.mouse.down();
  await page.mouse.move(end.x + 62, end.y + 15, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await minutes.inputValue())).toBeGreaterThan(12);
  await page.getByRole('button', { name: 'earlier', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Agenda' }).getByRole('listitem')).toHaveCount(4);
  await expect(
    page.getByRole('list', { name: 'Agenda' }).getByRole('listitem').nth(2),
  ).toContainText('Notices');
  await expect(page.getByText(/^saved \d\d:\d\d$/)).toBeVisible();
  const stored = async () => {
    const at = `/api/choirs/${person.choir}/evenings/${evening.id}`;
    return ((await (await person.request.get(at)).json()) as Evening).agenda.length;
  };
  await expect.poll(stored).toBe(4);

  // A warm-up that has a plan is not taken out unseen.
  await item(/^Warm-up/)
    .first()
    .click();
  await page.getByRole('button', { name: 'take out' }).click();
  await expect(page.getByRole('alert')).toContainText('has a plan');
  // A closed tab loses nothing.
  await page.reload();
  await expect(page.getByRole('list', { name: 'Agenda' }).getByRole('listitem')).toHaveCount(3);
  await expect(page.getByRole('alert')).toContainText('has a plan');
  await page.getByRole('button', { name: 'warm-up', exact: true }).click();
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Agenda' }).getByRole('listitem')).toHaveCount(3);
  await page.getByRole('button', { name: 'as it is stored' }).click();
  await expect(page.getByRole('list', { name: 'Agenda' }).getByRole('listitem')).toHaveCount(4);

  // The second warm-up is planned like the first.
  await item(/^Warm-up/)
    .last()
    .click();
  await page.getByRole('link', { name: 'plan it' }).click();
  await expect(page.getByText('5 minutes are set aside, and nothing is planned')).toBeVisible();
  await page.goto(`/evenings/${evening.id}`);

  const weeks = page.getByRole('textbox', { name: 'Weeks' });
  await weeks.fill('3');
  await weeks.press('Enter');
  await page.getByRole('button', { name: 'repeat it weekly' }).click();
  await expect(page.getByText('3 evenings were added.')).toBeVisible();
  expect(await eveningsOf(person)).toHaveLength(4);
  await page.getByRole('textbox', { name: 'What evenings like this are called' }).fill('Mornings');
  await page.getByRole('button', { name: 'begin others like this' }).click();
  await expect(page.getByText('New evenings can begin like this one now.')).toBeVisible();

  await page.goto('/evenings/new');
  await page.getByRole('combobox', { name: 'Begins like' }).selectOption('Mornings');
  await expect(page.getByLabel('Place', { exact: true })).toHaveValue('Hall');
  const date = new Date(Date.now() + 60 * 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel('Date', { exact: true }).fill(date);
  await page.getByRole('button', { name: 'Add the evening' }).click();
  await expect(page.getByText('15 minutes are set aside, and nothing is planned')).toBeVisible();

  await page.goto(`/evenings/${(await eveningsOf(person)).at(-1)!.id}`);
  await page.getByRole('button', { name: 'call the evening off' }).click();
  await page.getByRole('button', { name: 'call it off for good' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect.poll(async () => (await eveningsOf(person)).length).toBe(4);
  expectNoComplaints(person.context);
});

test('two windows on one evening: the later one is told, and nothing of it is lost', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  await hearNothing(person);
  const evening = await newEvening(person);
  const place = (page: Page) => page.getByLabel('Place', { exact: true });
  const open = async () => {
    const page = await person.context.newPage();
    await page.goto(`/evenings/${evening.id}`);
    await page.getByRole('button', { name: 'Hall', exact: true }).click();
    await expect(place(page)).toHaveValue('Hall');
    return page;
  };
  const placeStored = async () => {
    const at = `/api/choirs/${person.choir}/evenings/${evening.id}`;
    return ((await (await person.request.get(at)).json()) as Evening).place;
  };
  const [mine, theirs] = [await open(), await open()];
  await theirs.bringToFront();
  await place(theirs).fill('Chapel');
  await expect.poll(placeStored).toBe('Chapel');
  await place(mine).fill('School');
  await expect(mine.getByRole('alert')).toContainText('What you changed is still here.');
  await expect(place(mine)).toHaveValue('School');
  // A closed tab loses it as little.
  await mine.close();
  const again = await person.context.newPage();
  await again.goto(`/evenings/${evening.id}`);
  await expect(again.getByRole('button', { name: 'School', exact: true })).toBeVisible();
  await again.getByRole('button', { name: 'take theirs' }).click();
  await again.getByRole('button', { name: 'Chapel', exact: true }).click();
  // Or the own change is put over theirs.
  await place(theirs).fill('Barn');
  await expect.poll(placeStored).toBe('Barn');
  await place(again).fill('School');
  await again.getByRole('button', { name: 'put yours over it' }).click();
  await expect.poll(placeStored).toBe('School');
});

test('what another window stores of an evening shows at once, and leaves a change that was begun', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const place = (page: Page) => page.getByLabel('Place', { exact: true });
  const open = async () => {
    const page = await person.context.newPage();
    await page.goto(`/evenings/${evening.id}`);
    await page.getByRole('button', { name: 'Hall', exact: true }).click();
    await expect(place(page)).toHaveValue('Hall');
    return page;
  };
  const [mine, theirs] = [await open(), await open()];
  await place(theirs).fill('Chapel');
  await expect(place(mine)).toHaveValue('Chapel');
  // What is only half typed is not sent, so it has begun and is not stored.
  await place(mine).fill('');
  await place(theirs).fill('Barn');
  await expect(mine.getByText('two versions: choose')).toBeVisible();
  await expect(mine.getByRole('alert')).toContainText('What you changed is still here.');
  await expect(place(mine)).toHaveValue('');
  await mine.getByRole('button', { name: 'take theirs' }).click();
  await expect(place(mine)).toHaveValue('Barn');
  expectNoComplaints(person.context);
});

test('evenings leave as a calendar file, and a list of dates comes in', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const page = await person.context.newPage();
  await page.goto('/evenings/dates');
  const { bytes } = await handedOver(
    page.getByRole('button', { name: 'Download a calendar file' }),
  );
  const text = bytes.toString();
  const utc = evening.startsAt.replace(/[-:]|\.000/g, '');
  expect(text).toContain(`DTSTART:${utc}\r\n`);

  const day = new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10).replace(/-/g, '');
  const list = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:x',
    ...['BEGIN:VEVENT', 'UID:1', `DTSTART:${utc}`, 'SUMMARY:Here already', 'END:VEVENT'],
    ...['BEGIN:VEVENT', 'UID:2', `DTSTART:${day}T193000`, `DTEND:${day}T213000`],
    ...['RRULE:FREQ=WEEKLY;COUNT=3', 'SUMMARY:Extra', 'END:VEVENT', 'END:VCALENDAR', ''],
  ].join('\r\n');
  const file = (name: string, content: string) => ({
    name,
    mimeType: 'text/calendar',
    buffer: Buffer.from(content),
  });
  await page.getByLabel('Calendar file to read').setInputFiles(file('x.ics', 'no calendar'));
  await expect(page.getByRole('alert')).toContainText('This is no calendar file');
  // A rule that never comes true would never end: it is stopped, and the page stays alive.
  const endless = [
    'BEGIN:VCALENDAR',
    ...['BEGIN:VEVENT', 'DTSTART:20260101T193000'],
    ...['RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30', 'END:VEVENT', 'END:VCALENDAR', ''],
  ].join('\r\n');
  await page.getByLabel('Calendar file to read').setInputFiles(file('endless.ics', endless));
  await expect(page.getByRole('alert')).toContainText('takes too long, so it was stopped');
  await page.getByLabel('Calendar file to read').setInputFiles(file('dates.ics', list));
  await expect(page.getByText('is here already')).toBeVisible();
  await page.getByRole('checkbox', { name: /Extra/ }).last().uncheck();
  await page.getByRole('button', { name: 'Add two evenings' }).click();
  await expect.poll(async () => (await eveningsOf(person)).length).toBe(3);
  expectNoComplaints(person.context);
});
