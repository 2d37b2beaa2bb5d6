import { hasKeys, isPitched, onOwnPitch } from '../exercise/music';
import { turnOf } from '../exercise/passes';
import type { Age, PlaceNeed, Purpose } from '../exercise/vocabulary';
import { computeSegment, type ComputedSegment } from '../plan/segment';
import type { PlannedExercise, SegmentChoices } from '../plan/planned';
import type { Tonight } from '../plan/keys';
import { firstTalk } from '../timing';
import { singsWhereGivenUp, type Strained } from '../run/givenUp';
import type { MidiNote, Seconds } from '../units';
import type { Approach } from './approaches';
import type { Candidate } from './problem';

/** An exercise as the planner looks at it. */
export interface PlannableExercise extends PlannedExercise {
  readonly id: string;
  readonly purposes: readonly Purpose[];
  readonly effort: number;
  readonly difficulty: number;
  readonly needs: readonly PlaceNeed[];
  readonly ages?: readonly Age[] | undefined;
  readonly usual: Omit<SegmentChoices, 'start'>;
}

/** What a warm-up is built for, beside its exercises. */
export interface PlannerSetting {
  readonly tonight: Tonight;
  readonly approach: Approach;
  /** 1 to 3: what a choir finds easy to learn. */
  readonly level: number;
  /** How many evenings ago each exercise was led last, 1 the last time; never where it is not there. */
  readonly ledAgo: Readonly<Record<string, number>>;
  /** What parts gave up of exercises, by their ids. */
  readonly givenUp?: Readonly<Record<string, readonly Strained[]>> | undefined;
  /** What the place does not allow. */
  readonly forbids: readonly PlaceNeed[];
  /** Who the choir is; adults where it is not said. */
  readonly ages?: readonly Age[] | undefined;
}

/** A segment's own points, by where they come from. */
export interface OwnPoints {
  /** For what was not led lately; the other way round where one keeps what is known. */
  readonly fresh: number;
  /** Below 0: how near to their limits it brings the parts. */
  readonly strain: number;
  /** Below 0: how far it is above what the choir finds easy to learn. */
  readonly level: number;
  /** Below 0: what another segment takes for its talk and its change. */
  readonly change: number;
}

/** One way of doing an exercise: the candidate, and what is chosen for it. */
export interface Variant {
  readonly candidate: Candidate;
  readonly choices: SegmentChoices;
  readonly own: OwnPoints;
}

/** So much another segment has to bring at least, for its talk and its change. */
const forAnother = 6;
const perDifficulty = 2;
/** More singing than this at effort 4 or 5 needs a break of so long. */
export const longestStrong: Seconds = 60;
export const leastBreak: Seconds = 5;
/** Effort from which a segment is strong. */
export const strongFrom = 4;
const leastKeys = 3;

/** How fresh an exercise is: 3 never or long not, 0 last time; the other way round where one keeps what is known. */
export function freshness(ago: number | undefined, habit: Approach['habit']): number {
  if (habit === 'keep') return ago === undefined ? 0 : Math.max(0, 4 - ago);
  if (ago === undefined || ago > 4) return 3;
  return Math.min(2, ago - 1);
}

/** How often it can be done: keys two fewer to three more than usual, else one round or time less to two more. */
function counts({ music, usual }: PlannableExercise, { keys }: Approach): number[] {
  const { repetitions } = usual;
  const [from, to] = hasKeys(music)
    ? [Math.max(leastKeys, repetitions - 2), repetitions + 3]
    : [Math.max(1, repetitions - 1), repetitions + 2];
  const all = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  if (!keys || !hasKeys(music)) return all;
  const within = all.filter((count) => count >= keys[0] && count <= keys[1]);
  return within.length > 0 ? within : [Math.min(Math.max(from, keys[0]), keys[1])];
}

/** What is chosen: as usual, moving as the approach moves where an exercise lives in the middle or goes to the top. */
function chosen(
  exercise: PlannableExercise,
  repetitions: number,
  { approach, ledAgo }: PlannerSetting,
): SegmentChoices {
  const { usual, anchor, id } = exercise;
  const moves = hasKeys(exercise.music) && (anchor === 'middle' || anchor === 'top');
  const talk = approach.talk ?? (ledAgo[id] === undefined ? firstTalk(usual.talk) : usual.talk);
  return {
    ...usual,
    ...{ repetitions, talk, start: null },
    ...(moves && approach.shape ? { shape: approach.shape } : {}),
    ...(moves && approach.step ? { step: approach.step } : {}),
    ...(moves && approach.bySteps ? { bySteps: true } : {}),
    ...ledAs(exercise, approach),
  };
}

/** So many semitones lower it may begin where parts gave keys up, before it is left as it is. */
const mostLower = 6;

/** The same begun lower, where that keeps every part below the key it gave up (docs/model.md, section 13). */
function belowGivenUp(
  exercise: PlannableExercise,
  choices: SegmentChoices,
  { tonight, givenUp = {} }: PlannerSetting,
): SegmentChoices {
  const given = givenUp[exercise.id] ?? [];
  if (given.length === 0) return choices;
  const as = (some: SegmentChoices) =>
    computeSegment({ id: exercise.id, exercise, choices: some }, tonight);
  const usual = as(choices);
  if (usual.keys.kind !== 'ladder' || !usual.keys.sung) return choices;
  if (singsWhereGivenUp(usual, given).length === 0) return choices;
  const { start } = usual.keys.sung;
  const lower = Array.from({ length: mostLower }, (_, i) => ({ ...choices, start: start - 1 - i }));
  return (
    lower.find((some) => {
      const { keys, repetitions } = as(some);
      const isSung = keys.kind === 'ladder' && keys.sung && !keys.sung.beyond;
      return isSung && singsWhereGivenUp({ repetitions }, given).length === 0;
    }) ?? choices
  );
}

/** How it is led, as the approach leads: light at one pitch only with the first sounds, where nobody climbs. */
function ledAs(
  { music, phase }: PlannableExercise,
  { voices, lowVoices, tooHigh, purposeSaid, untilRight }: Approach,
): Partial<SegmentChoices> {
  const said = {
    ...(purposeSaid ? { purposeSaid } : {}),
    ...(untilRight ? { untilRight } : {}),
  };
  if (!hasKeys(music)) return said;
  const fits = lowVoices === 'below' || phase === 'onset';
  return {
    ...said,
    ...(voices ? { voices } : {}),
    ...(lowVoices && fits ? { lowVoices } : {}),
    ...(tooHigh ? { tooHigh } : {}),
  };
}

/** What is led of a segment: its length without what is only said. */
function ledSeconds(
  { seconds, repetitions }: Pick<ComputedSegment, 'seconds' | 'repetitions'>,
  { talk, coach = 0, after = 0 }: SegmentChoices,
): Seconds {
  return Math.max(0, seconds - talk - after - coach * Math.max(0, repetitions.length - 1));
}

/** Led seconds on each purpose: all of them, or where its passes serve different ones, the share of those that do. */
function servedSeconds(
  { purposes, passes }: Pick<PlannableExercise, 'purposes' | 'passes'>,
  { repetitions, verses }: Pick<SegmentChoices, 'repetitions' | 'verses'>,
  led: Seconds,
): Readonly<Record<string, Seconds>> {
  const served = Object.fromEntries(purposes.map((purpose) => [purpose, led]));
  if (!passes?.each.some(({ serves }) => serves)) return served;
  const turns = Array.from({ length: repetitions * verses }, (_, i) =>
    turnOf(passes, Math.floor(i / verses), i % verses),
  );
  const named = new Set(passes.each.flatMap(({ serves }) => serves ?? []));
  for (const purpose of named) {
    const count = turns.filter((turn) => passes.each[turn]!.serves === purpose).length;
    served[purpose] = (led * count) / turns.length;
  }
  return served;
}

/** Whether it is sung strongly for longer than is good without a break. */
function isTooLong({ effort }: PlannableExercise, choices: SegmentChoices, led: Seconds): boolean {
  if (effort < strongFrom) return false;
  const { coach = 0, reset } = choices;
  const rests = coach >= leastBreak || (reset && reset.seconds >= leastBreak);
  return !rests && led > longestStrong;
}

/** The highest and lowest note of each part, and the greatest brought to the treble octave. */
export function notesOf({ repetitions }: ComputedSegment, { sections }: Tonight) {
  const high: Record<string, MidiNote> = {};
  const low: Record<string, MidiNote> = {};
  let top: MidiNote | null = null;
  const octaves = new Map(sections.map(({ id, octave }) => [id, octave]));
  for (const { parts } of repetitions) {
    for (const one of parts) {
      if (one.does !== 'sing') continue;
      const { part, fit } = one;
      high[part] = Math.max(high[part] ?? fit.high, fit.high);
      low[part] = Math.min(low[part] ?? fit.low, fit.low);
      const treble: MidiNote = fit.high - (octaves.get(part) ?? 0);
      if (top === null || treble > top) top = treble;
    }
  }
  return top === null ? { high: null, low: null, top } : { high, low, top };
}

/** What a key costs a part on average, rounded. */
function strainOf({ keys }: ComputedSegment): number {
  if (keys.kind === 'none' || !keys.sung) return 0;
  const { sections } = keys.problem;
  const count = keys.kind === 'chord' ? keys.sung.voicings.length : keys.sung.tonics.length;
  return Math.round(keys.sung.cost / Math.max(1, sections.length * count));
}

/** Whether an exercise comes into question at all: the place allows it, and it suits who is here. */
const suits = (
  { needs, ages }: PlannableExercise,
  { forbids, ages: here = ['adults'] }: PlannerSetting,
): boolean =>
  !needs.some((need) => forbids.includes(need)) &&
  (!ages || ages.some((age) => here.includes(age)));

/** Whether it can be sung tonight as it is chosen; what has no keys always can. */
const canBeSung = ({ music }: PlannableExercise, { keys }: ComputedSegment): boolean =>
  !isPitched(music) ||
  onOwnPitch(music) !== undefined ||
  (keys.kind !== 'none' && Boolean(keys.sung));

/** A segment as the planner weighs it, whatever was chosen for it. */
function weighed(
  id: string,
  exercise: PlannableExercise,
  choices: SegmentChoices,
  setting: PlannerSetting,
  phase: string,
): { readonly variant: Variant; readonly computed: ComputedSegment; readonly led: Seconds } {
  const { tonight, level, ledAgo, approach } = setting;
  const computed = computeSegment({ id: exercise.id, exercise, choices }, tonight);
  const led = ledSeconds(computed, choices);
  const own: OwnPoints = {
    fresh: freshness(ledAgo[exercise.id], approach.habit),
    strain: -strainOf(computed) || 0,
    level: -perDifficulty * Math.max(0, exercise.difficulty - level) || 0,
    change: -forAnother,
  };
  const candidate: Candidate = {
    id,
    exercise: exercise.id,
    phase,
    // A plan never takes longer than it says.
    seconds: Math.ceil(computed.seconds - 1e-6),
    points: own.fresh + own.strain + own.level + own.change,
    serves: servedSeconds(exercise, choices, led),
    ...notesOf(computed, tonight),
    strong: exercise.effort >= strongFrom,
  };
  return { variant: { candidate, choices, own }, computed, led };
}

/**
 * A segment that was chosen already, as the planner weighs it: what is pinned, or stands in a plan made by hand.
 * @param id the id of its candidate
 */
export const variantFor = (
  id: string,
  exercise: PlannableExercise,
  choices: SegmentChoices,
  setting: PlannerSetting,
  phase: string = exercise.phase,
): Variant => weighed(id, exercise, choices, setting, phase).variant;

/**
 * The ways in which an exercise could stand in a phase, shorter and longer (docs/model.md, section 10); none
 * where it cannot be sung tonight, does not suit, or would be strong for too long.
 * @param phase the id of the phase it would stand in
 */
export function variantsOf(
  exercise: PlannableExercise,
  setting: PlannerSetting,
  phase: string = exercise.phase,
): Variant[] {
  if (!suits(exercise, setting)) return [];
  return counts(exercise, setting.approach).flatMap((count): Variant[] => {
    const choices = belowGivenUp(exercise, chosen(exercise, count, setting), setting);
    const id = `${exercise.id}:${count}${phase === exercise.phase ? '' : `@${phase}`}`;
    const { variant, computed, led } = weighed(id, exercise, choices, setting, phase);
    if (!canBeSung(exercise, computed) || isTooLong(exercise, choices, led)) return [];
    return [variant];
  });
}
