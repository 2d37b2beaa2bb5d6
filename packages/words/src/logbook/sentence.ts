import type { LogSpan } from '@wide-fern/core';
import type { LogbookView } from '@wide-fern/plan';
import { counted, countInWords, formFor, timesInWords } from '../counting';
import { dateInWords } from '../dates';
import { phaseWords } from '../labels';
import { lengthInFigures } from '../time';

const spanWords: Readonly<Record<LogSpan, readonly [string, string]>> = {
  week: ['week', 'weeks'],
  month: ['month', 'months'],
  year: ['year', 'years'],
};
/** «four weeks» */
export const columnsInWords = (count: number, span: LogSpan): string =>
  counted(count, ...spanWords[span]);

type Sentence = Pick<LogbookView, 'columns' | 'neglected' | 'open'>;

/** The one sentence of the logbook in its halves: what is neglected, and what still goes wrong. */
export function logbookSentence(
  { columns, neglected, open }: Sentence,
  span: LogSpan,
): readonly string[] {
  if (columns.every(({ evenings }) => evenings.every(({ led }) => led.length === 0))) {
    return [`Nothing was led in the last ${columnsInWords(columns.length, span)}.`];
  }
  const missing = neglected
    ? `${phaseWords[neglected.phase]} has had nothing for ${columnsInWords(neglected.led, span)}`
    : 'Nothing that was led has been left out for long';
  const worst = open.reduce<(typeof open)[number] | undefined>(
    (most, one) => ((one.last ?? 5) < (most?.last ?? 6) ? one : most),
    undefined,
  );
  if (!worst) return [`${missing}.`];
  const how = worst.last === undefined ? 'is still open' : `is still at ${worst.last} of 5`;
  return [`${missing};`, `${worst.skill} in “${worst.title}” ${how}.`];
}

/** So much longer than planned is late. */
const slack = 180;

/** How evenings ended against their plans. */
export interface Lateness {
  readonly title: string;
  readonly words: string;
}

/** «Late once by eight minutes», and how the others went. */
export function latenessInWords(
  { columns }: Pick<LogbookView, 'columns'>,
  dayOf: (moment: string) => string,
): Lateness | undefined {
  const all = columns.flatMap(({ evenings }) =>
    evenings.flatMap(({ startsAt, runs, led }) =>
      runs.map(({ id, planned, real }) => ({
        day: dayOf(startsAt),
        over: real - planned,
        talk: led.filter(({ run }) => run === id).reduce((sum, { talk }) => sum + talk, 0),
      })),
    ),
  );
  if (all.length === 0) return undefined;
  const late = all.filter(({ over }) => over > slack);
  const within = (some: typeof all) =>
    lengthInFigures(Math.max(...some.map(({ over }) => Math.abs(over))));
  if (late.length === 0) {
    const count = counted(all.length, 'warm-up', 'warm-ups');
    return { title: 'Never late', words: `${count}, each within ${within(all)} of its plan.` };
  }
  const worst = late.reduce((most, one) => (one.over > most.over ? one : most));
  const times = timesInWords(late.length);
  const others = all.filter((one) => !late.includes(one));
  const rest =
    others.length === 0
      ? ''
      : ` The other ${others.length === 1 ? 'one' : countInWords(others.length)} ended within ${within(others)} of ${formFor(others.length, 'its plan', 'their plans')}.`;
  return {
    title: `Late ${times}, by ${counted(Math.round(worst.over / 60), 'minute', 'minutes')}${late.length > 1 ? ' at most' : ''}`,
    words: `On ${dateInWords(worst.day)} talk took ${lengthInFigures(worst.talk)}.${rest}`,
  };
}
