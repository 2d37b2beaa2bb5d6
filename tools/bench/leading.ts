/// <reference lib="dom" />
/** Leading on the stand: from a touch to the screen, to another screen, and back from the device alone. */
import type { BrowserContext, Page } from 'playwright-core';
import { onServer } from './browser';
import { median, p95 } from './median';
import { documentOf, storedPlan } from './storedPlan';

/** Milliseconds. */
export interface LeadingFigures {
  /** From a key to the frame that shows what it did, at the 95th percentile. */
  readonly touch: number;
  /** From a key to what another screen shows, at the 95th percentile. */
  readonly follower: number;
  /** From the address to where it was, without the network. */
  readonly back: number;
}

const touches = 80;

/** Presses keys that lead on and back, and follows each until its frame is drawn. */
const touched = (page: Page): Promise<number[]> =>
  page.evaluate(async (count) => {
    const costs: number[] = [];
    for (let i = 0; i < count; i += 1) {
      const key = i % 4 === 3 ? 'PageUp' : 'PageDown';
      const began = performance.now();
      window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await new Promise<void>((done) => {
        requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel();
          port1.onmessage = () => done();
          port2.postMessage(null);
        });
      });
      costs.push(performance.now() - began);
      // Nobody touches faster than that.
      await new Promise((done) => setTimeout(done, 250));
    }
    return costs;
  }, touches);

const followedTouches = 40;

/** Leads on and back, and notes how long another screen takes to show each key. */
async function followed(page: Page, other: Page): Promise<number[]> {
  const costs: number[] = [];
  const key = () => document.querySelector('[aria-label^="now "]')?.textContent ?? '';
  for (let i = 0; i < followedTouches; i += 1) {
    const before = await other.evaluate(key);
    const seen = other.waitForFunction(
      (was) => {
        const now = document.querySelector('[aria-label^="now "]')?.textContent ?? '';
        return now !== was && Date.now();
      },
      before,
      { polling: 'raf' },
    );
    const began = Date.now();
    await page.keyboard.press(i % 4 === 3 ? 'PageUp' : 'PageDown');
    costs.push(((await (await seen).jsonValue()) as number) - began);
  }
  return costs;
}

async function measured(context: BrowserContext, address: string): Promise<LeadingFigures> {
  const evening = await storedPlan(context, address, documentOf(4, 14, 7));
  const page = await context.newPage();
  await page.goto(`${address}/`);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.goto(`${evening}/lead/warm-up`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.keyboard.press('PageDown');
  const touch = p95(await touched(page));
  const other = await context.newPage();
  await other.goto(`${evening}/led/warm-up`);
  await other.locator('header h1').waitFor();
  const follower = p95(await followed(page, other));
  await other.close();

  await context.setOffline(true);
  const backs: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    await page.goto(`${evening}/lead/warm-up`);
    await page.getByRole('button', { name: 'Carry on' }).waitFor();
    // Since the address was asked for, by the page's own clock.
    backs.push(await page.evaluate(() => performance.now()));
  }
  await page.close();
  return { touch, follower, back: median(backs) };
}

/** Measures on the built application. */
export const measureLeading = (): Promise<LeadingFigures> =>
  onServer(async (browser, address) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    return measured(context, address);
  });
