import type { PartLine } from '../exercise/partLines';
import type { Score, ScoreKey } from './score';

const sings = ({ events }: PartLine): boolean => events.some(({ midi }) => midi !== null);

/** Whether a part sings in a key of a score at all. */
export const singsIn = ({ lines }: ScoreKey, part: string): boolean =>
  lines.some((line) => line.part === part && sings(line));

/** What one part sings of a score: its own line in every key, in those in which it rests none. */
export function scoreOfPart(score: Score, part: string): Score {
  const own = (lines: readonly PartLine[]) => lines.filter((line) => line.part === part);
  return {
    ...score,
    parts: score.parts.filter(({ id }) => id === part),
    keys: score.keys.map(({ verses, ...key }) => ({
      ...key,
      lines: own(key.lines),
      ...(verses ? { verses: verses.map(own) } : {}),
    })),
  };
}
