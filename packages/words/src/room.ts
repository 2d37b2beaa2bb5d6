import type { KeptKind, Room } from '@wide-fern/contract';
import { formFor } from './counting';

const keptWords: Readonly<Record<Exclude<KeptKind, 'files'>, readonly [string, string]>> = {
  singers: ['singer', 'singers'],
  evenings: ['evening', 'evenings'],
  templates: ['evening to begin from', 'evenings to begin from'],
  keptPlans: ['plan to begin from', 'plans to begin from'],
  pieces: ['piece', 'pieces'],
  marks: ['mark in pieces', 'marks in pieces'],
  judgements: ['judgement', 'judgements'],
  exercises: ['exercise of its own', 'exercises of its own'],
  checks: ['range check', 'range checks'],
};

const figure = (of: KeptKind, count: number): string =>
  of === 'files' ? `${Math.round(count / 1_000_000)} MB` : count.toLocaleString('en-GB');

/** «500 MB of scores», «1,950 pieces»: how much of something a choir keeps. */
function keptInWords(of: KeptKind, count: number): string {
  if (of === 'files') return `${figure(of, count)} of scores`;
  return `${figure(of, count)} ${formFor(count, ...keptWords[of])}`;
}

/** That a choir keeps as much of something as it may, and what to do. */
export function fullInWords({ of, here, most }: Room[number]): string {
  const first = of === 'singers' ? 'Take somebody off the roster first' : 'Throw some away first';
  const verb = of === 'files' ? 'are' : formFor(here, 'is', 'are');
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
