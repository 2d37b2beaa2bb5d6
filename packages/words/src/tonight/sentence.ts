import { countInWords, listInWords } from '../counting';
import { weekdayName } from '../dates';
import { lengthInFigures } from '../time';
import { noteName, type NoteWriting } from '@wide-fern/core';
import { type EvaluatedPlan, decidingNeed, highestSung } from '@wide-fern/plan';

/** The one sentence of Tonight: whether the evening's warm-up is ready, or what stands in the way. */
export interface Readiness {
  readonly sentence: string;
  /** What the one main act is called. */
  readonly act: string;
}

/** «Tonight» on the day itself, else the day's name. */
export function whenInWords(startsAt: string, now: number, timeZone: string): string {
  const day = new Intl.DateTimeFormat('en-CA', { timeZone });
  const moment = new Date(startsAt);
  return day.format(moment) === day.format(now) ? 'Tonight' : weekdayName(moment, timeZone);
}

/** More than this, in seconds, and more than this share of the time left open is no whole warm-up. */
const leastLeft = 60;
const shareLeft = 0.15;

const minutesInWords = (seconds: number): string => {
  const minutes = Math.round(seconds / 60);
  return `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`;
};

/** «up to the F5 that “Lanterns over Slate” needs», or how far it falls short. */
function reachInWords(plan: EvaluatedPlan, writing: NoteWriting): string {
  const need = decidingNeed(plan.document.tonight);
  if (!need) return '; no piece says yet what it has to prepare';
  const highest = highestSung(plan.segments, need.part);
  const wanted = `the ${noteName(need.highest, writing)} that “${need.highestIn}” needs`;
  if (highest === undefined) return `, but it sings nothing towards ${wanted}`;
  if (highest >= need.highest) return `, up to ${wanted}`;
  return `, but it stops at ${noteName(highest, writing)}, below ${wanted}`;
}

/** What to say of an evening's warm-up. */
export function readiness(
  when: string,
  plan: EvaluatedPlan,
  writing: NoteWriting,
  /** Segments that left someone's comfort since the plan was made, because people or conditions changed. */
  misfits = 0,
  /** A reader is not told whether small sections are known. */
  isReader = false,
): Readiness {
  const whose = `${when}’s`;
  if (plan.segments.length === 0) {
    return {
      sentence: `${when} has no warm-up yet: ${minutesInWords(plan.allotted)} are set aside for it.`,
      act: 'Build the warm-up',
    };
  }
  const act = 'Open the plan';
  const stuck = plan.segments.find(
    ({ computed }) => computed.keys.kind !== 'none' && !computed.keys.sung,
  );
  if (stuck) {
    const { name } = stuck.segment.exercise;
    return {
      sentence: `${whose} warm-up cannot be led yet: “${name}” has no key that everyone can sing.`,
      act,
    };
  }
  const beyond = plan.segments.flatMap(({ segment, computed: { keys } }) =>
    keys.kind === 'ladder' && keys.sung?.beyond ? [{ segment, parts: keys.sung.beyond }] : [],
  )[0];
  if (beyond) {
    const { name } = beyond.segment.exercise;
    const manyOf = (part: string) =>
      plan.document.tonight.sections.find(({ id }) => id === part)?.many ?? part;
    const who = listInWords(beyond.parts.map(manyOf));
    return {
      sentence: `${whose} warm-up is planned, but “${name}” goes beyond the reach of the ${who}, as it was chosen.`,
      act,
    };
  }
  if (misfits > 0) {
    const segments =
      misfits === 1 ? 'one segment leaves' : `${countInWords(misfits)} segments leave`;
    return {
      sentence: `${whose} warm-up no longer fits who is here: ${segments} a section’s comfort.`,
      act: 'Look at the new keys',
    };
  }
  const over = Math.round(plan.total) - Math.round(plan.allotted);
  if (over > 0) {
    return { sentence: `${whose} warm-up is ${lengthInFigures(over)} too long.`, act };
  }
  const left = plan.allotted - plan.total;
  if (left > Math.max(leastLeft, shareLeft * plan.allotted)) {
    const sentence =
      `${whose} warm-up is not whole yet: ${lengthInFigures(left)} of ${lengthInFigures(plan.allotted)} ` +
      `${left === 60 ? 'is' : 'are'} still open.`;
    return { sentence, act: 'Plan the rest' };
  }
  const length = minutesInWords(plan.total);
  const reach = reachInWords(plan, writing);
  const { sections } = plan.document.tonight;
  if (sections.every(({ singers, away = 0 }) => singers + away === 0)) {
    const why = isReader
      ? ''
      : ' Nobody’s range is known here yet, so it rests on voices as they usually are.';
    return { sentence: `${whose} warm-up is planned: ${length}${reach}.${why}`, act };
  }
  return { sentence: `${whose} warm-up is ready: ${length}, in your singers’ reach${reach}.`, act };
}
