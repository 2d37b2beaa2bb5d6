import { writeWav } from '@wide-fern/sound';
import { expect, type Page } from '@playwright/test';
import { pieceSchema, type StorePiece } from '@wide-fern/contract';
import { expectAccessible } from './accessible';
import { expectNoComplaints, join, newPerson, type Person } from './person';
import { test } from './test';

const typed: StorePiece = {
  ...{ title: 'Slate', composer: '', language: '', tempo: null, transpose: 0, notes: '' },
  ...{ ranges: { S: [62, 77] }, score: null },
};

async function newPiece({ request, choir }: Person): Promise<string> {
  const response = await request.post(`/api/choirs/${choir}/pieces`, { data: typed });
  expect(response.status()).toBe(201);
  return pieceSchema.parse(await response.json()).id;
}

/** Two seconds of a quiet tone. */
const tone = () =>
  Buffer.from(
    writeWav({
      sampleRate: 22_050,
      samples: Float32Array.from({ length: 44_100 }, (_, i) => 0.2 * Math.sin(i / 16)),
    }),
  );

const open = async (page: Page, piece: string) => {
  await page.goto(`/pieces/${piece}`);
  await page.getByRole('button', { name: 'judge together' }).click();
};
const score = (page: Page, skill: string, points: string) =>
  page
    .getByRole('radiogroup', { name: `How ${skill} was` })
    .getByRole('radio', { name: points })
    .click();
const saying = (page: Page, skill: string) =>
  page.getByRole('row', { name: skill }).getByRole('cell').allInnerTexts();

test('a run is judged by two on their own cards, heard again, and agreed on', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const pianist = await newPerson(browser);
  await join(person, pianist, 'reader');
  const piece = await newPiece(person);
  const page = await person.context.newPage();
  await open(page, piece);
  await page.getByRole('combobox', { name: 'Another skill on the card' }).selectOption('tuning');
  await page.getByRole('checkbox', { name: 'legato' }).uncheck();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Open the cards' }).click();
  await page.getByLabel('A recording of this run').setInputFiles({
    ...{ name: 'slate.wav', mimeType: 'audio/wav', buffer: tone() },
  });
  await expect(page.getByText(/^slate\.wav, .* deleted by itself on/)).toBeVisible();

  // The pianist, who only reads here, finds it in the list, hears it and fills in a card.
  const other = await pianist.context.newPage();
  await other.addInitScript((id) => localStorage.setItem('wide-fern:choir', id), person.choir);
  await other.goto('/');
  await other.getByRole('status').getByRole('link', { name: 'Slate' }).waitFor();
  await other.goto('/pieces');
  await expect(other.getByText('your card is awaited')).toBeVisible();
  await other.getByRole('link', { name: /Slate/ }).click();
  await other.getByRole('button', { name: 'hear the recording' }).click();
  await expect(other.getByLabel('Recording slate.wav')).toHaveJSProperty('duration', 2);
  await score(other, 'tuning', '4');
  // A closed tab loses nothing of it.
  await other.reload();
  await expect(
    other.getByRole('radiogroup', { name: 'How tuning was' }).getByRole('radio', { name: '4' }),
  ).toBeChecked();
  await other.getByRole('combobox', { name: 'Next target' }).selectOption('tuning');
  await other.getByRole('button', { name: 'Hand in your card' }).click();
  await expect
    .poll(() => saying(other, 'tuning'))
    .toEqual(['', '', '', 'you', '', 'one card says 4']);
  await expect(other.getByRole('button', { name: /agree/ })).toBeHidden();

  // Whoever leads is told that it is in, and what it says once theirs is too.
  await expect(page.getByText('Handed in: Wren Aldous.')).toBeVisible();
  await expect(page.getByRole('table')).toBeHidden();
  await score(page, 'tuning', '2');
  await page.getByRole('button', { name: 'Hand in your card' }).click();
  await expect(page.getByText(/One of one pair of figures lies more than one apart/)).toBeVisible();
  await expect.poll(() => saying(other, 'tuning')).toContain('from 2 to 4: more than one apart');
  await page.getByRole('button', { name: 'take no more cards, and agree' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep it as the judgement' }).click();
  await expect(
    page.getByText(/^Next target: tuning, open since .*last judged 2 of 5/),
  ).toBeVisible();
  await expect(other.getByText('agreed: tuning 2 and next tuning')).toBeVisible();
  await expect(other.getByRole('button', { name: 'change it' })).toBeHidden();

  await page.getByRole('button', { name: 'throw the recording away' }).click();
  await expect(other.getByRole('button', { name: 'hear the recording' })).toBeHidden();
  expectNoComplaints(person.context);
  expectNoComplaints(pianist.context);
});

test('something is tried on a few first: a trial, that counts for nothing else', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const piece = await newPiece(person);
  const page = await person.context.newPage();
  await open(page, piece);
  await page.getByRole('radio', { name: 'a small group' }).click();
  await page.getByRole('button', { name: 'Open the cards' }).click();
  await expect(page.getByText('Say who sang, “two of each part”.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Who they are' }).fill('two of each part');
  const judge = async (points: string) => {
    await page.getByRole('button', { name: 'Open the cards' }).click();
    await score(page, 'legato', points);
    await page.getByRole('button', { name: 'Hand in your card' }).click();
    await page.getByRole('button', { name: 'take no more cards, and agree' }).click();
    await page.getByRole('button', { name: 'Keep it as a trial' }).click();
    await expect(page.getByText(`agreed: legato ${points}`)).toBeVisible();
  };
  await judge('2');
  await page.getByRole('button', { name: 'judge it again' }).click();
  await page.getByRole('textbox', { name: /^What was tried/ }).fill('Embers');
  await judge('3');
  await expect(
    page.getByText(
      'After “Embers”: legato from 2 to 3 (better to the one judge). That is one trial',
    ),
  ).toBeVisible();
  await expect(page.getByText('No run of it has been judged yet.')).toBeVisible();
  // Thrown away, it is asked first.
  await page
    .getByRole('button', { name: /^Throw the cards of/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'throw the cards away for good' }).click();
  await expect(page.getByText(/^After “Embers”/)).toBeHidden();
  expectNoComplaints(person.context);
});
