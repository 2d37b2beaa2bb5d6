import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Drawings are pictures with a name; what is inside them is left out, the rest of the page is looked at whole. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).exclude('svg').analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`)).toEqual([]);
}
