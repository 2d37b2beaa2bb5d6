import { savePartsSchema, type ChoirPart } from '@wide-fern/contract';
import { notANote } from '@wide-fern/words';
import {
  mixedChoir,
  noteName,
  octaveSteps,
  readNoteKindly,
  type NoteNames,
  type RangeEnd,
} from '@wide-fern/core';

/** A part as its form holds it: notes are written as names. */
export interface PartForm {
  readonly id: string;
  readonly one: string;
  readonly many: string;
  readonly comfortLow: string;
  readonly comfortHigh: string;
  readonly reachLow: string;
  readonly reachHigh: string;
  readonly changeLow: string;
  readonly changeHigh: string;
  readonly octave: string;
  readonly end: RangeEnd;
}

const noteFields = [
  'comfortLow',
  'comfortHigh',
  'reachLow',
  'reachHigh',
  'changeLow',
  'changeHigh',
] as const;

export function toPartForm(part: ChoirPart, writing: NoteNames): PartForm {
  const name = (note: number) => noteName(note, writing);
  return {
    id: part.id,
    one: part.one,
    many: part.many,
    comfortLow: name(part.comfort[0]),
    comfortHigh: name(part.comfort[1]),
    reachLow: name(part.reach[0]),
    reachHigh: name(part.reach[1]),
    changeLow: name(part.change[0]),
    changeHigh: name(part.change[1]),
    octave: String(part.octave),
    end: part.end,
  };
}

/** One more part: the first of a mixed choir that is not there yet, else an alto with other letters. */
export function newPartForm(forms: readonly PartForm[], writing: NoteNames): PartForm {
  const missing = mixedChoir.find(({ id }) => forms.every((form) => form.id !== id));
  const form = toPartForm(missing ?? mixedChoir[1]!, writing);
  return missing ? form : { ...form, id: `P${forms.length + 1}` };
}

export type PartsResult =
  | { readonly kind: 'parts'; readonly parts: ChoirPart[] }
  /** Messages by «place.field», or under «all». */
  | { readonly kind: 'wrong'; readonly fields: Readonly<Record<string, string>> };

/** Which field of a form a figure of the part is typed in. */
const fieldOf: Readonly<Record<string, string>> = {
  comfort: 'comfortLow',
  reach: 'reachLow',
  change: 'changeLow',
};

/** Checks the parts by the same rules as the server. */
export function readParts(forms: readonly PartForm[], writing: NoteNames): PartsResult {
  const fields: Record<string, string> = {};
  const parts = forms.map((form, i) => {
    const notes = Object.fromEntries(
      noteFields.map((field) => {
        const [note, other] = readNoteKindly(form[field], writing.naming);
        if (note === undefined || other !== undefined) {
          fields[`${i}.${field}`] = notANote(form[field], writing);
        }
        return [field, note ?? 0];
      }),
    ) as Record<(typeof noteFields)[number], number>;
    return {
      id: form.id,
      one: form.one,
      many: form.many,
      octave: octaveSteps.find((step) => String(step) === form.octave) ?? 0,
      comfort: [notes.comfortLow, notes.comfortHigh],
      reach: [notes.reachLow, notes.reachHigh],
      change: [notes.changeLow, notes.changeHigh],
      end: form.end,
    };
  });
  if (Object.keys(fields).length > 0) return { kind: 'wrong', fields };
  const parsed = savePartsSchema.shape.parts.safeParse(parts);
  if (parsed.success) return { kind: 'parts', parts: parsed.data };
  for (const { path, message } of parsed.error.issues) {
    const [at, name] = path;
    const key = at === undefined ? 'all' : `${String(at)}.${fieldOf[String(name)] ?? String(name)}`;
    fields[key] ??= message;
  }
  return { kind: 'wrong', fields };
}

/** The parts with one of them a place higher or lower. */
export function partMoved<T>(forms: readonly T[], at: number, by: 1 | -1): T[] {
  const next = [...forms];
  next.splice(at + by, 0, ...next.splice(at, 1));
  return next;
}

/** The codes of parts that would go although singers sing them, from what the server refused. */
export const partsLeft = (refused: Readonly<Record<string, string>>): string[] =>
  Object.keys(refused).flatMap((field) =>
    field.startsWith('moves.') ? [field.slice('moves.'.length)] : [],
  );
