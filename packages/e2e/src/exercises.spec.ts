import { exercises } from '@wide-fern/catalogue';
import { expect, type Page } from '@playwright/test';
import { listenTo, loudnessOf, readWav } from '@wide-fern/sound';
import { handedOver } from './files';
import {
  expectNoComplaints,
  newContext,
  newEvening,
  join,
  newPerson,
  saved,
  segmentNames,
  storePlan,
} from './person';
import { test } from './test';

/** The pitches a recording holds for at least so many frames, in order, each once. */
function pitchesIn(file: Buffer, least = 12): number[] {
  const frames = listenTo(readWav(new Uint8Array(file)));
  const runs: { midi: number; count: number }[] = [];
  for (const { midi } of frames) {
    const note = midi === null ? null : Math.round(midi);
    if (note === null) continue;
    const last = runs[runs.length - 1];
    if (last?.midi === note) last.count += 1;
    else runs.push({ midi: note, count: 1 });
  }
  return runs.filter(({ count }) => count >= least).map(({ midi }) => midi);
}

const staff = (page: Page) => page.getByRole('img', { name: /C major, no sharps/ });
const typed = (page: Page) => page.getByRole('textbox', { name: 'Line, typed' });

test('an exercise is typed, seen, heard, planned, written to a file and read back', async ({
  browser,
}) => {
  test.slow();
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off']);
  const page = await person.context.newPage();

  // Typed: a mistake is shown at its character, and the staff follows what can be read.
  await page.goto('/exercises/make/new');
  await typed(page).fill('1 3 q 5');
  await expect(page.getByRole('alert')).toContainText('At character 5: “q” cannot be read here.');
  await typed(page).fill('1(noo) 3 5:2');
  await expect(staff(page)).toHaveAccessibleName(/: C4 E4 G4\.$/);

  // On the staff: the last note a step up, and one more behind it; the typed line follows.
  const onStaff = page.getByRole('group', { name: /^Line on the staff/ });
  await onStaff.focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowUp');
  await expect(typed(page)).toHaveValue('1(noo) 3 6:2');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(typed(page)).toHaveValue('1(noo) 3 5:2 5:2');
  await page.keyboard.press('Delete');
  const box = (await staff(page).boundingBox())!;
  await page.mouse.click(box.x + 330, box.y + 58);
  await expect(typed(page)).toHaveValue(/^1\(noo\) 3 5:2 \d+:2$/);
  await page.getByRole('button', { name: 'step back' }).click();
  await expect(typed(page)).toHaveValue('1(noo) 3 5:2');

  // Heard: what is rendered has the chord, then these pitches.
  const sound = (await handedOver(page.getByRole('button', { name: 'as a WAV file' }))).bytes;
  const heard = pitchesIn(sound);
  const { samples } = readWav(new Uint8Array(sound));
  expect(loudnessOf(samples)).toBeGreaterThanOrEqual(-20);
  expect(loudnessOf(samples)).toBeLessThanOrEqual(-16);
  expect(heard.slice(-3)).toEqual([60, 64, 67]);
  await page.getByRole('button', { name: 'Hear it' }).click();
  await expect(page.getByRole('button', { name: 'Be silent' })).toBeVisible();
  await page.getByRole('button', { name: 'Be silent' }).click();
  await expect(page.getByRole('button', { name: 'Hear it' })).toBeVisible();

  // A closed tab loses nothing; what is missing is said at its field.
  await page.getByRole('textbox', { name: 'Name' }).fill('Bright gate');
  await page.reload();
  await expect(page.getByText('Taken up where you left it.')).toBeVisible();
  await expect(typed(page)).toHaveValue('1(noo) 3 5:2');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/^Not kept yet/)).toBeVisible();
  await page.getByRole('textbox', { name: /^Purpose/ }).fill('Open the fifth.');
  await page.getByRole('textbox', { name: /^Cue/ }).fill('Swing it open.');
  await page
    .getByRole('group', { name: 'It serves' })
    .getByRole('button', { name: 'choose' })
    .click();
  await page.getByRole('checkbox', { name: 'open space' }).check();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('heading', { name: 'Bright gate' })).toBeVisible();
  await expect(page).toHaveURL(/\/exercises\/bright-gate$/);

  // Into a file, thrown away, and back from the file.
  const fileOf = async (name: string) =>
    (await handedOver(page.getByRole('button', { name, exact: true }))).bytes;
  const file = await fileOf('all that is said of it (JSON)');
  const music = await fileOf('MusicXML');
  await page.getByRole('button', { name: 'throw it away' }).click();
  await page.getByRole('alert').getByRole('button', { name: 'throw it away' }).click();
  await expect(page).toHaveURL(/\/exercises$/);
  await page.getByRole('button', { name: 'bring it back' }).click();
  await expect(page.getByRole('heading', { name: 'Bright gate' })).toBeVisible();
  await page.getByRole('button', { name: 'throw it away' }).click();
  await page.getByRole('alert').getByRole('button', { name: 'throw it away' }).click();
  await expect(page.getByText('“Bright gate” is thrown away.')).toBeVisible();
  await page.getByRole('link', { name: 'read a file' }).click();
  const input = page.getByLabel('File to read');
  await input.setInputFiles({ name: 'bright.json', mimeType: 'application/json', buffer: file });
  await expect(page.getByText('Everything in it can be kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText('1 taken in.')).toBeVisible();
  await input.setInputFiles({ name: 'bright.musicxml', mimeType: 'text/xml', buffer: music });
  await expect(page.getByRole('img', { name: /major/ })).toHaveAccessibleName(
    /Line: \S+ \S+ \S+\.$/i,
  );
  await page.getByRole('button', { name: 'Make an exercise of it' }).click();
  await expect(typed(page)).toHaveValue('1(noo) 3 5:2');

  // Into a plan, where it stays as it was when it is changed afterwards.
  await page.goto(`/evenings/${evening.id}/plan`);
  await page.getByRole('button', { name: 'Add an exercise' }).click();
  await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('bright gate');
  await page.getByRole('button', { name: /^Add Bright gate/ }).click();
  await saved(page);
  expect(await segmentNames(page)).toEqual(['Coat off', 'Bright gate']);
  const bench = page.getByRole('region', { name: 'Bench: Bright gate' });
  await page.keyboard.press('h');
  await expect(bench.getByRole('button', { name: 'be silent' })).toBeVisible();
  await page.keyboard.press('h');
  await expect(bench.getByRole('button', { name: 'hear it' })).toBeVisible();
  await page.goto('/exercises');
  await page.getByRole('button', { name: 'all but hidden ones' }).click();
  await page.getByRole('checkbox', { name: 'our own alone' }).check();
  await page.getByRole('link', { name: /^Bright gate/ }).click();
  await page.getByRole('link', { name: 'change it', exact: true }).click();
  await page.getByRole('textbox', { name: /^Cue/ }).fill('Let it swing.');
  await page.getByRole('button', { name: 'Keep as a new version' }).click();
  await expect(page.getByText('“Let it swing.”')).toBeVisible();
  await page.getByRole('button', { name: /^version 2/ }).click();
  await expect(page.getByText('version 1', { exact: true })).toBeVisible();
  await page.goto(`/evenings/${evening.id}/plan`);
  await page
    .getByRole('list', { name: 'Segments' })
    .getByRole('button', { name: /Bright gate/ })
    .click();
  await expect(page.getByRole('region', { name: 'Bench: Bright gate' })).toContainText(
    'Swing it open.',
  );
  expectNoComplaints(person.context);
});

test('the catalogue is narrowed, marked, noted and hidden, and the shelf follows', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  const page = await person.context.newPage();
  const rounds = exercises.filter(({ music }) => music.kind === 'round');
  const easier = rounds.filter(({ difficulty }) => difficulty <= 2);
  await page.goto('/exercises');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    `${exercises.length} exercises`,
  );
  await page.getByRole('button', { name: 'of any kind' }).click();
  await page.getByRole('radio', { name: 'a round' }).click();
  await expect(page.getByText(new RegExp(`^${rounds.length} shown`))).toBeVisible();
  await page.getByRole('button', { name: 'easy or hard' }).click();
  await page.getByRole('radio', { name: 'easy or middling' }).click();
  await expect(page.getByText(new RegExp(`^${easier.length} shown`))).toBeVisible();
  await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('nothing like this');
  await expect(page.getByText('Nothing is like that.')).toBeVisible();
  await page.getByRole('button', { name: 'show all again' }).first().click();
  await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('horse');
  await page.getByRole('link', { name: /^Loose lips/ }).click();

  const panel = page.getByRole('region', { name: 'Exercise: Loose lips' });
  await expect(panel.getByText('Cold voices: no strong singing')).toBeVisible();
  await panel.getByRole('link', { name: 'Rolling r' }).first().click();
  await expect(page.getByRole('region', { name: 'Exercise: Rolling r' })).toBeVisible();
  await page.goBack();
  // Another key, another part: the notes follow, spelled in their key.
  await expect(panel.getByRole('img', { name: /Sopranos: / })).toBeVisible();
  const first = await panel.getByRole('img', { name: /Sopranos: / }).getAttribute('aria-label');
  await panel.getByRole('button', { name: 'Key after' }).click();
  await expect(panel.getByRole('img', { name: /Sopranos: / })).not.toHaveAccessibleName(first!);
  await panel.getByRole('button', { name: 'basses' }).click();
  await expect(panel.getByRole('img', { name: /Basses: / })).toBeVisible();

  await panel.getByRole('button', { name: 'make it a favourite' }).click();
  await expect(panel.getByRole('button', { name: /a favourite/ })).toBeVisible();
  await panel.getByRole('textbox', { name: 'Our note' }).fill('Tenors find it first.');
  await expect(panel.getByText('saved', { exact: true })).toBeVisible();
  await page.goto('/exercises/rolling-r');
  await page.getByRole('button', { name: 'hide it' }).click();
  await expect(page.getByRole('button', { name: /hidden; show it again/ })).toBeVisible();
  await page.goto('/exercises/loose-lips');
  await expect(page.getByRole('textbox', { name: 'Our note' })).toHaveValue(
    'Tenors find it first.',
  );
  await page.getByRole('button', { name: 'more to choose by' }).click();
  await page.getByRole('button', { name: 'all but hidden ones' }).click();
  await page.getByRole('checkbox', { name: 'favourites alone' }).check();
  await expect(page.getByText(/^1 shown/)).toBeVisible();

  await page.goto(`/evenings/${evening.id}/plan`);
  await page.getByRole('button', { name: 'open the shelf' }).click();
  const shelf = page.getByRole('region', { name: 'Shelf' });
  await expect(
    shelf.getByText(`${exercises.length - 1} exercises`, { exact: false }),
  ).toBeVisible();
  await expect(shelf.getByRole('button', { name: /^Add Rolling r/ })).toHaveCount(0);
  expectNoComplaints(person.context);
});

test('a file that means no good is refused in words and harms nothing', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/exercises/read/file');
  const input = page.getByLabel('File to read');
  const give = async (name: string, content: Buffer | string, words: RegExp) => {
    await input.setInputFiles({
      name,
      mimeType: 'application/octet-stream',
      buffer: Buffer.from(content as string),
    });
    await expect(page.getByRole('alert')).toContainText(words);
  };
  await give(
    'bomb.xml',
    '<!DOCTYPE a [<!ENTITY b "bb">]><score-partwise>&b;</score-partwise>',
    /declares entities/,
  );
  await give('large.mid', Buffer.alloc(6_000_000), /6 MB; files up to 5 MB/);
  await give('nothing.abc', 'X:1\nK:C\nz4|', /no note in this file/);
  await give('photo.png', 'PNG', /This kind of file is not read/);
  const { own } = (await (
    await person.request.get(`/api/choirs/${person.choir}/exercises`)
  ).json()) as { own: unknown[] };
  expect(own).toEqual([]);
  expectNoComplaints(person.context);
});

test('without a connection a note is kept on the device, and a dead server says so', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/exercises/embers');
  const note = page.getByRole('textbox', { name: 'Our note' });
  await note.waitFor();
  await page.route('**/api/**', (route) => route.abort());
  await note.fill('Softer in the hall.');
  await expect(page.getByText(/The note is kept on this device\./)).toBeVisible();
  await page.unroute('**/api/**');
  await page.reload();
  await expect(note).toHaveValue('Softer in the hall.');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const context = await newContext(browser);
  await context.close();
});

test('who only reads looks and listens, and changes nothing', async ({ browser }) => {
  const person = await newPerson(browser);
  const reader = await newPerson(browser);
  await join(person, reader, 'reader');
  const page = await reader.context.newPage();
  await page.addInitScript((choir) => localStorage.setItem('wide-fern:choir', choir), person.choir);
  await page.goto('/exercises/narrow-hum');
  await expect(page.getByRole('button', { name: 'Hear it' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'hide it' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'make one' })).toHaveCount(0);
  await page.goto('/exercises/make/new');
  await expect(page.getByText('Exercises are made by those who lead')).toBeVisible();
});
