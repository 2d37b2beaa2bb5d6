import { expect, type Page } from '@playwright/test';
import { pagesOf } from './pages';
import { addSingers, newEvening, newPerson, storePlan } from './person';
import { test } from './test';

/**
 * What is pressed and too small: by a thumb 44 px, by a pointer 24. Left out is what stands in a line of
 * text, is drawn on a scale (and reached by keyboard and by steps too), or is not to be seen.
 */
const tooSmall = (page: Page, least: number) =>
  page.evaluate((px) => {
    const pressed =
      'button, a[href], input:not([type=hidden]), select, textarea, [role=button], [role=option], summary';
    const found: string[] = [];
    for (const one of document.querySelectorAll<HTMLElement>(pressed)) {
      const isTick = one instanceof HTMLInputElement && /checkbox|radio/.test(one.type);
      const target = (isTick && one.closest('label')) || one;
      const { width, height, right, left } = target.getBoundingClientRect();
      const isInText = getComputedStyle(target).display === 'inline';
      const isOut = right <= 0 || left >= window.innerWidth;
      if (isInText || isOut || width === 0 || height === 0 || one.closest('svg, [data-drawn]'))
        continue;
      // The head keeps its words to one line: as high as the rest, as wide as a pointer needs.
      const isWide = width >= (one.closest('header') ? Math.min(px, 24) : px) - 0.5;
      // Half a pixel may be lost in rounding.
      if (!isWide || height < px - 0.5) {
        const name = one.getAttribute('aria-label') ?? one.textContent.trim();
        found.push(`${name.slice(0, 30)} ${Math.round(width)}x${Math.round(height)}`);
      }
    }
    return found;
  }, least);

const kinds = [
  { by: 'a pointer', least: 24, options: { viewport: { width: 1280, height: 800 } } },
  {
    by: 'a thumb',
    least: 44,
    options: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
  },
] as const;

for (const { by, least, options } of kinds) {
  test(`everything is large enough to be met by ${by}`, async ({ browser }) => {
    test.slow();
    const person = await newPerson(browser, options);
    const evening = await newEvening(person);
    await storePlan(person, evening, ['coat-off', 'long-s', 'narrow-hum', 'pulley', 'keel']);
    await addSingers(person, [
      { name: 'Wilmet Quay', part: 'S', comfort: [62, 79], reach: [59, 81] },
    ]);
    const page = await person.context.newPage();
    for (const path of pagesOf(evening)) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      expect.soft([path, await tooSmall(page, least)]).toEqual([path, []]);
      const needs = await page.evaluate(() => document.documentElement.scrollWidth);
      expect.soft([path, needs]).toEqual([path, options.viewport.width]);
    }
  });
}
