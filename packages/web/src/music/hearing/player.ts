import type { Programme, Seconds } from '@wide-fern/core';
import { atUsualLevel, inARow, writeWav } from '@wide-fern/sound';
import { NoSound } from './noSound';
import { orchestra, type Orchestra } from './orchestra';

export { programme } from '@wide-fern/core';

/** Something that is being played. */
export interface Playing {
  /** Where it is, in seconds of the programme; beyond its end when it is over. */
  readonly at: () => Seconds;
  /** When its end sounds, on the audio clock; what goes on begins there. */
  readonly ends: Seconds;
  readonly stop: () => void;
}

/** Notes are scheduled this long ahead, so that the first one is on time too. */
const ahead: Seconds = 0.12;

/**
 * Plays a programme from a moment on, scheduled on the audio clock.
 * @param after when it begins on that clock, to go on where another one ends
 * @throws NoSound
 */
export async function play(
  programme: Programme,
  loud: string | null,
  from: Seconds = 0,
  after?: Seconds,
): Promise<Playing> {
  const tone = await import('tone');
  let player: Orchestra;
  let begins: Seconds;
  try {
    await tone.start();
    if (tone.getContext().state !== 'running') throw new NoSound();
    player = orchestra(tone, programme, loud);
    const soonest = tone.getContext().currentTime + ahead;
    begins = Math.max(soonest, after ?? 0);
    player.schedule(begins, from);
  } catch {
    throw new NoSound();
  }
  let stopped = false;
  return {
    at: () => from + tone.getContext().currentTime - begins,
    ends: begins + programme.seconds - from,
    stop: () => {
      if (stopped) return;
      stopped = true;
      player.end();
    },
  };
}

const renderRate = 44_100;
/** For what lasts many minutes: everything that is sung is heard, at half the size. */
const longRate = 22_050;
/** What still rings after the last note. */
const tail: Seconds = 0.6;
/** Between two exercises. */
const pause: Seconds = 1.5;

async function rendered(programme: Programme, loud: string | null, sampleRate: number) {
  const tone = await import('tone');
  const buffer = await tone.Offline(
    () => orchestra(tone, programme, loud).schedule(0.02),
    programme.seconds + tail,
    1,
    sampleRate,
  );
  return buffer.getChannelData(0);
}

/** Renders a programme without playing it, as a WAV file of 16 bits, one channel. */
export async function renderWav(
  programme: Programme,
  loud: string | null,
): Promise<Uint8Array<ArrayBuffer>> {
  const samples = await rendered(programme, loud, renderRate);
  return writeWav(atUsualLevel({ sampleRate: renderRate, samples }));
}

/**
 * Renders several programmes one after the other as one WAV file, all at one level.
 * @param onEach told how many are rendered, after each
 * @param signal ends it before the next one
 * @throws what the signal was ended with
 */
export async function renderTrack(
  programmes: readonly Programme[],
  loud: string | null,
  onEach: (done: number) => void,
  signal: AbortSignal,
): Promise<Uint8Array<ArrayBuffer>> {
  const parts: Float32Array[] = [];
  for (const programme of programmes) {
    signal.throwIfAborted();
    const samples = await rendered(programme, loud, longRate);
    parts.push(atUsualLevel({ sampleRate: longRate, samples }).samples);
    onEach(parts.length);
  }
  signal.throwIfAborted();
  return writeWav({ sampleRate: longRate, samples: inARow(parts, pause * longRate) });
}
