/// <reference lib="dom" />
/** The view of voices on a real server, with 2,000 singers: how long the picture takes, and whether typing waits. */
import { existsSync } from 'node:fs';
import type { Session, SingerFields } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import { seeded } from '@wide-fern/sound';
import { chromium, type BrowserContext, type Page } from 'playwright-core';
import { freePort } from '../postgres/cluster';
import { ensureDatabase } from '../postgres/database';
import { throwawayCluster } from '../postgres/throwaway';
import { root } from '../root';
import { startServer } from '../start/server';
import { median } from './median';

const random = seeded(7);

/** So many singers, spread over the four parts, each a little different. */
const singers = (count: number): SingerFields[] =>
  Array.from({ length: count }, (_, i) => {
    const part = mixedChoir[i % 4]!;
    const off = () => Math.floor(random() * 4);
    const comfort = [part.comfort[0] + off() - 1, part.comfort[1] - off() + 1] as const;
    return {
      name: `Singer ${String(i).padStart(4, '0')}`,
      part: part.id,
      also: [],
      comfort,
      reach: [comfort[0] - off(), comfort[1] + off()],
      lightTop: null,
      states: i % 9 === 0 ? ['tired'] : [],
      onLeave: false,
      notes: '',
    };
  });

/** A new choir with so many singers, in a browser of its own. */
async function newChoir(context: BrowserContext, address: string, count: number): Promise<void> {
  const made = await context.request.post(`${address}/api/accounts`, {
    data: {
      name: 'Wren Aldous',
      email: `bench-${Math.floor(random() * 1e9)}@example.org`,
      password: 'a long enough password',
      choir: 'Bench',
      timeZone: 'Europe/London',
    },
  });
  const choir = ((await made.json()) as Session).choirs[0]!.id;
  const stored = await context.request.post(`${address}/api/choirs/${choir}/singers`, {
    data: { add: singers(count), change: [] },
  });
  if (stored.status() !== 201) throw new Error(`The singers were not stored: ${stored.status()}.`);
}

/** Milliseconds from the last answer of the server to the frame in which the picture stands. */
async function pictureAfterData(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/voices`);
  await page.waitForFunction(() => 'pictureAt' in globalThis);
  return page.evaluate(() => {
    const answers = performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.includes('/api/')) as PerformanceResourceTiming[];
    const last = Math.max(...answers.map(({ responseEnd }) => responseEnd));
    const { pictureAt } = globalThis as unknown as { pictureAt: number };
    return pictureAt - last;
  });
}

/** Milliseconds from a key to the frame that shows it, in the roster's field over all of its singers. */
async function keyToFrame(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/voices/roster`);
  const field = page.getByRole('textbox', { name: 'Look for a singer' });
  await field.click();
  const times: number[] = [];
  for (const key of '1 2 3 4 5 6 7 8 9'.split(' ')) {
    await page.evaluate(() => {
      const target = globalThis as unknown as { shown: Promise<number> };
      target.shown = new Promise((done) => {
        document.addEventListener(
          'keydown',
          () => {
            const began = performance.now();
            // The frame after the one in which the key was taken is on the screen.
            requestAnimationFrame(() =>
              requestAnimationFrame(() => done(performance.now() - began)),
            );
          },
          { once: true },
        );
      });
    });
    await page.keyboard.press(key);
    times.push(
      await page.evaluate(() => (globalThis as unknown as { shown: Promise<number> }).shown),
    );
    await page.keyboard.press('Backspace');
  }
  return median(times);
}

export interface VoicesFigures {
  readonly picture50: number;
  readonly picture2000: number;
  readonly typing2000: number;
}

/** Measures on the built application: 2,000 singers in 40 choirs, then another 2,000 in one. */
export async function measureVoices(): Promise<VoicesFigures> {
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
  const address = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
  const open = async (count: number) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addInitScript(() => {
      new MutationObserver((_, observer) => {
        if (!document.querySelector('[role=listbox] [role=option]')) return;
        observer.disconnect();
        requestAnimationFrame(() => {
          (globalThis as unknown as { pictureAt: number }).pictureAt = performance.now();
        });
      }).observe(document, { childList: true, subtree: true });
    });
    await newChoir(context, address, count);
    return context;
  };
  try {
    let small = await open(50);
    for (let i = 1; i < 40; i += 1) {
      await small.close();
      small = await open(50);
    }
    const large = await open(2000);
    const times = async (context: BrowserContext) => {
      const page = await context.newPage();
      const all: number[] = [];
      for (let i = 0; i < 9; i += 1) all.push(await pictureAfterData(page, address));
      await page.close();
      return median(all);
    };
    const picture50 = await times(small);
    const picture2000 = await times(large);
    const typing2000 = await keyToFrame(await large.newPage(), address);
    return { picture50, picture2000, typing2000 };
  } finally {
    await browser.close();
    await server.stop();
    await cluster.stop();
  }
}
