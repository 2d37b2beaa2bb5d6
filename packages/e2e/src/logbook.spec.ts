import { expect } from '@playwright/test';
import { ledSegments } from '@wide-fern/plan';
import { lengthInFigures } from '@wide-fern/words';
import { expectAccessible } from './accessible';
import { handedOver } from './files';
import {
  addSingers,
  expectNoComplaints,
  newEvening,
  newPerson,
  saved,
  segment,
  singersOf,
  storePlan,
  type Person,
} from './person';
import { begin, heading, leadThrough } from './runs';
import { test } from './test';

/** Judges a piece for one skill on a day. */
async function judge({ request, choir }: Person, piece: string, days: number, score: number) {
  const judgedOn = new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);
  const target = score < 3 ? 'tuning' : null;
  const response = await request.post(`/api/choirs/${choir}/pieces/${piece}/judgements`, {
    data: { judgedOn, scores: [{ skill: 'tuning', score, note: '' }], target },
  });
  expect(response.status()).toBe(201);
}

test('an evening led, reviewed, and seen in the logbook; its target is closed', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person, 0);
  const document = await storePlan(person, evening, ['coat-off', 'slate-steps']);
  const typed = await person.request.post(`/api/choirs/${person.choir}/pieces`, {
    data: {
      ...{ title: 'Slate', composer: '', language: '', tempo: null, transpose: 0, notes: '' },
      ...{ ranges: { S: [62, 77] }, score: null },
    },
  });
  const { id } = (await typed.json()) as { id: string };
  await judge(person, id, 15, 2);

  const page = await person.context.newPage();
  await page.goto('/logbook');
  await expect(page.getByText('Nothing was led yet')).toBeVisible();
  await expectAccessible(page);

  await page.clock.install();
  await begin(page, evening);
  const led = ledSegments(document);
  await leadThrough(page, led);
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: 'Slate steps: most managed' }).click();
  await expect(page.getByText('kept with the evening')).toBeVisible();
  await judge(person, id, 0, 4);

  await page.goto('/logbook');
  const row = (name: string) => page.getByRole('row').filter({ hasText: name });
  const planned = lengthInFigures(led[1]!.keys.reduce((sum, { span }) => sum + span, 0));
  const stem = row('Range').getByRole('button');
  const [minutes, seconds] = ((await stem.textContent()) ?? '').split(':').map(Number);
  const [wantedMinutes, wantedSeconds] = planned.split(':').map(Number);
  const real = 60 * minutes! + seconds!;
  expect(Math.abs(real - 60 * wantedMinutes! - wantedSeconds!)).toBeLessThan(0.1 * real + 8);
  await expect(row('The whole warm-up')).toContainText(/of \d+:\d\d/);
  await expect(page.getByText('“Slate”: tuning was better after two weeks.')).toBeVisible();
  await expectAccessible(page);

  await stem.click();
  const aside = page.getByRole('complementary');
  await expect(aside).toContainText('Slate steps');
  await expect(aside).toContainText('most managed');
  await aside.getByRole('link').first().click();
  await expect(heading(page)).toHaveText('What happened');
  await page.goBack();
  await page.getByRole('button', { name: 'as charts' }).click();
  await expect(page.getByRole('heading', { name: 'Minutes planned and real' })).toBeVisible();
  await expectAccessible(page);
  const file = await handedOver(page.getByRole('button', { name: 'download as CSV' }));
  expect(file.name).toBe('logbook.csv');
  expectNoComplaints(person.context);
});

test('who comes late is one touch, and the keys that remain are weighed anew', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  await addSingers(person, [
    { name: 'Ama Kestrel', part: 'S', comfort: [58, 75], reach: [57, 77] },
    { name: 'Dorit Vane', part: 'S', comfort: [62, 79], reach: [60, 81] },
  ]);
  const evening = await newEvening(person);
  const ama = (await singersOf(person)).find(({ name }) => name === 'Ama Kestrel')!;
  const presence = await person.request.put(
    `/api/choirs/${person.choir}/evenings/${evening.id}/presence`,
    { data: { singers: [{ singer: ama.id, away: true, states: [] }] } },
  );
  expect(presence.status()).toBe(200);
  const now = (await (
    await person.request.get(`/api/choirs/${person.choir}/evenings/${evening.id}`)
  ).json()) as typeof evening;
  await storePlan(person, now, ['coat-off', 'slate-steps']);

  const page = await person.context.newPage();
  await begin(page, evening);
  await page.keyboard.press('o');
  await page.keyboard.press('w');
  await page.getByRole('button', { name: 'Ama Kestrel has come' }).click();
  await expect(page.getByText(/^Weighed anew: one exercise has other keys/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'close' }).click();
  await page.keyboard.press('o');
  await page.keyboard.press('PageDown');
  const parts = page.getByRole('list', { name: 'First notes' }).getByRole('listitem');
  await expect(parts.first()).toHaveText(/^S(rests|[A-G])/);
  await expect(page.getByLabel(/^now [A-G]/)).toBeVisible();
  expectNoComplaints(person.context);
});

test('what an evening took is what the next week is planned with', async ({ browser }) => {
  const person = await newPerson(browser);
  const tonight = await newEvening(person, 0);
  const nextWeek = await newEvening(person, 7);
  const document = await storePlan(person, tonight, ['coat-off', 'slate-steps']);
  await storePlan(person, nextWeek, ['coat-off', 'slate-steps']);
  const page = await person.context.newPage();
  const plan = `/evenings/${nextWeek.id}/plan`;
  const end = page.getByText(/likely \d\d:\d\d/).first();
  await page.goto(plan);
  const before = (await end.textContent())!;
  await segment(page, 'Slate steps').click();
  await expect(page.getByText(/^Led once/)).toHaveCount(0);

  await page.clock.install();
  await begin(page, tonight);
  await leadThrough(page, ledSegments(document), 120);
  await page.keyboard.press('PageDown');
  await expect(page.getByText('kept with the evening')).toBeVisible();

  // Two minutes more of talk before each, once: the mean of that and three times what was thought.
  await page.goto(plan);
  await segment(page, 'Slate steps').click();
  const usual = document.segments[1]!.choices.talk;
  await expect(page.getByText(/Led once, with talk of 2:/)).toContainText(
    `Planned: ${lengthInFigures(usual)}.`,
  );
  const planned = Math.round((usual + 30) / 5) * 5;
  await page.getByRole('button', { name: `plan ${planned} s of talk` }).click();
  await saved(page);
  const latest = (text: string) => /likely [^ ]*?(\d\d:\d\d) /.exec(text)![1]!;
  await expect.poll(async () => latest((await end.textContent())!) > latest(before)).toBe(true);

  // Refused, it is planned as it was thought.
  await page.getByRole('button', { name: 'do not go by this' }).click();
  await expect(page.getByText(/Led once/)).toHaveCount(0);
  await page.getByRole('button', { name: 'go by it again' }).click();
  await expect(page.getByText(/Led once/)).toBeVisible();
  expectNoComplaints(person.context);
});
