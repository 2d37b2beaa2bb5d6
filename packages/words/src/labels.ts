import type {
  Anchor,
  Breathing,
  Condition,
  Kind,
  Phase,
  Shape,
  SingerState,
} from '@wide-fern/core';

/** What the phases of a warm-up are called. */
export const phaseWords: Readonly<Record<Phase, string>> = {
  release: 'Release',
  breath: 'Breath',
  onset: 'Onset',
  resonance: 'Resonance',
  range: 'Range',
  agility: 'Agility',
  listening: 'Listening',
  articulation: 'Articulation',
  piece: 'Into the piece',
  'cool-down': 'Cool-down',
};

/** What each kind is called. */
export const kindWords: Readonly<Record<Kind, string>> = {
  pattern: 'a line for all',
  lines: 'a line for each part',
  round: 'a round',
  drone: 'a drone',
  glide: 'a slide',
  hold: 'a held note',
  chord: 'a chord',
  breath: 'counted breath',
  spoken: 'spoken',
  body: 'movement',
};

/** The shapes as they are said: «up by semitone». */
export const shapeWords: Readonly<Record<Shape, string>> = {
  up: 'up',
  down: 'down',
  'up-and-back': 'up and back',
  'two-runs': 'up, then down from the start',
  outward: 'outward from the middle',
};

/** Where on the voice an exercise lives. */
export const anchorWords: Readonly<Record<Anchor, string>> = {
  middle: 'in the middle of the voice',
  speech: 'where voices speak',
  low: 'down to the low notes',
  top: 'up to what the music needs',
  light: 'light, men at the women’s pitch',
};

export const breathingWords: Readonly<Record<Breathing, string>> = {
  together: 'all together',
  staggered: 'each when it suits',
};

/** Whether the leader sings it first; what was stored earlier said yes or no. */
export const demonstrationInWords = (said: unknown): string =>
  said === 'each key'
    ? 'sung first in each key'
    : said === 'once' || said === true
      ? 'sung first'
      : 'not sung first';

/** What a condition is called in a sentence about the choir. */
export const conditionWords: Readonly<Record<Condition, string>> = {
  rested: 'rested',
  'after-work': 'after a working day',
  morning: 'in the morning',
  cold: 'cold, or illness about',
  returning: 'back after weeks',
};

export const stateWords: Readonly<Record<SingerState, string>> = {
  tired: 'tired',
  returning: 'returning',
  ill: 'ill',
  changing: 'changing voice',
};
