import type { KeptKind, Room } from '@wide-fern/contract';
import { formFor } from './counting';

/** What is counted in bytes. */
const bytesWords = { files: 'scores', recordings: 'recordings' } as const;
type BytesKind = keyof typeof bytesWords;
const inBytes = (of: KeptKind): of is BytesKind => of in bytesWords;

const keptWords: Readonly<Record<Exclude<KeptKind, BytesKind>, readonly [string, string]>> = {
  singers: ['singer', 'singers'],
  evenings: ['evening', 'evenings'],
  templates: ['evening to begin from', 'evenings to begin from'],
  keptPlans: ['plan to begin from', 'plans to begin from'],
  pieces: ['piece', 'pieces'],
  marks: ['mark in pieces', 'marks in pieces'],
  judgements: ['judgement', 'judgements'],
  judgings: ['run judged together', 'runs judged together'],
  exercises: ['exercise of its own', 'exercises of its own'],
  checks: ['range check', 'range checks'],
};

const figure = (of: KeptKind, count: number): string =>
  inBytes(of) ? `${Math.round(count / 1_000_000)} MB` : count.toLocaleString('en-GB');

/** «500 MB of scores», «1,950 pieces»: how much of something a choir keeps. */
function keptInWords(of: KeptKind, count: number): string {
  if (inBytes(of)) return `${figure(of, count)} of ${bytesWords[of]}`;
  return `${figure(of, count)} ${formFor(count, ...keptWords[of])}`;
}

/** That a choir keeps as much of something as it may, and what to do. */
export function fullInWords({ of, here, most }: Room[number]): string {
  const first = of === 'singers' ? 'Take somebody off the roster first' : 'Throw some away first';
  const verb = inBytes(of) ? 'are' : formFor(here, 'is', 'are');
  return `A choir keeps at most ${keptInWords(of, most)}; ${figure(of, here)} ${verb} here. ${first}.`;
}

/** From this share on it is said that there is little room left. */
const nearlyFull = 0.9;

/** That there is little room left; nothing while there is enough. */
export function roomLeftInWords({ of, here, most }: Room[number]): string | undefined {
  if (here < nearlyFull * most) return undefined;
  return `${keptInWords(of, here)} of at most ${figure(of, most)} are here: there is little room left.`;
}

/** «36 singers of 2,000»: how much is here of how much there may be. */
export const roomInWords = ({ of, here, most }: Room[number]): string =>
  `${keptInWords(of, here)}, of ${figure(of, most)}`;
