import type { Beats, BeatsPerMinute, MidiNote, Seconds, Semitones } from '../units';
import { beatsOf, isPitched, spanOf, type Music, type PitchedMusic } from '../exercise/music';
import { climbingPhases, phaseFraction, type Phase } from '../exercise/vocabulary';
import { fitOf, fitOnTonic, type Fit } from '../fit/fit';
import {
  bestChordLadder,
  bestLadder,
  chordLadderFrom,
  goalTonic,
  ladderFrom,
  type ChordLadder,
  type ChordProblem,
  type Infeasible,
  type Ladder,
  type LadderProblem,
  type Shape,
  type TopNeed,
} from '../ladder';
import { bodySeconds, breathRounds, breathSeconds, keyTimes, patternSeconds } from '../timing';
import type { PatternTiming } from '../timing';
import type { Section } from '../voices/parts';

/** What the computation needs to know of an exercise. */
export interface PlannedExercise {
  readonly phase: Phase;
  readonly music: Music;
  readonly countIn: Beats;
  readonly breathBeats: Beats;
  readonly keyChangeBeats: Beats;
  /** How its keys may be chosen; without a word the phase's share and the usual octave moves. */
  readonly keys?:
    | {
        readonly fraction?: number | undefined;
        readonly strict?: boolean | undefined;
        readonly octaveMoves?: readonly Semitones[] | undefined;
        readonly mayRest?: boolean | undefined;
      }
    | undefined;
}

/** What the director chose for a segment. */
export interface SegmentChoices {
  readonly talk: Seconds;
  readonly demonstrate: boolean;
  readonly tempo: BeatsPerMinute;
  /** Keys of what is pitched; rounds of breath; times through what is spoken or moved. */
  readonly repetitions: number;
  /** How often in each key. */
  readonly verses: number;
  readonly shape: Shape;
  readonly step: Semitones;
  /** A start chosen by hand, or null for the best one. */
  readonly start: MidiNote | null;
}

export interface PlannedSegment {
  readonly id: string;
  readonly exercise: PlannedExercise;
  readonly choices: SegmentChoices;
}

/** The keys of a segment: none, a ladder, or a chord's. `sung` is undefined when they cannot be sung. */
export type SegmentKeys =
  | { readonly kind: 'none' }
  | {
      readonly kind: 'ladder';
      readonly problem: LadderProblem;
      readonly best: Ladder | Infeasible;
      readonly sung: Ladder | undefined;
    }
  | {
      readonly kind: 'chord';
      readonly problem: ChordProblem;
      readonly best: ChordLadder | undefined;
      readonly sung: ChordLadder | undefined;
    };

/** What one part does in one key, placed in time from the segment's start. */
export type Sounding =
  | { readonly part: string; readonly does: 'rest' }
  | {
      readonly part: string;
      readonly does: 'sing';
      readonly fit: Fit;
      /** Where the tonic lies for this part; for a chord, its note. */
      readonly tonic: MidiNote;
      /** Semitones away from the usual octave; 0 as usual. */
      readonly away: Semitones;
    };

export interface Repetition {
  readonly at: Seconds;
  readonly seconds: Seconds;
  /** The tonic in the treble octave; undefined for what has no pitch. */
  readonly tonic: MidiNote | undefined;
  readonly parts: readonly Sounding[];
}

/** A segment as computed: its length, its keys, and what sounds when. */
export interface ComputedSegment {
  readonly id: string;
  readonly talk: Seconds;
  readonly seconds: Seconds;
  readonly keys: SegmentKeys;
  readonly repetitions: readonly Repetition[];
}

/** What a segment's computation depends on beside itself. */
export interface Setting {
  /** From the highest part to the lowest. */
  readonly sections: readonly Section[];
  /** The tops tonight's music asks for. */
  readonly needs: readonly TopNeed[];
}

/** The ladder problem of a pitched exercise that all parts sing alike. */
export function ladderProblem(
  exercise: PlannedExercise,
  choices: SegmentChoices,
  setting: Setting,
): LadderProblem {
  const span = spanOf(exercise.music) ?? { lowest: 0, highest: 0 };
  const { fraction, strict, octaveMoves, mayRest } = exercise.keys ?? {};
  const goal = climbingPhases.includes(exercise.phase)
    ? goalTonic(setting.sections, span, setting.needs)
    : undefined;
  return {
    sections: setting.sections,
    pattern: {
      ...span,
      ...(strict === undefined ? {} : { strict }),
      ...(octaveMoves === undefined ? {} : { octaveMoves }),
      ...(mayRest === undefined ? {} : { mayRest }),
    },
    shape: choices.shape,
    keys: choices.repetitions,
    step: choices.step,
    fraction: fraction ?? phaseFraction[exercise.phase],
    ...(goal === undefined ? {} : { goalTonic: goal }),
  };
}

function chordProblem(
  exercise: PlannedExercise,
  tones: readonly Semitones[],
  choices: SegmentChoices,
  setting: Setting,
): ChordProblem {
  return {
    sections: setting.sections,
    tones,
    shape: choices.shape,
    keys: choices.repetitions,
    step: choices.step,
    fraction: exercise.keys?.fraction ?? phaseFraction[exercise.phase],
  };
}

function keysOf(
  exercise: PlannedExercise,
  music: PitchedMusic,
  choices: SegmentChoices,
  setting: Setting,
): SegmentKeys {
  const { start } = choices;
  if (music.kind === 'chord') {
    const problem = chordProblem(exercise, music.tones, choices, setting);
    const best = bestChordLadder(problem);
    const sung = start === null ? best : chordLadderFrom(problem, start);
    return { kind: 'chord', problem, best, sung };
  }
  const problem = ladderProblem(exercise, choices, setting);
  const best = bestLadder(problem);
  const found = best.kind === 'ladder' ? best : undefined;
  const sung = start === null || start === found?.start ? found : ladderFrom(problem, start);
  return { kind: 'ladder', problem, best, sung };
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
  const { pattern } = keys.problem;
  return sections.map((section) => {
    const move = paths.find(({ id }) => id === section.id)?.moves[i] ?? 'rest';
    if (move === 'rest') return { part: section.id, does: 'rest' };
    const fit = fitOnTonic(section, pattern, tonics[i]!, move);
    const tonic = tonics[i]! + move;
    return { part: section.id, does: 'sing', fit, tonic, away: move - section.octave };
  });
}

/** The timing of a segment that is counted in beats of a pattern. */
export function timingOf(exercise: PlannedExercise, choices: SegmentChoices): PatternTiming {
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

/** Computes one segment: its length, its keys and what sounds when. Pure; the same input gives the same answer. */
export function computeSegment(
  { id, exercise, choices }: PlannedSegment,
  setting: Setting,
): ComputedSegment {
  const { music } = exercise;
  const { talk } = choices;
  if (music.kind === 'body') {
    const moved = bodySeconds(music.moves.length * choices.repetitions, music.seconds);
    const repetitions = music.moves.map((_, i) => ({
      at: talk + i * music.seconds * choices.repetitions,
      seconds: music.seconds * choices.repetitions,
      tonic: undefined,
      parts: [],
    }));
    return { id, talk, seconds: talk + moved, keys: { kind: 'none' }, repetitions };
  }
  if (music.kind === 'breath') {
    const timing = { ...music, rounds: choices.repetitions, tempo: choices.tempo };
    let at = talk;
    const repetitions = breathRounds(timing).map((round) => {
      const seconds = ((round.in + round.hold + round.out + round.rest) * 60) / choices.tempo;
      at += seconds;
      return { at: at - seconds, seconds, tonic: undefined, parts: [] };
    });
    const seconds = talk + breathSeconds(timing);
    return { id, talk, seconds, keys: { kind: 'none' }, repetitions };
  }
  const timing = timingOf(exercise, choices);
  const keys: SegmentKeys = isPitched(music)
    ? keysOf(exercise, music, choices, setting)
    : { kind: 'none' };
  const tonics = keys.kind === 'none' ? undefined : keys.sung?.tonics;
  const repetitions = keyTimes(timing).map((time, i) => ({
    ...time,
    tonic: tonics?.[i],
    parts: soundingIn(keys, i),
  }));
  return { id, talk, seconds: patternSeconds(timing), keys, repetitions };
}
