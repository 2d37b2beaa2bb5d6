import type { Exercise } from '@wide-fern/contract';
import { beatsOf, onOwnPitch, syllablesOf, type Movement, type Music } from '@wide-fern/core';
import { counted } from './counting';

const sentence = (text: string): string => (/[.!?…]$/.test(text) ? text : `${text}.`);

/** «Lean an ear over. Both sides, three times, held for 2 s.» */
function movementInWords({ text, sides, times, held }: Movement): string {
  const said = [
    sides === 2 ? 'both sides' : '',
    times > 1 ? counted(times, 'time', 'times') : '',
    held > 0 ? `held for ${held} s` : '',
  ].filter((words) => words !== '');
  if (said.length === 0) return text;
  const rest = said.join(', ');
  return `${sentence(text)} ${rest.charAt(0).toUpperCase()}${rest.slice(1)}.`;
}

/** What is done in movement or said in a text, line for line. */
export const doneLines = (music: Extract<Music, { kind: 'body' | 'spoken' }>): string[] =>
  music.kind === 'body' ? music.moves.map(movementInWords) : [...music.lines];

/** «Locked knees: let them give.» What to watch for, and what helps where that is said. */
export const watchedInWords = ({ see, help }: Exercise['watchFor'][number]): string =>
  help === '' ? sentence(see) : `${see.replace(/[.:]$/, '')}: ${sentence(help)}`;

/** The same as it is typed, and as it is read from a line: what is seen, a colon, what helps. */
export const writeWatched = ({ see, help }: Exercise['watchFor'][number]): string =>
  help === '' ? see : `${see}: ${help}`;
export function readWatched(line: string): Exercise['watchFor'][number] {
  const at = line.indexOf(': ');
  return at < 0 ? { see: line, help: '' } : { see: line.slice(0, at), help: line.slice(at + 2) };
}

/** «Everyone on the own easy note, on mm: four times 6.7 s, with 4 s to rest.» */
export function ownPitchInWords(
  { music }: Pick<Exercise, 'music'>,
  { tempo, repetitions }: Pick<Exercise['usual'], 'tempo' | 'repetitions'>,
): string {
  const own = onOwnPitch(music);
  if (!own) return '';
  const seconds = Math.round((beatsOf(music) * 600) / tempo) / 10;
  const rest = own.recovery > 0 ? `, with ${own.recovery} s to rest` : '';
  const times = counted(repetitions, 'time', 'times');
  return `Everyone on the own easy note, on ${syllablesOf(music).join(' ')}: ${times} ${seconds} s${rest}.`;
}
