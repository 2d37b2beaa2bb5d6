/// <reference lib="dom" />
/** The built application on a server of its own in a real browser, for what is measured there. */
import { existsSync } from 'node:fs';
import type { Session } from '@wide-fern/contract';
import {
  chromium,
  type Browser,
  type BrowserContext,
  type Locator,
  type Page,
} from 'playwright-core';
import { freePort } from '../postgres/cluster';
import { ensureDatabase } from '../postgres/database';
import { throwawayCluster } from '../postgres/throwaway';
import { root } from '../root';
import { startServer } from '../start/server';
import { median } from './median';

/** Starts server and browser, measures, and leaves nothing behind. */
export async function onServer<T>(
  measure: (browser: Browser, address: string, pid: number) => Promise<T>,
): Promise<T> {
  const executablePath = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync);
  if (!executablePath) throw new Error('Chromium is missing; npm test installs it.');
  const cluster = await throwawayCluster();
  await ensureDatabase(cluster.url, 'bench');
  const port = String(await freePort());
  const server = await startServer(root, {
    DATABASE_URL: cluster.url('bench'),
    PORT: port,
    LOG_LEVEL: 'warn',
  });
  const args = ['--no-sandbox', '--autoplay-policy=no-user-gesture-required'];
  const browser = await chromium.launch({ executablePath, args });
  try {
    return await measure(browser, `http://127.0.0.1:${port}`, server.child.pid!);
  } finally {
    await browser.close();
    await server.stop();
    await cluster.stop();
  }
}

let choirs = 0;

/** A new choir whose director is signed in in this context; answers with its id. */
export async function newChoir(context: BrowserContext, address: string): Promise<string> {
  choirs += 1;
  const made = await context.request.post(`${address}/api/accounts`, {
    data: {
      name: 'Wren Aldous',
      email: `bench-${choirs}@example.org`,
      password: 'a long enough password',
      choir: 'Bench',
      timeZone: 'Europe/London',
    },
  });
  return ((await made.json()) as Session).choirs[0]!.id;
}

/** Milliseconds from an event in the page to the frame after the one in which it was taken. */
async function toFrame(page: Page, event: string, act: () => Promise<unknown>): Promise<number> {
  await page.evaluate((name) => {
    const target = globalThis as unknown as { shown: Promise<number> };
    target.shown = new Promise((done) => {
      document.addEventListener(
        name,
        () => {
          const began = performance.now();
          requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - began)));
        },
        { once: true, capture: true },
      );
    });
  }, event);
  await act();
  return page.evaluate(() => (globalThis as unknown as { shown: Promise<number> }).shown);
}

/** Milliseconds from a key in a field to the second frame after it: the median over some letters. */
export async function keyToFrame(
  page: Page,
  field: Locator,
  letters = '1 2 3 4 5 6 7 8 9',
): Promise<number> {
  await field.click();
  const times: number[] = [];
  for (const key of letters.split(' ')) {
    times.push(await toFrame(page, 'keydown', () => page.keyboard.press(key)));
    await page.keyboard.press('Backspace');
  }
  return median(times);
}

/** The same for a choice in a list of words. */
export async function choiceToFrame(
  page: Page,
  group: Locator,
  choices: readonly string[],
): Promise<number> {
  const times: number[] = [];
  for (const choice of choices) {
    times.push(
      await toFrame(page, 'click', () =>
        group.getByRole('radio', { name: choice, exact: true }).click(),
      ),
    );
  }
  return median(times);
}
