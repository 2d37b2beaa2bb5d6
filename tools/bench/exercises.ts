/// <reference lib="dom" />
/** A choir with 1,000 exercises of its own: listing, searching, choosing; and how steady the sound is. */
import { exercises } from '@wide-fern/catalogue';
import type { Exercise } from '@wide-fern/contract';
import type { BrowserContext, Page } from 'playwright-core';
import { choiceToFrame, keyToFrame, newChoir, onServer } from './browser';
import { median } from './median';

/** So many exercises, made of the built-in ones, no two alike. */
const own = (count: number): Exercise[] =>
  Array.from({ length: count }, (_, i) => {
    const one = exercises[i % exercises.length]!;
    return { ...one, id: `own-${i}`, name: `${one.name} ${i}` };
  });

async function storeOwn(context: BrowserContext, address: string, count: number): Promise<void> {
  const choir = await newChoir(context, address);
  const all = own(count);
  for (let at = 0; at < all.length; at += 200) {
    const data = { exercises: all.slice(at, at + 200) };
    const stored = await context.request.post(`${address}/api/choirs/${choir}/exercises`, { data });
    if (stored.status() !== 201) throw new Error(`Not stored: ${stored.status()}.`);
  }
}

/** Milliseconds of script that listing, filtering and searching cost between a key and the list, the drawing left out. */
async function listAfterData(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/exercises`);
  await page.waitForFunction(() => 'listAt' in globalThis);
  return page.evaluate(() => {
    const answers = performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.includes('/api/')) as PerformanceResourceTiming[];
    const last = Math.max(...answers.map(({ responseEnd }) => responseEnd));
    return (globalThis as unknown as { listAt: number }).listAt - last;
  });
}

/** When counted beats sound, in seconds of the audio clock, as the sound leaves for the speaker. */
async function countedBeats(page: Page, address: string, exercise: string): Promise<number[]> {
  await page.goto(`${address}/exercises/${exercise}`);
  await page.getByRole('button', { name: 'Hear it' }).click();
  await page.waitForFunction(
    () => ((globalThis as unknown as { heard?: number }).heard ?? 0) > 48_000 * 7,
    undefined,
    { timeout: 30_000 },
  );
  return page.evaluate(() => {
    const { blocks, rate } = globalThis as unknown as { blocks: Float32Array[]; rate: number };
    const onsets: number[] = [];
    let at = 0;
    let quiet = 0;
    let envelope = 0;
    let before = 0;
    for (const block of blocks) {
      for (const sample of block) {
        // Only what is high remains of a difference twice over; the counted beats are two octaves above all else.
        const difference = Math.abs(sample - before);
        before = sample;
        envelope = Math.max(difference, envelope * 0.995);
        if (envelope > 0.02) {
          if (quiet > rate * 0.2) onsets.push(at / rate);
          quiet = 0;
        } else quiet += 1;
        at += 1;
      }
    }
    return onsets;
  });
}

export interface ExercisesFigures {
  readonly listed: number;
  readonly typing: number;
  readonly choosing: number;
  /** How far the beats of the count-in lie from even at most, in ms; undefined when they were not told apart. */
  readonly jitter: number | undefined;
}

/** Measures on the built application. */
export const measureExercises = (): Promise<ExercisesFigures> =>
  onServer(async (browser, address) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addInitScript(() => {
      new MutationObserver((_, observer) => {
        if (!document.querySelector('[role=list][aria-label=Exercises] a')) return;
        observer.disconnect();
        requestAnimationFrame(() => {
          (globalThis as unknown as { listAt: number }).listAt = performance.now();
        });
      }).observe(document, { childList: true, subtree: true });
    });
    await storeOwn(context, address, 1000);
    const page = await context.newPage();
    const lists: number[] = [];
    for (let i = 0; i < 9; i += 1) lists.push(await listAfterData(page, address));
    const field = page.getByRole('textbox', { name: 'Look for an exercise' });
    const typing = await keyToFrame(page, field, 'a e i o u l n s r');
    await page.getByRole('button', { name: 'Any exercise' }).click();
    const choosing = await choiceToFrame(page, page.getByRole('radiogroup', { name: 'Phase' }), [
      'Range',
      'any phase',
      'Onset',
      'any phase',
      'Breath',
      'any phase',
      'Agility',
      'any phase',
    ]);

    const listener = await browser.newContext();
    await newChoir(listener, address);
    await listener.addInitScript(() => {
      // Whatever leaves for the speaker is listened to as well, sample by sample.
      const heard = globalThis as unknown as {
        blocks: Float32Array[];
        rate: number;
        heard: number;
      };
      heard.blocks = [];
      heard.heard = 0;
      // eslint-disable-next-line @typescript-eslint/unbound-method
      const connect = AudioNode.prototype.connect as (this: AudioNode, ...to: unknown[]) => unknown;
      let tapped = false;
      AudioNode.prototype.connect = function (this: AudioNode, ...to: unknown[]) {
        const context = this.context;
        if (!tapped && to[0] instanceof AudioDestinationNode && context instanceof AudioContext) {
          tapped = true;
          heard.rate = context.sampleRate;
          void context.audioWorklet.addModule('/capture.worklet.js').then(() => {
            const tap = new AudioWorkletNode(context, 'capture');
            tap.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
              heard.blocks.push(data);
              heard.heard += data.length;
            };
            connect.call(this, tap);
          });
        }
        return connect.apply(this, to);
      } as typeof AudioNode.prototype.connect;
    });
    const beats = await countedBeats(await listener.newPage(), address, 'plain-talk');
    const steps = beats.slice(1).map((at, i) => at - beats[i]!);
    const usual = median(steps);
    const counted = steps.filter((step) => Math.abs(step - 60 / 76) < 0.1);
    const jitter =
      counted.length >= 2 && usual > 0
        ? Math.max(...counted.map((step) => Math.abs(step - 60 / 76))) * 1000
        : undefined;
    return { listed: median(lists), typing, choosing, jitter };
  });
