import type { Evening } from '@wide-fern/contract';
import type { NoteWriting } from '@wide-fern/core';
import { openFacts, type EvaluatedPlan, type OpenFact, type PlannedItem } from '@wide-fern/plan';
import { openInWords } from '@wide-fern/words';

/** A decision that is open for an evening: what it is, and the one act that settles it. */
export interface OpenDecision {
  readonly id: string;
  readonly words: string;
  readonly act: string;
  readonly to: string;
}

/** What tells one open decision from another. */
function idOf(fact: OpenFact): string {
  switch (fact.kind) {
    case 'overfull':
    case 'no-warm-up':
    case 'nobody':
    case 'no-music':
    case 'longer':
      return fact.kind;
    case 'not-allowed':
      return `${fact.kind} ${fact.segment}`;
    case 'empty':
      return `${fact.kind} ${fact.item}`;
    case 'outside':
      return `${fact.kind} ${fact.part} ${fact.side}`;
    case 'wish':
    case 'unknown':
      return `${fact.kind} ${fact.piece}`;
  }
}

/** Where it is settled. */
function placeOf(fact: OpenFact, { id }: Evening, item: string): string {
  switch (fact.kind) {
    case 'overfull':
    case 'no-warm-up':
    case 'no-music':
      return `/evenings/${id}`;
    case 'nobody':
      return '/voices/roster';
    case 'not-allowed':
    case 'longer':
    case 'wish':
      return `/evenings/${id}/plan/${item}`;
    case 'empty':
      return `/evenings/${id}/plan/${fact.item}`;
    case 'outside':
      return `/pieces/${fact.piece}${fact.bar === undefined ? '' : `?bars=${fact.bar}`}`;
    case 'unknown':
      return `/pieces/${fact.piece}/change`;
  }
}

/** What stands open for an evening, the most pressing first. */
export const openDecisions = (
  evening: Evening,
  {
    item,
    plan,
    planned,
    clock,
    writing,
  }: {
    /** The warm-up that Tonight shows. */
    readonly item: string;
    readonly plan: EvaluatedPlan;
    /** The other items that are planned by themselves. */
    readonly planned: readonly PlannedItem[];
    readonly clock: (moment: number) => string;
    readonly writing: NoteWriting;
  },
): OpenDecision[] =>
  openFacts(evening, item, plan, planned).map((fact) => ({
    id: idOf(fact),
    ...openInWords(fact, { clock, writing }),
    to: placeOf(fact, evening, item),
  }));
