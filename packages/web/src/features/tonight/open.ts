import type { Evening } from '@wide-fern/contract';
import { noteName, type AccidentalPreference, type PlaceNeed } from '@wide-fern/core';
import { semitonesInWords } from '@wide-fern/words';
import type { EvaluatedPlan } from '@wide-fern/plan';

/** A decision that is open for an evening: what it is, and the one act that settles it. */
export interface OpenDecision {
  readonly id: string;
  readonly words: string;
  readonly act: string;
  readonly to: string;
}

const minutesInWords = (minutes: number): string =>
  `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`;

/** An agenda item that is planned by itself, and whether its plan has a segment. */
export interface PlannedItem {
  readonly id: string;
  readonly isEmpty: boolean;
}

/** «The cool-down at 21:25 has no exercise.» */
function emptyItems(
  evening: Evening,
  main: string,
  planned: readonly PlannedItem[],
  clock: (moment: number) => string,
): OpenDecision[] {
  let at = Date.parse(evening.startsAt);
  return evening.agenda.flatMap(({ id, kind, title, minutes }) => {
    const begins = at;
    at += minutes * 60_000;
    if (id === main || (kind !== 'cool-down' && kind !== 'warm-up')) return [];
    if (!planned.some((one) => one.id === id && one.isEmpty)) return [];
    return [
      {
        id: `empty ${id}`,
        words: `The ${title.toLowerCase()} at ${clock(begins)} has no exercise.`,
        act: 'plan it',
        to: `/evenings/${evening.id}/plan/${id}`,
      },
    ];
  });
}

/** «Tenors go up to G4 in “Lanterns over Slate”, a semitone above tonight.» */
function outOfBand(evening: Evening, accidentals: AccidentalPreference): OpenDecision[] {
  const { sections, needs } = evening.tonight;
  const left = needs.flatMap((need) => {
    const band = sections.find(({ id }) => id === need.part);
    if (!band) return [];
    const many = band.many.charAt(0).toUpperCase() + band.many.slice(1);
    return [
      {
        by: need.highest - band.comfort[1],
        note: need.highest,
        of: need.highestIn,
        bar: need.highestBar,
        way: 'up',
        side: 'above',
      },
      {
        by: band.comfort[0] - need.lowest,
        note: need.lowest,
        of: need.lowestIn,
        bar: need.lowestBar,
        way: 'down',
        side: 'below',
      },
    ]
      .filter(({ by }) => by > 0)
      .map((one) => ({ ...one, many, part: need.part }));
  });
  return left
    .sort((a, b) => b.by - a.by)
    .slice(0, 2)
    .flatMap(({ by, note, of, bar, way, side, many, part }) => {
      const piece = evening.pieces.find(({ title }) => title === of);
      if (!piece) return [];
      return [
        {
          id: `outside ${part} ${side}`,
          words: `${many} go ${way} to ${noteName(note, accidentals)} in “${of}”, ${semitonesInWords(by)} ${side} tonight.`,
          act: bar === undefined ? 'look at the piece' : `look at bar ${bar}`,
          to: `/pieces/${piece.id}${bar === undefined ? '' : `?bars=${bar}`}`,
        },
      ];
    });
}

const needWords: Readonly<Record<PlaceNeed, string>> = {
  standing: 'standing',
  floor: 'the floor',
  noise: 'noise',
  prop: 'things to hold',
  mirror: 'a mirror',
};

/** «“Coat off” needs standing, which the place does not allow.» */
function notAllowed(evening: Evening, item: string, plan: EvaluatedPlan): OpenDecision[] {
  return plan.segments.flatMap(({ segment: { id, exercise } }) => {
    const need = exercise.needs.find((one) => evening.forbids.includes(one));
    if (!need) return [];
    return [
      {
        id: `forbidden ${id}`,
        words: `“${exercise.name}” needs ${needWords[need]}, which the place does not allow.`,
        act: 'choose something else',
        to: `/evenings/${evening.id}/plan/${item}`,
      },
    ];
  });
}

/** What stands open for an evening, the most pressing first. */
export function openDecisions(
  evening: Evening,
  {
    item,
    plan,
    planned,
    clock,
    accidentals,
  }: {
    /** The warm-up that Tonight shows. */
    readonly item: string;
    readonly plan: EvaluatedPlan;
    /** The other items that are planned by themselves. */
    readonly planned: readonly PlannedItem[];
    readonly clock: (moment: number) => string;
    readonly accidentals: AccidentalPreference;
  },
): OpenDecision[] {
  const { id, agenda, startsAt, endsAt, wishes } = evening;
  const length = (Date.parse(endsAt) - Date.parse(startsAt)) / 60_000;
  const over = Math.round(agenda.reduce((sum, { minutes }) => sum + minutes, 0) - length);
  const change = `/evenings/${id}`;
  const served = new Set(plan.segments.flatMap(({ segment }) => segment.exercise.purposes));
  return [
    ...(over > 0
      ? [
          {
            id: 'overfull',
            words: `The evening has ${minutesInWords(over)} too much on it.`,
            act: 'change the agenda',
            to: change,
          },
        ]
      : []),
    ...(agenda.some(({ kind }) => kind === 'warm-up')
      ? []
      : [
          {
            id: 'no warm-up',
            words: 'No time is set aside for a warm-up.',
            act: 'change the agenda',
            to: change,
          },
        ]),
    ...notAllowed(evening, item, plan),
    ...(plan.segments.length > 0
      ? wishes
          .filter(
            ({ skill, piece }) => !served.has(skill) && agenda.some((one) => one.piece === piece),
          )
          .map(({ skill, title, piece }) => ({
            id: `wish ${piece}`,
            words: `Nothing in the warm-up trains ${skill}, the target of “${title}”.`,
            act: 'choose something for it',
            to: `/evenings/${id}/plan/${item}`,
          }))
      : []),
    ...emptyItems(evening, item, planned, clock),
    ...outOfBand(evening, accidentals),
    ...evening.pieces
      .filter(({ ranges }) => Object.keys(ranges).length === 0)
      .map(({ id: piece, title }) => ({
        id: `unknown ${piece}`,
        words: `Nobody knows yet what “${title}” asks of the voices.`,
        act: 'type its notes',
        to: `/pieces/${piece}/change`,
      })),
  ];
}
