import { noMark } from '../../../here/marking';
import type { ChoirExercises, Exercise, ExerciseMark } from '@wide-fern/contract';
import {
  type Section,
  own,
  hasKeys,
  segmentSeconds,
  sharedKeys,
  spanOf,
  type Choosable,
  type MidiNote,
  type Music,
  type Searchable,
  type Seconds,
} from '@wide-fern/core';
import { searched } from '@wide-fern/words';
/** An exercise in the list, with what is known of it here and tonight. */
export interface Listed extends Choosable {
  readonly exercise: Exercise;
  readonly mark: ExerciseMark;
  readonly seconds: Seconds;
}

/** What depends on the exercise alone is worked out once, however often the list is made; its words when somebody first searches. */
const lengths = new WeakMap<Exercise, Seconds>();
const searches = new WeakMap<Exercise, Searchable>();
function secondsOf(exercise: Exercise): Seconds {
  const found = lengths.get(exercise);
  if (found !== undefined) return found;
  const seconds = segmentSeconds(exercise, { ...exercise.usual, start: null });
  lengths.set(exercise, seconds);
  return seconds;
}
function searchedOf(exercise: Exercise): Searchable {
  const found = searches.get(exercise) ?? searched(exercise);
  searches.set(exercise, found);
  return found;
}

/** What of an exercise's music its keys depend on: many are alike in that. */
function fitOf(music: Music): string {
  if (music.kind === 'chord') return `chord ${music.tones.join(' ')} ${String(music.distinct)}`;
  if (music.kind === 'lines' || music.kind === 'drone') return JSON.stringify(music);
  const span = spanOf(music);
  return span ? `${span.lowest} ${span.highest}` : '';
}

/** The keys that suit everyone depend on the sections too; kept for the sections last asked for. */
let kept: { sections: string; keys: Map<string, readonly MidiNote[] | undefined> } = {
  sections: '',
  keys: new Map(),
};
function keysOf(exercise: Exercise, sections: readonly Section[], signature: string) {
  if (kept.sections !== signature) kept = { sections: signature, keys: new Map() };
  if (!hasKeys(exercise.music)) return undefined;
  const fit = `${exercise.anchor} ${fitOf(exercise.music)}`;
  if (!kept.keys.has(fit)) kept.keys.set(fit, sharedKeys(exercise, sections));
  return kept.keys.get(fit);
}

/** All exercises of a choir as the list shows them: the built-in ones by phase, then its own. */
export function listExercises(
  builtIn: readonly Exercise[],
  { own: ours, marks, lastUsed }: ChoirExercises,
  sections: readonly Section[],
): Listed[] {
  const signature = JSON.stringify(
    sections.map(({ id, comfort, octave }) => [id, comfort, octave]),
  );
  const entry = (exercise: Exercise, isOwn: boolean): Listed => {
    const mark = own(marks, exercise.id) ?? noMark;
    const used = own(lastUsed, exercise.id);
    return {
      exercise,
      mark,
      seconds: secondsOf(exercise),
      get title() {
        return searchedOf(exercise).title;
      },
      get words() {
        return searchedOf(exercise).words;
      },
      own: isOwn,
      phase: exercise.phase,
      purposes: exercise.purposes,
      kind: exercise.music.kind,
      effort: exercise.effort,
      difficulty: exercise.difficulty,
      needs: exercise.needs,
      ages: exercise.ages,
      keys: keysOf(exercise, sections, signature),
      lastUsed: used === undefined ? undefined : Date.parse(used),
      favourite: mark.favourite,
      hidden: mark.hidden,
    };
  };
  return [...builtIn.map((one) => entry(one, false)), ...ours.map((one) => entry(one, true))];
}
