import { readFileSync } from 'node:fs';
import type { EveningSummary } from '@wide-fern/contract';
import { expect, test } from '@playwright/test';
import {
  expectNoComplaints,
  hearNothing,
  newEvening,
  newPerson,
  storePlan,
  type Person,
} from './person';

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
  await page.getByRole('combobox', { name: 'What it is' }).selectOption('morning');
  await expect(page.getByText(/A warm-up of 15 to 20 minutes/)).toBeVisible();

  // A short warm-up of its own after the break, and an evening that is too full.
  await page.getByRole('button', { name: 'break', exact: true }).click();
  await page.getByRole('button', { name: 'warm-up', exact: true }).click();
  await page.getByRole('button', { name: 'notices', exact: true }).click();
  const minutes = page.getByRole('textbox', { name: 'Minutes of Notices' });
  await minutes.fill('95');
  await minutes.press('Enter');
  await expect(page.getByText('10 minutes too much for the evening')).toBeVisible();
  await minutes.fill('10');
  await minutes.press('Enter');
  await page.getByRole('button', { name: 'Notices: earlier' }).click();
  await expect(page.getByRole('list', { name: 'Agenda' }).getByRole('listitem')).toHaveCount(4);
  await expect(
    page
      .getByRole('list', { name: 'Agenda' })
      .getByRole('listitem')
      .nth(2)
      .getByRole('textbox')
      .first(),
  ).toHaveValue('Notices');

  // A warm-up that has a plan is not left out unseen.
  await page.getByRole('button', { name: 'Leave Warm-up out' }).first().click();
  await page.getByRole('button', { name: 'Keep the evening' }).click();
  await expect(page.getByRole('alert')).toContainText('has a plan');
  await page.getByRole('button', { name: 'as it was' }).click();
  await page.getByRole('button', { name: 'warm-up', exact: true }).click();
  // A closed tab loses nothing.
  await page.reload();
  await expect(page.getByRole('list', { name: 'Agenda' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Keep the evening' }).click();
  await expect(page.getByRole('button', { name: 'Keep the evening' })).toBeDisabled();

  // The second warm-up is planned like the first.
  await page.getByRole('link', { name: 'plan it' }).last().click();
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
  await page.getByLabel('Date').fill(date);
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
  const open = async () => {
    const page = await person.context.newPage();
    await page.goto(`/evenings/${evening.id}`);
    await expect(page.getByLabel('Place', { exact: true })).toHaveValue('Hall');
    return page;
  };
  const [mine, theirs] = [await open(), await open()];
  await theirs.getByLabel('Place', { exact: true }).fill('Chapel');
  await theirs.getByRole('button', { name: 'Keep the evening' }).click();
  await expect(theirs.getByRole('button', { name: 'Keep the evening' })).toBeDisabled();
  await mine.getByLabel('Place', { exact: true }).fill('School');
  await mine.getByRole('button', { name: 'Keep the evening' }).click();
  await expect(mine.getByRole('alert')).toContainText('What you changed is still here.');
  await expect(mine.getByLabel('Place', { exact: true })).toHaveValue('School');
  // A closed tab loses it as little.
  await mine.close();
  const again = await person.context.newPage();
  await again.goto(`/evenings/${evening.id}`);
  await expect(again.getByLabel('Place', { exact: true })).toHaveValue('School');
  await again.getByRole('button', { name: 'take theirs' }).click();
  await expect(again.getByLabel('Place', { exact: true })).toHaveValue('Chapel');
  // Or the own change is put over theirs.
  await again.getByLabel('Place', { exact: true }).fill('School');
  await theirs.getByLabel('Place', { exact: true }).fill('Barn');
  await theirs.getByRole('button', { name: 'Keep the evening' }).click();
  const placeStored = async () => {
    const at = `/api/choirs/${person.choir}/evenings/${evening.id}`;
    return ((await (await person.request.get(at)).json()) as { place: string }).place;
  };
  await expect.poll(placeStored).toBe('Barn');
  await again.getByRole('button', { name: 'Keep the evening' }).click();
  await again.getByRole('button', { name: 'put yours over it' }).click();
  await again.getByRole('button', { name: 'Keep the evening' }).click();
  await expect.poll(placeStored).toBe('School');
});

test('what another window stores of an evening shows at once, and leaves a change that was begun', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const open = async () => {
    const page = await person.context.newPage();
    await page.goto(`/evenings/${evening.id}`);
    await expect(page.getByLabel('Place', { exact: true })).toHaveValue('Hall');
    return page;
  };
  const [mine, theirs] = [await open(), await open()];
  const keep = async (place: string) => {
    await theirs.getByLabel('Place', { exact: true }).fill(place);
    await theirs.getByRole('button', { name: 'Keep the evening' }).click();
    await expect(theirs.getByRole('button', { name: 'Keep the evening' })).toBeDisabled();
  };
  await keep('Chapel');
  await expect(mine.getByLabel('Place', { exact: true })).toHaveValue('Chapel');
  await mine.getByLabel('Place', { exact: true }).fill('School');
  await keep('Barn');
  await expect(mine.getByRole('alert')).toContainText('What you changed is still here.');
  await expect(mine.getByLabel('Place', { exact: true })).toHaveValue('School');
  expectNoComplaints(person.context);
});

test('evenings leave as a calendar file, and a list of dates comes in', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const page = await person.context.newPage();
  await page.goto('/evenings/dates');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Write a calendar file' }).click();
  const text = readFileSync(await (await waiting).path(), 'utf8');
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
