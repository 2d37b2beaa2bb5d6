import type { Music, PitchRange, Repetition, Sounding } from '@wide-fern/core';
import type { Lane, TimeAxis } from './geometry';

/** The signs of section «Signs» of the design, as what has to be drawn. All in pixels. */
export type Sign =
  | { readonly kind: 'stem'; readonly x: number; readonly top: number; readonly bottom: number }
  /** Sung an octave away: two hairlines, the tick at the side it came from. */
  | {
      readonly kind: 'split';
      readonly x: number;
      readonly top: number;
      readonly bottom: number;
      readonly cameFrom: 'above' | 'below';
    }
  /** Beyond the comfort: from its limit outward. */
  | {
      readonly kind: 'wedge';
      readonly x: number;
      readonly base: number;
      readonly tip: number;
    }
  /** Out of reach at this end. */
  | { readonly kind: 'bars'; readonly x: number; readonly y: number }
  | { readonly kind: 'ring'; readonly x: number; readonly y: number }
  | {
      readonly kind: 'slant';
      readonly points: readonly { readonly x: number; readonly y: number }[];
    }
  | { readonly kind: 'held'; readonly from: number; readonly to: number; readonly y: number }
  | { readonly kind: 'dot'; readonly x: number; readonly y: number }
  | { readonly kind: 'notch'; readonly x: number; readonly y: number }
  /** Not sure that enough are at ease. */
  | { readonly kind: 'unsure'; readonly x: number; readonly top: number; readonly bottom: number };

/** A wedge is never flatter than this, whatever a semitone measures. */
const leastWedge = 6;

/** A stretch of a lane in which its part rests: the band is left open there. */
export interface Gap {
  readonly from: number;
  readonly to: number;
}

interface Place {
  readonly axis: TimeAxis;
  readonly lane: Lane;
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
}

/** The ends of a repetition that leave the comfort: wedges, or bars beyond the reach. */
function endSigns(sounding: Extract<Sounding, { does: 'sing' }>, x: number, place: Place): Sign[] {
  const { fit } = sounding;
  const { lane, comfort, reach } = place;
  const signs: Sign[] = [];
  const end = (beyond: boolean, out: boolean, limit: number, note: number, outward: 1 | -1) => {
    if (out) signs.push({ kind: 'bars', x, y: lane.y(note) });
    else if (beyond) {
      const base = lane.y(limit);
      const length = Math.max(leastWedge, Math.abs(lane.y(note) - base));
      signs.push({ kind: 'wedge', x, base, tip: base - outward * length });
    }
  };
  end(fit.roomAbove < 0, fit.high > reach[1], comfort[1], fit.high, 1);
  end(fit.roomBelow < 0, fit.low < reach[0], comfort[0], fit.low, -1);
  return signs;
}

/** The signs of one part in one repetition. */
export function signsOf(
  sounding: Sounding,
  repetition: Pick<Repetition, 'at' | 'seconds'>,
  music: Music,
  segmentFrom: number,
  chosenByHand: boolean,
  place: Place,
): Sign[] {
  const { axis, lane, comfort } = place;
  const from = axis.x(segmentFrom + repetition.at);
  const to = axis.x(segmentFrom + repetition.at + repetition.seconds);
  const x = (from + to) / 2;
  if (sounding.does === 'rest') {
    const ring: Sign = { kind: 'ring', x, y: lane.floor };
    return chosenByHand ? [ring, { kind: 'notch', x, y: lane.floor }] : [ring];
  }
  if (sounding.does === 'own') {
    // Everyone on an own easy note: a pale bar through the whole of what is easy.
    const y = lane.y((comfort[0] + comfort[1]) / 2);
    return [{ kind: 'held', from: from + 1, to: Math.max(from + 3, to - 1), y }];
  }
  const { fit, away, tonic, holds } = sounding;
  const inside = (note: number) => Math.min(comfort[1], Math.max(comfort[0], note));
  const top = lane.y(inside(fit.high));
  const bottom = lane.y(inside(fit.low));
  const ends = endSigns(sounding, x, place);
  const notch: Sign[] = chosenByHand ? [{ kind: 'notch', x, y: (top + bottom) / 2 }] : [];
  if (music.kind === 'chord') return [{ kind: 'dot', x, y: lane.y(tonic) }, ...ends, ...notch];
  const onOneNote = music.kind === 'hold' || (music.kind === 'drone' && music.over.kind === 'text');
  if (holds || onOneNote) {
    const y = lane.y(fit.low);
    return [{ kind: 'held', from: from + 1, to: Math.max(from + 3, to - 1), y }, ...ends, ...notch];
  }
  if (away !== 0) {
    const cameFrom = away < 0 ? 'above' : 'below';
    return [{ kind: 'split', x, top, bottom, cameFrom }, ...ends, ...notch];
  }
  if (music.kind === 'glide') {
    const beats = music.points.reduce((sum, point) => sum + point.beats, 0);
    // A little narrower than it lasts, so that neighbours stay apart.
    const start = from + (to - from) * 0.15;
    const width = (to - from) * 0.7;
    let sung = 0;
    const points = music.points.map(({ offset, beats: length }) => {
      sung += length;
      return { x: start + (width * sung) / Math.max(1, beats), y: lane.y(inside(tonic + offset)) };
    });
    return [{ kind: 'slant', points }, ...ends, ...notch];
  }
  return [{ kind: 'stem', x, top, bottom }, ...ends, ...notch];
}

/** The stretches in which a part rests, from key to key, joined where they touch. */
export function gapsOf(
  repetitions: readonly Repetition[],
  part: string,
  segmentFrom: number,
  segmentTo: number,
  axis: TimeAxis,
): Gap[] {
  const gaps: Gap[] = [];
  repetitions.forEach(({ at, parts }, i) => {
    if (parts.find((sounding) => sounding.part === part)?.does !== 'rest') return;
    const next = repetitions[i + 1];
    const from = axis.x(segmentFrom + at);
    const to = axis.x(next ? segmentFrom + next.at : segmentTo);
    const last = gaps[gaps.length - 1];
    if (last && Math.abs(last.to - from) < 0.01) gaps[gaps.length - 1] = { from: last.from, to };
    else gaps.push({ from, to });
  });
  return gaps;
}

/** A sign with its neighbours closer than this is drawn narrower. */
const fullWidth = 8;

/** How wide the signs of a segment can be drawn, at most 1. */
export function signScale(repetitions: readonly Repetition[], axis: TimeAxis): number {
  const [first, second] = repetitions;
  if (!first || !second) return 1;
  return Math.min(1, (axis.x(second.at) - axis.x(first.at)) / fullWidth);
}
