import type { Purpose } from '@wide-fern/core';
import {
  noteName,
  tonicName,
  type NoteWriting,
  type Strained,
  type Tonight,
} from '@wide-fern/core';
import type { Proposal, ProposedSegment, WhyNot } from '@wide-fern/plan';
import { counted, listInWords } from '../counting';
import { lengthInFigures } from '../time';

/** What reasons are told from, beside the segment. */
export interface ReasonContext {
  readonly tonight: Tonight;
  readonly wishes: readonly { readonly skill: Purpose; readonly title: string }[];
  readonly ledAgo: Readonly<Record<string, number>>;
  readonly writing: NoteWriting;
  /** Keys that parts gave up, and that it leaves alone. */
  readonly leftAlone?: readonly Strained[];
}

/** Why a segment is there: what it works on and for which piece, where it brings whom, when it was led last. */
export function whyInWords(
  { share, own, candidate, exercise, choices }: ProposedSegment,
  { tonight, wishes, ledAgo, writing, leftAlone = [] }: ReasonContext,
): string[] {
  const served = Object.entries(share.skills).sort(([, a], [, b]) => b - a);
  const skills = served.map(([skill]) => {
    const led = lengthInFigures(candidate.serves[skill] ?? 0);
    const title = wishes.find((wish) => wish.skill === skill)?.title;
    return title
      ? `Works on ${skill} for ${led}, which “${title}” still needs.`
      : `Works on ${skill} for ${led}.`;
  });
  const notes = tonight.sections.flatMap(({ id, many }) => {
    const need = tonight.needs.find(({ part }) => part === id);
    return (['top', 'bottom'] as const).flatMap((end) => {
      const steps = share.steps.filter((step) => step.part === id && step.end === end);
      if (steps.length === 0) return [];
      const all = steps.map(({ note }) => note);
      const note = end === 'top' ? Math.max(...all) : Math.min(...all);
      const asked = end === 'top' ? need?.highest : need?.lowest;
      const title = end === 'top' ? need?.highestIn : need?.lowestIn;
      const bar = end === 'top' ? need?.highestBar : need?.lowestBar;
      const where = bar === undefined ? '' : `, bar ${bar}`;
      const why = note === asked && title ? `, the one of “${title}”${where}` : '';
      const way = end === 'top' ? 'up' : 'down';
      return [`Brings the ${many} ${way} to ${noteName(note, writing)}${why}.`];
    });
  });
  const ago = ledAgo[exercise];
  const fresh =
    ago === undefined
      ? 'Never led here yet.'
      : ago === 1
        ? 'Led the last time.'
        : `Led ${counted(ago, 'evening', 'evenings')} ago.`;
  const below = leftAlone.flatMap(({ part, tonic }) => {
    const section = tonight.sections.find(({ id }) => id === part);
    const key = tonicName(tonic, 'major', writing);
    return section ? [`Keeps the ${section.many} below ${key}, where they strained.`] : [];
  });
  const cost = [
    ...(own.strain < -1 ? ['Some voices come near their limits.'] : []),
    ...(own.level < 0 ? ['Harder than what your choir finds easy.'] : []),
  ];
  const pinned = choices.pinned ? ['It stays because you said so.'] : [];
  return [...pinned, ...skills, ...notes, ...below, fresh, ...cost];
}

/** What a segment is worth, as rows that add up to its sum. */
export function worthRows({ share, own }: ProposedSegment): readonly [string, number][] {
  return [
    ...Object.entries(share.skills),
    ...(share.steps.length > 0
      ? [['notes the music needs', share.steps.length] as [string, number]]
      : []),
    ['when it was led last', own.fresh],
    ...(own.strain < 0
      ? [['how near to their limits voices come', own.strain] as [string, number]]
      : []),
    ...(own.level < 0
      ? [['harder than your choir finds easy', own.level] as [string, number]]
      : []),
    ['the time another exercise takes to begin', own.change],
  ];
}

/** A whole plan's worth, as rows that add up. */
export const planRows = ({ parts }: Pick<Proposal, 'parts'>): readonly [string, number][] => [
  ['what is wished', parts.skills],
  ['notes the music needs', parts.needs],
  ['freshness, less strain and change', parts.own],
];

/** A sum with its sign, as a table has it. */
export const signed = (points: number): string =>
  points < 0 ? `−${Math.abs(points)}` : String(points);

/** Why an exercise is not in a plan. */
export function whyNotInWords(
  answer: WhyNot,
  name: string,
  nameOf: (exercise: string) => string,
): string {
  switch (answer.kind) {
    case 'no-phase':
      return `This way of warming up has no place for ${name}. Choose another way, or ask for it by name.`;
    case 'no-way':
      return `${name} cannot be done tonight: the place does not allow it, it does not suit who is here, or no key of it lies where your choir sings.`;
    case 'too-strong':
      return `${name} is strong, and nothing loud is wished for tonight.`;
    case 'conflict':
      return `With ${name} there is no plan that keeps all the rest.`;
    case 'unknown':
      return `Whether there is a plan with ${name} was not found out in time.`;
    case 'loses': {
      const instead =
        answer.insteadOf.length > 0
          ? ` Instead of ${listInWords(answer.insteadOf.map(nameOf))}.`
          : '';
      if (answer.points <= 0) return `With ${name} the plan would be worth just as much.${instead}`;
      const atMost = answer.isProven ? '' : 'at most ';
      return `With ${name} the plan would be worth ${atMost}${answer.points} less.${instead}`;
    }
  }
}
