import { expect, type Locator, type Page } from '@playwright/test';
import { runSchema, runSummarySchema, z, type Evening, type Run } from '@wide-fern/contract';
import type { LedSegment } from '@wide-fern/core';
import { planAddress, type Person } from './person';

/** The one run of an evening as the server has it, once it is there: a page sends after it has drawn. */
export async function storedRun(person: Person, evening: Evening): Promise<Run> {
  const address = `${planAddress(person, evening)}/runs`;
  const list = async () =>
    z.array(runSummarySchema).parse(await (await person.request.get(address)).json());
  await expect.poll(list).toHaveLength(1);
  const runs = await list();
  return runSchema.parse(await (await person.request.get(`${address}/${runs[0]!.id}`)).json());
}

/** What stands at the top: the exercise that is led, that nothing was begun, or that it is over. */
export const heading = (page: Page): Locator => page.getByRole('heading', { level: 1 });

/** Begins to lead an evening's warm-up. */
export async function begin(page: Page, evening: Pick<Evening, 'id'>): Promise<void> {
  await page.goto(`/evenings/${evening.id}/lead/warm-up`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(heading(page)).toHaveText('Ready');
}

/**
 * Leads through what was planned, key by key, on a page's clock that runs faster; the last key is left standing.
 * @param talk how many seconds it is talked longer than planned before each
 */
export async function leadThrough(page: Page, led: readonly LedSegment[], talk = 0): Promise<void> {
  for (const segment of led) {
    await page.keyboard.press('PageDown');
    await page.clock.fastForward(Math.round(1000 * (segment.talk + talk)));
    for (const { span } of segment.keys) {
      await page.keyboard.press('PageDown');
      await page.clock.fastForward(Math.round(1000 * span));
    }
  }
}

/** Another person's screen that follows whoever leads. */
export async function followed(
  other: Person,
  { choir }: Pick<Person, 'choir'>,
  evening: Pick<Evening, 'id'>,
): Promise<Page> {
  const page = await other.context.newPage();
  await page.addInitScript((id) => localStorage.setItem('wide-fern:choir', id), choir);
  await page.goto(`/evenings/${evening.id}/plan`);
  await page.getByRole('link', { name: 'Wren Aldous leads it now: follow' }).click();
  return page;
}
