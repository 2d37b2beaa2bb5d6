import { isPitched, onOwnPitch } from '../exercise/music';
import type { Dynamic, Phase } from '../exercise/vocabulary';
import { soundingShare } from '../playing/programme';
import {
  greatestRise,
  leadingUp,
  leastBreak,
  longestStrong,
  notesOf,
  reachedAtFirst,
  strongFrom,
} from '../planner';
import type { Placed } from '../timing';
import {
  segmentScore,
  type ComputedSegment,
  type PlannedExercise,
  type SegmentChoices,
  type Tonight,
} from '../plan';
import type { MidiNote, Seconds, Semitones } from '../units';
import type { Section } from '../voices';
import { doseOf, type Dose, type Phonation } from './dose';

/** What one part's singing adds up to in a segment. */
export interface PartLoad extends Dose {
  readonly part: string;
  /** Sounding in the top three semitones of the comfort, and where the register changes. */
  readonly topSeconds: Seconds;
  readonly changeSeconds: Seconds;
}

/** A segment as load is told of it. */
export interface LoadedSegment {
  readonly segment: {
    readonly id: string;
    readonly exercise: PlannedExercise & { readonly name: string; readonly effort: number };
    readonly choices: SegmentChoices;
  };
  readonly computed: ComputedSegment & { readonly placed: Placed };
}

/** The load of one segment. */
export interface SegmentLoad {
  readonly id: string;
  readonly effort: number;
  readonly from: Seconds;
  readonly to: Seconds;
  readonly parts: readonly PartLoad[];
  /** The longest singing in it without a break. */
  readonly longest: Seconds;
}

/** What should be looked at, with the segment it begins or lies in. */
export type LoadWarning =
  /** Strong singing for so long without a break. */
  | { readonly code: 'no-break'; readonly segment: string; readonly seconds: Seconds }
  /** Strong before the voice was led through these phases. */
  | { readonly code: 'strong-early'; readonly segment: string; readonly missing: readonly Phase[] }
  /** Its top lies so far above the highest that was reached before. */
  | {
      readonly code: 'rise';
      readonly segment: string;
      readonly top: MidiNote;
      readonly above: Semitones;
    };

/** The load of a plan: for comparing segments, never a limit for a person (docs/model.md, section 8). */
export interface PlanLoad {
  readonly segments: readonly SegmentLoad[];
  /** The segment of the greatest effort, the first of equal ones; undefined for an empty plan. */
  readonly peak: SegmentLoad | undefined;
  readonly warnings: readonly LoadWarning[];
}

/** How loud is sung where nothing is printed. */
const usualDynamic: Dynamic = 'mf';
const topSemitones = 3;

/** What each part sings in a segment, note by note. */
function sungIn({ segment, computed }: LoadedSegment, sections: readonly Section[]) {
  const { exercise, choices } = segment;
  const { music } = exercise;
  const sung = new Map<string, Phonation[]>(sections.map(({ id }) => [id, []]));
  const own = onOwnPitch(music);
  if (own) {
    for (const { id, comfort } of sections) {
      const middle = Math.round((comfort[0] + comfort[1]) / 2);
      for (const { seconds } of computed.repetitions) {
        const held = Math.max(0, seconds - own.recovery);
        sung.get(id)!.push({ from: middle, to: middle, seconds: held, dynamic: usualDynamic });
      }
    }
    return sung;
  }
  const score = isPitched(music)
    ? segmentScore(segment, sections, computed.repetitions)
    : undefined;
  score?.keys.forEach(({ lines, verses }, key) => {
    for (let verse = 0; verse < choices.verses; verse += 1) {
      const pass = key * choices.verses + verse;
      const beat = 60 / Math.max(1, choices.tempo + pass * (choices.tempoStep ?? 0));
      for (const { part, events } of verses?.[verse % verses.length] ?? lines) {
        let dynamic = usualDynamic;
        for (const event of events) {
          dynamic = event.dynamic ?? dynamic;
          if (event.midi === null || event.beats <= 0) continue;
          const seconds = event.beats * beat * soundingShare(event.articulation);
          const to = event.glideTo ?? event.midi;
          sung.get(part)?.push({ from: event.midi, to, seconds, dynamic });
        }
      }
    }
  });
  return sung;
}

function partLoad(section: Section, notes: readonly Phonation[]): PartLoad {
  const { id, comfort, octave, register } = section;
  const highest = ({ from, to }: Phonation) => Math.max(from, to);
  const within = (where: (note: Phonation) => boolean): Seconds =>
    notes.filter(where).reduce((sum, { seconds }) => sum + seconds, 0);
  return {
    part: id,
    ...doseOf(notes, octave < 0),
    topSeconds: within((note) => highest(note) > comfort[1] - topSemitones),
    changeSeconds: register
      ? within((note) => highest(note) >= register.zone[0] && note.from <= register.zone[1])
      : 0,
  };
}

/** What one segment's singing adds up to, part by part. */
export function partLoads(one: LoadedSegment, sections: readonly Section[]): PartLoad[] {
  const sung = sungIn(one, sections);
  return sections.map((section) => partLoad(section, sung.get(section.id) ?? []));
}

/** Stretches of singing in a segment, parted by breaks. */
function stretchesOf({ computed }: LoadedSegment): { from: Seconds; to: Seconds }[] {
  const { placed, repetitions } = computed;
  const stretches: { from: Seconds; to: Seconds }[] = [];
  for (const { at, seconds } of repetitions) {
    const from = placed.from + at;
    const last = stretches.at(-1);
    if (last && from - last.to < leastBreak) last.to = from + seconds;
    else stretches.push({ from, to: from + seconds });
  }
  return stretches;
}

const easyUpTo = 2;

/** Strong singing without a break, over the borders of segments: each stretch that is too long once. */
function unbroken(segments: readonly LoadedSegment[]): LoadWarning[] {
  const found: LoadWarning[] = [];
  let begun: { segment: string; seconds: Seconds; to: Seconds } | undefined;
  const close = () => {
    if (begun && begun.seconds > longestStrong) {
      found.push({ code: 'no-break', segment: begun.segment, seconds: begun.seconds });
    }
    begun = undefined;
  };
  for (const one of segments) {
    const { effort } = one.segment.exercise;
    if (effort <= easyUpTo) close();
    if (effort < strongFrom) continue;
    for (const { from, to } of stretchesOf(one)) {
      if (begun && from - begun.to >= leastBreak) close();
      begun ??= { segment: one.segment.id, seconds: 0, to };
      begun = { ...begun, seconds: begun.seconds + to - from, to };
    }
  }
  close();
  return found;
}

/**
 * What a plan's singing adds up to, part by part and segment by segment, and what should be looked at: strong
 * singing without a break, strong before the voice is led up to it, a rise of more than a fourth.
 * @param loadsOf what a segment adds up to, where that is known already
 */
export function loadOf<T extends LoadedSegment>(
  segments: readonly T[],
  tonight: Tonight,
  loadsOf: (one: T, sections: readonly Section[]) => readonly PartLoad[] = partLoads,
): PlanLoad {
  const { sections } = tonight;
  const warnings = unbroken(segments);
  const been = new Set<Phase>();
  let reached = sections.length > 0 ? reachedAtFirst(tonight) : 0;
  const loads = segments.map((one): SegmentLoad => {
    const { segment, computed } = one;
    const { effort, phase } = segment.exercise;
    if (effort >= strongFrom) {
      const missing = (leadingUp as readonly Phase[]).filter((before) => !been.has(before));
      if (missing.length > 0) warnings.push({ code: 'strong-early', segment: segment.id, missing });
    }
    been.add(phase);
    const { top } = notesOf(computed, tonight);
    if (top !== null) {
      if (top > reached + greatestRise) {
        warnings.push({ code: 'rise', segment: segment.id, top, above: top - reached });
      }
      reached = Math.max(reached, top);
    }
    return {
      id: segment.id,
      effort,
      from: computed.placed.from,
      to: computed.placed.to,
      parts: loadsOf(one, sections),
      longest: isPitched(segment.exercise.music)
        ? Math.max(0, ...stretchesOf(one).map(({ from, to }) => to - from))
        : 0,
    };
  });
  const order = new Map(segments.map(({ segment }, i) => [segment.id, i]));
  return {
    segments: loads,
    peak: loads.reduce<SegmentLoad | undefined>(
      (most, one) => (!most || one.effort > most.effort ? one : most),
      undefined,
    ),
    warnings: warnings.sort((a, b) => order.get(a.segment)! - order.get(b.segment)!),
  };
}
