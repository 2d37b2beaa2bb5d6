import type { Choices, PlanDocument, PlanEdit, Segment } from '@wide-fern/contract';
import { segmentOf } from '../document/document';
import { sameValue as same } from '../document/inOrder';
import { moved } from '../order';
import { beforePlace, choose } from './edits';
import { perform } from './perform';

/** What is chosen otherwise, as an edit; undefined where nothing is. */
function chosenBetween(
  { choices: was }: Segment,
  { id, choices: now }: Segment,
): PlanEdit | undefined {
  const names = Object.keys({ ...was, ...now }) as (keyof Choices)[];
  const changed = names.filter((name) => !same(was[name], now[name]));
  if (changed.length === 0) return undefined;
  const isGone = (name: keyof Choices) => now[name] === undefined;
  return choose(
    id,
    Object.fromEntries(changed.map((name) => [name, isGone(name) ? undefined : now[name]])),
  );
}

/**
 * Edits that lead from one document to another, as few as can be: what was taken out, added, moved
 * and chosen. Undefined where a segment has another exercise under the same id.
 */
export function editsBetween(from: PlanDocument, to: PlanDocument): PlanEdit[] | undefined {
  const edits: PlanEdit[] = [];
  const shared = to.segments.filter(({ id }) => segmentOf(from, id));
  for (const now of shared) {
    const was = segmentOf(from, now.id)!;
    if (!same(was.exercise, now.exercise)) return undefined;
    const chosen = chosenBetween(was, now);
    if (chosen) edits.push(chosen);
  }
  if (!same(from.tonight, to.tonight))
    edits.push({ kind: 'tonight', tonight: to.tonight, starts: {} });
  for (const { id } of from.segments) {
    if (!segmentOf(to, id)) edits.push({ kind: 'take-out', id });
  }
  const kept = from.segments.filter(({ id }) => segmentOf(to, id)).map(({ id }) => id);
  const displaced = moved(
    kept,
    shared.map(({ id }) => id),
  );
  // From the first place to the last, so that what each follows stands there already.
  to.segments.forEach((segment, place) => {
    const after = beforePlace(to.segments, place);
    if (!segmentOf(from, segment.id)) edits.push({ kind: 'add', segment, after });
    else if (displaced.has(segment.id)) edits.push({ kind: 'move', id: segment.id, after });
  });
  return edits;
}

/** What an edit touches, as words that are equal where two edits touch the same. */
function touchedBy(edit: PlanEdit): readonly string[] {
  switch (edit.kind) {
    case 'add':
      return [`there ${edit.segment.id}`];
    case 'take-out':
      return [`there ${edit.id}`, `place ${edit.id}`, `choices ${edit.id}`];
    case 'move':
      return [`place ${edit.id}`];
    case 'choose':
      return [
        `choices ${edit.id}`,
        ...[...Object.keys(edit.choices), ...(edit.without ?? [])].map(
          (name) => `${name} ${edit.id}`,
        ),
      ];
    case 'together':
      return edit.edits.flatMap(touchedBy);
    case 'tonight':
      return ['tonight'];
    case 'replace':
      return ['all'];
  }
}

/** What an edit rests on and does not touch: the segment it puts another behind. */
const restsOn = (edit: PlanEdit): readonly string[] =>
  (edit.kind === 'add' || edit.kind === 'move') && edit.after !== null
    ? [`there ${edit.after}`, `place ${edit.after}`]
    : [];

function collide(mine: PlanEdit, theirs: PlanEdit): boolean {
  if (mine.kind === 'replace' || theirs.kind === 'replace') return true;
  // Both did the very same.
  if (same(mine, theirs)) return false;
  const [here, there] = [touchedBy(mine), touchedBy(theirs)];
  if (mine.kind === 'choose' && theirs.kind === 'choose') {
    // Different choices of one segment go together.
    return here.slice(1).some((one) => there.includes(one));
  }
  return (
    here.some((one) => there.includes(one) || restsOn(theirs).includes(one)) ||
    restsOn(mine).some((one) => there.includes(one))
  );
}

/** Two versions that began from the same one: put together, or not, because both changed the same. */
export type Merged =
  | {
      readonly kind: 'merged';
      readonly document: PlanDocument;
      readonly edits: readonly PlanEdit[];
    }
  | { readonly kind: 'clash' };

/**
 * Puts two versions of a plan together that both began from the same one. Where both changed the
 * same thing (a choice of a segment, its place, whether it is there, what keys rest on) nothing is
 * decided: that is for a person. The edits are those of mine that were done on theirs.
 */
export function merge(base: PlanDocument, mine: PlanDocument, theirs: PlanDocument): Merged {
  const ours = editsBetween(base, mine);
  const others = editsBetween(base, theirs);
  if (!ours || !others) return { kind: 'clash' };
  if (ours.some((one) => others.some((other) => collide(one, other)))) return { kind: 'clash' };
  let document = theirs;
  const done: PlanEdit[] = [];
  for (const edit of ours) {
    const performed = perform(document, edit);
    // What cannot be done on theirs (the plan is full) is not dropped unseen. What is so already is done.
    if (!performed && edit.kind === 'add') return { kind: 'clash' };
    if (!performed) continue;
    document = performed.document;
    done.push(edit);
  }
  return { kind: 'merged', document, edits: done };
}
