/// <reference lib="dom" />
/** A score of 80 pages: how long it takes to be read and analysed in its worker, and what the page feels of it. */
import type { PieceScore, StaffNote } from '@wide-fern/core';
import { compress, writeScoreXml } from '@wide-fern/interchange';
import type { BrowserContext, Page } from 'playwright-core';
import { newChoir, onServer } from './browser';
import { median } from './median';
import { memoryOf } from './memory';

const bars = 600;
const names = ['Soprano I', 'Soprano II', 'Alto', 'Tenor', 'Bass I', 'Bass II'];
const perBar = [8, 8, 9, 9, 8, 8];

/** Six parts of 600 bars with 30,000 notes, words under each. */
function longScore(): PieceScore {
  const syllables = ['slate', 'lan-', 'tern', 'wa-', 'ter'];
  return {
    title: 'Eighty pages',
    composer: '',
    language: 'en',
    bars: Array.from({ length: bars }, (_, i) => ({ number: i + 1, counted: true, quarters: 4 })),
    staves: names.map((name, part) => {
      const count = perBar[part]!;
      const notes = Array.from({ length: bars * count }, (_, i): StaffNote => {
        const place = i % count;
        // Nine notes are an eighth parted in two and seven more.
        const quarters = count === 9 ? (place < 2 ? 0.25 : 0.5) : 0.5;
        const at = count === 9 ? (place < 2 ? place * 0.25 : (place - 1) * 0.5) : place * 0.5;
        return {
          bar: Math.floor(i / count),
          at,
          quarters,
          midi: 69 - part * 4 + ((i * 7 + part) % 12),
          voice: '1',
          stem: i % 2 === 0 ? 'up' : 'down',
          syllables: [syllables[i % syllables.length]!],
        };
      });
      return {
        id: `P${part + 1}.1`,
        name,
        abbreviation: '',
        clef:
          part === 3
            ? ('octave-treble' as const)
            : part > 3
              ? ('bass' as const)
              : ('treble' as const),
        ofStaves: 1,
        notes,
        voices: Array.from({ length: bars }, () => ['1']),
      };
    }),
    tempos: [{ bar: 0, at: 0, tempo: 84 }],
    keys: [{ bar: 0, fifths: -2, mode: 'major' }],
    metres: [{ bar: 0, metre: { beats: 4, unit: 4 } }],
    warnings: [],
  };
}

interface Watched {
  asked: Record<string, number>;
  answered: Record<string, number>;
  /** Tasks of the page's own thread over 50 ms: when they began and how long they were. */
  long: [from: number, ms: number][];
}

/** Notes when a worker is asked and answers, and the longest task of the page's own thread. */
async function watch(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const watched: Watched = { asked: {}, answered: {}, long: [] };
    (globalThis as unknown as { watched: Watched }).watched = watched;
    const post = Reflect.get(Worker.prototype, 'postMessage') as (
      this: Worker,
      data: unknown,
      ...rest: unknown[]
    ) => void;
    Worker.prototype.postMessage = function (this: Worker, data: unknown, ...rest: unknown[]) {
      // A call names what it asks; its answer carries the call's own mark and a result.
      const { id, type, path } = data as { id?: string; type?: string; path?: string[] };
      const word = type === 'APPLY' ? path?.[0] : undefined;
      if (word !== undefined) {
        watched.asked[word] = performance.now();
        this.addEventListener('message', ({ data: answer }: MessageEvent<{ id?: string }>) => {
          if (answer.id === id) watched.answered[word] ??= performance.now();
        });
      }
      post.call(this, data, ...rest);
    };
    new PerformanceObserver((list) => {
      for (const { startTime, duration } of list.getEntries()) {
        watched.long.push([startTime, duration]);
      }
    }).observe({ type: 'longtask' });
  });
}

const spent = (page: Page, word: string): Promise<number> =>
  page.evaluate((name) => {
    const { asked, answered } = (globalThis as unknown as { watched: Watched }).watched;
    return answered[name]! - asked[name]!;
  }, word);
/** The longest task of the page's thread that began while the worker was reading, or from then on. */
const longestTask = (page: Page, when: 'reading' | 'after'): Promise<number> =>
  page.evaluate((which) => {
    const { asked, answered, long } = (globalThis as unknown as { watched: Watched }).watched;
    const ends = answered.open!;
    const chosen = long.filter(([from]) =>
      which === 'reading' ? from >= asked.open! && from < ends : from >= ends,
    );
    return Math.max(0, ...chosen.map(([, ms]) => ms));
  }, when);

export interface ScoreFigures {
  /** Milliseconds in the worker, from the file's bytes to what was found. */
  readonly read: number;
  /** From what was found to every figure of every part. */
  readonly analysed: number;
  /** The longest task of the page's own thread meanwhile; 0 when none was over 50 ms. */
  readonly longestTask: number;
  /** The longest one afterwards, when what was found is drawn. */
  readonly drawing: number;
  readonly bytes: number;
  /** What the server holds: at rest, and after this work and 2,000 lists asked for; MB. */
  readonly memory: { readonly rest: number; readonly used: number };
}

async function askForLists(context: BrowserContext, address: string, choir: string): Promise<void> {
  const lists = ['evenings', 'voices', 'exercises', 'pieces', 'singers'];
  for (let i = 0; i < 2000; i += 1) {
    const path = lists[i % lists.length]!;
    const answer = await context.request.get(`${address}/api/choirs/${choir}/${path}`);
    if (!answer.ok()) throw new Error(`Refused: ${answer.status()}.`);
    await answer.dispose();
  }
}

/** Measures on the built application: the median of five readings. */
export const measureScores = (): Promise<ScoreFigures> =>
  onServer(async (browser, address, pid) => {
    const rest = memoryOf(pid);
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const choir = await newChoir(context, address);
    const xml = writeScoreXml(longScore());
    const buffer = Buffer.from(compress(xml));
    const read: number[] = [];
    const analysed: number[] = [];
    const longest: number[] = [];
    const drawn: number[] = [];
    const page = await context.newPage();
    await watch(page);
    for (let turn = 0; turn < 5; turn += 1) {
      const worker = page.waitForEvent('worker');
      await page.goto(`${address}/pieces/read`);
      await page.getByText('or drop one here').waitFor();
      // The page itself is here, and its worker fetched.
      await worker;
      await page
        .getByLabel('Score to read')
        .setInputFiles({ name: 'long.mxl', mimeType: 'application/zip', buffer });
      await page.getByRole('list', { name: 'Lines of the score' }).waitFor();
      read.push(await spent(page, 'open'));
      longest.push(await longestTask(page, 'reading'));
      drawn.push(await longestTask(page, 'after'));
      await page.getByRole('button', { name: 'Keep the piece' }).click();
      await page.getByRole('group', { name: /^How hard each bar is/ }).waitFor({ timeout: 60_000 });
      analysed.push(await spent(page, 'analyse'));
      // What is drawn then is the whole strip; reading and reckoning are what the worker does.
    }
    await askForLists(context, address, choir);
    return {
      read: median(read),
      analysed: median(analysed),
      longestTask: median(longest),
      drawing: median(drawn),
      bytes: xml.length,
      memory: { rest, used: memoryOf(pid) },
    };
  });
