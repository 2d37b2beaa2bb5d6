import type { Singer } from '@wide-fern/contract';
import { expect, type Page } from '@playwright/test';
import { handedOver } from './files';
import {
  addSingers,
  expectNoComplaints,
  newEvening,
  join,
  newPerson,
  singersOf,
  storePlan,
} from './person';
import { test } from './test';

/** Types a form's field anew. */
const retype = async (page: Page, name: string, text: string): Promise<void> => {
  await page.getByRole('textbox', { name, exact: true }).fill(text);
};

/** Opens a singer's check in the picture of their section. */
async function openCheck(page: Page, name: string): Promise<void> {
  await page.goto('/voices?part=S');
  await page.getByRole('option', { name: new RegExp(name) }).click();
  await page.getByRole('button', { name: 'Check the range' }).click();
  await expect(page.getByRole('heading', { name: /^Range check/ })).toBeVisible();
}

const known = ({ name, comfort, reach }: Singer) => ({ name, comfort, reach });

test('a roster is pasted, three faulty rows are put right, and the list comes back as it was', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/voices/roster');
  await expect(page.getByRole('heading', { name: 'Nobody is on the roster yet' })).toBeVisible();
  await page.getByRole('link', { name: 'Read a list' }).click();

  await page.getByRole('button', { name: 'Look at these rows' }).click();
  await expect(page.getByRole('alert')).toContainText('nothing in it yet');
  await page
    .getByRole('textbox', { name: 'Rows from a spreadsheet' })
    .fill(
      [
        'Stimme\tNachname\tVorname\tbequem von\tbequem bis\tRemarks',
        'Sopran\tQuay\tWilmet\tc1\tg2\tsits in front',
        'Bass\tTarn\tAsh\tG\tc3\t',
        'Kazoo\tLowe\tPerrin\t\t\t',
        'Alt\tBirch\tRue\ta\tx\t',
        'Tenor\tSalt\tBo\tc\th\t',
      ].join('\n'),
    );
  await page.getByRole('button', { name: 'Look at these rows' }).click();
  // The columns were understood by their headings, and how notes are written by what stands in them.
  await expect(page.getByRole('combobox', { name: 'Notes are written so that' })).toHaveValue(
    'german',
  );
  await expect(page.getByText('5 rows, 3 to put right')).toBeVisible();
  await expect(page.getByRole('group', { name: 'Row 2' })).toContainText(
    'C6 is more than an octave above what basses usually reach',
  );
  await expect(page.getByRole('group', { name: 'Row 3' })).toContainText('“Kazoo” is no part');
  await expect(page.getByRole('group', { name: 'Row 4' })).toContainText('“x” is no note');
  const store = page.getByRole('button', { name: /^Store/ });
  await expect(store).toBeDisabled();
  expect(await singersOf(person)).toEqual([]);

  // A closed tab loses nothing that was put right.
  await retype(page, 'Easy to, row 2', 'd1');
  await page.close();
  const again = await person.context.newPage();
  await again.goto('/voices/roster/read');
  await expect(again.getByText('5 rows, 2 to put right')).toBeVisible();
  await retype(again, 'Part, row 3', 'T');
  await retype(again, 'Easy to, row 4', 'd2');
  await again.getByRole('button', { name: 'Store 5 singers' }).click();
  await expect(again.getByRole('heading', { name: '5 singers' })).toBeVisible();
  const stored = await singersOf(person);
  expect(stored.map(known)).toEqual([
    { name: 'Ash Tarn', comfort: [43, 62], reach: [43, 62] },
    { name: 'Bo Salt', comfort: [48, 59], reach: [48, 59] },
    { name: 'Perrin Lowe', comfort: null, reach: null },
    { name: 'Rue Birch', comfort: [57, 74], reach: [57, 74] },
    { name: 'Wilmet Quay', comfort: [60, 79], reach: [60, 79] },
  ]);

  // Written, and read again: the same singers, changed by nothing.
  const list = await handedOver(again.getByRole('button', { name: 'Download the list' }));
  expect(list.bytes.toString()).toContain('Wilmet Quay;S;');
  await again.getByRole('link', { name: 'Read a list' }).click();
  await again.locator('input[type=file]').setInputFiles(list.path);
  await expect(again.getByText('5 rows, all of them clear')).toBeVisible();
  await again.getByRole('button', { name: 'Store 5 singers' }).click();
  await expect(again.getByRole('heading', { name: '5 singers' })).toBeVisible();
  const same = await singersOf(person);
  expect(same.map(({ version: _, ...singer }) => singer)).toEqual(
    stored.map(({ version: _, ...singer }) => singer),
  );
  expectNoComplaints(person.context);
});

test('a singer is changed in words; a bass with C6 is refused at the field', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  await addSingers(person, [{ name: 'Ash Tarn', part: 'B' }]);
  const page = await person.context.newPage();
  await page.goto('/voices/roster');
  await page.getByRole('button', { name: /Ash Tarn/ }).click();
  await retype(page, 'Easy from', 'G2');
  await retype(page, 'Easy to', 'C6');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByText(/C6 is more than an octave above/).first()).toBeVisible();
  await retype(page, 'Easy to', 'F2');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByText(/G2 lies above F2/)).toBeVisible();
  await retype(page, 'Easy to', 'D4');
  await retype(page, 'Reach from', 'A2');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByText(/it goes at least as low/)).toBeVisible();
  await retype(page, 'Reach from', 'E2');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByRole('button', { name: /Ash Tarn/ })).toContainText('G2–D4');
  expect((await singersOf(person)).map(known)).toEqual([
    { name: 'Ash Tarn', comfort: [43, 62], reach: [40, 62] },
  ]);
});

test('a whole range check by the keyboard, paused and gone on with', async ({ browser }) => {
  const person = await newPerson(browser);
  await addSingers(person, [{ name: 'Wilmet Quay', part: 'S' }]);
  const page = await person.context.newPage();
  await page.goto('/voices');
  // The singer is found, chosen and checked without a pointer.
  await page.getByRole('listbox', { name: 'Singers' }).focus();
  await page.keyboard.press('ArrowDown');
  await page.getByRole('button', { name: 'Check the range' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'G4' })).toBeVisible();
  const press = async (keys: string): Promise<void> => {
    for (const key of keys) await page.keyboard.press(key);
  };
  // By semitones; well inside the usual range it would go by larger steps.
  const larger = page.getByRole('checkbox', { name: /larger steps/ });
  await larger.press('Space');
  await expect(larger).not.toBeChecked();
  await larger.blur();
  await press('eeee');
  await page.keyboard.press('x');
  await expect(page.getByRole('heading', { name: 'Range check, going down' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('heading', { name: 'Range check, going up' })).toBeVisible();
  await press('ecx');

  // Closed in the middle; another tab goes on where it was.
  await press('ee');
  await page.close();
  const again = await person.context.newPage();
  await openCheck(again, 'Wilmet');
  await expect(again.getByRole('heading', { name: 'Range check, going down' })).toBeVisible();
  await expect(again.getByRole('img', { name: /^Found so far: easy F4 to B4/ })).toBeVisible();
  for (const key of 'ecx') await again.keyboard.press(key);
  await expect(again.getByText('The check is done: easy E4 to B4.')).toBeVisible();
  await again.getByRole('button', { name: 'Keep what is found' }).press('Enter');
  await expect(again.getByText(/Checked today|Easy tonight/)).toBeVisible();
  expect((await singersOf(person)).map(known)).toEqual([
    { name: 'Wilmet Quay', comfort: [64, 71], reach: [63, 72] },
  ]);
  expectNoComplaints(person.context);
});

test('a whole range check hands free, by the simulated microphone', async ({ browser }) => {
  test.slow();
  const person = await newPerson(browser);
  await addSingers(person, [{ name: 'Wilmet Quay', part: 'S' }]);
  const page = await person.context.newPage();
  await openCheck(page, 'Wilmet');
  await page
    .getByRole('combobox', { name: 'Listen to' })
    .selectOption({ label: 'A simulated singer, ten times as fast' });
  await page.getByRole('checkbox', { name: /hands free/ }).check();
  await page.getByRole('button', { name: 'listen', exact: true }).click();
  // The simulated singer's own limits, found by ear alone.
  await expect(page.getByText('The check is done: easy C4 to D5.')).toBeVisible({
    timeout: 200_000,
  });
  await page.getByRole('button', { name: 'Keep what is found' }).click();
  await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();
  expect((await singersOf(person)).map(known)).toEqual([
    { name: 'Wilmet Quay', comfort: [60, 74], reach: [58, 76] },
  ]);
  expectNoComplaints(person.context);
});

test('without a microphone the check goes on by hand', async ({ browser }) => {
  const person = await newPerson(browser);
  await addSingers(person, [{ name: 'Wilmet Quay', part: 'S' }]);
  const page = await person.context.newPage();
  await openCheck(page, 'Wilmet');
  // Nobody gave this page a permission, and this browser has no device.
  await page.getByRole('button', { name: 'listen', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText(/answer by hand/i);
  await page.getByRole('button', { name: 'Easy' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'B♭4' })).toBeVisible();
});

test('a whole section is checked at once', async ({ browser }) => {
  const person = await newPerson(browser);
  await addSingers(person, [
    { name: 'Ada', part: 'A', comfort: [57, 70], reach: [55, 74] },
    { name: 'Bea', part: 'A' },
    { name: 'Cleo', part: 'A' },
  ]);
  const page = await person.context.newPage();
  await page.goto('/voices?part=A');
  await page.getByRole('button', { name: 'Check the section' }).click();
  await expect(page.getByText('3 of 3 still sing')).toBeVisible();
  // From D4 by tones: all sing D4 and E4; Bea drops out at G♭4.
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  await page.getByRole('button', { name: 'Bea', exact: true }).click();
  await expect(page.getByText('2 of 3 still sing')).toBeVisible();
  await page.keyboard.press('n');
  await page.getByRole('button', { name: 'Now down' }).click();
  await page.getByRole('button', { name: 'Cleo', exact: true }).click();
  await page.keyboard.press('n');
  await page.getByRole('button', { name: 'That is all' }).click();
  await page.getByRole('button', { name: 'Keep what is found' }).click();
  await expect(page.getByRole('heading', { name: 'Altos', level: 2, exact: true })).toBeVisible();
  expect((await singersOf(person)).map(known)).toEqual([
    // Ada never dropped out: what was known beyond stays.
    { name: 'Ada', comfort: [57, 70], reach: [55, 74] },
    { name: 'Bea', comfort: [59, 64], reach: [59, 64] },
    { name: 'Cleo', comfort: [62, 67], reach: [62, 67] },
  ]);
});

test('a room of newcomers is checked at once, and gets its parts', async ({ browser }) => {
  const person = await newPerson(browser);
  await addSingers(person, [{ name: 'Ada', part: 'A', comfort: [57, 74], reach: [55, 76] }]);
  const page = await person.context.newPage();
  await page.goto('/voices/roster');
  await page.getByRole('link', { name: 'Check a whole room' }).click();
  await page.getByLabel(/names, one in a line/).fill('Odo Pell\nWim Fell\n');
  await page.getByRole('button', { name: /Add them/ }).click();
  await page.getByRole('checkbox', { name: /Odo Pell/ }).check();
  await page.getByRole('button', { name: 'Begin with three' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^[A-G]/ })).toHaveText('D4');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('n');
  await page.getByRole('button', { name: 'Odo Pell', exact: true }).click();
  await page.getByRole('button', { name: 'Wim Fell: the voice changes here' }).click();
  await page.keyboard.press('n');
  // Closed in the middle: it goes on where it was.
  await page.reload();
  await expect(page.getByText('2 of 3 still sing')).toBeVisible();
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('n');
  await page.getByRole('button', { name: 'Now down' }).click();
  for (let i = 0; i < 8; i += 1) await page.keyboard.press('n');
  await page.getByRole('button', { name: 'That is all' }).click();
  await expect(page.getByLabel('Part of Odo Pell')).toHaveValue('B');
  await page.getByLabel('Part of Odo Pell').selectOption('T');
  await page.getByRole('button', { name: 'Keep the ranges and the parts' }).click();
  await expect(page.getByRole('heading', { name: '3 singers' })).toBeVisible();
  const singers = await singersOf(person);
  expect(singers.map(({ name, part }) => [name, part])).toEqual([
    ['Ada', 'A'],
    ['Odo Pell', 'T'],
    ['Wim Fell', expect.stringMatching(/^[SA]$/)],
  ]);
  expect(singers[2]!.changes).toHaveLength(1);
  expectNoComplaints(person.context);
});

test('who is away tonight changes a ladder in the plan', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const bass = { part: 'B', reach: [38, 66] } as const;
  await addSingers(person, [
    { ...bass, name: 'Ash Tarn', comfort: [43, 64] },
    { ...bass, name: 'Bo Salt', comfort: [43, 64] },
    { ...bass, name: 'Odo Pell', comfort: [50, 58] },
  ]);
  // Made while everyone is here: Odo alone narrows the basses.
  const fresh = (await (
    await person.request.get(`/api/choirs/${person.choir}/evenings/${evening.id}`)
  ).json()) as typeof evening;
  await storePlan(person, fresh, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  await page.goto('/voices?part=B');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /^Basses on \w+: D3 to B♭3, each note easy for all three\.$/,
  );
  await expect(page.getByText('Without Odo Pell, it would be G2 to E4.')).toBeVisible();

  await page.getByRole('button', { name: 'Say who is here' }).click();
  await page.getByRole('checkbox', { name: 'Odo Pell' }).uncheck();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('G2 to E4');
  await expect(
    page.getByText(/One bass away: the basses gain G2 to D♭3 and gain B3 to E4/),
  ).toBeVisible();

  // The plan says what it was made for, what it would be now, and takes it over on request.
  await page.goto(`/evenings/${evening.id}/plan`);
  const notice = page.getByRole('region', { name: 'The sections have changed' });
  await expect(notice).toContainText(
    'The basses sing G2–E4 easily now, D3–B♭3 when this plan was made.',
  );
  await page
    .getByRole('list', { name: 'Segments' })
    .getByRole('button', { name: 'Pulley' })
    .click();
  const ladder = page.getByRole('region', { name: 'Bench: Pulley' }).getByRole('status');
  const before = await ladder.textContent();
  await notice.getByRole('button', { name: 'which ones' }).click();
  await expect(notice).toContainText(/Pulley: .*It would be/);
  await notice.getByRole('button', { name: 'Take tonight’s keys' }).click();
  await expect(notice).toBeHidden();
  await expect(ladder).not.toHaveText(before!);
  await expect(page.getByText('2 B (one away)')).toBeVisible();
  await page.keyboard.press('u');
  await expect(ladder).toHaveText(before!);
  await expect(notice).toBeVisible();

  // Tired after work, the same evening is another one again.
  await page.goto('/voices?who&part=B');
  await page.getByRole('combobox', { name: 'The choir comes' }).selectOption('after-work');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('G2 to E♭4');
  expectNoComplaints(person.context);
});

test('a tick in the hall is not lost with the connection', async ({ browser }) => {
  const person = await newPerson(browser);
  await newEvening(person);
  await addSingers(person, [{ name: 'Ash Tarn', part: 'B', comfort: [43, 62], reach: [40, 64] }]);
  const page = await person.context.newPage();
  await page.goto('/voices?who&part=B');
  await page.route('**/presence', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await page.getByRole('checkbox', { name: 'Ash Tarn' }).uncheck();
  await expect(page.getByRole('alert')).toContainText('kept on this device');
  await expect(page.getByRole('checkbox', { name: 'Ash Tarn' })).not.toBeChecked();
  await page.close();

  const again = await person.context.newPage();
  const stored = again.waitForResponse(
    (answer) => answer.request().method() === 'PUT' && answer.ok(),
  );
  await again.goto('/voices?who&part=B');
  await stored;
  await expect(again.getByRole('checkbox', { name: 'Ash Tarn' })).not.toBeChecked();
  await expect(again.getByText('Basses: 0 of 1 here')).toBeVisible();
});

test('a reader sees sections, not persons', async ({ browser }) => {
  const person = await newPerson(browser);
  await addSingers(person, [{ name: 'Ash Tarn', part: 'B', comfort: [43, 62], reach: [40, 64] }]);
  const reader = await newPerson(browser);
  await join(person, reader, 'reader');
  const page = await reader.context.newPage();
  await page.goto('/choir');
  await page.getByRole('combobox', { name: 'Choir in use' }).selectOption(person.choir);
  await page.getByRole('link', { name: 'Voices' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'What each section sings easily',
  );
  await expect(page.getByText('G2 to D4')).toBeVisible();
  await expect(page.getByText('Ash Tarn')).toBeHidden();
  await page.goto('/voices/roster');
  await expect(page.getByText('Singers are seen by those who lead')).toBeVisible();
});

test('a singer is handed out and forgotten; the choir takes other parts', async ({ browser }) => {
  const person = await newPerson(browser);
  await addSingers(person, [
    { name: 'Ash Tarn', part: 'B', comfort: [43, 62], reach: [40, 64] },
    { name: 'Bo Salt', part: 'B' },
  ]);
  const page = await person.context.newPage();
  await page.goto('/voices?part=B');
  await page.getByRole('option', { name: 'Ash Tarn' }).click();
  const file = await handedOver(page.getByRole('button', { name: 'hand out what is kept' }));
  expect(JSON.parse(file.bytes.toString())).toMatchObject({
    singer: { name: 'Ash Tarn' },
    checks: [],
  });
  await page.getByRole('button', { name: 'forget this singer' }).click();
  await page.getByRole('button', { name: 'forget for good' }).click();
  await expect(page.getByRole('option', { name: 'Ash Tarn' })).toBeHidden();

  await page.getByRole('link', { name: 'parts and what conditions do' }).click();
  await page.getByRole('button', { name: 'Mixed, eight parts' }).click();
  await page.getByRole('button', { name: 'Keep these parts' }).click();
  await expect(page.getByRole('alert')).toHaveText('Say where the one bass sings from now on.');
  await page.getByRole('combobox', { name: 'Who sang B sings from now on' }).selectOption('B2');
  await page.getByRole('button', { name: 'Keep these parts' }).click();
  await expect(page.getByRole('group', { name: 'Part 8: second basses' })).toBeVisible();
  await expect
    .poll(async () => (await singersOf(person)).map(({ name, part }) => [name, part]))
    .toEqual([['Bo Salt', 'B2']]);
});
