import { limitsProblemInWords, notANote, undecidedName } from '@wide-fern/words';
import {
  singerFieldsSchema,
  type ChoirPart,
  type Singer,
  type SingerFields,
} from '@wide-fern/contract';
import {
  columnHeadings,
  limitsProblems,
  noteName,
  readNoteKindly,
  reachOfAll,
  type NoteNames,
  type PitchRange,
} from '@wide-fern/core';

/** A singer as the form holds them: notes are written as names. */
export interface SingerForm {
  name: string;
  part: string;
  also: string[];
  comfortLow: string;
  comfortHigh: string;
  reachLow: string;
  reachHigh: string;
  lightTop: string;
  changes: string;
  states: SingerFields['states'];
  onLeave: boolean;
  notes: string;
}

export const noteFields = [
  'comfortLow',
  'comfortHigh',
  'reachLow',
  'reachHigh',
  'lightTop',
] as const;

/** How each limit is called where it is typed. */
export const limitWords: Readonly<Record<(typeof noteFields)[number], string>> = {
  comfortLow: columnHeadings.easyFrom,
  comfortHigh: columnHeadings.easyTo,
  reachLow: columnHeadings.reachFrom,
  reachHigh: columnHeadings.reachTo,
  lightTop: columnHeadings.lightTo,
};

/** The form of a singer, or of a new one. */
export function toForm(singer: Singer | undefined, part: string, writing: NoteNames): SingerForm {
  const name = (note: number | null | undefined) =>
    note === null || note === undefined ? '' : noteName(note, writing);
  return {
    name: singer?.name ?? '',
    part: singer ? (singer.part ?? '') : part,
    also: singer?.also ?? [],
    comfortLow: name(singer?.comfort?.[0]),
    comfortHigh: name(singer?.comfort?.[1]),
    reachLow: name(singer?.reach?.[0]),
    reachHigh: name(singer?.reach?.[1]),
    lightTop: name(singer?.lightTop),
    changes: (singer?.changes ?? []).map(name).join(', '),
    states: singer?.states ?? [],
    onLeave: singer?.onLeave ?? false,
    notes: singer?.notes ?? '',
  };
}

/** A form as it would be stored, or what is wrong, at its field. */
export type FormResult =
  | { readonly kind: 'singer'; readonly singer: SingerFields }
  | { readonly kind: 'wrong'; readonly fields: Partial<Record<keyof SingerForm, string>> };

/** Checks a form by the same rules as the server: notes, their order, the part's octave. */
export function readForm(
  form: SingerForm,
  parts: readonly ChoirPart[],
  writing: NoteNames,
): FormResult {
  const fields: Partial<Record<keyof SingerForm, string>> = {};
  const notes: Partial<Record<(typeof noteFields)[number], number>> = {};
  for (const field of noteFields) {
    const text = form[field].trim();
    if (text === '') continue;
    const [note, other] = readNoteKindly(text, writing.naming);
    if (note === undefined || other !== undefined) fields[field] = notANote(text, writing);
    else notes[field] = note;
  }
  const { comfortLow, comfortHigh } = notes;
  let comfort: PitchRange | null = null;
  let reach: PitchRange | null = null;
  if (comfortLow !== undefined && comfortHigh !== undefined) {
    comfort = [comfortLow, comfortHigh];
    reach = [notes.reachLow ?? comfortLow, notes.reachHigh ?? comfortHigh];
  } else if (Object.keys(notes).length > 0) {
    for (const field of ['comfortLow', 'comfortHigh'] as const) {
      if (notes[field] === undefined) fields[field] ??= 'A range needs both easy notes.';
    }
  }
  const changes = form.changes.split(/[,;\s]+/).flatMap((text) => {
    if (text === '') return [];
    const [note, other] = readNoteKindly(text, writing.naming);
    if (note === undefined || other !== undefined) fields.changes ??= notANote(text, writing);
    return note ?? [];
  });
  const part = parts.find(({ id }) => id === form.part);
  const lightTop = notes.lightTop ?? null;
  if (comfort && reach) {
    const usual = part?.reach ?? reachOfAll(parts);
    for (const problem of limitsProblems({ comfort, reach, lightTop }, usual)) {
      fields[problem.field] ??= limitsProblemInWords(problem, part ?? undecidedName, writing);
    }
  }
  const { name, also, states, onLeave, notes: remarks } = { ...form };
  const parsed = singerFieldsSchema.safeParse({
    name,
    part: form.part === '' ? null : form.part,
    also: also.filter((id) => id !== form.part),
    comfort,
    reach,
    lightTop,
    changes,
    states,
    onLeave,
    notes: remarks,
  });
  if (!parsed.success) {
    for (const { path, message } of parsed.error.issues) {
      // Of the limits more is known already than that something is wrong with them.
      const isLimit = path[0] === 'comfort' || path[0] === 'reach';
      if (isLimit && noteFields.some((field) => fields[field] !== undefined)) continue;
      fields[isLimit ? 'comfortLow' : (path[0] as keyof SingerForm)] ??= message;
    }
  }
  return parsed.success && Object.keys(fields).length === 0
    ? { kind: 'singer', singer: parsed.data }
    : { kind: 'wrong', fields };
}
