import {
  hasKeys,
  onOwnPitch,
  type Accompaniment,
  type Articulation,
  type Dynamic,
  type Music,
  type Pass,
  type Passes,
  type Substituting,
} from '@wide-fern/core';
import { countInWords } from './counting';

export const articulationWords: Readonly<Record<Articulation, string>> = {
  bound: 'bound',
  short: 'short notes',
  weighty: 'each note begun with weight',
};

export const dynamicWords: Readonly<Record<Dynamic, string>> = {
  pp: 'very soft',
  p: 'soft',
  mp: 'rather soft',
  mf: 'rather loud',
  f: 'loud',
  ff: 'very loud',
};

/** Which parts do something else beside the others. */
export const substitutingWords: Readonly<Record<Substituting, string>> = {
  highest: 'the highest part',
  'upper half': 'the higher voices',
  'lower half': 'the lower voices',
  lowest: 'the lowest part',
};

/** «on “noo”, soft, short notes: only the lips work» */
export function passInWords({ sounds, dynamic, articulation, serves, cue }: Pass): string {
  const how = [
    sounds?.length ? `on “${sounds.join(' ')}”` : '',
    dynamic ? dynamicWords[dynamic] : '',
    articulation ? articulationWords[articulation] : '',
    serves ? `for ${serves}` : '',
  ].filter((one) => one !== '');
  if (!cue) return how.join(', ') || 'as written';
  return how.length === 0 ? cue : `${how.join(', ')}: ${cue}`;
}

const ordinals = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth'];
export const ordinal = (i: number): string => ordinals[i] ?? `Number ${i + 1}`;

/** What its ways take turns in: keys, times in each key, or what is done where there is no key. */
function turnWord(over: Passes['over'], music: Music): string {
  if (music.kind === 'body') return 'movement';
  if (music.kind === 'breath' || onOwnPitch(music)) return 'round';
  return over === 'keys' && hasKeys(music) ? 'key' : 'time';
}

/** Each pass in a line: «First key: on “noo”, soft.» What is asked stands last. */
export function passesInWords({ over, each, ask }: Passes, music: Music): string[] {
  const what = turnWord(over, music);
  const lines = each.map((pass, i) => `${ordinal(i)} ${what}: ${passInWords(pass)}`);
  const again = `Then from the first again, by turns.`;
  return [
    ...lines.map((line) => (/[.!?]$/.test(line) ? line : `${line}.`)),
    ...(over === 'keys' ? [again] : []),
    ...(ask ? [`Then ask: ${ask}`] : []),
  ];
}

/** What the instrument plays under each key, for whoever plays it. */
export function accompanimentInWords(accompaniment: Accompaniment): string {
  if (accompaniment.kind === 'drone') {
    return 'The instrument holds one sound softly under each key.';
  }
  const { chords } = accompaniment;
  return chords.length === 1
    ? 'The instrument holds a chord under each key.'
    : `The instrument plays ${countInWords(chords.length)} chords under each key, softly.`;
}
