import {
  propose,
  type BuildRequest,
  type Proposal,
  type Proposed,
  type ProposalNews,
} from '@wide-fern/plan';
import { messageOf } from '@wide-fern/client';
import { useEffect, useMemo, useReducer, useRef, useState } from 'react';
import type { Builder } from '../../../../here/building/builder';

/** A plan on its way: as good as it is known, and how many points could still be won. */
export interface Row {
  readonly plan: Proposal;
  /** The most that is still possible; undefined while nothing is known of it. */
  readonly bound: number | undefined;
  /** Whether the search for it is over. */
  readonly isFinal: boolean;
}

/** Where building has got to. */
export interface Building {
  readonly state: 'working' | 'done' | 'stopped' | 'conflict' | 'unknown' | 'failed';
  readonly rows: readonly Row[];
  readonly present: Proposal | undefined;
  readonly conflict: readonly string[];
  readonly message: string;
  /** How long the best one took, in seconds, once it is over. */
  readonly seconds: number | undefined;
  /** The request all this belongs to. */
  readonly request: BuildRequest | undefined;
}

const nothing: Building = {
  ...{ state: 'working', rows: [], present: undefined, conflict: [], message: '' },
  ...{ seconds: undefined, request: undefined },
} as const;

type Step =
  | { readonly kind: 'begin'; readonly request: BuildRequest }
  | { readonly kind: 'present'; readonly present: Proposal }
  | {
      readonly kind: 'plan';
      readonly number: number;
      readonly plan: Proposal;
      readonly seconds?: number;
    }
  | { readonly kind: 'bound'; readonly number: number; readonly bound: number }
  | { readonly kind: 'over'; readonly proposed: Proposed; readonly seconds: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly message: string };

/** Rows with one of them changed; those before it are over. */
function withRow(rows: readonly Row[], number: number, change: Partial<Row>): readonly Row[] {
  const before = rows[number];
  if (!before && !change.plan) return rows;
  const next: Row = {
    ...(before ?? { plan: change.plan!, bound: undefined, isFinal: false }),
    ...change,
  };
  return [
    ...rows.slice(0, number).map((row) => ({ ...row, isFinal: true })),
    next,
    ...rows.slice(number + 1),
  ];
}

/** Where building has got to after one more thing was told of it. */
export function after(building: Building, step: Step): Building {
  switch (step.kind) {
    case 'begin':
      return { ...nothing, request: step.request };
    case 'present':
      return { ...building, present: step.present };
    case 'plan':
      return {
        ...building,
        rows: withRow(building.rows, step.number, { plan: step.plan }),
        // A second one is sought once the first is known.
        seconds: building.seconds ?? (step.number > 0 ? step.seconds : undefined),
      };
    case 'bound':
      return { ...building, rows: withRow(building.rows, step.number, { bound: step.bound }) };
    case 'over': {
      const { proposed } = step;
      const seconds = building.seconds ?? step.seconds;
      if (proposed.kind === 'conflict') {
        return { ...building, state: 'conflict', conflict: proposed.conflict, rows: [], seconds };
      }
      if (proposed.kind === 'unknown') return { ...building, state: 'unknown', seconds };
      const rows = proposed.plans.map((plan) => ({ plan, bound: plan.bound, isFinal: true }));
      return { ...building, state: 'done', rows, seconds };
    }
    case 'stopped':
      return { ...building, state: 'stopped' };
    case 'failed':
      return { ...building, state: 'failed', message: step.message };
  }
}

/** Builds what is asked, anew as soon as something else is asked; leaving the page stops it. */
export function useBuilding(builder: Builder, request: BuildRequest) {
  const [building, tell] = useReducer(after, nothing);
  const [tries, setTries] = useState(0);
  const halt = useRef<() => void>(() => undefined);
  // What is asked is told by its content: the plan around it is drawn anew all the time.
  const content = useMemo(() => JSON.stringify(request), [request]);
  useEffect(() => {
    let wanted = true;
    const since = performance.now();
    const taken = () => (performance.now() - since) / 1000;
    const told = (step: Step) => {
      if (wanted) tell(step);
    };
    halt.current = () => {
      wanted = false;
      builder.stop();
    };
    tell({ kind: 'begin', request });
    const listener = {
      onPresent: (present: Proposal) => told({ kind: 'present', present }),
      onNews: (news: ProposalNews) =>
        told(news.kind === 'plan' ? { ...news, seconds: taken() } : news),
      isWanted: () => wanted,
    };
    propose(request, builder, listener).then(
      (proposed) => told({ kind: 'over', proposed, seconds: taken() }),
      (error: unknown) => told({ kind: 'failed', message: messageOf(error) }),
    );
    return halt.current;
    // The request is the same as long as its content is.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [builder, content, tries]);
  return {
    building,
    /** Ends the search with what is there. */
    stop: () => {
      halt.current();
      tell({ kind: 'stopped' });
    },
    again: () => setTries(tries + 1),
  };
}
