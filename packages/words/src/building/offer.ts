import { noteName, type NoteWriting, type Tonight } from '@wide-fern/core';
import type { Segment } from '@wide-fern/contract';
import type { Offer } from '@wide-fern/plan';
import { listInWords } from '../counting';
import { repetitionsInWords } from '../plan/words';
import { lengthInFigures } from '../time';

/** What an offer is told from, beside itself. */
export interface OfferContext {
  readonly segments: readonly Segment[];
  readonly tonight: Tonight;
  readonly writing: NoteWriting;
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What an offer does, change by change: «Leave out Long ledge.» «Pulley in five keys instead of eight.» */
export function offerChanges(offer: Offer, { segments }: Pick<OfferContext, 'segments'>): string[] {
  const planned = new Map(segments.map((segment) => [segment.id, segment]));
  const out = offer.out.flatMap((id) => planned.get(id)?.exercise.name ?? []);
  const changed = offer.segments.flatMap(({ segment, exercise, choices, change }) => {
    const was = segment === null ? undefined : planned.get(segment);
    const now = repetitionsInWords({ id: '', exercise, choices });
    if (change === 'new') return [`${exercise.name} as well, ${now}.`];
    return change === 'same' || !was
      ? []
      : [`${exercise.name}: ${now} instead of ${repetitionsInWords(was)}.`];
  });
  return [...(out.length > 0 ? [`Leave out ${listInWords(out)}.`] : []), ...changed];
}

/** Led time on a skill that differs by less is not said. */
const worthSaying = 10;
const mostSaid = 3;

/** What an offer takes away or brings: skills that get less or more, notes that nobody comes to any more. */
export function offerEffects(
  { kind, had, served }: Offer,
  { tonight, writing }: Pick<OfferContext, 'tonight' | 'writing'>,
): string[] {
  const sign = kind === 'late' ? 1 : -1;
  const skills = Object.keys(had.seconds)
    .map((skill) => ({ skill, was: had.seconds[skill] ?? 0, now: served.seconds[skill] ?? 0 }))
    .filter(({ was, now }) => sign * (was - now) >= worthSaying)
    .sort((a, b) => sign * (b.was - b.now) - sign * (a.was - a.now))
    .slice(0, mostSaid)
    .map(({ skill, was, now }) =>
      capital(`${skill} gets ${lengthInFigures(now)} instead of ${lengthInFigures(was)}.`),
    );
  const notes = tonight.sections.flatMap(({ id, many }) => {
    const before = had.reached[id]?.high;
    const after = served.reached[id]?.high;
    if (before === undefined || after === before) return [];
    const was = noteName(before, writing);
    if (after === undefined)
      return [`${capital(many)} sing no pitch any more; it was up to ${was}.`];
    return [`${capital(many)} come up to ${noteName(after, writing)} instead of ${was}.`];
  });
  return [...skills, ...notes];
}

/** «13:20 instead of 14:50; gives up 6 of what is worth 92.» */
export function offerInWords({ kind, planned, seconds, before, points }: Offer): string {
  const time = `${lengthInFigures(seconds)} instead of ${lengthInFigures(planned)}`;
  if (kind === 'early') return `${time}; worth ${points - before} more than ${before}.`;
  const lost = before - points;
  return lost > 0
    ? `${time}; gives up ${lost} of what is worth ${before}.`
    : `${time}; nothing that is wished for is lost.`;
}
