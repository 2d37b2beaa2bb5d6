import {
  writtenBars,
  type LineEvent,
  type Metre,
  type WrittenBar,
  type WrittenEvent,
} from '@wide-fern/core';

/** A bar as it is drawn: what every part has in it, and whether a bar line closes it. */
export interface DrawnBar {
  /** By part, from the highest. */
  readonly parts: readonly (readonly WrittenEvent[])[];
  /** What it needs at least, in px, by the part that has most in it. */
  readonly width: number;
  readonly closes: boolean;
}

/** A head with its accidental, a letter of a syllable, and the air at a bar's ends, in px. */
const perHead = 27;
const perLetter = 6.6;
const perBar = 22;

type Lines = readonly (readonly LineEvent[])[];

function widthOf(parts: DrawnBar['parts'], lines: Lines): number {
  const needs = parts.map((events, part) =>
    events.reduce((sum, { event, first }) => {
      const { syllable = '', further = [] } = lines[part]?.[event] ?? {};
      const letters = first ? Math.max(...[syllable, ...further].map(({ length }) => length)) : 0;
      return sum + Math.max(perHead, letters * perLetter + 9);
    }, 0),
  );
  return perBar + Math.max(perHead, ...needs);
}

/** Where every part of a bar begins something at the same time, beyond its beginning. */
function commonTimes(parts: readonly (readonly WrittenEvent[])[]): number[] {
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-4;
  const [first = [], ...others] = parts;
  return first
    .filter(({ at, first: begins }) => at > 0 && begins)
    .map(({ at }) => at)
    .filter((at) => others.every((events) => events.some((one) => one.first && near(one.at, at))));
}

/** Cuts a bar that is too long for a line where all parts begin something new; it stays one bar to the ear. */
function pieces(parts: DrawnBar['parts'], lines: Lines, room: number): DrawnBar[] {
  const drawn = (events: DrawnBar['parts'], closes: boolean): DrawnBar => ({
    parts: events,
    closes,
    width: widthOf(events, lines),
  });
  const whole = drawn(parts, true);
  if (whole.width <= room) return [whole];
  const cuts = commonTimes(parts);
  let from = 0;
  const bars: DrawnBar[] = [];
  const between = (start: number, end: number) =>
    parts.map((events) => events.filter(({ at }) => at >= start - 1e-4 && at < end - 1e-4));
  for (let i = 0; i < cuts.length; i += 1) {
    const next = cuts[i + 1] ?? Infinity;
    if (widthOf(between(from, next), lines) <= room) continue;
    bars.push(drawn(between(from, cuts[i]!), false));
    from = cuts[i]!;
  }
  bars.push(drawn(between(from, Infinity), true));
  return bars.filter(({ parts: events }) => events.some(({ length }) => length > 0));
}

/** The lines of one key as bars, and the bars as rows that fit the room, in px. */
export function systemsOf(
  lines: readonly (readonly LineEvent[])[],
  metre: Metre | undefined,
  room: number,
): DrawnBar[][] {
  const written: WrittenBar[][] = lines.map((events) => writtenBars(events, metre));
  const count = Math.max(0, ...written.map(({ length }) => length));
  const bars = Array.from({ length: count }, (_, i) =>
    pieces(
      written.map((part) => part[i]?.events ?? []),
      lines,
      room,
    ),
  ).flat();
  const systems: DrawnBar[][] = [];
  let width = Infinity;
  for (const bar of bars) {
    if (width + bar.width > room) {
      systems.push([]);
      width = 0;
    }
    systems[systems.length - 1]!.push(bar);
    width += bar.width;
  }
  return systems;
}
