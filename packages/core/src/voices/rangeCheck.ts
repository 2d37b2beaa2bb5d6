import type { MidiNote, PitchRange } from '../units';

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
  readonly steps: readonly CheckStep[];
}

/** No note of a check lies beyond these: E1 and C7. */
export const checkLimits = { lowest: 28, highest: 96 } as const;

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
}

/** A comfortable middle note to begin on: the middle of a part's lower half, where speech lies. */
export const usualStart = ([low, high]: PitchRange): MidiNote => Math.floor(low + (high - low) / 3);

export const beginCheck = (start: MidiNote, light = false): CheckProgress => ({
  start,
  light,
  steps: [],
});

const stepsOf = (check: CheckProgress, way: CheckWay): readonly CheckStep[] =>
  check.steps.filter((step) => step.way === way);

/** The next note of one way, or undefined when the way is at its end: at a «no», or at the last note there is. */
function nextOn(check: CheckProgress, way: CheckWay): MidiNote | undefined {
  const steps = stepsOf(check, way);
  const last = steps[steps.length - 1];
  if (last?.answer === 'no') return undefined;
  const from = way === 'light' ? lightFrom(check) : check.start;
  const first = way === 'down' ? from - 1 : from;
  const next = last ? last.note + (way === 'down' ? -1 : 1) : first;
  return next < checkLimits.lowest || next > checkLimits.highest ? undefined : next;
}

/** The light register is looked for from the highest easy note of the full one. */
const lightFrom = (check: CheckProgress): MidiNote => {
  const easy = stepsOf(check, 'up').filter(({ answer }) => answer === 'easy');
  return easy[easy.length - 1]?.note ?? check.start;
};

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
});

/**
 * What a check has found: the last easy note each way is the comfort's limit, the last note that
 * came out at all the reach's; the light register's top is the last note that came out in it
 * (docs/model.md, section 2).
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
  };
}
