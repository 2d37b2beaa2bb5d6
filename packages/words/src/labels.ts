import type { Kind, Phase, Shape, Condition, SingerState } from '@wide-fern/core';

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
  outward: 'outward from the middle',
};

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
