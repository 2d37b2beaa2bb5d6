import type { BuildWish } from '@wide-fern/contract';
import { noteName, type NoteWriting, type Purpose, type Tonight } from '@wide-fern/core';
import type { Proposal } from '@wide-fern/plan';
import { lengthInFigures } from '../time';

/** Something a plan leaves open, with its one act. */
export interface LeftOpen {
  readonly words: string;
  readonly act: string;
  readonly next: BuildWish;
}

/** A wished skill with less than this is called open. */
const little = 60;
const mostSaid = 4;

/** What a plan leaves open: wishes that get little, and notes nobody comes to. */
export function leftOpenInWords(
  { served }: Pick<Proposal, 'served'>,
  wishes: Readonly<Partial<Record<Purpose, number>>>,
  said: BuildWish,
  tonight: Tonight,
  writing: NoteWriting,
): readonly LeftOpen[] {
  const weigh = (skill: Purpose, weight: number): BuildWish => ({
    ...said,
    wishes: { ...said.wishes, [skill]: Math.min(3, weight) },
  });
  const skills = (Object.entries(wishes) as [Purpose, number][])
    .filter(([skill]) => (served.seconds[skill] ?? 0) < little)
    .sort(([, a], [, b]) => b - a)
    .map(([skill, weight]): LeftOpen => {
      const seconds = served.seconds[skill] ?? 0;
      const first = skill.charAt(0).toUpperCase() + skill.slice(1);
      return {
        words:
          seconds < 1
            ? `${first} gets nothing.`
            : `${first} gets only ${lengthInFigures(seconds)}.`,
        act: weight >= 3 ? 'leave it' : 'wish for it more',
        next:
          weight >= 3
            ? { ...said, wishes: { ...said.wishes, [skill]: 0 } }
            : weigh(skill, weight + 1),
      };
    });
  const notes = tonight.needs.flatMap(({ part, highest, highestIn, lowest, lowestIn }) => {
    const section = tonight.sections.find(({ id }) => id === part);
    if (!section) return [];
    const { high, low } = served.reached[part] ?? {};
    const name = (note: number) => noteName(note, writing);
    const many = section.many.charAt(0).toUpperCase() + section.many.slice(1);
    const isOpen = (end: 'top' | 'bottom') =>
      served.open.some((step) => step.part === part && step.end === end);
    const lines: LeftOpen[] = [];
    if (isOpen('top') && high !== undefined && high < highest) {
      lines.push({
        words: `${many} stop at ${name(high)}; “${highestIn}” goes to ${name(highest)}.`,
        act: 'wish for top notes',
        next: weigh('top notes', 3),
      });
    }
    if (isOpen('bottom') && low !== undefined && low > lowest) {
      lines.push({
        words: `${many} stop at ${name(low)}; “${lowestIn}” goes down to ${name(lowest)}.`,
        act: 'wish for low notes',
        next: weigh('low notes', 3),
      });
    }
    return lines;
  });
  return [...notes, ...skills].slice(0, mostSaid);
}
