import { strFromU8, unzipSync } from 'fflate';
import { expect, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { handedOver } from './files';
import { expectNoComplaints, newContext, newEvening, newPerson, storePlan } from './person';
import { test } from './test';

async function everything(page: Page): Promise<{ path: string; whole: Record<string, unknown[]> }> {
  await page.goto('/choir');
  const { path, bytes } = await handedOver(
    page.getByRole('button', { name: 'everything in one file' }),
  );
  const text = unzipSync(new Uint8Array(bytes))['choir.json']!;
  return { path, whole: JSON.parse(strFromU8(text)) as Record<string, unknown[]> };
}

test('everything out of one choir, and into another one’s hands', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley']);
  const page = await person.context.newPage();
  const given = await everything(page);
  expect(given.whole.evenings).toHaveLength(1);
  expect(given.whole.plans).toHaveLength(1);
  await expectAccessible(page);

  const other = await newPerson(browser);
  const there = await other.context.newPage();
  await there.goto('/choir');
  // What is no such file is refused, and nothing is lost.
  await there.getByLabel('A choir’s file').setInputFiles({
    ...{ name: 'other.zip', mimeType: 'application/zip', buffer: Buffer.from('nothing') },
  });
  await expect(there.getByText(/^This is no choir’s file/)).toBeVisible();
  await there.getByLabel('A choir’s file').setInputFiles(given.path);
  await expect(there).toHaveURL(/\/$/);
  await expect(there.getByRole('button', { name: 'Lead it' })).toBeVisible();
  const again = await everything(there);
  expect(again.whole.choir).toEqual(given.whole.choir);
  const sizes = (whole: Record<string, unknown>) =>
    Object.entries(whole).flatMap(([kind, rows]) =>
      Array.isArray(rows) ? [[kind, rows.length] as const] : [],
    );
  expect(sizes(again.whole)).toEqual(sizes(given.whole));
  await expect(there.getByLabel('Choir in use')).toBeVisible();
  expectNoComplaints(person.context);
  expectNoComplaints(other.context);

  // Whoever looks around takes the demo along, and brings nothing in there.
  const stranger = await newContext(browser);
  await stranger.request.post('/api/session/demo');
  const demo = await stranger.newPage();
  const shown = await everything(demo);
  expect(shown.whole.runs!.length).toBeGreaterThan(5);
  await expect(demo.getByRole('button', { name: /^bring a choir in/ })).toHaveCount(0);
});
