/// <reference lib="dom" />
/** Building a warm-up in Chromium, as a person sees it: from the page's address to the first plan and to the proven best. */
import type { EveningSummary, Session } from '@wide-fern/contract';
import { onServer } from './browser';
import { median } from './median';

export interface BuildingFigures {
  readonly first: number;
  readonly proven: number;
  readonly worst: number;
}

const times = 5;
const longest = 60_000;

/** The demo's fifteen minutes of its next evenings without a plan, each on a page that is new; milliseconds. */
export const measureBuilding = (): Promise<BuildingFigures> =>
  onServer(async (browser, address) => {
    const first: number[] = [];
    const proven: number[] = [];
    for (let i = 0; i < times; i += 1) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      const entered = await context.request.post(`${address}/api/session/demo`);
      const { choirs } = (await entered.json()) as Session;
      const list = await context.request.get(`${address}/api/choirs/${choirs[0]!.id}/evenings`);
      const { items } = (await list.json()) as { items: EveningSummary[] };
      // Four and more weeks ahead nothing is planned.
      const ahead = items
        .filter(({ startsAt }) => Date.parse(startsAt) > Date.now())
        .sort((a, b) => a.startsAt.localeCompare(b.startsAt));
      const page = await context.newPage();
      await page.goto(`${address}/exercises`);
      await page.waitForLoadState('networkidle');
      const began = performance.now();
      await page.goto(`${address}/evenings/${ahead[4 + (i % 4)]!.id}/plan?build`);
      await page.locator('[data-proposed]').first().waitFor({ timeout: longest });
      first.push(performance.now() - began);
      await page.getByText(/proven best in/).waitFor({ timeout: longest });
      proven.push(performance.now() - began);
      await context.close();
    }
    return { first: median(first), proven: median(proven), worst: Math.max(...proven) };
  });
