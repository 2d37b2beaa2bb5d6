import type { Mode } from '../../pitch';
import type { Beats } from '../../units';
import { isNote, type PatternEvent } from '../music';
import { degreeOfSemitones } from './degrees';
import { writeLength } from './lengths';

/** The length most events have: said once for all. */
function usualLength(events: readonly PatternEvent[]): Beats {
  const counts = new Map<Beats, number>();
  for (const { beats } of events) counts.set(beats, (counts.get(beats) ?? 0) + 1);
  // Without a doubt it is one beat; else what comes most often, of equal ones the first.
  const most = Math.max(...counts.values());
  if ((counts.get(1) ?? 0) === most) return 1;
  return [...counts].find(([, count]) => count === most)?.[0] ?? 1;
}

/** «<7», «4+», «10»: a note's step as it is typed. */
export function writeDegree(offset: number, mode: Mode): string {
  const { step, altered } = degreeOfSemitones(offset, mode);
  const below = step < 1 ? Math.ceil((1 - step) / 7) : 0;
  const sign = altered < 0 ? '-' : '+';
  return `${'<'.repeat(below)}${step + 7 * below}${sign.repeat(Math.abs(altered))}`;
}

/** Writes a line so that reading it gives the same again. */
export function writeLine(events: readonly PatternEvent[], mode: Mode): string {
  const usual = usualLength(events);
  const words = usual === 1 ? [] : [`:${writeLength(usual)}`];
  for (const event of events) {
    const length = event.beats === usual ? '' : `:${writeLength(event.beats)}`;
    if (!isNote(event)) {
      words.push(`r${length}`);
      continue;
    }
    const { offset, syllable, slur, breathAfter, dynamic, swell } = event;
    if (dynamic) words.push(dynamic);
    if (swell) words.push(swell);
    const sung = syllable === undefined ? '' : `(${syllable})`;
    words.push(`${writeDegree(offset, mode)}${length}${sung}${slur ? '~' : ''}`);
    if (breathAfter) words.push(',');
  }
  return words.join(' ');
}
