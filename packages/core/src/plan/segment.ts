import type { Repetition, Sounding } from '../fit/sounding';
import { beatsOf, hasKeys, isPitched, onOwnPitch, type Music } from '../exercise/music';
import { fitOf, fitOnTonic } from '../fit/fit';
import { isToldToHold, patternIn } from '../ladder';
import { breathRounds, keyTimes, movementSeconds, patternSeconds } from '../timing';
import type { PatternTiming } from '../timing';
import { beatsToSeconds, type Seconds } from '../units';
import { asLed } from './asLed';
import { singsInTurn } from './groups';
import { keysOf, ladderOfPart, type SegmentKeys, type Tonight } from './keys';
import type { PlannedExercise, PlannedSegment, SegmentChoices } from './planned';

/** A segment as computed: its length, its keys, and what sounds when. */
export interface ComputedSegment {
  readonly id: string;
  readonly talk: Seconds;
  readonly seconds: Seconds;
  readonly keys: SegmentKeys;
  readonly repetitions: readonly Repetition[];
}

/** What sounds in key i. */
function soundingIn(keys: SegmentKeys, i: number): readonly Sounding[] {
  if (keys.kind === 'none' || !keys.sung) return [];
  const { sections } = keys.problem;
  if (keys.kind === 'chord') {
    const notes = keys.sung.voicings[i] ?? [];
    return sections.map((section, part) => {
      const tonic = notes[part]!;
      return { part: section.id, does: 'sing', fit: fitOf(section, tonic, tonic), tonic, away: 0 };
    });
  }
  return sections.map((section) => {
    const { tonics, paths } = ladderOfPart(keys, section.id) ?? keys.sung!;
    const move = paths.find(({ id }) => id === section.id)?.moves[i] ?? 'rest';
    if (move === 'rest') return { part: section.id, does: 'rest' };
    const pattern = patternIn(keys.problem, section.id, i);
    const fit = fitOnTonic(section, pattern, tonics[i]!, move);
    const tonic = tonics[i]! + move;
    const away = pattern.anyOctave ? 0 : move - section.octave;
    return {
      ...{ part: section.id, does: 'sing', fit, tonic, away },
      ...(pattern.anyOctave ? { holds: true } : {}),
      ...(isToldToHold(keys.problem, section.id, i) ? { told: 'hold' } : {}),
    };
  });
}

/** The seconds of what is paused after single keys. */
const pausesOf = (inKeys: NonNullable<SegmentChoices['inKeys']>): Record<string, Seconds> =>
  Object.fromEntries(
    Object.entries(inKeys).flatMap(([place, { pause }]) => (pause ? [[place, pause.seconds]] : [])),
  );

/** The timing of a segment that is sung in keys or spoken. */
export function timingOf(exercise: PlannedExercise, choices: SegmentChoices): PatternTiming {
  const { music, countIn, breathBeats, keyChangeBeats } = exercise;
  const pitched = isPitched(music);
  const { repetitions, verses, inKeys, ...chosen } = choices;
  return {
    ...chosen,
    ...(pitched && inKeys ? { pauses: pausesOf(inKeys) } : {}),
    ...{ countIn, breathBeats, keyChangeBeats },
    keys: pitched ? repetitions * (singsInTurn(asLed(exercise, choices)) ? 2 : 1) : 1,
    verses: pitched ? verses : repetitions,
    patternBeats: beatsOf(music),
  };
}

/** What happens in a segment without keys, and how long each takes; undefined for what is moved through keys or spoken. */
function roundsOf(
  music: Music,
  { repetitions, tempo }: SegmentChoices,
): readonly Seconds[] | undefined {
  const own = onOwnPitch(music);
  if (own) {
    const each = beatsToSeconds(beatsOf(music), tempo) + own.recovery;
    return Array.from({ length: repetitions }, () => each);
  }
  if (music.kind === 'body') {
    return music.moves.map((move) => movementSeconds(move) * repetitions);
  }
  if (music.kind !== 'breath') return undefined;
  return breathRounds({ ...music, rounds: repetitions, tempo }).map((round) =>
    beatsToSeconds(round.in + round.hold + round.out + round.rest, tempo),
  );
}

const sumOf = (lengths: readonly Seconds[]): Seconds =>
  lengths.reduce((sum, seconds) => sum + seconds, 0);

/** How long a segment takes, talk and all, whatever its keys. */
export function segmentSeconds(exercise: PlannedExercise, choices: SegmentChoices): Seconds {
  const rounds = roundsOf(exercise.music, choices);
  if (rounds) return choices.talk + sumOf(rounds) + (choices.after ?? 0);
  return patternSeconds(timingOf(exercise, choices));
}

/** On an own pitch every part is at ease: what is drawn is its comfort. */
const atEase = (sections: Tonight['sections']): Sounding[] =>
  sections.map((section) => {
    const [low, high] = section.comfort;
    return { part: section.id, does: 'own', fit: fitOf(section, low, high) };
  });

/** Computes one segment: its length, its keys and what sounds when. Pure; the same input gives the same answer. */
export function computeSegment(
  { id, exercise, choices }: PlannedSegment,
  tonight: Tonight,
): ComputedSegment {
  const { music } = exercise;
  const { talk } = choices;
  const seconds = segmentSeconds(exercise, choices);
  const rounds = roundsOf(music, choices);
  if (rounds) {
    const parts = onOwnPitch(music) ? atEase(tonight.sections) : [];
    const repetitions = rounds.map((length, i) => ({
      at: talk + sumOf(rounds.slice(0, i)),
      seconds: length,
      tonic: undefined,
      parts,
    }));
    return { id, talk, seconds, keys: { kind: 'none' }, repetitions };
  }
  const keys: SegmentKeys = hasKeys(music)
    ? keysOf(asLed(exercise, choices), music, choices, tonight)
    : { kind: 'none' };
  const tonics = keys.kind === 'none' ? undefined : keys.sung?.tonics;
  const repetitions = keyTimes(timingOf(exercise, choices)).map((time, i) => ({
    ...time,
    tonic: tonics?.[i],
    parts: soundingIn(keys, i),
  }));
  return { id, talk, seconds, keys, repetitions };
}
