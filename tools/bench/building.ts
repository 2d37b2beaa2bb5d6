/// <reference lib="dom" />
/** Building a warm-up in Chromium, as a person sees it: from the page's address to the first plan and to the proven best. */
import type { EveningSummary, Session } from '@wide-fern/contract';
import type { Browser, Page } from 'playwright-core';
import { onServer } from './browser';
import { median } from './median';

export interface BuildingFigures {
  /** From «Build the warm-up» in an empty plan that is open, on a browser that is new. */
  readonly pressedFirst: number;
  readonly pressedProven: number;
  readonly first: number;
  readonly proven: number;
  readonly worst: number;
  /** The same on a browser that has built before, for another evening. */
  readonly againFirst: number;
  readonly againProven: number;
}

const contexts = 5;
const longest = 60_000;

/** The demo on a browser that is new, and the coming evenings; four and more weeks ahead nothing is planned. */
async function newcomer(browser: Browser, address: string) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const entered = await context.request.post(`${address}/api/session/demo`);
  const { choirs } = (await entered.json()) as Session;
  const list = await context.request.get(`${address}/api/choirs/${choirs[0]!.id}/evenings`);
  const { items } = (await list.json()) as { items: EveningSummary[] };
  const ahead = items
    .filter(({ endsAt }) => Date.parse(endsAt) > Date.now())
    .sort((a, b) => a.startsAt.localeCompare(b.startsAt));
  return { context, page: await context.newPage(), ahead };
}

/** How long it takes from an act that asks for plans to the first one, and to the proven best. */
async function untilProven(page: Page, ask: () => Promise<unknown>) {
  const began = performance.now();
  await ask();
  await page.locator('[data-proposed]').first().waitFor({ timeout: longest });
  const first = performance.now() - began;
  await page.getByText(/proven best in/).waitFor({ timeout: longest });
  return { first, proven: performance.now() - began };
}

/** The demo's fifteen minutes of its next evenings without a plan, on browsers that are new and once they are not; milliseconds. */
export const measureBuilding = (): Promise<BuildingFigures> =>
  onServer(async (browser, address) => {
    const times: Record<Exclude<keyof BuildingFigures, 'worst'>, number[]> = {
      ...{ pressedFirst: [], pressedProven: [], first: [], proven: [] },
      ...{ againFirst: [], againProven: [] },
    };
    for (let i = 0; i < contexts; i += 1) {
      const pressed = await newcomer(browser, address);
      const empty = `${address}/evenings/${pressed.ahead[4 + (i % 4)]!.id}/plan`;
      await pressed.page.goto(empty);
      const press = pressed.page.getByRole('button', { name: 'Build the warm-up' });
      await press.waitFor();
      await pressed.page.waitForLoadState('networkidle');
      const asked = await untilProven(pressed.page, () => press.click());
      times.pressedFirst.push(asked.first);
      times.pressedProven.push(asked.proven);
      await pressed.context.close();

      const { context, page, ahead } = await newcomer(browser, address);
      const built = async (evening: string) => {
        await page.goto(`${address}/exercises`);
        await page.waitForLoadState('networkidle');
        return untilProven(page, () => page.goto(`${address}/evenings/${evening}/plan?build`));
      };
      const once = await built(ahead[4 + (i % 4)]!.id);
      times.first.push(once.first);
      times.proven.push(once.proven);
      // What is compiled is kept by the browser after the second time.
      await built(ahead[4 + ((i + 1) % 4)]!.id);
      const again = await built(ahead[4 + ((i + 2) % 4)]!.id);
      times.againFirst.push(again.first);
      times.againProven.push(again.proven);
      await context.close();
    }
    return {
      pressedFirst: median(times.pressedFirst),
      pressedProven: median(times.pressedProven),
      first: median(times.first),
      proven: median(times.proven),
      worst: Math.max(...times.proven),
      againFirst: median(times.againFirst),
      againProven: median(times.againProven),
    };
  });
