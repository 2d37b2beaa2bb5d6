import { arrangements } from '@wide-fern/core';
import { expect, type Page } from '@playwright/test';
import type { Evening } from '@wide-fern/contract';
import { expectAccessible } from './accessible';
import { addSingers, newEvening, newPerson, storePlan, type Person } from './person';
import { test } from './test';

const sizes = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
  { width: 360, height: 780 },
] as const;

const long = {
  choir: 'The United Evening Choristers of the Upper Valley and of All the Mills Beside It',
  person: 'Wilhelmina Featherstonehaugh-Oksanen-Bey of the Lower Quarry Lane by the Weir',
  piece:
    'Seven Songs of the Quarrymen’s Daughters, Sung at the Turning of the Year, in Eight Parts',
  place: 'The upper assembly room of the former slate works, behind the weir',
} as const;

/** A choir in eight parts, everything in it called as long as it may be. */
async function longestChoir(person: Person): Promise<Evening> {
  const { request, choir } = person;
  const ok = async (answer: Promise<{ status: () => number }>) =>
    expect((await answer).status()).toBeLessThan(300);
  await ok(request.put(`/api/choirs/${choir}`, { data: { name: long.choir } }));
  await ok(request.put('/api/account/name', { data: { name: long.person } }));
  const eight = arrangements.find(({ parts }) => parts.length === 8)!.parts;
  const parts = eight.map((part) => ({
    ...part,
    one: `${part.one} of the upper gallery`.slice(0, 40),
    many: `${part.many} of the upper gallery`.slice(0, 40),
  }));
  const moves = { S: 'S1', A: 'A1', T: 'T1', B: 'B1' };
  await ok(request.put(`/api/choirs/${choir}/voices/parts`, { data: { parts, moves } }));
  await addSingers(
    person,
    parts.map(({ id, comfort, reach }) => ({ name: long.person, part: id, comfort, reach })),
  );
  const ranges = Object.fromEntries(parts.map(({ id, reach }) => [id, reach]));
  const piece = await request.post(`/api/choirs/${choir}/pieces`, {
    data: {
      ...{ title: long.piece, composer: long.person, language: 'en', tempo: null },
      ...{ transpose: 0, notes: '', ranges, score: null },
    },
  });
  expect(piece.status()).toBe(201);
  const { id } = (await piece.json()) as { id: string };
  const evening = await newEvening(person);
  const { version, occasion, forbids } = evening;
  const sung = { id: 'song', kind: 'piece', title: long.piece, minutes: 30, piece: id };
  const date = evening.startsAt.slice(0, 10);
  const changed = await request.put(`/api/choirs/${choir}/evenings/${evening.id}`, {
    data: {
      version,
      evening: {
        ...{ name: long.piece, date, start: '19:30', end: '21:30', place: long.place },
        ...{ occasion, forbids, agenda: [...evening.agenda, sung] },
      },
    },
  });
  expect(changed.status()).toBe(200);
  return (await changed.json()) as Evening;
}

/** No page scrolls sideways, and nothing in its head lies over something else there. */
async function expectInPlace(page: Page, path: string): Promise<void> {
  const nothing = { over: [], out: [], sideways: false };
  await expect.poll(() => outOfPlace(page), path).toEqual(nothing);
}

const outOfPlace = (page: Page) =>
  page.evaluate(() => {
    const words = [...document.querySelectorAll('header a, header span, header button')].filter(
      (one) => one.children.length === 0 && one.textContent.trim() !== '',
    );
    // What is cut off by a box around it is not there.
    const shownOf = (one: Element) => {
      const own = one.getBoundingClientRect();
      const box = { left: own.left, right: own.right, top: own.top, bottom: own.bottom };
      for (let at = one.parentElement; at; at = at.parentElement) {
        if (getComputedStyle(at).overflowX === 'visible') continue;
        const { left, right } = at.getBoundingClientRect();
        box.left = Math.max(box.left, left);
        box.right = Math.min(box.right, right);
      }
      return box;
    };
    type Box = ReturnType<typeof shownOf>;
    const shown = words
      .map((one) => ({ words: one.textContent, box: shownOf(one) }))
      .filter(({ box }) => box.right - box.left > 1 && box.bottom > 0);
    const meets = (a: Box, b: Box) =>
      a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1;
    const over = shown.flatMap((a, i) =>
      shown
        .slice(i + 1)
        .flatMap((b) => (meets(a.box, b.box) ? [`${a.words} over ${b.words}`] : [])),
    );
    const out = shown.filter(({ box }) => box.right > window.innerWidth + 1);
    return {
      over,
      out: out.map(({ words }) => words),
      sideways: document.documentElement.scrollWidth > window.innerWidth,
    };
  });

for (const colorScheme of ['light', 'dark'] as const) {
  test(`the longest names in eight parts keep their place, ${colorScheme}`, async ({ browser }) => {
    test.slow();
    const person = await newPerson(browser, { colorScheme });
    const evening = await longestChoir(person);
    await storePlan(person, evening, ['coat-off', 'long-s', 'narrow-hum', 'pulley', 'keel']);
    const page = await person.context.newPage();
    for (const path of [
      '/',
      '/voices?who',
      '/exercises/pulley',
      '/pieces',
      `/evenings/${evening.id}`,
      '/choir',
      `/evenings/${evening.id}/plan`,
    ]) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      for (const size of sizes) {
        await page.setViewportSize(size);
        await expectInPlace(page, `${size.width} ${path}`);
        await expectAccessible(page);
      }
    }
    await page.setViewportSize(sizes[0]);
    await page.getByRole('list', { name: 'Segments' }).getByRole('button').first().click();
    // What the head has to say without a connection is its longest word.
    await person.context.setOffline(true);
    await page.keyboard.press('+');
    await expect(page.getByText('kept on this device; no connection')).toBeVisible();
    for (const size of sizes) {
      await page.setViewportSize(size);
      await expectInPlace(page, `${size.width} without a connection`);
    }
    await person.context.setOffline(false);
    await expect(page.getByText(/^saved/)).toBeVisible();
  });
}
