import { test as plain } from '@playwright/test';

/** A test that leaves no page open: what goes on in it would go on beside all that come after. */
export const test = plain.extend<{ readonly leavesNothingOpen: void }>({
  leavesNothingOpen: [
    async ({ browser }, use) => {
      await use();
      await Promise.all(browser.contexts().map((context) => context.close()));
    },
    { auto: true },
  ],
});
