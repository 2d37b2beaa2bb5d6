import type { Choices, EditFact, PlanDocument, PlanEdit, Segment } from '@wide-fern/contract';
import { hasKeys, segmentSeconds } from '@wide-fern/core';
import { segmentOf } from '../document/document';
import { toldCells } from './telling';

/**
 * What an edit did, as facts to be put into words; the documents are those before and after it. An
 * edit of several choices is a fact for each.
 */
export function factsOf(edit: PlanEdit, before: PlanDocument, after: PlanDocument): EditFact[] {
  const place = (id: string): number => after.segments.findIndex((one) => one.id === id) + 1;
  const nameOf = (id: string): string =>
    (segmentOf(after, id) ?? segmentOf(before, id))?.exercise.name ?? '';
  const unitOf = (id: string) => countedIn(segmentOf(after, id) ?? segmentOf(before, id));
  switch (edit.kind) {
    case 'add': {
      const { id, exercise } = edit.segment;
      return place(id) > 0 ? [{ code: 'added', name: exercise.name, place: place(id) }] : [];
    }
    case 'take-out':
      return [{ code: 'taken-out', name: nameOf(edit.id) }];
    case 'move':
      return place(edit.id) > 0
        ? [
            {
              code: 'moved',
              name: nameOf(edit.id),
              place: place(edit.id),
              of: after.segments.length,
            },
          ]
        : [];
    case 'choose':
      return [...(Object.keys(edit.choices) as (keyof Choices)[]), ...(edit.without ?? [])].flatMap(
        (field): EditFact[] => {
          if (field === 'reset') {
            return [
              { code: 'reset', name: nameOf(edit.id), every: edit.choices.reset?.every ?? null },
            ];
          }
          if (field === 'told') {
            return [{ code: 'told', name: nameOf(edit.id), cells: toldCells(edit.choices.told) }];
          }
          if (field === 'inKeys' || field === 'inTimes') {
            const count = Object.keys(edit.choices[field] ?? {}).length;
            const unit = field === 'inKeys' ? 'keys' : 'times';
            return [{ code: 'single', name: nameOf(edit.id), unit, count }];
          }
          // A choice that was taken back is told as nothing.
          const value = edit.choices[field] ?? null;
          const counted = field === 'repetitions' ? { unit: unitOf(edit.id) } : {};
          return [{ code: 'chosen', name: nameOf(edit.id), field, value, ...counted }];
        },
      );
    case 'together':
      return togetherFacts(edit, before, after);
    case 'tonight':
      return [{ code: 'tonight' }];
    case 'replace':
      return [replacedFact(edit, after)];
  }
}

/** What a segment's number counts. */
function countedIn(segment: Segment | undefined): 'keys' | 'rounds' | 'times' {
  const music = segment?.exercise.music;
  if (music?.kind === 'breath') return 'rounds';
  return music && hasKeys(music) ? 'keys' : 'times';
}

/** What several edits at once did: as one where they are told as one, else each by itself. */
function togetherFacts(
  { edits, as }: Extract<PlanEdit, { kind: 'together' }>,
  before: PlanDocument,
  after: PlanDocument,
): EditFact[] {
  const added = edits.find((one) => one.kind === 'add')?.segment.exercise.name ?? '';
  if (as === 'split') return [{ code: 'split', name: added }];
  if (as === 'instead') {
    const gone = edits.find((one) => one.kind === 'take-out')?.id ?? '';
    return [{ code: 'instead', name: added, was: segmentOf(before, gone)?.exercise.name ?? '' }];
  }
  return edits.flatMap((edit) => factsOf(edit, before, after));
}

/** What came in the place of the whole plan. */
function replacedFact(
  { as }: Extract<PlanEdit, { kind: 'replace' }>,
  after: PlanDocument,
): EditFact {
  if (as === 'built') return { code: 'built', segments: after.segments.length };
  if (as === 'fitted') {
    const seconds = after.segments.reduce(
      (sum, { exercise, choices }) => sum + segmentSeconds(exercise, choices),
      0,
    );
    return { code: 'fitted', seconds: Math.round(seconds) };
  }
  return { code: 'replaced' };
}
