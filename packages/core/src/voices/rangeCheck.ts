import type { MidiNote, PitchRange, Semitones } from '../units';

/** What a singer says of a note: easy, it came out but not easily, or it is not there. */
export const checkAnswers = ['easy', 'came-out', 'no'] as const;
export type CheckAnswer = (typeof checkAnswers)[number];

/** The ways of a check: up from the start, down from it, then, if wanted, the light register. */
export const checkWays = ['up', 'down', 'light'] as const;
export type CheckWay = (typeof checkWays)[number];

/** One answer that was given. */
export interface CheckStep {
  readonly way: CheckWay;
  readonly note: MidiNote;
  readonly answer: CheckAnswer;
}

/** A range check as it goes on: where it began and what was answered. Everything else follows. */
export interface CheckProgress {
  readonly start: MidiNote;
  readonly light: boolean;
  /** What is expected to be easy: well inside it the check goes by larger steps. Null: by semitones. */
  readonly expected: PitchRange | null;
  readonly steps: readonly CheckStep[];
  /** Where the voice was heard to change its register, from low to high. */
  readonly changes: readonly MidiNote[];
}

/** No note of a check lies beyond these: E1 and C7. */
export const checkLimits = { lowest: 28, highest: 96 } as const;

/** A voice has a few changes of register at most. */
export const mostChanges = 4;

/** Where a check stands: the note that is asked for now; that the start was not easy; or that it is done. */
export type CheckNow =
  | { readonly kind: 'ask'; readonly way: CheckWay; readonly note: MidiNote }
  | { readonly kind: 'other-start'; readonly tried: MidiNote }
  | { readonly kind: 'done' };

/** What a check has found so far; undefined before the first easy note. */
export interface CheckFound {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly lightTop: MidiNote | null;
  /** Where the voice changes its register, from low to high; empty when it was not noted. */
  readonly changes: readonly MidiNote[];
}

/** A comfortable middle note to begin on: the middle of a part's lower half, where speech lies. */
export const usualStart = ([low, high]: PitchRange): MidiNote => Math.floor(low + (high - low) / 3);

export const beginCheck = (
  start: MidiNote,
  { light = false, expected = null }: Partial<Pick<CheckProgress, 'light' | 'expected'>> = {},
): CheckProgress => ({ start, light, expected, steps: [], changes: [] });

const stepsOf = (check: CheckProgress, way: CheckWay): readonly CheckStep[] =>
  check.steps.filter((step) => step.way === way);

/** The last notes at either end of what is expected to be easy are asked for one by one. */
const margin: Semitones = 2;

/** The note after this one: by a larger step while that stays well inside what is expected to be easy. */
export function checkAfter(
  note: MidiNote,
  way: 'up' | 'down',
  expected: PitchRange | null,
  larger: Semitones,
): MidiNote {
  const leap = way === 'up' ? note + larger : note - larger;
  const isInside =
    expected !== null && expected[0] + margin <= leap && leap <= expected[1] - margin;
  return isInside ? leap : way === 'up' ? note + 1 : note - 1;
}

/** The larger steps of one singer's check. */
const largerStep: Semitones = 3;

/**
 * A note that was leapt over and is in question now, because the next one asked beyond it is no
 * longer what the last one before it was: first where it stops being easy, then where it stops
 * coming out.
 */
function leaptOver(steps: readonly CheckStep[], sign: 1 | -1): MidiNote | undefined {
  const along = [...steps].sort((a, b) => sign * (a.note - b.note));
  const gapBefore = (isOver: (answer: CheckAnswer) => boolean): MidiNote | undefined => {
    const beyond = along.findIndex(({ answer }) => isOver(answer));
    const before = along[beyond - 1]?.note;
    if (before === undefined) return undefined;
    return before + sign === along[beyond]!.note ? undefined : before + sign;
  };
  return gapBefore((answer) => answer !== 'easy') ?? gapBefore((answer) => answer === 'no');
}

/** The next note of one way, or undefined when the way is at its end: at a «no», or at the last note there is. */
function nextOn(check: CheckProgress, way: CheckWay): MidiNote | undefined {
  const steps = stepsOf(check, way);
  const from = way === 'light' ? lightFrom(check) : check.start;
  const direction = way === 'down' ? 'down' : 'up';
  const sign = way === 'down' ? -1 : 1;
  // Going down begins beside the start, which was easy.
  const known: readonly CheckStep[] =
    way === 'down' ? [{ way, note: from, answer: 'easy' }, ...steps] : steps;
  const between = leaptOver(known, sign);
  if (between !== undefined) return between;
  if (steps.some(({ answer }) => answer === 'no')) return undefined;
  if (known.length === 0) return from;
  const last = known.reduce((most, { note }) => (sign * (note - most) > 0 ? note : most), from);
  const isEasy = way !== 'light' && known.every(({ answer }) => answer === 'easy');
  const next = checkAfter(last, direction, isEasy ? check.expected : null, largerStep);
  return next < checkLimits.lowest || next > checkLimits.highest ? undefined : next;
}

/** The light register is looked for from the highest easy note of the full one. */
const lightFrom = (check: CheckProgress): MidiNote =>
  stepsOf(check, 'up').reduce(
    (most, { note, answer }) => (answer === 'easy' ? Math.max(most, note) : most),
    check.start,
  );

/** What is asked for now. */
export function checkNow(check: CheckProgress): CheckNow {
  const [first] = check.steps;
  if (first && first.answer !== 'easy') return { kind: 'other-start', tried: first.note };
  for (const way of checkWays) {
    if (way === 'light' && !check.light) continue;
    const note = nextOn(check, way);
    if (note !== undefined) return { kind: 'ask', way, note };
  }
  return { kind: 'done' };
}

/** Takes an answer to the note that is asked for; a check that asks for none stays as it is. */
export function answerCheck(check: CheckProgress, answer: CheckAnswer): CheckProgress {
  const now = checkNow(check);
  if (now.kind !== 'ask') return check;
  return { ...check, steps: [...check.steps, { way: now.way, note: now.note, answer }] };
}

/** Takes the last answer back. */
export const undoCheck = (check: CheckProgress): CheckProgress => ({
  ...check,
  steps: check.steps.slice(0, -1),
});

/** Begins again on another note when the first was not easy. */
export const startElsewhere = (check: CheckProgress, start: MidiNote): CheckProgress => ({
  ...check,
  start: Math.min(checkLimits.highest, Math.max(checkLimits.lowest, start)),
  steps: [],
  changes: [],
});

/** Notes in passing that the voice changes its register at a note, or takes that back. */
export function noteChange(changes: readonly MidiNote[], note: MidiNote): readonly MidiNote[] {
  if (changes.includes(note)) return changes.filter((one) => one !== note);
  return changes.length >= mostChanges ? changes : [...changes, note].sort((a, b) => a - b);
}

/**
 * What a check has found: the last easy note each way is the comfort's limit, the last note that
 * came out at all the reach's; the light register's top is the last note that came out in it
 * (docs/model.md, section 2). Notes between two easy ones that were leapt over count as easy.
 */
export function foundBy(check: CheckProgress): CheckFound | undefined {
  const full = check.steps.filter(({ way }) => way !== 'light');
  const easy = full.filter(({ answer }) => answer === 'easy').map(({ note }) => note);
  const out = full.filter(({ answer }) => answer !== 'no').map(({ note }) => note);
  if (easy.length === 0) return undefined;
  const light = stepsOf(check, 'light').filter(({ answer }) => answer !== 'no');
  return {
    comfort: [Math.min(...easy), Math.max(...easy)],
    reach: [Math.min(...out), Math.max(...out)],
    lightTop: light[light.length - 1]?.note ?? null,
    changes: check.changes,
  };
}
