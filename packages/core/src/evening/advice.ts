import { own } from '../own';
import type { PitchRange, Semitones } from '../units';

/** An item of an evening, as far as it matters to voices. */
export interface EveningItem {
  readonly id: string;
  readonly kind: string;
  readonly minutes: number;
  /** What is asked of each part, for a piece of which that is known. */
  readonly ranges?: Readonly<Record<string, PitchRange>> | undefined;
}

/** What would spare the voices of an evening. */
export type EveningAdvice =
  /** A piece is sung before anybody has warmed up. */
  | { readonly code: 'warm-up-before'; readonly item: string }
  /** So many minutes are sung without a rest, from one item to another; a break fits after this one. */
  | {
      readonly code: 'break-after';
      readonly item: string;
      readonly from: string;
      readonly to: string;
    }
  /** The piece that goes furthest beyond what is easy comes late in a long stretch; it could begin it. */
  | {
      readonly code: 'earlier';
      readonly item: string;
      readonly before: string;
      readonly part: string;
      readonly minutes: number;
    };

/** Rules of thumb of ours, in minutes: sung so long without a rest, a break is named … */
const longStretch = 60;
/** … and a piece beyond what is easy that comes after so long could come earlier. */
const tiring = 30;
const mostAdvice = 2;

/** Rests for the voice: in everything else somebody sings or is warmed up. */
const resting = ['break', 'notices', 'arrival'];

/** By how much a piece leaves what is easy, and for which part most; nothing where it stays inside. */
function beyondEasy(
  { ranges = {} }: EveningItem,
  sections: readonly { readonly id: string; readonly comfort: PitchRange }[],
): { readonly part: string; readonly semitones: Semitones } | undefined {
  let most: { part: string; semitones: Semitones } | undefined;
  for (const { id, comfort } of sections) {
    const range = own(ranges, id);
    if (!range) continue;
    const semitones = Math.max(0, range[1] - comfort[1]) + Math.max(0, comfort[0] - range[0]);
    if (semitones > (most?.semitones ?? 0)) most = { part: id, semitones };
  }
  return most;
}

/** The stretches of an evening that are sung without a rest. */
function stretches(agenda: readonly EveningItem[]): EveningItem[][] {
  const found: EveningItem[][] = [[]];
  for (const item of agenda) {
    if (resting.includes(item.kind)) found.push([]);
    else if (item.minutes > 0) found[found.length - 1]!.push(item);
  }
  return found.filter((stretch) => stretch.length > 0);
}

const minutesOf = (items: readonly EveningItem[]): number =>
  items.reduce((sum, { minutes }) => sum + minutes, 0);

/** The item after which a break parts a stretch most evenly; undefined where it is one item. */
function middleOf(stretch: readonly EveningItem[]): EveningItem | undefined {
  const half = minutesOf(stretch) / 2;
  let sung = 0;
  let best: { item: EveningItem; off: number } | undefined;
  for (const item of stretch.slice(0, -1)) {
    sung += item.minutes;
    const off = Math.abs(sung - half);
    if (!best || off < best.off) best = { item, off };
  }
  return best?.item;
}

/**
 * What would spare the voices of an evening, the most needed first, never more than two: a warm-up
 * before the first piece, a break in a long stretch, another order where the hardest comes late.
 * Rules of thumb, each with one act; nothing is changed by itself.
 * @param sections what each part sings easily on the evening.
 */
export function eveningAdvice(
  agenda: readonly EveningItem[],
  sections: readonly { readonly id: string; readonly comfort: PitchRange }[],
): EveningAdvice[] {
  const advice: EveningAdvice[] = [];
  const firstPiece = agenda.findIndex(({ kind }) => kind === 'piece');
  const firstWarmUp = agenda.findIndex(({ kind }) => kind === 'warm-up');
  if (firstPiece >= 0 && (firstWarmUp < 0 || firstWarmUp > firstPiece)) {
    advice.push({ code: 'warm-up-before', item: agenda[firstPiece]!.id });
  }
  for (const stretch of stretches(agenda)) {
    const middle = minutesOf(stretch) >= longStretch ? middleOf(stretch) : undefined;
    if (!middle) continue;
    const [from, to] = [stretch[0]!.id, stretch[stretch.length - 1]!.id];
    advice.push({ code: 'break-after', item: middle.id, from, to });
  }
  const [hardest] = agenda
    .flatMap((item) => {
      const beyond = beyondEasy(item, sections);
      return beyond ? [{ item, ...beyond }] : [];
    })
    .sort((a, b) => b.semitones - a.semitones);
  const stretch = stretches(agenda).find((items) => hardest && items.includes(hardest.item));
  if (hardest && stretch) {
    const before = stretch.slice(0, stretch.indexOf(hardest.item));
    const first = before.find(({ kind }) => kind === 'piece');
    const sung = minutesOf(before.filter(({ kind }) => kind === 'piece'));
    if (first && sung >= tiring) {
      const { item, part } = hardest;
      advice.push({ code: 'earlier', item: item.id, before: first.id, part, minutes: sung });
    }
  }
  return advice.slice(0, mostAdvice);
}
