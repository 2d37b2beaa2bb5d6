import { isNote, isPitched, offsetsOf, type Music, type PatternEvent } from './music';
import { soundsOfPasses, type Passes } from './passes';
import type { Anchor, PlaceNeed, Phase, Strain } from './vocabulary';

/** What has to be minded, where it applies; never medical advice (docs/model.md, section 3). */
export type Caution =
  | 'pain'
  | 'lightHead'
  | 'breathHold'
  | 'pulses'
  | 'neck'
  | 'jaw'
  | 'shoulders'
  | 'bending'
  | 'knees'
  | 'creak'
  | 'cold'
  | 'balance'
  | 'loud'
  | 'changing'
  | 'moreRoom';

/** Words of moving or touching, and the places that bear little of it. */
const onNeck =
  /\b(turn|lean|nod|tilt|roll|circle)\w*\b[^.]*\b(neck|head|ear|throat)\b|\b(neck|head|throat)\b[^.]*\b(turn|lean|nod|tilt|roll|circle|stroke|stretch|press)|\bnod\b/i;
const onJaw = /\b(jaws?|cheeks?)\b[^.]*\b(hangs?|stroke|loose)|\b(stroke|chew|yawn|grind)\w*\b/i;

/** What has to be known of an exercise to say what to mind. */
export interface ToCaution {
  readonly phase: Phase;
  readonly anchor: Anchor;
  readonly effort: number;
  readonly needs: readonly PlaceNeed[];
  /** What it can strain; where it is not said, the words are looked at. */
  readonly strains?: readonly Strain[] | undefined;
  readonly steps: readonly string[];
  readonly music: Music;
  readonly passes?: Passes | undefined;
}

/** What each strain is minded by. */
const cautionsOfStrain: Readonly<Record<Strain, readonly Caution[]>> = {
  neck: ['neck'],
  jaw: ['jaw'],
  shoulders: ['shoulders'],
  back: ['bending'],
  knees: ['knees'],
  balance: ['balance'],
  bending: ['bending', 'lightHead'],
  pulses: ['pulses', 'lightHead'],
  creak: ['creak'],
};

/** What the words of a body exercise say it can strain. */
function strainsInWords({ music, steps }: ToCaution): Strain[] {
  const moves = music.kind === 'body' ? music.moves.map(({ text }) => text) : [];
  const words = [...moves, ...steps].join(' ');
  return [
    ...(onNeck.test(words) ? ['neck' as const] : []),
    ...(onJaw.test(words) ? ['jaw' as const] : []),
  ];
}

/**
 * The cautions an exercise needs by what is done in it: breathing, held breath and pulses, what it can
 * strain, strong or loud singing, the first sounds of cold voices, standing long, close vowels high up.
 */
export function cautionsNeeded(exercise: ToCaution): readonly Caution[] {
  const { music, phase, effort, needs } = exercise;
  const needed = new Set<Caution>();
  if (music.kind === 'breath') {
    needed.add('lightHead');
    if (music.hold > 0 || music.increment.hold > 0) needed.add('breathHold');
  }
  for (const strain of exercise.strains ?? strainsInWords(exercise)) {
    for (const caution of cautionsOfStrain[strain]) needed.add(caution);
  }
  if (phase === 'onset') needed.add('cold');
  if (effort >= 4) needed.add('pain');
  if (phase === 'range') needed.add('changing');
  if (isPitched(music) && isLoud(music)) needed.add('loud');
  if (phase === 'release' && needs.includes('standing')) needed.add('balance');
  if (hasCloseVowelAtTop(exercise)) needed.add('moreRoom');
  return [...needed];
}

/** A syllable whose vowel is close: oo or ee, or an i or u at its end. */
const close = /oo|ee|ew|^[^aeiou]*[iu]-?$/i;

/** Where a line climbs to the top or is sung light up there, a close vowel on its highest note needs more room. */
function hasCloseVowelAtTop({ music, anchor, phase, passes }: ToCaution): boolean {
  if (!isPitched(music)) return false;
  if (anchor !== 'top' && anchor !== 'light' && phase !== 'range') return false;
  const top = Math.max(...offsetsOf(music));
  const taken = soundsOfPasses(passes);
  switch (music.kind) {
    case 'glide':
    case 'chord':
      return [music.syllable, ...taken].some((one) => close.test(one));
    case 'hold':
      return [...music.syllables, ...taken].some((one) => close.test(one));
    default:
      return sungLines(music).some((events) =>
        syllablesAt(events, top, taken).some((syllable) => close.test(syllable)),
      );
  }
}

/** What is in the mouth on the notes of one pitch: the syllable there or the last one before it, and any sound of a pass. */
function syllablesAt(
  events: readonly PatternEvent[],
  offset: number,
  ofPasses: readonly string[],
): string[] {
  let now: string | undefined;
  return events.filter(isNote).flatMap((note) => {
    now = note.syllable ?? now;
    if (note.offset !== offset || now === undefined) return [];
    return [now, ...ofPasses];
  });
}

/** The lines of notes in music that has some. */
function sungLines(music: Music): readonly (readonly PatternEvent[])[] {
  if (music.kind === 'pattern' || music.kind === 'round') return [music.notes];
  if (music.kind === 'lines') return music.lines;
  if (music.kind === 'drone' && music.over.kind === 'line') return [music.over.notes];
  return [];
}

/** Whether a dynamic of forte or more stands anywhere in it. */
const isLoud = (music: Music): boolean =>
  sungLines(music)
    .flat()
    .some((event) => isNote(event) && ['f', 'ff'].includes(event.dynamic ?? ''));
