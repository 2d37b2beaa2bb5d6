import type { BuildWish } from '@wide-fern/contract';
import type { Proposal } from '@wide-fern/plan';
import { counted, listInWords } from '../counting';
import { lengthInFigures } from '../time';
import { phaseWords } from '../labels';
import type { Phase } from '@wide-fern/core';

/** A wish that cannot be met together with others, and the one act that gives it up. */
export interface GivenUp {
  readonly wish: string;
  /** What it says: «at least 1:30 of breath». */
  readonly words: string;
  /** What giving it up is called. */
  readonly act: string;
  /** What is asked afterwards; undefined where it is a pin of the plan. */
  readonly next: BuildWish | undefined;
  /** The segment of the plan that would no longer stay. */
  readonly unpin: string | undefined;
}

const phaseOf = (id: string): Phase => id.replace(/-\d+$/, '') as Phase;
const inSentence = (id: string): string => (phaseWords[phaseOf(id)] ?? id).toLowerCase();

/** A wish of a conflict in words, with what gives it up. */
export function givenUp(
  wish: string,
  said: BuildWish,
  {
    nameOf,
    seconds,
    timeOf,
    segmentName,
  }: {
    readonly nameOf: (exercise: string) => string;
    readonly seconds: number;
    /** The least and the most time of a phase, by its id. */
    readonly timeOf: (phase: string) => { readonly least: number; readonly most: number };
    readonly segmentName: (segment: string) => string;
  },
): GivenUp {
  const [kind = '', ...rest] = wish.split(':');
  const id = rest.join(':');
  const phase = phaseOf(id);
  const limits = said.limits[phase] ?? {};
  const withLimits = (changed: { least?: number; most?: number }): BuildWish => ({
    ...said,
    limits: { ...said.limits, [phase]: { ...limits, ...changed } },
  });
  const made = (words: string, act: string, next: BuildWish | undefined): GivenUp => ({
    ...{ wish, words, act, next },
    unpin: undefined,
  });
  switch (kind) {
    case 'under':
      return made(`${lengthInFigures(seconds)} filled`, 'leave some time free', {
        ...said,
        seconds: Math.max(60, seconds - 60),
      });
    case 'phase':
      return made(`some ${inSentence(id)}`, `leave out ${inSentence(id)}`, withLimits({ most: 0 }));
    case 'least':
      return made(
        `at least ${lengthInFigures(timeOf(id).least)} of ${inSentence(id)}`,
        `ask for less ${inSentence(id)}`,
        withLimits({ least: 0 }),
      );
    case 'most':
      return made(
        `at most ${lengthInFigures(timeOf(id).most)} of ${inSentence(id)}`,
        `allow more ${inSentence(id)}`,
        withLimits({ most: seconds }),
      );
    case 'effort':
      return made(`not too much strong singing in ${inSentence(id)}`, 'build something quieter', {
        ...said,
        quiet: true,
      });
    case 'strong':
      return made('nothing strong before the voice is led up', 'build something quieter', {
        ...said,
        quiet: true,
      });
    case 'excluded':
      return made(`no ${nameOf(id)}`, `allow ${nameOf(id)}`, {
        ...said,
        excluded: said.excluded.filter((one) => one !== id),
        // One that is hidden for good is asked for by name.
        included: said.excluded.includes(id) ? said.included : [...said.included, id],
      });
    case 'included':
      return made(nameOf(id), `do without ${nameOf(id)}`, {
        ...said,
        included: said.included.filter((one) => one !== id),
      });
    default: {
      const segment = id.replace(/^present:/, '');
      return {
        wish,
        words: `${segmentName(segment)} as it is`,
        act: `let ${segmentName(segment)} be changed`,
        next: undefined,
        unpin: segment,
      };
    }
  }
}

/** «Enough breath, Wet slate and the whole time filled do not fit together.» */
export function conflictInWords(ways: readonly GivenUp[]): string {
  const [first, ...others] = ways.map(({ words }) => words);
  if (!first) return 'No warm-up keeps all that is asked.';
  const whole = listInWords([first.charAt(0).toUpperCase() + first.slice(1), ...others]);
  return others.length === 0
    ? `${whole}: that is not possible tonight.`
    : `${whole} do not fit together.`;
}

/** What giving up a wish brings, before it is given up: «brings seven segments in 14:40, worth 92». */
export function bringsInWords(
  brings: { readonly plan: Pick<Proposal, 'segments' | 'points'> | undefined } | undefined,
): string {
  if (!brings) return 'what that brings is being built …';
  const { plan } = brings;
  if (!plan) return 'brings no warm-up by itself';
  const seconds = plan.segments.reduce((sum, { candidate }) => sum + candidate.seconds, 0);
  const count = counted(plan.segments.length, 'segment', 'segments');
  return `brings ${count} in ${lengthInFigures(seconds)}, worth ${plan.points}`;
}
