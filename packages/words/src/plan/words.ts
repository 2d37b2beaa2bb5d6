import type { Choices, ClockKind, Segment } from '@wide-fern/contract';
import {
  type BreathWay,
  type PatternTiming,
  type Section,
  beatsOf,
  hasKeys,
  isPitched,
  onOwnPitch,
  patternBeats,
  patternCounts,
  pausesSeconds,
  asLed,
  groupingOf,
  timingOf,
  tonicName,
  type NoteWriting,
  type Music,
  type PartName,
  type SegmentKeys,
} from '@wide-fern/core';
import { chanceInWords, lengthInFigures } from '../time';
import { countInWords, counted, listInWords } from '../counting';
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

/** The path of each group that has keys of its own, the high one first; else the one path. */
export function keyPaths(keys: SegmentKeys, wording: Wording): string[] {
  if (keys.kind !== 'ladder' || !keys.groups || !keys.sung) return [keyPath(keys, wording)];
  return keys.groups.map(({ problem, best, sung }) =>
    keyPath({ kind: 'ladder', problem, best, sung }, wording),
  );
}

/** «G♭ → D», the keys of a segment from the first to the last. */
export function keyPath(keys: SegmentKeys, wording: Wording): string {
  if (keys.kind === 'none') return '';
  if (!keys.sung) return 'no key works';
  if (keys.kind === 'ladder' && keys.groups) {
    const [high, low] = keyPaths(keys, wording);
    return `high ${high}, low ${low}`;
  }
  const { tonics } = keys.sung;
  const name = (tonic: number) => tonicName(tonic, wording.mode, wording.writing);
  const first = tonics[0]!;
  if (tonics.length === 1) return name(first);
  const { shape } = keys.problem;
  const turn = shape === 'up-and-back' ? Math.max(...tonics) : tonics[tonics.length - 1]!;
  if (shape === 'outward') return `from ${name(first)}`;
  if (shape === 'two-runs') {
    return `${name(first)} → ${name(Math.max(...tonics))}, then → ${name(turn)}`;
  }
  return `${name(first)} → ${name(turn)}${shape === 'up-and-back' ? ' → ' + name(first) : ''}`;
}

const plural = (count: number, one: string, more: string): string =>
  `${countInWords(count)} ${count === 1 ? one : more}`;

const stepWords: Readonly<Record<number, string>> = { 1: 'by semitone', 2: 'by tone' };
const stepInWords = ({ step, bySteps }: Pick<Choices, 'step' | 'bySteps'>): string => {
  if (bySteps)
    return step === 1 ? 'by steps of the scale' : `by ${countInWords(step)} steps of the scale`;
  return stepWords[step] ?? `by ${countInWords(step)} semitones`;
};

/** What is repeated in a segment, in words: «seven keys», «four rounds». */
export function repetitionsInWords({ exercise, choices }: Segment): string {
  const { repetitions } = choices;
  const times = repetitions === 1 ? 'once' : `${countInWords(repetitions)} times`;
  // On the own easy note nothing moves through keys.
  if (onOwnPitch(exercise.music)) return times;
  switch (exercise.music.kind) {
    case 'breath':
      return plural(repetitions, 'round', 'rounds');
    case 'spoken':
      return times;
    case 'body':
      return plural(exercise.music.moves.length * repetitions, 'move', 'moves');
    default:
      return plural(repetitions, 'key', 'keys');
  }
}

/** The second line of the strip: the step of what is pitched, the count of what is not. */
export function strideInWords(segment: Segment): string {
  const { exercise, choices } = segment;
  return hasKeys(exercise.music) && choices.repetitions > 1
    ? stepInWords(choices)
    : repetitionsInWords(segment);
}

/** «Seven keys, up by semitone». */
export function ladderHeading(segment: Segment): string {
  const { exercise, choices } = segment;
  const counted = repetitionsInWords(segment);
  const capital = counted.charAt(0).toUpperCase() + counted.slice(1);
  if (!hasKeys(exercise.music)) return capital;
  if (choices.repetitions === 1) return capital;
  const way = `${shapeWords[choices.shape]} ${stepInWords(choices)}`;
  switch (groupingOf(asLed(exercise, choices))) {
    case 'in turn':
      return `${capital} for high voices, then as many for low ones, ${way}`;
    case 'together':
      return `${capital}, high and low voices each in their own, ${way}`;
    default:
      return `${capital}, ${way}`;
  }
}

/** «In 4, out 8 on s, rest 2 counts; each round out 2 longer.» */
export function breathInWords(music: Extract<Music, { kind: 'breath' }>): string {
  const counts = [
    `In ${music.in}`,
    music.hold > 0 ? `hold ${music.hold}` : '',
    `out ${music.out} on ${music.outOn}`,
    music.rest > 0 ? `rest ${music.rest}` : '',
  ].filter((part) => part !== '');
  const { increment, least = {}, arms = {} } = music;
  const all = ['in', 'hold', 'out', 'rest'] as const;
  const changing = (sign: 1 | -1) =>
    all
      .filter((name) => sign * increment[name] > 0)
      .map((name) => `${name} ${Math.abs(increment[name])}`);
  const [longer, shorter] = [changing(1), changing(-1)];
  const rounds = [
    ...(longer.length > 0 ? [`${listInWords(longer)} longer`] : []),
    ...(shorter.length > 0 ? [`${listInWords(shorter)} shorter`] : []),
  ];
  const bounds = all.flatMap((name) => (least[name] ? [`${name} ${least[name]}`] : []));
  const each = rounds.length > 0 ? `; each round ${rounds.join(', ')}` : '';
  const bound = bounds.length > 0 ? `, never under ${listInWords(bounds)}` : '';
  const moved = all.flatMap((name) => (arms[name] ? [`${name}, ${arms[name]}`] : []));
  return [
    ...(music.emptyFirst ? ['Breathe out all the air first.'] : []),
    `${counts.join(', ')} counts${each}${bound}.`,
    ...(music.way ? [breathWayWords[music.way]] : []),
    ...(moved.length > 0 ? [`The arms: ${moved.join('; ')}.`] : []),
  ].join(' ');
}

/** By which way breath goes, as a sentence. */
const breathWayWords: Readonly<Record<BreathWay, string>> = {
  nose: 'By the nose.',
  mouth: 'By the mouth.',
  'nose in, mouth out': 'In by the nose, out by the mouth.',
};

/** The segment's time as a sum: «Talk 15 s, then 98 beats at 100 a minute, 59 s.» */
export function timeInWords({ segment, computed }: Evaluated): string[] {
  const { exercise, choices } = segment;
  const { music } = exercise;
  const led = Math.round(computed.seconds - computed.talk);
  const talk = `Talk ${choices.talk} s`;
  if (music.kind === 'body') {
    const times = choices.repetitions > 1 ? `${choices.repetitions} × ` : '';
    return [`${talk}, then ${times}${counted(music.moves.length, 'move', 'moves')}, ${led} s.`];
  }
  const own = onOwnPitch(music);
  if (own) {
    const each = Math.round((beatsOf(music) * 60) / choices.tempo);
    const rest = own.recovery > 0 ? ` and ${own.recovery} s of rest` : '';
    return [`${talk}, then ${choices.repetitions} × ${each} s sung${rest}, ${led} s.`];
  }
  if (music.kind === 'breath') {
    const beats = Math.round((led * choices.tempo) / 60);
    return [`${talk}, then ${beats} beats at ${choices.tempo} a minute, ${led} s.`];
  }
  return patternInWords(timingOf(exercise, choices), talk, led, music.kind === 'spoken');
}

/** What a sung or spoken segment's time is the sum of, in two sentences. */
function patternInWords(
  timing: PatternTiming,
  talk: string,
  led: number,
  spoken: boolean,
): string[] {
  const { tempo, tempoStep = 0, reset, coach = 0, after = 0 } = timing;
  const counts = patternCounts(timing);
  const last = tempo + tempoStep * (counts.repetitions - 1);
  const pace = tempoStep === 0 ? `at ${tempo} a minute` : `from ${tempo} to ${last} a minute`;
  const each = Math.round(timing.patternBeats * 100) / 100;
  const term = (count: number, of: number | undefined, word: string): string =>
    count > 0 && of ? `${count > 1 ? `${count} × ` : ''}${of} ${word}` : '';
  const terms = [
    term(counts.countIns, timing.countIn, 'in'),
    term(counts.demonstrations, each, 'to show it'),
    `${counts.repetitions} × ${each} ${spoken ? 'spoken' : 'sung'}`,
    counts.breaths > 0 && timing.breathBeats
      ? `${counts.breaths} × ${timing.breathBeats} breath`
      : '',
    counts.keyChanges > 0 && timing.keyChangeBeats
      ? `${counts.keyChanges} × ${timing.keyChangeBeats} key`
      : '',
    term(counts.keyChanges, coach, 's said between keys'),
    term(1, pausesSeconds(timing), 's of pauses'),
    term(counts.resets, reset?.seconds, 's to shake out'),
    term(1, after, 's said at the end'),
  ];
  return [
    `${talk}, then ${Math.round(patternBeats(timing))} beats ${pace}, ${led} s.`,
    `${terms.filter((one) => one !== '').join(' + ')}.`,
  ];
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

/** «by what was led, it takes about 0:55 longer than planned.» */
export const likelyLongerInWords = (seconds: number): string =>
  `by what was led, it takes about ${lengthInFigures(5 * Math.round(seconds / 5))} longer than planned.`;

/** «1:40 free», or «0:35 too long». */
export const leftInWords = (plan: EvaluatedPlan): string => {
  const left = Math.round(plan.allotted) - Math.round(plan.total);
  if (left === 0) return 'no time left over';
  return `${lengthInFigures(Math.abs(left))} ${left > 0 ? 'free' : 'too long'}`;
};
