/// <reference lib="dom" />
/** The view of voices on a real server, with 2,000 singers: how long the picture takes, and whether typing waits. */
import type { SingerFields } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import { seeded } from '@wide-fern/sound';
import type { BrowserContext, Page } from 'playwright-core';
import { keyToFrame, newChoir, onServer } from './browser';
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
      changes: [],
      states: i % 9 === 0 ? ['tired'] : [],
      onLeave: false,
      notes: '',
    };
  });

/** A new choir with so many singers, in a browser of its own. */
async function withSingers(context: BrowserContext, address: string, count: number): Promise<void> {
  const choir = await newChoir(context, address);
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

export interface VoicesFigures {
  readonly picture50: number;
  readonly picture2000: number;
  readonly typing2000: number;
}

/** Measures on the built application: 2,000 singers in 40 choirs, then another 2,000 in one. */
export const measureVoices = (): Promise<VoicesFigures> =>
  onServer(async (browser, address) => {
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
      await withSingers(context, address, count);
      return context;
    };
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
    const roster = await large.newPage();
    await roster.goto(`${address}/voices/roster`);
    const field = roster.getByRole('textbox', { name: 'Look for a singer' });
    return { picture50, picture2000, typing2000: await keyToFrame(roster, field) };
  });
