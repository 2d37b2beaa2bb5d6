import type { FitState, MidiNote, Seconds } from '@wide-fern/core';
import type { Evaluated, EvaluatedPlan } from './evaluate';

/** What a part does in a key. */
interface Doing {
  readonly part: string;
  readonly does: 'rest' | FitState;
}

/** Times are sums: so near, in seconds, they are the same. */
const near: Seconds = 1e-6;

/** What happens at a moment of a plan. */
export type MomentFact =
  | { readonly kind: 'nothing'; readonly at: Seconds }
  | {
      readonly kind: 'talk' | 'sung';
      readonly at: Seconds;
      readonly evaluated: Evaluated;
      /** Which key, round or time, counted from 0; the next one while it is talked. */
      readonly place: number;
      readonly of: number;
      readonly tonic: MidiNote | undefined;
      /** What single parts do otherwise than singing at ease. */
      readonly parts: readonly Doing[];
    };

/** What is sung, said or moved at a moment, in seconds from the warm-up's start. */
export function momentAt({ segments }: EvaluatedPlan, at: Seconds): MomentFact {
  const evaluated = segments.find(
    ({ computed: { placed } }) => at >= placed.from && at < placed.to,
  );
  if (!evaluated) return { kind: 'nothing', at };
  const { repetitions, placed, talk } = evaluated.computed;
  const within = at - placed.from;
  const begun = repetitions.findLastIndex((one) => one.at <= within + near);
  const place = Math.max(0, begun);
  const one = repetitions[place];
  const isTalk = within < talk - near || begun < 0;
  return {
    kind: isTalk ? 'talk' : 'sung',
    ...{ at, evaluated, place, of: repetitions.length, tonic: one?.tonic },
    parts: isTalk
      ? []
      : (one?.parts ?? []).flatMap((sounding): Doing[] => {
          if (sounding.does === 'rest') return [{ part: sounding.part, does: 'rest' }];
          if (sounding.does !== 'sing' || sounding.fit.state === 'comfortable') return [];
          return [{ part: sounding.part, does: sounding.fit.state }];
        }),
  };
}

/** The moments worth stopping at: where each segment begins, and each of its keys, rounds or times. */
export function momentsOf({ segments }: EvaluatedPlan): Seconds[] {
  const all = segments.flatMap(({ computed: { placed, repetitions } }) => [
    placed.from,
    ...repetitions.map(({ at }) => placed.from + at),
  ]);
  return [...new Set(all)].sort((a, b) => a - b);
}
