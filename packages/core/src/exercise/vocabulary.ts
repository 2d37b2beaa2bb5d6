/** The longest text that is sung on one note: what a choir speaks over a drone is one. */
export const longestSyllable = 2400;

/** The phases of a warm-up in their usual order (docs/model.md, section 3). */
export const phases = [
  'release',
  'breath',
  'onset',
  'resonance',
  'range',
  'agility',
  'listening',
  'articulation',
  'piece',
  'cool-down',
] as const;
export type Phase = (typeof phases)[number];

/**
 * The share of the comfort that a phase keeps to, unless an exercise says otherwise: early phases
 * stay in the middle (docs/model.md, section 4). Unpitched phases have 1.
 */
export const phaseFraction: Readonly<Record<Phase, number>> = {
  release: 1,
  breath: 1,
  onset: 0.55,
  resonance: 0.7,
  range: 1,
  agility: 1,
  listening: 0.8,
  articulation: 0.7,
  piece: 1,
  'cool-down': 0.55,
};

/** Where on the voice an exercise lives (docs/model.md, section 5). */
export const anchors = ['middle', 'speech', 'low', 'top', 'light'] as const;
export type Anchor = (typeof anchors)[number];

/** How breath is taken: by all at once, or by each when it suits. */
export const breathings = ['together', 'staggered'] as const;
export type Breathing = (typeof breathings)[number];

/** What an exercise can be for. */
export const purposes = [
  'posture',
  'loosening',
  'low breath',
  'long outflow',
  'gentle onset',
  'light register',
  'forward resonance',
  'vowel unity',
  'open space',
  'top notes',
  'low notes',
  'register change',
  'agility',
  'legato',
  'swelling and fading',
  'tuning',
  'blend',
  'listening',
  'diction',
  'rhythm',
  'settling',
] as const;
export type Purpose = (typeof purposes)[number];

/** What an exercise needs of the place and the singers. */
export const placeNeeds = ['standing', 'floor', 'noise', 'prop', 'mirror'] as const;
export type PlaceNeed = (typeof placeNeeds)[number];

/** What an exercise can strain, so that cautions are said. */
export const strains = [
  'neck',
  'jaw',
  'shoulders',
  'back',
  'knees',
  'balance',
  'bending',
  'pulses',
  'creak',
] as const;
export type Strain = (typeof strains)[number];

/** How high and low voices with keys of their own sing. */
export const groupings = ['in turn', 'together'] as const;
export type Grouping = (typeof groupings)[number];

/** Which parts do something else beside the others. */
export const substituting = ['highest', 'upper half', 'lower half', 'lowest'] as const;
export type Substituting = (typeof substituting)[number];

/** Who an exercise suits. */
export const ages = ['children', 'changing voices', 'adults', 'older voices'] as const;
export type Age = (typeof ages)[number];

/** Printed loudness. */
export const dynamics = ['pp', 'p', 'mp', 'mf', 'f', 'ff'] as const;
export type Dynamic = (typeof dynamics)[number];
/** Growing or fading until the next dynamic. */
export const swells = ['growing', 'fading'] as const;
export type Swell = (typeof swells)[number];
/** How notes are joined: bound, parted, or each begun with weight. */
export const articulations = ['bound', 'short', 'weighty'] as const;
export type Articulation = (typeof articulations)[number];
export const isDynamicWord = (word: string): word is Dynamic =>
  (dynamics as readonly string[]).includes(word);
export const isSwellWord = (word: string): word is Swell =>
  (swells as readonly string[]).includes(word);
