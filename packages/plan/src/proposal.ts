import type { Choices, PlanDocument, Segment } from '@wide-fern/contract';
import { isPitched, type MidiNote, type SegmentKeys } from '@wide-fern/core';
import { computed } from './remembered';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

/**
 * What a choice would do to a segment's keys, when that has to be seen before it is done: a part would
 * go beyond its reach, another start would be taken, or no key would be left.
 */
export interface KeyProposal {
  readonly segment: string;
  readonly why: 'beyond' | 'other start' | 'no key';
  readonly choices: Partial<Choices>;
  /** The keys as they would be. */
  readonly keys: LadderKeys;
}

/** What is done about a wish for other keys: at once, or only proposed. */
export type KeyStep =
  | { readonly kind: 'do'; readonly choices: Partial<Choices> }
  | { readonly kind: 'ask'; readonly proposal: KeyProposal };

const keysWith = (
  segment: Segment,
  choices: Partial<Choices>,
  { tonight }: PlanDocument,
): SegmentKeys =>
  computed({ ...segment, choices: { ...segment.choices, ...choices } }, tonight).keys;

const step = (choices: Partial<Choices>): KeyStep => ({ kind: 'do', choices });

/** Another start: the best one is not fixed, and one beyond somebody's reach is asked about. */
export function startOn(segment: Segment, start: MidiNote, document: PlanDocument): KeyStep {
  const keys = keysWith(segment, { start }, document);
  if (keys.kind !== 'ladder') return step({ start });
  if (keys.best.kind === 'ladder' && keys.best.start === start) return step({ start: null });
  if (!keys.sung?.beyond) return step({ start });
  const choices = { start };
  return { kind: 'ask', proposal: { segment: segment.id, why: 'beyond', choices, keys } };
}

/**
 * More keys or fewer: they are added to the ladder as it is, and taken from its end. Where it cannot
 * go on from its start, what would become of it is asked first.
 */
export function keysNumber(segment: Segment, repetitions: number, document: PlanDocument): KeyStep {
  const only = step({ repetitions });
  const before = isPitched(segment.exercise.music) ? keysWith(segment, {}, document) : undefined;
  if (before?.kind !== 'ladder' || !before.sung) return only;
  const choices = { repetitions };
  const now = keysWith(segment, choices, document) as LadderKeys;
  const ask = (why: KeyProposal['why']): KeyStep => ({
    kind: 'ask',
    proposal: { segment: segment.id, why, choices, keys: now },
  });
  if (segment.choices.start !== null) {
    return now.sung?.beyond && !before.sung.beyond ? ask('beyond') : only;
  }
  const { start } = before.sung;
  if (now.sung?.start === start) return only;
  const held = keysWith(segment, { repetitions, start }, document) as LadderKeys;
  if (held.sung && !held.sung.beyond) return step({ repetitions, start });
  return ask(now.sung ? 'other start' : 'no key');
}
