import type { Programme, Seconds } from '@wide-fern/core';
import { atUsualLevel, writeWav } from '@wide-fern/sound';
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
/** What still rings after the last note. */
const tail: Seconds = 0.6;

/** Renders a programme without playing it, as a WAV file of 16 bits, one channel. */
export async function renderWav(
  programme: Programme,
  loud: string | null,
): Promise<Uint8Array<ArrayBuffer>> {
  const tone = await import('tone');
  const buffer = await tone.Offline(
    () => orchestra(tone, programme, loud).schedule(0.02),
    programme.seconds + tail,
    1,
    renderRate,
  );
  return writeWav(atUsualLevel({ sampleRate: renderRate, samples: buffer.getChannelData(0) }));
}
