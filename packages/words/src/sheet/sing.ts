import { hasKeys, scoreOfPart, segmentScore, singsIn } from '@wide-fern/core';
import { passesInWords } from '../passes';
import { cueLine, firstKey, howOften, keyTable, saidAndDone, singleLines } from './lead';
import { plain, sheetWith, type OfSegment, type SheetOf, type SheetText } from './sheet';

/** What one part sings in the first key in which it sings. */
function ownScore({ segment, computed, sections }: OfSegment, part: string) {
  if (!hasKeys(segment.exercise.music)) return undefined;
  const whole = segmentScore(segment, sections, computed.repetitions);
  const key = whole?.keys.find((one) => singsIn(one, part));
  return whole && key ? scoreOfPart({ ...whole, keys: [key] }, part) : undefined;
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
      ...singleLines(of.segment),
      ...(exercise.passes ? [plain(passesInWords(exercise.passes, exercise.music).join(' '))] : []),
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
