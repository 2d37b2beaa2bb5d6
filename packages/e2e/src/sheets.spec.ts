import { readFile } from 'node:fs/promises';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { handedOver } from './files';
import { expectNoComplaints, newContext, newEvening, newPerson, storePlan } from './person';
import { test } from './test';

async function textOf(path: string): Promise<string> {
  const data = new Uint8Array(await readFile(path));
  const document = await getDocument({ data, verbosity: 0 }).promise;
  let text = '';
  for (let page = 1; page <= document.numPages; page += 1) {
    const { items } = await (await document.getPage(page)).getTextContent();
    text += items.map((item) => ('str' in item ? item.str : '')).join('');
  }
  return text;
}

/** The words of a sheet on the screen, without its notes. */
const words = (page: Page) =>
  page.getByRole('main').evaluate((sheet) => {
    const walk = document.createTreeWalker(sheet, NodeFilter.SHOW_TEXT);
    const found: string[] = [];
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      if (!node.parentElement!.closest('svg')) found.push(...node.textContent!.split(/\s+/));
    }
    return found.filter((word) => word !== '');
  });

test('sheets for three readers, on the screen and as PDF', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum', 'slate-steps', 'lantern-chord']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/sheet/warm-up`);
  const sheet = page.getByRole('main');
  await expect(sheet.getByRole('img').first()).toBeVisible();
  // Paper is white in the dark too, and its notes are black.
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(sheet.getByRole('img').first()).toHaveCSS('color', 'rgb(0, 0, 0)');
  await page.emulateMedia({ colorScheme: 'light' });
  const pdf = async () =>
    textOf((await handedOver(page.getByRole('button', { name: 'PDF', exact: true }))).path);
  const same = async () => {
    const text = (await pdf()).replaceAll(/\s/g, '');
    const shown = await words(page);
    expect(shown.length).toBeGreaterThan(100);
    expect(shown.filter((word) => !text.includes(word))).toEqual([]);
    return text;
  };
  await same();

  await page.getByLabel('For').selectOption({ label: 'whoever plays' });
  const bars = sheet.getByRole('img', { name: /^\S+: chord .* then S / });
  await expect(bars.first()).toBeVisible();
  await expectAccessible(page);
  // Whole notes of the music face: at least two chords a key.
  expect((await same()).match(/\uE0A2/g)!.length).toBeGreaterThan(100);

  await page.getByLabel('For').selectOption({ label: 'those who sing' });
  await page.getByLabel('Who').selectOption({ label: 'tenors' });
  await expect(sheet).toContainText('for tenors');
  await expect(sheet.getByRole('row', { name: /^T / }).first()).toBeVisible();
  await expect(sheet.getByRole('row', { name: /^S / })).toHaveCount(0);
  await page.getByLabel('Paper').selectOption({ label: 'Letter' });
  await same();
  expectNoComplaints(person.context);
});

test('a link leads somebody without an account to the sheets, until it is taken back', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'narrow-hum']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/sheet/warm-up`);
  await page.getByRole('button', { name: 'a link for others' }).click();
  const links = page.getByRole('region', { name: 'Links for others' });
  await links.getByRole('textbox', { name: /^For whom/ }).fill('the piano');
  await links.getByRole('button', { name: 'Make a link' }).click();
  const link = links.getByText(/\/sheet#[A-Z0-9-]{14}$/);
  await expect(link).toBeVisible();
  await expectAccessible(page);

  const stranger = await newContext(browser);
  const elsewhere = await stranger.newPage();
  await elsewhere.goto((await link.textContent())!);
  await expect(elsewhere.getByRole('main')).toContainText('Narrow hum');
  await elsewhere.getByLabel('For', { exact: true }).selectOption({ label: 'whoever plays' });
  await expect(elsewhere.getByRole('img', { name: /: chord / }).first()).toBeVisible();
  await expectAccessible(elsewhere);

  await links.getByRole('listitem').filter({ hasText: 'the piano' }).getByRole('button').click();
  await expect(links.getByRole('listitem')).toHaveCount(0);
  await elsewhere.reload();
  await expect(elsewhere.getByText(/What this link was for is not here/)).toBeVisible();
  expectNoComplaints(stranger);
  expectNoComplaints(person.context);
});
