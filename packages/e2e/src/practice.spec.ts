import type { EveningSummary, Plan, Session } from '@wide-fern/contract';
import { frequency, practising, programme, type Programme } from '@wide-fern/core';
import { evaluate, listeningOf } from '@wide-fern/plan';
import { readWav, type Recording } from '@wide-fern/sound';
import { expect, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { handedOver } from './files';
import {
  addSingers,
  expectNoComplaints,
  newContext,
  newEvening,
  newPerson,
  planAddress,
  singersOf,
  storePlan,
} from './person';
import { test } from './test';

/** Where a recording's programme begins in it, in seconds: notes are scheduled a moment ahead. */
const ahead = 0.02;

/** How strong one frequency is in a stretch of a recording: the power of its one bin. */
function powerAt({ sampleRate, samples }: Recording, hertz: number, from: number, to: number) {
  const [first, last] = [Math.round(from * sampleRate), Math.round(to * sampleRate)];
  let [re, im] = [0, 0];
  for (let i = first; i < last; i += 1) {
    const turn = (2 * Math.PI * hertz * (i - first)) / sampleRate;
    // A window, so that what sounds beside it does not spill over.
    const window = 0.5 - 0.5 * Math.cos((2 * Math.PI * (i - first)) / (last - first));
    re += window * samples[i]! * Math.cos(turn);
    im += window * samples[i]! * Math.sin(turn);
  }
  return (re * re + im * im) / (last - first) ** 2;
}

/** When counted beats are heard: where each is half as loud as it gets, looked for around where it is due. */
function countsIn(recording: Recording, heard: Programme): number[] {
  const step = 0.0005;
  return heard.sounded
    .filter(({ voice }) => voice === 'count')
    .map(({ at, midi }) => {
      const around = Array.from({ length: 240 }, (_, i) => at + ahead - 0.06 + i * step);
      const loud = around.map((from) => powerAt(recording, frequency(midi), from, from + 0.004));
      const most = Math.max(...loud);
      return around[loud.findIndex((one) => one > most / 4)]!;
    });
}

async function soundFrom(page: Page): Promise<Recording> {
  const { bytes } = await handedOver(page.getByRole('button', { name: 'sound (WAV)' }).last());
  return readWav(new Uint8Array(bytes));
}

test('a singer practises at home: on a phone, the own part above the others, without the network', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'pulley', 'dusk-chord']);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/sheet/warm-up`);
  await page.getByRole('button', { name: 'a link for others' }).click();
  const links = page.getByRole('region', { name: 'Links for others' });
  await links.getByRole('radio', { name: 'to practise at home' }).click();
  await links.getByLabel('For which part').selectOption({ label: 'sopranos' });
  await links.getByRole('textbox', { name: /^For whom/ }).fill('by mail');
  await links.getByRole('button', { name: 'Make a link' }).click();
  const link = links.getByText(/\/practice#([A-Z0-9]{4}-){6}[A-Z0-9]{4}$/);
  await expect(link).toBeVisible();
  await expect(links).toContainText('by mail, to practise at home, for sopranos');
  const address = (await link.textContent())!;

  const singer = await newContext(browser, {
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
  });
  const phone = await singer.newPage();
  await phone.goto(address);
  await expect(phone.getByText(/for sopranos · to practise at home/)).toBeVisible();
  await expect(phone.getByRole('img').first()).toBeVisible();
  await expectAccessible(phone);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBe(390);

  // Heard, and silent again; another one begins, and only that one sounds.
  const chord = phone.getByRole('group', { name: 'Hearing Dusk chord' });
  await phone.getByRole('button', { name: 'Hear it' }).first().click();
  await expect(phone.getByRole('button', { name: 'Be silent' })).toHaveCount(1);
  await chord.getByRole('button', { name: 'Hear it' }).click();
  await expect(chord.getByRole('button', { name: 'Be silent' })).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Be silent' })).toHaveCount(1);
  await chord.getByRole('button', { name: 'Be silent' }).click();

  // What is measured is what was written: its first key, everybody, the sopranos above the others.
  const { plan } = (await (await person.request.get(planAddress(person, evening))).json()) as {
    plan: Plan;
  };
  const { sections } = plan.document.tonight;
  const one = evaluate(plan.document, 900).segments.at(-1)!;
  const listening = listeningOf(one, sections)!;
  const heard = programme(practising(listening, { key: 0, alone: null }));
  await chord.getByRole('combobox', { name: 'In which key' }).selectOption({ index: 1 });
  const together = await soundFrom(phone);
  const sung = heard.sounded.filter(({ voice }) => sections.some(({ id }) => id === voice));
  const from = Math.max(...sung.map(({ at }) => at)) + ahead + 0.1;
  const to = Math.min(...sung.map(({ at, seconds }) => at + seconds)) + ahead - 0.5;
  const power = (note: number) => powerAt(together, frequency(note), from, to);
  const notes = (mine: boolean) =>
    new Set(sung.filter(({ voice }) => (voice === 'S') === mine).map(({ midi }) => midi));
  const [own] = [...notes(true)];
  const others = [...notes(false)].filter((note) => note !== own);
  expect(others.length).toBeGreaterThan(1);
  // The highest part's overtones lie on nobody's note.
  expect(Math.max(...others)).toBeLessThan(own!);
  const softly = others.reduce((sum, note) => sum + power(note), 0);
  const above = 10 * Math.log10(power(own!) / softly);
  expect(above).toBeGreaterThan(12);

  const counted = countsIn(together, heard);
  expect(counted.length).toBeGreaterThanOrEqual(4);
  const beat = 60 / listening.score.tempo;
  counted.slice(1).forEach((at, i) => {
    expect(Math.abs(at - counted[i]! - beat)).toBeLessThan(0.005);
  });

  // Without the network it is all there, sound too, in a new tab.
  await phone.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Pulley' })).toBeVisible();
  await phone.waitForLoadState('networkidle');
  await singer.setOffline(true);
  const again = await singer.newPage();
  await again.goto(address);
  await expect(again.getByText(/^There is no connection: this is how it was on/)).toBeVisible();
  await expect(again.getByRole('img').first()).toBeVisible();
  await again.getByRole('radio', { name: 'alone' }).last().click();
  const alone = await soundFrom(again);
  expect(powerAt(alone, frequency(others[0]!), from, to)).toBeLessThan(
    powerAt(alone, frequency(own!), from, to) / 1000,
  );

  // Taken back it says so, and is kept no longer.
  await singer.setOffline(false);
  await links.getByRole('listitem').filter({ hasText: 'by mail' }).getByRole('button').click();
  await expect(links.getByRole('listitem')).toHaveCount(0);
  await again.reload();
  await expect(again.getByText(/^This page was taken back/)).toBeVisible();
  await singer.setOffline(true);
  await again.reload();
  await expect(again.getByText('Pulley')).toHaveCount(0);
  expectNoComplaints(person.context);
});

test('what singers say at home comes back: of an exercise without a name, of a voice to be confirmed', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off', 'slate-steps']);
  await addSingers(person, [{ name: 'Ash Tarn', part: 'A' }]);
  const page = await person.context.newPage();
  await page.goto(`/evenings/${evening.id}/sheet/warm-up`);
  await page.getByRole('button', { name: 'a link for others' }).click();
  const links = page.getByRole('region', { name: 'Links for others' });
  await links.getByRole('radio', { name: 'to practise at home' }).click();
  await links.getByLabel('For which part').selectOption({ label: 'altos' });
  await links.getByRole('checkbox', { name: /ask how each exercise was/ }).check();
  await expectAccessible(page);
  await links.getByRole('button', { name: 'Make a link' }).click();
  await expect(links).toContainText('for altos, asks how it was');
  const address = (await links.getByText(/\/practice#/).textContent())!;

  const singer = await newContext(browser, { viewport: { width: 360, height: 780 } });
  const phone = await singer.newPage();
  await phone.goto(address);
  const how = phone.getByRole('radiogroup', { name: 'How was Slate steps?' });
  await how.getByRole('radio', { name: 'too high' }).click();
  await expect(phone.getByText('Sent, without your name.')).toBeVisible();
  // What is moved and not sung lies neither high nor low.
  await expect(
    phone.getByRole('radiogroup', { name: 'How was Coat off?' }).getByRole('radio'),
  ).toHaveCount(4);
  await phone.getByLabel('Your name').fill('ash tarn');
  await phone.getByLabel('Lowest note', { exact: true }).selectOption({ label: 'A3' });
  await phone.getByLabel('Highest note', { exact: true }).selectOption({ label: 'D5' });
  await phone.getByRole('button', { name: 'Send it' }).press('Enter');
  await expect(phone.getByText('Sent. Whoever leads your choir looks at it.')).toBeVisible();
  await expectAccessible(phone);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBe(360);

  await page.goto('/exercises/slate-steps');
  await expect(page.getByText('Too high (one).')).toBeVisible();
  await page.getByRole('button', { name: 'throw this away' }).click();
  await expect(page.getByText('Too high (one).')).toHaveCount(0);

  await page.goto('/voices');
  await page.getByRole('button', { name: 'One singer has sent what was easy' }).click();
  const row = page.getByRole('region', { name: 'What singers sent' }).getByRole('listitem');
  await expect(row).toContainText('ash tarn, altos: A3 to D5');
  await expectAccessible(page);
  await row.getByRole('button', { name: 'keep it as a check' }).click();
  await expect(row).toHaveCount(0);
  const [stored] = await singersOf(person);
  expect(stored).toMatchObject({ name: 'Ash Tarn', comfort: [57, 74] });
  expectNoComplaints(person.context);
});

test('hard bars at home: as they are written, only where it is said that their score may be shown', async ({
  browser,
}) => {
  const context = await newContext(browser);
  const entered = await context.request.post('/api/session/demo');
  const { choirs } = (await entered.json()) as Session;
  const listed = await context.request.get(`/api/choirs/${choirs[0]!.id}/evenings`);
  const { items } = (await listed.json()) as { items: EveningSummary[] };
  // The one that goes on now counts: the demo's is of today until it has ended.
  const [coming] = items
    .filter(({ endsAt }) => Date.parse(endsAt) > Date.now())
    .sort((a, b) => a.startsAt.localeCompare(b.startsAt));
  const page = await context.newPage();
  await page.goto(`/evenings/${coming!.id}/sheet/warm-up`);
  await page.getByRole('button', { name: 'a link for others' }).click();
  const links = page.getByRole('region', { name: 'Links for others' });
  await links.getByRole('radio', { name: 'to practise at home' }).click();
  await links.getByRole('button', { name: 'Make a link' }).click();
  const link = links.getByText(/\/practice#/);
  const without = (await link.textContent())!;
  await links.getByRole('checkbox', { name: /show the marked bars/ }).check();
  await expect(links.getByText(/^Lanterns over Slate, bars \d/)).toBeVisible();
  await expectAccessible(page);
  await links.getByRole('button', { name: 'Make a link' }).click();
  await expect(links.getByRole('listitem').last()).toContainText(/shows \w+ places of the score/);
  await expect(link).not.toHaveText(without);
  const address = (await link.textContent())!;

  const singer = await newContext(browser, { viewport: { width: 360, height: 780 } });
  const phone = await singer.newPage();
  await phone.goto(address);
  await phone.getByRole('radio', { name: 'altos' }).click();
  const hard = phone.getByRole('region', { name: 'Hard bars, as they are written' });
  const first = hard.getByRole('listitem').first();
  await expect(first.getByRole('img', { name: /Altos: [A-G]/ })).toBeVisible();
  await expect(first.getByRole('button', { name: 'Hear it' })).toBeVisible();
  await expectAccessible(phone);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBe(360);
  await phone.goto('about:blank');
  await phone.goto(without);
  await expect(phone.getByRole('radio', { name: 'altos' })).toBeVisible();
  await expect(phone.getByRole('heading', { name: /Hard bars/ })).toHaveCount(0);
  expectNoComplaints(context);
});
