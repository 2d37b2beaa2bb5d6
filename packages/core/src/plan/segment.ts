import type { Repetition, Sounding } from '../fit/sounding';
import { beatsOf, isPitched } from '../exercise/music';
import { fitOf, fitOnTonic } from '../fit/fit';
import { patternOf } from '../ladder';
import { bodySeconds, breathRounds, breathSeconds, keyTimes, patternSeconds } from '../timing';
import type { PatternTiming } from '../timing';
import type { Seconds } from '../units';
import { keysOf, type SegmentKeys, type Tonight } from './keys';
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
  const { tonics, paths } = keys.sung;
  return sections.map((section) => {
    const move = paths.find(({ id }) => id === section.id)?.moves[i] ?? 'rest';
    if (move === 'rest') return { part: section.id, does: 'rest' };
    const fit = fitOnTonic(section, patternOf(keys.problem, section.id), tonics[i]!, move);
    const tonic = tonics[i]! + move;
    const holds = patternOf(keys.problem, section.id).anyOctave;
    const away = holds ? 0 : move - section.octave;
    return { part: section.id, does: 'sing', fit, tonic, away, ...(holds ? { holds } : {}) };
  });
}

/** The timing of a segment that is counted in beats of a pattern. */
function timingOf(exercise: PlannedExercise, choices: SegmentChoices): PatternTiming {
  const pitched = isPitched(exercise.music);
  return {
    talk: choices.talk,
    demonstrate: choices.demonstrate,
    countIn: exercise.countIn,
    keys: pitched ? choices.repetitions : 1,
    verses: pitched ? choices.verses : choices.repetitions,
    patternBeats: beatsOf(exercise.music),
    breathBeats: exercise.breathBeats,
    keyChangeBeats: exercise.keyChangeBeats,
    tempo: choices.tempo,
  };
}

/** How long a segment takes, talk and all, whatever its keys. */
export function segmentSeconds(exercise: PlannedExercise, choices: SegmentChoices): Seconds {
  const { music } = exercise;
  const { talk, repetitions, tempo } = choices;
  if (music.kind === 'body') {
    return talk + bodySeconds(music.moves.length * repetitions, music.seconds);
  }
  if (music.kind === 'breath') {
    return talk + breathSeconds({ ...music, rounds: repetitions, tempo });
  }
  return patternSeconds(timingOf(exercise, choices));
}

/** Computes one segment: its length, its keys and what sounds when. Pure; the same input gives the same answer. */
export function computeSegment(
  { id, exercise, choices }: PlannedSegment,
  tonight: Tonight,
): ComputedSegment {
  const { music } = exercise;
  const { talk } = choices;
  if (music.kind === 'body') {
    const repetitions = music.moves.map((_, i) => ({
      at: talk + i * music.seconds * choices.repetitions,
      seconds: music.seconds * choices.repetitions,
      tonic: undefined,
      parts: [],
    }));
    return {
      id,
      talk,
      seconds: segmentSeconds(exercise, choices),
      keys: { kind: 'none' },
      repetitions,
    };
  }
  if (music.kind === 'breath') {
    const timing = { ...music, rounds: choices.repetitions, tempo: choices.tempo };
    let at = talk;
    const repetitions = breathRounds(timing).map((round) => {
      const seconds = ((round.in + round.hold + round.out + round.rest) * 60) / choices.tempo;
      at += seconds;
      return { at: at - seconds, seconds, tonic: undefined, parts: [] };
    });
    return {
      id,
      talk,
      seconds: segmentSeconds(exercise, choices),
      keys: { kind: 'none' },
      repetitions,
    };
  }
  const timing = timingOf(exercise, choices);
  const keys: SegmentKeys = isPitched(music)
    ? keysOf(exercise, music, choices, tonight)
    : { kind: 'none' };
  const tonics = keys.kind === 'none' ? undefined : keys.sung?.tonics;
  const repetitions = keyTimes(timing).map((time, i) => ({
    ...time,
    tonic: tonics?.[i],
    parts: soundingIn(keys, i),
  }));
  return { id, talk, seconds: segmentSeconds(exercise, choices), keys, repetitions };
}
