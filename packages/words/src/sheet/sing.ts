import { hasKeys, segmentScore } from '@wide-fern/core';
import { passesInWords } from '../passes';
import { cueLine, firstKey, howOften, keyTable, saidAndDone, singleLines } from './lead';
import { plain, sheetWith, type OfSegment, type SheetOf, type SheetText } from './sheet';

/** What one part sings in the first key in which it sings. */
function ownScore({ segment, computed, sections }: OfSegment, part: string) {
  if (!hasKeys(segment.exercise.music)) return undefined;
  const section = sections.filter(({ id }) => id === part);
  const first = computed.repetitions.findIndex(({ parts }) =>
    parts.some((sounding) => sounding.part === part && sounding.does === 'sing'),
  );
  const score = first < 0 ? undefined : segmentScore(segment, section, computed.repetitions);
  if (!score) return undefined;
  return {
    ...score,
    keys: score.keys.slice(first, first + 1).map((key) => ({
      ...key,
      lines: key.lines.filter((line) => line.part === part),
    })),
  };
}

const entryFor = (part: string | undefined) => (of: OfSegment) => {
  const { exercise } = of.segment;
  const cue = cueLine({ cue: exercise.cue, purpose: '' });
  const score = part === undefined ? firstKey(of) : ownScore(of, part);
  return {
    beside: exercise.figure,
    first: cue.length > 0 ? [cue] : [],
    notes: score && { kind: 'score' as const, score },
    lines: [
      ...saidAndDone(of),
      plain(howOften(of)),
      ...singleLines(of.segment.choices),
      ...(exercise.passes ? [plain(passesInWords(exercise.passes).join(' '))] : []),
    ],
    table: part === undefined ? undefined : keyTable(of, part),
  };
};

/**
 * For those who sing: words, notes and what to do; for one part its own notes, in the first key in which it
 * sings, and the note it begins on in every key.
 */
export function singSheet(of: SheetOf, part?: string): SheetText {
  const who = of.document.tonight.sections.find(({ id }) => id === part)?.many ?? 'all who sing';
  return sheetWith(
    of,
    entryFor(part),
    (_, clock) => `${of.choir} · for ${who} · warm-up from ${clock.minute(of.start)}`,
  );
}
