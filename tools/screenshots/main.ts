/**
 * npm run screenshots: current pictures of the main views from the demo data, into docs/screenshots.
 * Look at them before they are committed.
 */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from 'playwright-core';
import { isBuilt } from '../build/built';
import { freePort } from '../postgres/cluster';
import { ensureDatabase } from '../postgres/database';
import { throwawayCluster } from '../postgres/throwaway';
import { root } from '../root';
import { endWith, say, showing } from '../setup/say.mjs';
import { startServer } from '../start/server';

const sizes = {
  desk: { width: 1280, height: 800 },
  stand: { width: 1024, height: 768 },
  hand: { width: 390, height: 844 },
} as const;

interface Picture {
  readonly name: string;
  readonly size: keyof typeof sizes;
  readonly dark?: boolean;
  readonly whole?: boolean;
  readonly show: (page: Page) => Promise<void>;
}

const openPlan = async (page: Page, segment?: string): Promise<void> => {
  await page.getByRole('button', { name: 'Open the plan' }).click();
  const strip = page.getByRole('list', { name: 'Segments' });
  await strip.waitFor();
  if (!segment) return;
  await strip.getByRole('button', { name: segment }).click();
  // What comes behind the page: the bench, and what should be looked at.
  await page.getByText('hear it').first().waitFor();
  await page.getByText('Mind tonight:').waitFor();
};

/** Leads as far as the fourth key of an exercise. */
const lead = async (page: Page, exercise: string): Promise<void> => {
  await page.getByRole('button', { name: 'Lead it' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  const open = page.getByRole('heading', { level: 1 });
  await page.keyboard.press('o');
  while ((await open.textContent()) !== exercise) await page.keyboard.press('o');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('PageDown');
};

const openVoices = async (page: Page, singer?: string): Promise<void> => {
  await page.getByRole('link', { name: 'Voices' }).click();
  await page.getByRole('listbox', { name: 'Singers' }).waitFor();
  if (singer) await page.getByRole('option', { name: singer }).click();
};
const openCheck = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Check the range' }).click();
  await page.getByRole('heading', { name: /^Range check/ }).waitFor();
};

const pictures: readonly Picture[] = [
  { name: 'tonight', size: 'desk', show: () => Promise.resolve() },
  {
    name: 'evening',
    size: 'desk',
    show: async (page) => {
      await page.getByRole('link', { name: 'change it' }).click();
      await page.getByRole('list', { name: 'Agenda' }).waitFor();
    },
  },
  {
    name: 'piece',
    size: 'desk',
    whole: true,
    show: async (page) => {
      await page.getByRole('link', { name: 'Pieces' }).click();
      await page.getByRole('link', { name: /Lanterns over Slate/ }).click();
      await page.getByRole('group', { name: /^How hard each bar is/ }).waitFor();
      await page.goto(`${page.url()}?bars=19-22`);
      await page.getByRole('button', { name: 'Make the exercise' }).waitFor();
      await page.locator('.vf-stavenote').first().waitFor();
    },
  },
  { name: 'plan', size: 'desk', show: (page) => openPlan(page, 'Slate steps') },
  {
    name: 'lead',
    size: 'desk',
    show: (page) => lead(page, 'Slate steps'),
  },
  { name: 'lead-hand', size: 'hand', show: (page) => lead(page, 'Slate steps') },
  { name: 'plan-hand', size: 'hand', whole: true, show: (page) => openPlan(page, 'Pulley') },
  {
    name: 'voices',
    size: 'desk',
    show: async (page) => {
      await openVoices(page, 'Noor Haddadin');
      await page.getByText('Thick: easy').waitFor();
    },
  },
  {
    name: 'check',
    size: 'desk',
    show: async (page) => {
      await openVoices(page, 'Hester Quill');
      await openCheck(page);
      for (let i = 0; i < 7; i += 1) await page.keyboard.press('e');
      await page.locator('.vf-stavenote').first().waitFor();
    },
  },
  {
    name: 'who-is-here',
    size: 'stand',
    dark: true,
    show: async (page) => {
      await page.getByRole('link', { name: 'say who is here' }).click();
      await page.getByRole('button', { name: /^Basses/ }).click();
      await page.getByRole('checkbox', { name: 'Hamish Orrel' }).uncheck();
      await page.getByRole('combobox', { name: 'The choir comes' }).selectOption('after-work');
    },
  },
  {
    name: 'roster',
    size: 'desk',
    show: async (page) => {
      await openVoices(page);
      await page.getByRole('link', { name: 'the whole roster' }).click();
      await page.getByRole('button', { name: /Noor Haddadin/ }).click();
    },
  },
  {
    name: 'build',
    size: 'desk',
    whole: true,
    show: async (page) => {
      await openPlan(page);
      await page.keyboard.press('b');
      await page.getByText(/· three ways$/).waitFor({ timeout: 60_000 });
      const first = page.getByRole('region', { name: 'Proposal: first' });
      await first.getByRole('list').getByRole('button').nth(4).click();
    },
  },
  {
    name: 'sections-changed',
    size: 'desk',
    show: async (page) => {
      await openVoices(page);
      await page.getByRole('button', { name: 'Say who is here' }).click();
      const stored = page.waitForResponse((answer) => answer.request().method() === 'PUT');
      await page.getByRole('combobox', { name: 'The choir comes' }).selectOption('after-work');
      await stored;
      await page.getByRole('link', { name: 'Tonight' }).click();
      await page.getByRole('button', { name: 'Look at the new keys' }).click();
      await page.getByRole('button', { name: 'which ones' }).click();
    },
  },
  {
    name: 'logbook',
    size: 'desk',
    show: async (page) => {
      await page.getByRole('link', { name: 'Logbook' }).click();
      await page.getByRole('table', { name: 'What was led' }).waitFor();
    },
  },
  {
    name: 'exercises',
    size: 'desk',
    show: async (page) => {
      await page.getByRole('link', { name: 'Exercises' }).click();
      await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('flat');
      await page.getByRole('button', { name: 'in any keys' }).click();
      await page.getByRole('radio', { name: '5 or more' }).click();
      await page.getByRole('button', { name: 'anywhere' }).click();
      await page.getByRole('checkbox', { name: 'standing' }).check();
      await page.getByRole('checkbox', { name: 'noise' }).check();
    },
  },
  {
    name: 'exercise',
    size: 'desk',
    show: async (page) => {
      await page.getByRole('link', { name: 'Exercises' }).click();
      await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('slate steps');
      await page.getByRole('link', { name: /^Slate steps/ }).click();
      await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('');
      await page.locator('.vf-stavenote').first().waitFor();
    },
  },
  {
    name: 'making',
    size: 'desk',
    show: async (page) => {
      await page.getByRole('link', { name: 'Exercises' }).click();
      await page.getByRole('textbox', { name: 'Look for an exercise' }).fill('window opens');
      await page.getByRole('link', { name: /^Window opens/ }).click();
      await page.getByRole('link', { name: 'copy and change it' }).click();
      await page.locator('.vf-stavenote').first().waitFor();
      await page.getByRole('group', { name: /^Line on the staff/ }).focus();
      await page.keyboard.press('ArrowRight');
      await page.keyboard.press('ArrowRight');
    },
  },
  {
    name: 'two-versions',
    size: 'desk',
    show: async (page) => {
      // As in a hall without a good connection: the news of the other window does not come.
      await page.context().route('**/events*', (route) => route.fulfill({ status: 204 }));
      await page.reload();
      await openPlan(page, 'Pulley');
      const other = await page.context().newPage();
      await other.goto(page.url());
      // Both change the same; what differs elsewhere is put together by itself.
      await other
        .getByRole('button', { name: /Pulley/ })
        .first()
        .click();
      const stored = other.waitForResponse((answer) => answer.request().method() === 'PUT');
      await other.getByRole('button', { name: 'leave out' }).click();
      await stored;
      await page.getByRole('button', { name: '− one key' }).click();
      await page.getByRole('alertdialog').waitFor();
    },
  },
  {
    name: 'sheet',
    size: 'desk',
    whole: true,
    show: async (page) => {
      await openPlan(page);
      await page.getByRole('link', { name: 'sheet for the stand' }).click();
      await page.getByRole('button', { name: 'Print' }).waitFor();
    },
  },
];

async function takeOne(browser: Browser, picture: Picture, address: string): Promise<void> {
  const context = await browser.newContext({
    viewport: sizes[picture.size],
    colorScheme: picture.dark ? 'dark' : 'light',
  });
  const page = await context.newPage();
  await page.goto(`${address}/sign-in`);
  await page.getByRole('button', { name: /demo director/ }).click();
  await page.getByRole('heading', { level: 1, name: /warm-up is ready/ }).waitFor();
  await picture.show(page);
  // Until fonts and everything else have come.
  await page.waitForLoadState('networkidle');
  const path = join(root, 'docs', 'screenshots', `${picture.name}.png`);
  await page.screenshot({ path, fullPage: picture.whole ?? false });
  say(`docs/screenshots/${picture.name}.png`);
  await context.close();
}

async function takeAll(only: readonly string[]): Promise<void> {
  if (!isBuilt(root)) {
    await showing('Building the pages', async () => {
      const { build } = await import('../build/build');
      await build(root);
    });
  }
  const executablePath = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync);
  if (!executablePath) throw new Error('Chromium is missing; npm test installs it.');
  const cluster = await throwawayCluster();
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
  try {
    for (const picture of pictures) {
      if (only.length > 0 && !only.includes(picture.name)) continue;
      // A database for each picture: what one changes, the next does not see.
      const database = `picture_${picture.name.replaceAll('-', '_')}`;
      await ensureDatabase(cluster.url, database);
      const port = String(await freePort());
      const server = await startServer(root, {
        DATABASE_URL: cluster.url(database),
        PORT: port,
        LOG_LEVEL: 'warn',
      });
      try {
        await takeOne(browser, picture, `http://127.0.0.1:${port}`);
      } finally {
        await server.stop();
      }
    }
  } finally {
    await browser.close();
    await cluster.stop();
  }
}

takeAll(process.argv.slice(2)).catch(endWith);
