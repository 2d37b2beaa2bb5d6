import type { Synth } from 'tone';
import { frequency, type MidiNote, type Seconds } from '@wide-fern/core';

/** How long a note is given, in seconds. */
const length: Seconds = 0.8;

let synth: Promise<Synth> | undefined;

/** The built-in tone, fetched when it is first wanted. */
function theSynth(): Promise<Synth> {
  synth ??= import('tone').then((tone) =>
    new tone.Synth({
      oscillator: { type: 'triangle' },
      envelope: { attack: 0.02, decay: 0.2, sustain: 0.6, release: 0.3 },
      volume: -8,
    }).toDestination(),
  );
  return synth;
}

/** Gives a note and is done when it has faded; without sound on this device it is done at once. */
export async function giveNote(note: MidiNote): Promise<void> {
  try {
    const [{ start, getContext }, instrument] = await Promise.all([import('tone'), theSynth()]);
    await start();
    if (getContext().state !== 'running') return;
    instrument.triggerAttackRelease(frequency(note), length);
    await new Promise((done) => setTimeout(done, (length + 0.25) * 1000));
  } catch {
    // No sound device: the note's name and its place on the staff are still there.
    synth = undefined;
  }
}
