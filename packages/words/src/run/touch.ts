import type { LinkUse, steps } from '@wide-fern/contract';
import type { Managing, RunState } from '@wide-fern/core';
import type { EvaluatedPlan, whenFew } from '@wide-fern/plan';
import { figured } from '../counting';

export const managedWords: Readonly<Record<Managing, string>> = {
  all: 'all managed',
  most: 'most managed',
  few: 'few managed',
};

/** What the touch that leads on does now, and which others do anything. */
export function touchWords(
  { open, key, segments, isOver }: RunState,
  plan: EvaluatedPlan,
): { readonly main: string; readonly canAgain: boolean; readonly canMove: boolean } {
  const present = segments[open];
  const music = plan.segments.find(({ segment }) => segment.id === present?.id)?.segment.exercise
    .music;
  const isPitched = present?.keys.some(({ tonic }) => tonic !== null) ?? false;
  const canAgain = key !== null && !isOver;
  const main = () => {
    if (!present) return 'Begin';
    if (key === null) return music?.kind === 'breath' ? 'Breathe' : 'Begin';
    if (key + 1 < present.keys.length) return isPitched ? 'Next key' : 'Next';
    return open + 1 < segments.length ? 'Next exercise' : 'End';
  };
  return { main: main(), canAgain, canMove: isPitched && !isOver };
}

/** What comes of «few managed» for what has keys. */
export const whenFewWords: Readonly<Record<(typeof whenFew)[number], string>> = {
  nothing: 'nothing by itself',
  again: 'the same key again',
  lower: 'a semitone lower',
};

/** Where what happened has got to: «kept, and sent», «offline, kept here». */
export function sentInWords(
  sent: 'all' | 'sending' | 'waiting' | 'refused',
  isKept: boolean,
): string {
  const here = isKept ? 'kept here' : 'only in this window: the device keeps nothing';
  switch (sent) {
    case 'all':
      return isKept ? '' : here;
    case 'sending':
      return isKept ? '' : here;
    case 'waiting':
      return `offline, ${here}`;
    case 'refused':
      return `not taken by the server, ${here}`;
  }
}

/** «nine exercises; first Coat off» */
export const leadingInWords = ({ segments }: EvaluatedPlan): string =>
  `${figured(segments.length, 'exercise', 'exercises')}, from the first to the last by one touch each.`;

/** Said when something hurts; to stop comes first. */
export const painWords = {
  first: 'Stop. Nobody sings through pain.',
  then:
    'Let them rest and drink something; sitting out is right, and so is going home. Pain, or ' +
    'hoarseness that lasts, is for a doctor. Where your place has rules for this, they come first.',
} as const;

/** What a screen may do that steps along, in words. */
export const alongWords = ({
  isTalking,
  isPaused,
}: Pick<RunState, 'isTalking' | 'isPaused'>): Readonly<Record<(typeof steps)[number], string>> => ({
  ...{ next: 'Next', back: 'Back', again: 'Again', on: 'On' },
  talk: isTalking ? 'Singing again' : 'Talking',
  pause: isPaused ? 'Go on' : 'Pause',
});

/** What a code for another screen is for. */
export const linkUseWords: Readonly<Record<Extract<LinkUse, 'follow' | 'step'>, string>> = {
  follow: 'follows',
  step: 'may step too',
};
