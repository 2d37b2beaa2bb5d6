import type { Segment } from '@wide-fern/contract';
import { singsIn, tonicName, type Listening } from '@wide-fern/core';
import { listeningOf } from '@wide-fern/plan';
import { cautions } from '../cautions';
import { cueLine, howOften, saidAndDone, singleLines } from './lead';
import { plain, sheetWith, type Headed, type Line, type OfSegment, type SheetOf } from './sheet';

/** A key in which an exercise is practised. */
export interface PracticeKey {
  readonly name: string;
  /** Whether the part whose page it is sings there. */
  readonly sings: boolean;
}

/** An exercise as it is practised at home. */
export interface PracticeEntry extends Headed {
  /** Which exercise it is. */
  readonly exercise: string;
  readonly figure: string;
  /** The cue, and what it is for. */
  readonly first: Line;
  readonly lines: readonly Line[];
  /** What to mind, beside pain. */
  readonly cautions: readonly string[];
  readonly keys: readonly PracticeKey[];
  /** Every part in every key; undefined for what is not sung on given notes. */
  readonly listening: Listening | undefined;
}

/** What singers practise from at home. */
export interface PracticeText {
  readonly title: string;
  readonly under: string;
  readonly entries: readonly PracticeEntry[];
}

function entryFor(of: OfSegment, part: string | undefined) {
  const { exercise } = of.segment;
  const listening = listeningOf(of, of.sections);
  return {
    exercise: exercise.id,
    figure: exercise.figure,
    first: cueLine(exercise),
    lines: [
      ...saidAndDone(of),
      ...exercise.steps.map(plain),
      plain(howOften(of)),
      ...singleLines(of.segment),
    ],
    cautions: exercise.cautions.filter((caution) => caution !== cautions.pain),
    keys: (listening?.score.keys ?? []).map((key): PracticeKey => ({
      name: tonicName(key.tonic, of.wording.mode, of.writing),
      sings: part === undefined || singsIn(key, part),
    })),
    listening,
  };
}

/**
 * A warm-up to practise at home.
 * @param part whose page it is; everybody's without
 */
export function practiceFor(of: SheetOf, part?: string): PracticeText {
  const who = of.document.tonight.sections.find(({ id }) => id === part)?.many;
  return sheetWith(
    of,
    (segment) => entryFor(segment, part),
    () => [of.choir, ...(who ? [`for ${who}`] : []), 'to practise at home'].join(' · '),
  );
}

/**
 * Hard bars as they are written, to practise at home: of each the parts that sing there.
 * @param part whose page it is: what it does not sing is left out
 */
export function barsToPractise(
  of: SheetOf,
  bars: readonly Segment[],
  part?: string,
): readonly PracticeEntry[] {
  const { tonight } = of.document;
  return bars.flatMap((bar) => {
    const parts = bar.exercise.source?.parts ?? [];
    const sections = tonight.sections.filter(({ id }) => parts.includes(id));
    if (sections.length === 0 || (part !== undefined && !parts.includes(part))) return [];
    const document = { ...of.document, tonight: { ...tonight, sections }, segments: [bar] };
    // How often they are sung is nobody's choice: once, as it is written.
    return practiceFor({ ...of, document }, part).entries.map((entry) => ({ ...entry, lines: [] }));
  });
}
