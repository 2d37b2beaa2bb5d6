import { isNote, isPitched, type Music } from './music';
import type { PlaceNeed, Phase } from './vocabulary';

/** What has to be minded, where it applies; never medical advice (docs/model.md, section 3). */
export type Caution =
  'pain' | 'lightHead' | 'breathHold' | 'neck' | 'jaw' | 'cold' | 'balance' | 'loud' | 'changing';

/** Words of moving or touching, and the places that bear little of it. */
const onNeck =
  /\b(turn|lean|nod|tilt|roll|circle)\w*\b[^.]*\b(neck|head|ear|throat)\b|\b(neck|head|throat)\b[^.]*\b(turn|lean|nod|tilt|roll|circle|stroke|stretch|press)|\bnod\b/i;
const onJaw = /\b(jaws?|cheeks?)\b[^.]*\b(hangs?|stroke|loose)|\b(stroke|chew|yawn|grind)\w*\b/i;

/** What has to be known of an exercise to say what to mind. */
export interface ToCaution {
  readonly phase: Phase;
  readonly effort: number;
  readonly needs: readonly PlaceNeed[];
  readonly steps: readonly string[];
  readonly music: Music;
}

/**
 * The cautions an exercise needs by what is done in it: breathing and held breath, neck and jaw,
 * strong or loud singing, the first sounds of cold voices, standing long. Its own words may add others.
 */
export function cautionsNeeded(exercise: ToCaution): readonly Caution[] {
  const { music, phase, effort, needs, steps } = exercise;
  const needed = new Set<Caution>();
  const moves = music.kind === 'body' ? music.moves.map(({ text }) => text) : [];
  const words = [...moves, ...steps].join(' ');
  if (music.kind === 'breath') {
    needed.add('lightHead');
    if (music.hold > 0 || music.increment.hold > 0) needed.add('breathHold');
  }
  if (onNeck.test(words)) needed.add('neck');
  if (onJaw.test(words)) needed.add('jaw');
  if (phase === 'onset') needed.add('cold');
  if (effort >= 4) needed.add('pain');
  if (phase === 'range') needed.add('changing');
  if (isPitched(music) && isLoud(music)) needed.add('loud');
  if (phase === 'release' && needs.includes('standing')) needed.add('balance');
  return [...needed];
}

/** Whether a dynamic of forte or more stands anywhere in it. */
function isLoud(music: Music): boolean {
  const events =
    music.kind === 'pattern' || music.kind === 'round'
      ? music.notes
      : music.kind === 'lines'
        ? music.lines.flat()
        : music.kind === 'drone' && music.over.kind === 'line'
          ? music.over.notes
          : [];
  return events.some((event) => isNote(event) && ['f', 'ff'].includes(event.dynamic ?? ''));
}
