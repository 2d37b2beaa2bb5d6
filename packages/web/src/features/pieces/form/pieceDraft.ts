import type { Piece, Ranges, StorePiece } from '@wide-fern/contract';
import { type Section, noteName, own, readNoteKindly, type NoteNames } from '@wide-fern/core';
import { notANote } from '@wide-fern/words';
/** A piece as it is typed. */
export interface PieceDraft {
  readonly title: string;
  readonly composer: string;
  readonly language: string;
  readonly tempo: string;
  readonly notes: string;
  /** By part: lowest and highest note as typed. */
  readonly ranges: Readonly<Record<string, readonly [low: string, high: string]>>;
}

/** What is wrong with it, by field: «title», «tempo», «S». */
export type DraftErrors = Readonly<Record<string, string>>;

export function draftOf(piece: Piece | undefined, writing: NoteNames): PieceDraft {
  const of = piece?.piece;
  return {
    title: of?.title ?? '',
    composer: of?.composer ?? '',
    language: of?.language ?? '',
    tempo: of?.tempo === null || of === undefined ? '' : String(of.tempo),
    notes: of?.notes ?? '',
    ranges: Object.fromEntries(
      Object.entries(of?.ranges ?? {}).map(([part, [low, high]]) => [
        part,
        [noteName(low, writing), noteName(high, writing)] as const,
      ]),
    ),
  };
}

/** Reads the typed notes of one part; undefined where nothing is typed. */
function rangeOf(
  typed: readonly [string, string],
  writing: NoteNames,
): { range: readonly [number, number] } | { error: string } | undefined {
  if (typed.every((text) => text.trim() === '')) return undefined;
  const read = typed.map((text) => readNoteKindly(text, writing.naming));
  const unclear = read.findIndex(({ length }) => length !== 1);
  if (unclear >= 0) return { error: notANote(typed[unclear]!, writing) };
  const [lowest, highest] = [read[0]![0]!, read[1]![0]!];
  if (lowest > highest) return { error: 'The lowest note lies above the highest.' };
  return { range: [lowest, highest] };
}

/** What is stored of a draft, or what is wrong with it. */
export function readDraft(
  draft: PieceDraft,
  sections: readonly Section[],
  piece: Piece | undefined,
  writing: NoteNames,
): { readonly body: StorePiece } | { readonly errors: DraftErrors } {
  const errors: Record<string, string> = {};
  if (draft.title.trim() === '') errors.title = 'Write the title here.';
  const tempo = draft.tempo.trim() === '' ? null : Number(draft.tempo.replace(',', '.'));
  if (tempo !== null && !(tempo >= 20 && tempo <= 240)) {
    errors.tempo = 'Beats a minute, from 20 to 240; leave it empty when it does not matter.';
  }
  const ranges: Ranges = {};
  for (const { id } of sections) {
    const read = rangeOf(own(draft.ranges, id) ?? ['', ''], writing);
    if (read && 'error' in read) errors[id] = read.error;
    else if (read) ranges[id] = read.range;
  }
  if (Object.keys(errors).length > 0) return { errors };
  const of = piece?.piece;
  const score = of?.score ?? null;
  return {
    body: {
      title: draft.title.trim(),
      composer: draft.composer.trim(),
      language: draft.language.trim(),
      tempo,
      transpose: of?.transpose ?? 0,
      notes: draft.notes.trim(),
      ranges: score ? of!.ranges : ranges,
      score: score && { file: score.file, mapping: score.mapping },
    },
  };
}
