/** The readings that are averaged: one period of a usual vibrato, 5.5 Hz, at a hundred frames a second. */
const period = 18;
/** Within so many semitones of the average it is the same note. */
const sameNote = 0.7;
/** So far beside it is the far end of a wide vibrato, unless it stays there for so many readings. */
const swing = { semitones: 1.7, readings: 8 } as const;
/**
 * A wide vibrato: from 0.8 to 2.8 semitones from top to bottom, the same top again after 13 to 28
 * readings (3.6 to 7.7 a second), told within so many readings of it.
 */
const wide = { least: 0.8, most: 2.8, alike: 0.5, quickest: 13, slowest: 28, fresh: 26 } as const;
/** How many readings are remembered, to find one. */
const remembered = 60;
/** A top is higher than what stands so many readings before and after it. */
const beside = 3;
/** An octave, a twelfth or two octaves away is mostly a slip of the ear, until it lasts for so many readings. */
const slip = { semitones: [12, 19, 24], within: 0.8, readings: 14 } as const;
/** What is not heard for so many readings has ended: a quick vibrato hides its far ends for fewer. */
const gap = 7;

/** The pitch as it has settled, in semitones, and what it rests on. */
export interface Settled {
  readonly pitch: number | null;
  /** The latest readings of the present note, oldest first. */
  readonly readings: readonly number[];
  /** Readings that may be another note's beginning. */
  readonly strays: readonly number[];
  /** All readings of late, whatever became of them. */
  readonly heard: readonly number[];
  /** For how many readings nothing was heard. */
  readonly missing: number;
}

export const silent: Settled = { pitch: null, readings: [], strays: [], heard: [], missing: 0 };

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

const begin = (readings: readonly number[], heard: readonly number[]): Settled => ({
  pitch: mean(readings),
  readings,
  strays: [],
  heard,
  missing: 0,
});

/** Where the readings turn: the places of their tops, or of their bottoms. */
function turns(heard: readonly number[], way: 1 | -1): number[] {
  const found: number[] = [];
  for (let i = beside; i < heard.length - beside; i += 1) {
    const here = way * heard[i]!;
    const around = heard.slice(i - beside, i + beside + 1).map((one) => way * one);
    const isTop = around.every((one) => one <= here) && here > around[0]! && here > around.at(-1)!;
    if (isTop && i - (found.at(-1) ?? -Infinity) > beside) found.push(i);
  }
  return found;
}

/** The middle of a wide vibrato that the latest readings swing in; undefined where they do not. */
function middleOfSwing(heard: readonly number[]): number | undefined {
  const late = heard.slice(-2 * wide.slowest);
  if (Math.max(...late) - Math.min(...late) < wide.least) return undefined;
  for (const way of [1, -1] as const) {
    const [before, last] = turns(heard, way).slice(-2);
    if (before === undefined || last === undefined) continue;
    const between = heard.slice(before, last + 1).map((one) => way * one);
    const [top, bottom] = [(way * (heard[before]! + heard[last]!)) / 2, Math.min(...between)];
    const isSteady =
      last - before >= wide.quickest &&
      last - before <= wide.slowest &&
      heard.length - last <= wide.fresh &&
      Math.abs(heard[before]! - heard[last]!) < wide.alike;
    if (isSteady && top - bottom >= wide.least && top - bottom <= wide.most) {
      return (way * (top + bottom)) / 2;
    }
  }
  return undefined;
}

/** How many readings so far away from a note, all to one side, make another one. */
function patienceFor(away: number, known: number): number {
  const distance = Math.abs(away);
  // What has only begun may itself have been misheard.
  const most = Math.max(2, known);
  const isSlip = slip.semitones.some((one) => Math.abs(distance - one) < slip.within);
  if (isSlip) return Math.min(most, slip.readings);
  return distance < swing.semitones ? swing.readings : 2;
}

/**
 * Takes one more reading: the pitch is the mean over a period of vibrato, so that the note is heard
 * and not its swinging. What lies beside it for a moment changes nothing: a stray reading, the far end
 * of a wide vibrato, an octave that was misheard; what stays there is another note.
 */
export function settle(before: Settled, reading: number | null): Settled {
  const { pitch, readings, strays, missing } = before;
  if (reading === null) {
    if (pitch === null || missing + 1 >= gap) return silent;
    const last = before.heard[before.heard.length - 1]!;
    const heard = [...before.heard, last].slice(-remembered);
    return { ...before, heard, missing: missing + 1 };
  }
  const heard = [...before.heard, reading].slice(-remembered);
  if (pitch === null) return begin([reading], heard);
  const middle = middleOfSwing(heard);
  if (middle !== undefined) return begin([middle], heard);
  const away = reading - pitch;
  if (Math.abs(away) < sameNote) {
    // The way to the far end of a vibrato and back belongs to the note.
    const swung = strays.filter((stray) => Math.abs(stray - pitch) < swing.semitones);
    return begin([...readings, ...swung, reading].slice(-period), heard);
  }
  const last = strays[strays.length - 1];
  const isSameSide = last !== undefined && Math.sign(last - pitch) === Math.sign(away);
  const near = isSameSide && Math.abs(last - reading) < sameNote;
  const next = near ? [...strays, reading] : [reading];
  if (next.length >= patienceFor(away, readings.length)) return begin(next.slice(-period), heard);
  return { pitch, readings, strays: next, heard, missing: 0 };
}
