import type { Choices } from '@wide-fern/contract';
import {
  hasKeys,
  passIn,
  restOf,
  tonicName,
  writtenIn,
  type NoteWriting,
  type Pass,
  type RunState,
  type Seconds,
  type Sounding,
} from '@wide-fern/core';
import type { Evaluated, EvaluatedPlan } from '@wide-fern/plan';
import { doneLines, ownPitchInWords } from '../done';
import { firstsIn } from '../firsts';
import { noteNamed, type Wording } from '../ladder/wording';
import { turnsOfSegment } from '../plan/single';
import { wordingFor } from '../plan/words';
import { capitalise } from '../counting';
import { lengthInFigures } from '../time';
import { sungWords } from '../exercise';
import { noKeyInWords } from './here';
import { waysIn } from './ways';

/** What one part does in a key, as the stand shows it. */
export interface StandPart {
  readonly id: string;
  readonly many: string;
  /** «E♭4», or that it rests; where lines come in turn, one for each. */
  readonly note: string | null;
  /** «an octave down», where it is not where it usually is. */
  readonly away: string;
}

/** A key of the ladder in its row. */
export interface StandKey {
  readonly name: string;
  readonly when: 'past' | 'now' | 'to come';
  /** Steps above the lowest of the row. */
  readonly height: number;
}

/** What whoever leads sees at one moment. */
export interface Stand {
  readonly name: string;
  /** «3 of 9» */
  readonly place: string;
  readonly isTalk: boolean;
  /** The key that is sung, or that is first; null for what has none. */
  readonly key: string | null;
  readonly next: string | null;
  readonly keys: readonly StandKey[];
  readonly parts: readonly StandPart[];
  /** What is done where there are no keys: «Lean an ear over.» */
  readonly doing: string;
  /** «2 of 5», where it is several. */
  readonly step: string;
  readonly cue: string;
  readonly purpose: string;
  /** What is sung on, and where lines go round who takes what: «on noo. Each time others begin.» */
  readonly sung: string;
  readonly caution: string;
}

const awayInWords = (octaves: number): string =>
  octaves === 0 ? '' : octaves < 0 ? 'an octave down' : 'an octave up';

/** What a part does otherwise than as usual. */
const doneInWords = ({ told, away }: Extract<Sounding, { does: 'sing' }>): string =>
  told === 'hold' ? 'held' : awayInWords(away / 12);

/** Who has which first note in a key, moved as it is sung now. */
function partsIn(
  { segment }: Evaluated,
  soundings: readonly Sounding[],
  { shift }: Pick<RunState, 'shift'>,
  tonic: number,
  wording: Wording,
): StandPart[] {
  const firsts = firstsIn(segment, soundings);
  return soundings.map((sounding) => {
    const named = (firsts[sounding.part] ?? []).flatMap((first) =>
      first === 'rest' ? [] : [noteNamed(wording, first + shift, tonic + shift)],
    );
    const note = named.length > 0 ? named.join(', ') : null;
    const away = sounding.does === 'sing' && note !== null ? doneInWords(sounding) : '';
    const { many } = wording.parts!(sounding.part);
    return { id: sounding.part, many, note, away };
  });
}

/** What is done where nothing has a key: the present movement, the text, the own note. */
function doingIn({ segment }: Evaluated, place: number): string {
  const { music } = segment.exercise;
  if (music.kind === 'body') return doneLines(music)[place % music.moves.length] ?? '';
  if (music.kind === 'spoken') return music.lines.join(' ');
  return hasKeys(music)
    ? capitalise(noKeyInWords)
    : ownPitchInWords(segment.exercise, segment.choices);
}

function keysOf(
  { computed }: Evaluated,
  { key, shift }: Pick<RunState, 'key' | 'shift'>,
  wording: Wording,
): StandKey[] {
  const tonics = computed.repetitions.flatMap(({ tonic }) => tonic ?? []);
  const lowest = Math.min(...tonics);
  return tonics.map((tonic, i) => ({
    name: tonicName(tonic + (key === null || i < key ? 0 : shift), wording.mode, wording.writing),
    when: key === null || i > key ? 'to come' : i === key ? 'now' : 'past',
    height: tonic - lowest,
  }));
}

/** What is said for the present key: its own cue where it has one; nothing where each time in it has one, told in its turn. */
function cueIn(one: Evaluated, place: number, way: Pass | undefined): string {
  const { cue } = one.segment.exercise;
  return waysIn(one.segment, place).some((each) => each.cue) ? '' : (way?.cue ?? cue);
}

/** What is sung on, as the present way has it; and who takes what in turn. */
function sungIn({ segment }: Evaluated, way: Pass | undefined): string {
  const { music } = segment.exercise;
  const on = way?.sounds ? `on ${way.sounds.join(' ')}` : hasKeys(music) ? sungWords(music) : '';
  return [on, turnsOfSegment(segment)].filter(Boolean).join('. ');
}

const saidBefore = ({ purposeSaid = 'before' }: Pick<Choices, 'purposeSaid'>): boolean =>
  purposeSaid === 'before';

/** What the stand shows of an open segment. */
export function standOf(
  plan: EvaluatedPlan,
  state: RunState,
  writing: NoteWriting,
): Stand | undefined {
  const { open, key, shift, segments } = state;
  const led = segments[open];
  const id = led?.id;
  const one = plan.segments.find(({ segment }) => segment.id === id);
  if (!one || !led) return undefined;
  const { exercise, choices } = one.segment;
  const wording = wordingFor(plan.document.tonight.sections, one.segment, writing);
  const place = key ?? 0;
  const present = one.computed.repetitions[place];
  const tonic = present?.tonic;
  const keys = keysOf(one, state, wording);
  const follows = plan.segments[open + 1]?.segment.exercise.name ?? null;
  const isTalk = key === null;
  const nextKey = keys[isTalk ? 1 : place + 1]?.name;
  // What changes from time to time in a key is told by its turns.
  const isOne = waysIn(one.segment, place).length === 0;
  const way = isOne ? passIn(writtenIn(one.segment), place, 0) : undefined;
  return {
    name: exercise.name,
    place: `${open + 1} of ${segments.length}`,
    isTalk,
    key: keys[place]?.name ?? null,
    next: nextKey ?? follows,
    keys,
    parts:
      tonic === undefined || !present ? [] : partsIn(one, present.parts, { shift }, tonic, wording),
    doing: tonic === undefined ? doingIn(one, place) : '',
    step:
      tonic === undefined && led.keys.length > 1
        ? isTalk
          ? `${led.keys.length} in all`
          : `${place + 1} of ${led.keys.length}`
        : '',
    cue: isTalk ? (way?.cue ?? exercise.cue) : cueIn(one, place, way),
    purpose: isTalk === saidBefore(choices) || !exercise.cue ? exercise.purpose : '',
    sung: sungIn(one, way),
    caution: isTalk ? (exercise.cautions[0] ?? '') : '',
  };
}

/** So much earlier or later is no matter. */
const slack: Seconds = 15;

/** How it stands with the time: what is left of it, and whether what remains fits. */
export interface StandTime {
  /** «4:29 left», «0:40 over» */
  readonly left: string;
  /** «2:30 late», «1:20 to spare», «in time» */
  readonly word: string;
  readonly isLate: boolean;
}

/**
 * The time of a run in words.
 * @param seconds from its start until the time set aside is over
 */
export function standTime(state: RunState, seconds: Seconds): StandTime {
  const left = seconds - state.elapsed;
  const spare = left - restOf(state);
  const figures = lengthInFigures(Math.abs(spare));
  const isLate = spare < -slack;
  return {
    left: `${lengthInFigures(Math.abs(left))} ${left < 0 ? 'over' : 'left'}`,
    word: isLate ? `${figures} late` : spare > 2 * slack ? `${figures} to spare` : 'in time',
    isLate,
  };
}
