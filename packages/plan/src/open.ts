import type { Evening } from '@wide-fern/contract';
import type { MidiNote, PlaceNeed, Purpose, Seconds, Semitones } from '@wide-fern/core';
import type { EvaluatedPlan } from './evaluate';
import { longerBy } from './likely';

/** An agenda item that is planned by itself, and whether its plan has a segment. */
export interface PlannedItem {
  readonly id: string;
  readonly isEmpty: boolean;
}

/** A decision that is open for an evening. */
export type OpenFact =
  | { readonly kind: 'overfull'; readonly minutes: number }
  | { readonly kind: 'no-warm-up' }
  /** Nobody's range is known, of no section. */
  | { readonly kind: 'nobody' }
  /** No piece is on the evening. */
  | { readonly kind: 'no-music' }
  /** The place does not allow what an exercise needs. */
  | {
      readonly kind: 'not-allowed';
      readonly segment: string;
      readonly exercise: string;
      readonly need: PlaceNeed;
    }
  /** By what was led it will be late. */
  | { readonly kind: 'longer'; readonly seconds: Seconds }
  /** Nothing in the warm-up trains what a judged piece asks for. */
  | {
      readonly kind: 'wish';
      readonly piece: string;
      readonly title: string;
      readonly skill: Purpose;
    }
  /** An item that is planned by itself has nothing in it. */
  | { readonly kind: 'empty'; readonly item: string; readonly title: string; readonly at: number }
  /** A piece leaves a section's comfort by so much. */
  | {
      readonly kind: 'outside';
      readonly part: string;
      readonly many: string;
      readonly side: 'above' | 'below';
      readonly note: MidiNote;
      readonly by: Semitones;
      readonly piece: string;
      readonly title: string;
      readonly bar: number | undefined;
    }
  /** Nobody knows yet what a piece asks. */
  | { readonly kind: 'unknown'; readonly piece: string; readonly title: string };

type Outside = Extract<OpenFact, { kind: 'outside' }>;
/** As many pieces that leave a section's comfort are told. */
const mostOutside = 2;

function emptyItems(
  { startsAt, agenda }: Evening,
  main: string,
  planned: readonly PlannedItem[],
): OpenFact[] {
  let at = Date.parse(startsAt);
  return agenda.flatMap(({ id, kind, title, minutes }): OpenFact[] => {
    const begins = at;
    at += minutes * 60_000;
    if (id === main || (kind !== 'cool-down' && kind !== 'warm-up')) return [];
    const isEmpty = planned.some((one) => one.id === id && one.isEmpty);
    return isEmpty ? [{ kind: 'empty', item: id, title, at: begins }] : [];
  });
}

/** Where pieces leave a section's comfort, the furthest first. */
function outside({ tonight, pieces }: Evening): OpenFact[] {
  const all = tonight.needs.flatMap((need) => {
    const band = tonight.sections.find(({ id }) => id === need.part);
    if (!band) return [];
    const [low, high] = band.comfort;
    const who = { kind: 'outside', part: need.part, many: band.many } as const;
    const above = {
      ...who,
      side: 'above' as const,
      note: need.highest,
      by: need.highest - high,
      title: need.highestIn,
      bar: need.highestBar,
    };
    const below = {
      ...who,
      side: 'below' as const,
      note: need.lowest,
      by: low - need.lowest,
      title: need.lowestIn,
      bar: need.lowestBar,
    };
    return [above, below].filter(({ by }) => by > 0);
  });
  return all
    .sort((a, b) => b.by - a.by)
    .slice(0, mostOutside)
    .flatMap((one): Outside[] => {
      const piece = pieces.find(({ title }) => title === one.title);
      return piece ? [{ ...one, piece: piece.id }] : [];
    });
}

const notAllowed = ({ forbids }: Evening, { segments }: EvaluatedPlan): OpenFact[] =>
  segments.flatMap(({ segment: { id, exercise } }): OpenFact[] => {
    const need = exercise.needs.find((one) => forbids.includes(one));
    return need ? [{ kind: 'not-allowed', segment: id, exercise: exercise.name, need }] : [];
  });

function unserved({ wishes, agenda }: Evening, { segments }: EvaluatedPlan): OpenFact[] {
  if (segments.length === 0) return [];
  const served = new Set(segments.flatMap(({ segment }) => segment.exercise.purposes));
  return wishes
    .filter(({ skill, piece }) => !served.has(skill) && agenda.some((one) => one.piece === piece))
    .map(({ skill, title, piece }) => ({ kind: 'wish', skill, title, piece }));
}

/**
 * What stands open for an evening, the most pressing first.
 * @param item the warm-up that is looked at
 * @param planned the other items that are planned by themselves
 */
export function openFacts(
  evening: Evening,
  item: string,
  plan: EvaluatedPlan,
  planned: readonly PlannedItem[],
): OpenFact[] {
  const { agenda, startsAt, endsAt, pieces, tonight } = evening;
  const isAnybody = tonight.sections.some(({ singers, away = 0 }) => singers + away > 0);
  const length = (Date.parse(endsAt) - Date.parse(startsAt)) / 60_000;
  const over = Math.round(agenda.reduce((sum, { minutes }) => sum + minutes, 0) - length);
  const hasWarmUp = agenda.some(({ kind }) => kind === 'warm-up');
  const longer = longerBy(plan);
  return [
    ...(over > 0 ? [{ kind: 'overfull', minutes: over } as const] : []),
    ...(hasWarmUp ? [] : [{ kind: 'no-warm-up' } as const]),
    ...(isAnybody ? [] : [{ kind: 'nobody' } as const]),
    ...(pieces.length > 0 ? [] : [{ kind: 'no-music' } as const]),
    ...notAllowed(evening, plan),
    ...(longer === undefined ? [] : [{ kind: 'longer', seconds: longer } as const]),
    ...unserved(evening, plan),
    ...emptyItems(evening, item, planned),
    ...outside(evening),
    ...pieces
      .filter(({ ranges }) => Object.keys(ranges).length === 0)
      .map(({ id, title }): OpenFact => ({ kind: 'unknown', piece: id, title })),
  ];
}
