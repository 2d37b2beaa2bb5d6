import type { Rehearsed, SaidThing } from '@wide-fern/plan';
import { capitalise, counted, countInWords, listInWords } from '../counting';
import { lengthInFigures } from '../time';

/** What can be said of an exercise, in words. */
export const saidThingWords: Readonly<Record<SaidThing, string>> = {
  purpose: 'its purpose',
  cue: 'the cue',
  breath: 'the breath',
};

/** What came of a rehearsal of leading. */
export interface RehearsedWords {
  /** Each figure with what it is. */
  readonly rows: readonly (readonly [what: string, words: string])[];
  readonly went: string;
  readonly toTry: string;
}

/** So much more or less than planned is no matter, in seconds. */
const slack = 30;
/** More exercises than this are not named. */
const named = 3;

function slipsInWords({ slips, answered }: Pick<Rehearsed, 'slips' | 'answered'>): string {
  if (slips === 0) return 'none';
  if (answered === 0) return `${slips}, nothing was done about them`;
  return `${slips}, something was done about ${answered === slips ? 'all' : answered}`;
}

const some = (names: readonly string[]): string =>
  names.length > named
    ? `${names.slice(0, named).join(', ')} and ${counted(names.length - named, 'other', 'others')}`
    : listInWords(names);

function went({ planned, real, slips, answered, keys, keysPlanned, talk, talkPlanned }: Rehearsed) {
  if (slips > 0 && answered === slips) return 'You heard every slip and did something about it.';
  if (keys === keysPlanned && Math.abs(real - planned) <= slack) {
    return 'Every key, and the time as it was planned: that is well led.';
  }
  if (keys === keysPlanned) return 'You went through every key.';
  if (talk <= talkPlanned) return 'You said no more than was planned, and the choir sang.';
  return 'You stood in front and led: that is the beginning of it.';
}

function toTry(one: Rehearsed): string {
  const { planned, real, slips, answered, talk, talkPlanned, keys, keysPlanned, unsaid } = one;
  if (slips > 0 && answered * 3 < slips * 2) {
    return (
      `${capitalise(counted(slips - answered, 'slip', 'slips'))} of ${countInWords(slips)} went by. ` +
      'Next time, sing a key again when something was wrong in it.'
    );
  }
  if (talk > talkPlanned + slack) {
    return `Talk took ${lengthInFigures(talk - talkPlanned)} more than planned. Try one sentence for each exercise.`;
  }
  if (unsaid.purpose.length > 0) {
    return `Say in one sentence what ${some(unsaid.purpose)} ${unsaid.purpose.length === 1 ? 'is' : 'are'} for.`;
  }
  if (unsaid.cue.length > 0) return `Give the cue of ${some(unsaid.cue)} before the first key.`;
  if (unsaid.breath.length > 0) return `Show where to breathe in ${some(unsaid.breath)}.`;
  if (keysPlanned > keys) {
    return `${counted(keysPlanned - keys, 'key', 'keys')} were left out. Try to go through them all.`;
  }
  if (Math.abs(real - planned) > slack) {
    return `It was ${lengthInFigures(Math.abs(real - planned))} ${real > planned ? 'longer' : 'shorter'} than planned. Keep an eye on the time at the top.`;
  }
  return 'Try it once more with a choir that slips more often.';
}

/** What came of a rehearsal, as figures with one sentence of encouragement and one thing to try. */
export function rehearsedInWords(one: Rehearsed): RehearsedWords {
  const { planned, real, talkPlanned, talk, keysPlanned, keys, again } = one;
  const figures = (figure: number, of: number) =>
    `${lengthInFigures(figure)}, planned ${lengthInFigures(of)}`;
  const missing = (thing: SaidThing): string =>
    one.unsaid[thing].length === 0 ? 'nowhere' : some(one.unsaid[thing]);
  return {
    rows: [
      ['Time', figures(real, planned)],
      ['Talk', figures(talk, talkPlanned)],
      [
        'Keys and steps',
        again === 0
          ? `${keys} of ${keysPlanned}`
          : `${keys} of ${keysPlanned}; ${counted(again, 'was', 'were')} done again`,
      ],
      ['Slips', slipsInWords(one)],
      ['Purpose not said', missing('purpose')],
      ['Cue not said', missing('cue')],
      ['Breath not said', missing('breath')],
    ],
    went: went(one),
    toTry: toTry(one),
  };
}
