import { frequency, type Programme, type Seconds, type Sounded } from '@wide-fern/core';
import type * as ToneModule from 'tone';

type Tone = typeof ToneModule;

/** How loud all others are together when one part is to be heard above them: 13 dB below it. */
const beneath = 0.22;
const usual = 0.6;
/** What no part sings. */
const isPlayed = (voice: string): boolean =>
  voice === 'chord' || voice === 'drone' || voice === 'count';
/** A note ends a little before the next one begins. */
const sounds = 0.96;

/** Overtones and decay of a struck string, from a few partials. */
const struck = {
  oscillator: { type: 'custom' as const, partials: [1, 0.5, 0.28, 0.16, 0.1, 0.06, 0.03] },
  envelope: { attack: 0.006, decay: 1.6, sustain: 0.18, release: 0.22 },
  volume: -6,
};

/** What is held as long as it is wanted: it neither fades nor stands out. */
const held = {
  oscillator: { type: 'custom' as const, partials: [1, 0.4, 0.25, 0.12, 0.06] },
  envelope: { attack: 0.25, decay: 0.1, sustain: 1, release: 0.4 },
  volume: -10,
};

/** Instruments for every voice of a programme, in the context that is in force. */
export interface Orchestra {
  /** Schedules all of it on the audio clock; `begins` is when its beginning sounds. */
  readonly schedule: (begins: Seconds, from?: Seconds) => void;
  /** Falls silent at once, without a click, and is gone. */
  readonly end: () => void;
}

/**
 * Makes the instruments: one for each part, so that one can be louder, one for chords, one for
 * counted beats.
 * @param loud the part to be heard above the others; null for all alike
 */
export function orchestra(tone: Tone, { sounded }: Programme, loud: string | null): Orchestra {
  const master = new tone.Gain(0.5);
  const limiter = new tone.Limiter(-2).toDestination();
  master.connect(limiter);
  const owned: { dispose: () => unknown }[] = [];
  const keep = <T extends { dispose: () => unknown }>(one: T): T => {
    owned.push(one);
    return one;
  };
  const others = new Set(sounded.map(({ voice }) => voice).filter((voice) => !isPlayed(voice)));
  if (loud !== null) others.delete(loud);
  const level = (voice: string): number => {
    if (voice === 'count') return 0.5;
    if (isPlayed(voice) || loud === null) return usual;
    // On one note they add up in full.
    return voice === loud ? 1 : beneath / others.size;
  };
  const gains = new Map<string, ToneModule.Gain>();
  const gainOf = (voice: string) => {
    const found = gains.get(voice) ?? keep(new tone.Gain(level(voice)).connect(master));
    gains.set(voice, found);
    return found;
  };
  const chords = new Map<string, ToneModule.PolySynth>();
  const polyOf = (voice: string) => {
    const found =
      chords.get(voice) ??
      keep(
        new tone.PolySynth(tone.Synth, voice === 'drone' ? held : struck).connect(gainOf(voice)),
      );
    chords.set(voice, found);
    return found;
  };
  const count = keep(
    new tone.Synth({
      oscillator: { type: 'triangle' },
      envelope: { attack: 0.002, decay: 0.05, sustain: 0, release: 0.02 },
    }).connect(gainOf('count')),
  );
  /** A note that changes while it sounds has a voice of its own. */
  const changing = (
    { midi, glideTo, seconds, loudness, endLoudness, voice }: Sounded,
    at: Seconds,
  ) => {
    const synth = keep(new tone.Synth(struck).connect(gainOf(voice)));
    synth.envelope.sustain = 0.6;
    synth.triggerAttackRelease(frequency(midi), seconds * sounds, at, loudness);
    const until = at + seconds * sounds;
    if (glideTo !== undefined) {
      synth.frequency.setValueAtTime(frequency(midi), at);
      synth.frequency.exponentialRampToValueAtTime(frequency(glideTo), until);
    }
    if (endLoudness !== undefined) {
      synth.volume.setValueAtTime(0, at);
      synth.volume.linearRampToValueAtTime(20 * Math.log10(endLoudness / loudness), until);
    }
  };
  return {
    schedule: (begins, from = 0) => {
      for (const one of sounded) {
        if (one.at < from - 1e-6) continue;
        const at = begins + one.at - from;
        if (one.glideTo !== undefined || one.endLoudness !== undefined) changing(one, at);
        else if (one.voice === 'count') {
          count.triggerAttackRelease(frequency(one.midi), one.seconds, at, one.loudness);
        } else {
          const length = one.seconds * sounds;
          polyOf(one.voice).triggerAttackRelease(frequency(one.midi), length, at, one.loudness);
        }
      }
    },
    end: () => {
      master.gain.rampTo(0, 0.02);
      // The ramp is over by then, and what is left of the notes is never heard.
      setTimeout(() => {
        for (const one of owned) one.dispose();
        master.dispose();
        limiter.dispose();
      }, 80);
    },
  };
}
