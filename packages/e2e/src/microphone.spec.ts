import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect } from '@playwright/test';
import { seeded, singNote, writeWav } from '@wide-fern/sound';
import { addSingers, expectNoComplaints, newPerson } from './person';
import { test } from './test';

/** A browser whose microphone hears a note sung over and over. */
test('a sung note is heard through the microphone, and another one is told from it', async ({
  baseURL,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'microphone-'));
  const file = join(folder, 'g4.wav');
  const sung = singNote({
    note: 67,
    seconds: 4,
    sampleRate: 48_000,
    vowel: 'ah',
    vibrato: { cents: 30, hertz: 5.5 },
    noise: 25,
    random: seeded(1),
  });
  writeFileSync(file, writeWav(sung));
  const executablePath = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync);
  const browser = await chromium.launch({
    ...(executablePath ? { executablePath } : {}),
    args: [
      '--no-sandbox',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}`,
    ],
  });
  try {
    const options = { permissions: ['microphone'], ...(baseURL ? { baseURL } : {}) };
    const person = await newPerson(browser, options);
    await addSingers(person, [{ name: 'Wilmet Quay', part: 'S' }]);
    const page = await person.context.newPage();
    await page.goto('/voices?part=S');
    await page.getByRole('option', { name: /Wilmet/ }).click();
    await page.getByRole('button', { name: 'Check the range' }).click();
    const asked = page.getByRole('status').filter({ hasText: /^[A-G]♭?\d$/ });
    await expect(asked).toHaveText('G4');
    await page.getByRole('checkbox', { name: /larger steps/ }).uncheck();
    await page.getByRole('button', { name: 'listen', exact: true }).click();
    // G4 is held for a second, counts as easy, and the next note is asked for.
    await expect(asked).toHaveText('A♭4', { timeout: 60_000 });
    await expect(
      page.getByText(/^That is G4, (right on it|\d+ cents too (high|low))\.$/),
    ).toBeVisible({ timeout: 60_000 });
    await page.getByRole('button', { name: 'stop listening' }).click();
    await page.getByRole('button', { name: 'Not there' }).click();
    await expect(page.getByRole('heading', { name: 'Range check, going down' })).toBeVisible();
    expectNoComplaints(person.context);
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true });
  }
});
