/// <reference lib="dom" />
/** The beat on the stand, as it leaves for the speaker: how far from even it is over five minutes. */
import type { Page } from 'playwright-core';
import { onServer } from './browser';
import { documentOf, storedPlan } from './storedPlan';

export interface PulseFigures {
  readonly beats: number;
  /** Milliseconds between two beats as the tempo asks for them, and the farthest one is from its place on that grid. */
  readonly asked: number;
  readonly farthest: number;
  /** The farthest two neighbours are from being so far apart. */
  readonly unevenness: number;
}

const minutes = 5;

/** Notes the sample at which each sound begins, in what goes to the speaker; the audio thread counts. */
const listener = `
class Beginnings extends AudioWorkletProcessor {
  silent = sampleRate;
  process([[channel]]) {
    for (let i = 0; i < 128; i += 1) {
      if (Math.abs(channel?.[i] ?? 0) < 0.004) this.silent += 1;
      else {
        if (this.silent > sampleRate / 10) this.port.postMessage((currentFrame + i) / sampleRate);
        this.silent = 0;
      }
    }
    return true;
  }
}
registerProcessor('beginnings', Beginnings);
`;

/** Has everything that is connected to the speaker heard by the listener too; a text, since it runs in the page before all else. */
const overhearing = `
globalThis.begun = [];
const connect = AudioNode.prototype.connect;
const ears = new WeakMap();
const earOf = async (context) => {
  const code = new Blob([${JSON.stringify(listener)}], { type: 'text/javascript' });
  await context.audioWorklet.addModule(URL.createObjectURL(code));
  const ear = new AudioWorkletNode(context, 'beginnings', { channelCount: 1 });
  ear.port.onmessage = ({ data }) => globalThis.begun.push(data);
  // Only what leads to the speaker is worked out; it says nothing itself.
  connect.call(ear, context.destination);
  return ear;
};
AudioNode.prototype.connect = function (...to) {
  const { context } = this;
  if (to[0] instanceof AudioDestinationNode && context instanceof AudioContext) {
    if (!ears.has(context)) ears.set(context, earOf(context));
    void ears.get(context).then((ear) => connect.call(this, ear));
  }
  return connect.apply(this, to);
};
`;

const begun = (page: Page): Promise<number[]> =>
  page.evaluate(() => (globalThis as unknown as { begun: number[] }).begun);

/** Measures on the built application; it takes as long as it listens. */
export const measurePulse = (): Promise<PulseFigures> =>
  onServer(async (browser, address) => {
    // The listener's code is none of the application's own.
    const context = await browser.newContext({ bypassCSP: true, serviceWorkers: 'block' });
    await context.addInitScript(overhearing);
    const document = documentOf(4, 2, 7);
    const evening = await storedPlan(context, address, document);
    const page = await context.newPage();
    await page.goto(`${evening}/lead/warm-up`);
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.keyboard.press('o');
    await page.keyboard.press('PageDown');
    await page.keyboard.press('b');
    await page.waitForFunction(
      () => (globalThis as unknown as { begun: number[] }).begun.length > 0,
    );
    await page.waitForTimeout(minutes * 60_000);
    const times = await begun(page);
    const asked = 60 / document.segments[0]!.choices.tempo;
    const first = times[0]!;
    const apart = times.slice(1).map((time, i) => Math.abs(time - times[i]! - asked));
    const off = times.map((time, i) => Math.abs(time - first - i * asked));
    return {
      beats: times.length,
      asked: 1000 * asked,
      farthest: 1000 * Math.max(...off),
      unevenness: 1000 * Math.max(...apart),
    };
  });
