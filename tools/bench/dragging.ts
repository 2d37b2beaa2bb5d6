/// <reference lib="dom" />
/** The plan as a workbench: opening it, and whatever is dragged on it, frame by frame. */
import type { PlanDocument } from '@wide-fern/contract';
import type { BrowserContext, Locator, Page } from 'playwright-core';
import { onServer } from './browser';
import { median, p95 } from './median';
import { documentOf, storedPlan } from './storedPlan';

/** What one kind of dragging costs, in ms at the 95th percentile. */
export interface DragCost {
  readonly script: number;
  /** From the pointer's event until the frame is drawn. */
  readonly frame: number;
}

export interface DraggingFigures {
  readonly opening: number;
  readonly segment: DragCost;
  readonly end: DragCost;
  readonly start: DragCost;
  readonly zoom: DragCost;
}

/** Follows every movement of the pointer until its frame is drawn. */
const follow = (page: Page) =>
  page.evaluate(() => {
    const told = globalThis as unknown as { costs: [number, number][] };
    told.costs = [];
    const { port1, port2 } = new MessageChannel();
    const waiting: [number, number][] = [];
    port1.onmessage = () => {
      const [began, scripted] = waiting.shift()!;
      told.costs.push([scripted - began, performance.now() - began]);
    };
    for (const event of ['pointermove', 'wheel'] as const) {
      window.addEventListener(
        event,
        () => {
          const began = performance.now();
          requestAnimationFrame(() => {
            waiting.push([began, performance.now()]);
            port2.postMessage(null);
          });
        },
        { capture: true, passive: true },
      );
    }
  });

async function costOf(page: Page, act: () => Promise<void>): Promise<DragCost> {
  await page.evaluate(() => {
    (globalThis as unknown as { costs: unknown[] }).costs = [];
  });
  await act();
  const costs = await page.evaluate(
    () => (globalThis as unknown as { costs: [number, number][] }).costs,
  );
  return {
    script: p95(costs.map(([script]) => script)),
    frame: p95(costs.map(([, frame]) => frame)),
  };
}

/** Drags something to and fro, so many px to each side. */
async function toAndFro(page: Page, what: Locator, by: number): Promise<void> {
  await what.scrollIntoViewIfNeeded();
  const box = (await what.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (const to of [by, -by, by, 0]) await page.mouse.move(x + to, y, { steps: 40 });
  await page.mouse.up();
}

async function measured(
  context: BrowserContext,
  address: string,
  document: PlanDocument,
): Promise<DraggingFigures> {
  const plan = `${await storedPlan(context, address, document)}/plan`;
  const page = await context.newPage();
  const openings: number[] = [];
  for (let i = 0; i < 7; i += 1) {
    await page.goto(plan);
    await page.waitForFunction(() => 'planAt' in globalThis);
    openings.push(
      await page.evaluate(() => {
        const answers = performance
          .getEntriesByType('resource')
          .filter(({ name }) => /\/api\/.*\/plans\//.test(name)) as PerformanceResourceTiming[];
        const { planAt } = globalThis as unknown as { planAt: number };
        return planAt - Math.max(...answers.map(({ responseEnd }) => responseEnd));
      }),
    );
  }
  const segments = page.locator('[data-segment]');
  await segments.nth(1).click();
  await page.locator('[data-hold="start"]').waitFor();
  await page.waitForLoadState('networkidle');
  await follow(page);
  const segment = await costOf(page, () => toAndFro(page, segments.nth(1), 60));
  const end = await costOf(page, () =>
    toAndFro(page, page.locator('[data-pull="end"]').nth(1), 20),
  );
  const start = await costOf(page, () => toAndFro(page, page.locator('[data-hold="start"]'), 60));
  const zoom = await costOf(page, async () => {
    await page.mouse.move(640, 300);
    await page.keyboard.down('Control');
    for (let i = 0; i < 40; i += 1) await page.mouse.wheel(0, i < 20 ? -60 : 60);
    await page.keyboard.up('Control');
  });
  await page.close();
  return { opening: median(openings), segment, end, start, zoom };
}

/** Measures on the built application: at the demo's size, and at twenty segments of twelve keys in eight parts. */
export const measureDragging = (): Promise<{
  readonly usual: DraggingFigures;
  readonly large: DraggingFigures;
}> =>
  onServer(async (browser, address) => {
    const figures = async (planned: PlanDocument) => {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      await context.addInitScript(() => {
        new MutationObserver((_, observer) => {
          if (!document.querySelector('[data-segment]')) return;
          observer.disconnect();
          requestAnimationFrame(() => {
            (globalThis as unknown as { planAt: number }).planAt = performance.now();
          });
        }).observe(document, { childList: true, subtree: true });
      });
      const found = await measured(context, address, planned);
      await context.close();
      return found;
    };
    const usual = await figures(documentOf(4, 9, 7));
    return { usual, large: await figures(documentOf(8, 20, 12)) };
  });
