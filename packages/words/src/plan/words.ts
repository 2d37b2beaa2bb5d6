import type { ClockKind, Segment } from '@wide-fern/contract';
import {
  type Section,
  isPitched,
  tonicName,
  type NoteWriting,
  type Music,
  type PartName,
  type SegmentKeys,
} from '@wide-fern/core';
import { chanceInWords, lengthInFigures } from '../time';
import { countInWords, listInWords } from '../counting';
import { clockDrawn, clockInWords } from '../dates';
import { partName } from '../partNames';
import { shapeWords } from '../labels';
import { type Wording } from '../ladder/wording';
import type { Evaluated, EvaluatedPlan } from '@wide-fern/plan';

/** The clock times of a place, as a choir has them shown: «19:43», «19:43:20», «7:43 pm». */
export function clockIn(timeZone: string, kind: ClockKind = '24') {
  const minutes = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hour: '2-digit',
    minute: '2-digit',
  });
  const seconds = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  });
  return {
    minute: (moment: number) => clockInWords(minutes.format(moment), kind),
    second: (moment: number) => clockInWords(seconds.format(moment), kind),
    /** On a drawn clock, where the half of the day is plain. */
    drawn: {
      minute: (moment: number) => clockDrawn(minutes.format(moment), kind),
      second: (moment: number) => clockDrawn(seconds.format(moment), kind),
    },
  };
}
export type Clock = ReturnType<typeof clockIn>;

/** How sentences name this plan's parts and keys. */
export function wordingFor(
  sections: readonly Section[],
  { exercise: { music } }: { readonly exercise: Pick<Segment['exercise'], 'music'> },
  writing: NoteWriting,
): Wording {
  const parts = (id: string): PartName => sections.find((band) => band.id === id) ?? partName(id);
  return isPitched(music) ? { mode: music.mode, writing, parts } : { writing, parts };
}

/** «G♭ → D», the keys of a segment from the first to the last. */
export function keyPath(keys: SegmentKeys, wording: Wording): string {
  if (keys.kind === 'none') return '';
  if (!keys.sung) return 'no key works';
  const { tonics } = keys.sung;
  const name = (tonic: number) => tonicName(tonic, wording.mode, wording.writing);
  const first = tonics[0]!;
  if (tonics.length === 1) return name(first);
  const { shape } = keys.problem;
  const turn = shape === 'up-and-back' ? Math.max(...tonics) : tonics[tonics.length - 1]!;
  if (shape === 'outward') return `from ${name(first)}`;
  return `${name(first)} → ${name(turn)}${shape === 'up-and-back' ? ' → ' + name(first) : ''}`;
}

const plural = (count: number, one: string, more: string): string =>
  `${countInWords(count)} ${count === 1 ? one : more}`;

const stepWords: Readonly<Record<number, string>> = { 1: 'by semitone', 2: 'by tone' };
const stepInWords = (step: number): string =>
  stepWords[step] ?? `by ${countInWords(step)} semitones`;

/** What is repeated in a segment, in words: «seven keys», «four rounds». */
export function repetitionsInWords({ exercise, choices }: Segment): string {
  const { repetitions } = choices;
  switch (exercise.music.kind) {
    case 'breath':
      return plural(repetitions, 'round', 'rounds');
    case 'spoken':
      return repetitions === 1 ? 'once' : `${countInWords(repetitions)} times`;
    case 'body':
      return plural(exercise.music.moves.length * repetitions, 'move', 'moves');
    default:
      return plural(repetitions, 'key', 'keys');
  }
}

/** The second line of the strip: the step of what is pitched, the count of what is not. */
export function strideInWords(segment: Segment): string {
  const { exercise, choices } = segment;
  return isPitched(exercise.music) && choices.repetitions > 1
    ? stepInWords(choices.step)
    : repetitionsInWords(segment);
}

/** «Seven keys, up by semitone». */
export function ladderHeading(segment: Segment): string {
  const { exercise, choices } = segment;
  const counted = repetitionsInWords(segment);
  const capital = counted.charAt(0).toUpperCase() + counted.slice(1);
  if (!isPitched(exercise.music)) return capital;
  if (choices.repetitions === 1) return capital;
  return `${capital}, ${shapeWords[choices.shape]} ${stepInWords(choices.step)}`;
}

/** «In 4, out 8 on s, rest 2 counts; each round out 2 longer.» */
export function breathInWords(music: Extract<Music, { kind: 'breath' }>): string {
  const counts = [
    `In ${music.in}`,
    music.hold > 0 ? `hold ${music.hold}` : '',
    `out ${music.out} on ${music.outOn}`,
    music.rest > 0 ? `rest ${music.rest}` : '',
  ].filter((part) => part !== '');
  const grows = (['in', 'hold', 'out', 'rest'] as const)
    .filter((name) => music.increment[name] > 0)
    .map((name) => `${name} ${music.increment[name]}`);
  const growing = grows.length > 0 ? `; each round ${listInWords(grows)} longer` : '';
  return `${counts.join(', ')} counts${growing}.`;
}

/** The segment's time as a sum: «Talk 15 s, then 98 beats at 100 a minute, 59 s.» */
export function timeInWords({ segment, computed }: Evaluated): string[] {
  const { exercise, choices } = segment;
  const { music } = exercise;
  const led = computed.seconds - computed.talk;
  const talk = `Talk ${choices.talk} s`;
  if (music.kind === 'body') {
    const count = music.moves.length * choices.repetitions;
    return [`${talk}, then ${count} moves of ${music.seconds} s, ${Math.round(led)} s.`];
  }
  const beats = Math.round((led * choices.tempo) / 60);
  const first = `${talk}, then ${beats} beats at ${choices.tempo} a minute, ${Math.round(led)} s.`;
  if (music.kind === 'breath') return [first];
  const times = choices.repetitions * (isPitched(music) ? choices.verses : 1);
  const keyChanges = isPitched(music) ? choices.repetitions - 1 : 0;
  const { countIn, breathBeats, keyChangeBeats } = exercise;
  const pattern =
    (led * choices.tempo) / 60 - countIn - (times - 1) * breathBeats - keyChanges * keyChangeBeats;
  const each = Math.round((pattern / (times + (choices.demonstrate ? 1 : 0))) * 100) / 100;
  const terms = [
    countIn > 0 ? `${countIn} in` : '',
    choices.demonstrate ? `${each} to show it` : '',
    `${times} × ${each} ${music.kind === 'spoken' ? 'spoken' : 'sung'}`,
    breathBeats > 0 && times > 1 ? `${times - 1} × ${breathBeats} breath` : '',
    keyChangeBeats > 0 && keyChanges > 0 ? `${keyChanges} × ${keyChangeBeats} key` : '',
  ];
  return [first, `${terms.filter((term) => term !== '').join(' + ')}.`];
}

/** Whether a plan takes longer than the time set aside, by the rounded clock. */
export const isTooLong = (plan: EvaluatedPlan): boolean =>
  Math.round(plan.total) > Math.round(plan.allotted);

/** «likely 19:42–19:45»; where both are the same minute, that one. */
const likelyInWords = (early: string, late: string): string =>
  early === late ? `likely ${early}` : `likely ${early}–${late}`;

/** The title line's sentence: «ends 19:43:20 · likely 19:42–19:45 · on time 9 times in 10». */
export function endInWords(plan: EvaluatedPlan, start: number, clock: Clock): string {
  if (plan.segments.length === 0) return 'nothing planned yet';
  const at = (seconds: number) => start + Math.round(seconds) * 1000;
  return [
    ...(isTooLong(plan) ? [leftInWords(plan)] : []),
    `ends ${clock.drawn.second(at(plan.total))}`,
    likelyInWords(
      clock.drawn.minute(at(plan.likely.early)),
      clock.drawn.minute(at(plan.likely.late)),
    ),
    chanceInWords(plan.chanceOnTime),
  ].join(' · ');
}

/** «1:40 free», or «0:35 too long». */
export const leftInWords = (plan: EvaluatedPlan): string => {
  const left = Math.round(plan.allotted) - Math.round(plan.total);
  if (left === 0) return 'no time left over';
  return `${lengthInFigures(Math.abs(left))} ${left > 0 ? 'free' : 'too long'}`;
};
