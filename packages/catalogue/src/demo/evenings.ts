import type { LowVoiceOrder, Shape } from '@wide-fern/core';

/** How a demo evening is laid out; pieces are named by their key in the demo's list. */
export interface DemoAgendaItem {
  readonly id: string;
  readonly kind: 'warm-up' | 'piece' | 'break' | 'notices' | 'cool-down';
  readonly title: string;
  readonly minutes: number;
  readonly piece?: DemoPieceKey;
}

/** A segment of a demo plan: an exercise by its id, and what was changed from its usual figures. */
export interface DemoSegment {
  readonly exercise: string;
  readonly repetitions?: number;
  readonly tempo?: number;
  readonly talk?: number;
  readonly shape?: Shape;
  readonly step?: number;
  readonly bySteps?: boolean;
  readonly lowVoices?: LowVoiceOrder;
}

export interface DemoEvening {
  /** Weeks from the coming Tuesday. */
  readonly week: number;
  readonly name?: string;
  readonly agenda: readonly DemoAgendaItem[];
  readonly plan?: readonly DemoSegment[];
  /** How it was led, where it was: talk and pace as multiples of what was planned. */
  readonly led?: {
    readonly talk: number;
    readonly pace: number;
    /** Every so manieth key once more. */
    readonly again?: number;
    /** In the segment at this place a part strained, and it went on lower. */
    readonly strains?: { readonly segment: number; readonly part: string };
  };
  /** Whether its plan is what the planner builds. */
  readonly builtAhead?: boolean;
}

/** The pieces of the demo by their keys. */
export const demoPieces = {
  lanterns: 'Lanterns over Slate',
  coldIron: 'Cold Iron, Warm Hands',
  heron: 'The Heron’s Errand',
  ferry: 'Night Ferry Round',
} as const;
export type DemoPieceKey = keyof typeof demoPieces;

const piece = (key: DemoPieceKey, minutes = 20): DemoAgendaItem => ({
  id: key.toLowerCase(),
  kind: 'piece',
  title: demoPieces[key],
  minutes,
  piece: key,
});
const other = (id: DemoAgendaItem['kind'], title: string, minutes: number): DemoAgendaItem => ({
  id,
  kind: id,
  title,
  minutes,
});
const warmUp = other('warm-up', 'Warm-up', 15);
const pause = other('break', 'Break', 15);
const notices = other('notices', 'Notices', 5);
const coolDown = other('cool-down', 'Cool-down', 5);

const allFour: readonly DemoAgendaItem[] = [
  warmUp,
  piece('lanterns'),
  piece('coldIron'),
  pause,
  notices,
  piece('heron'),
  piece('ferry'),
  coolDown,
];
const threePieces: readonly DemoAgendaItem[] = [
  warmUp,
  piece('coldIron', 25),
  piece('heron', 30),
  pause,
  piece('lanterns', 30),
  coolDown,
];

const take = (...ids: readonly string[]): DemoSegment[] => ids.map((exercise) => ({ exercise }));

/** What is planned for the coming Tuesday. */
const comingPlan: readonly DemoSegment[] = [
  { exercise: 'coat-off', talk: 25 },
  { exercise: 'long-s', repetitions: 5 },
  { exercise: 'narrow-hum', repetitions: 7, talk: 20 },
  { exercise: 'sliding-fifths', repetitions: 8, talk: 20 },
  { exercise: 'open-vowels', repetitions: 6, talk: 20 },
  { exercise: 'pulley', repetitions: 8, talk: 25 },
  { exercise: 'wet-slate', repetitions: 7, talk: 20 },
  { exercise: 'slate-steps', repetitions: 7, talk: 30 },
  { exercise: 'lantern-chord', repetitions: 6, talk: 30 },
  { exercise: 'long-ledge', repetitions: 5, talk: 15 },
];

/** What the planner builds for the second and the third week ahead, each knowing what the evenings before use. */
const builtPlans: Readonly<Record<number, readonly DemoSegment[]>> = {
  2: [
    { exercise: 'soft-hinge', repetitions: 3, talk: 40 },
    { exercise: 'shingle', repetitions: 7, talk: 40 },
    { exercise: 'three-long-breaths', repetitions: 6, step: 1, talk: 38, lowVoices: 'below' },
    { exercise: 'window-opens', repetitions: 7, talk: 38, lowVoices: 'below' },
    { exercise: 'north-slope', repetitions: 9, talk: 40, lowVoices: 'below' },
    { exercise: 'slow-motion', talk: 43, lowVoices: 'below' },
    { exercise: 'vowels-only', repetitions: 5, talk: 43, lowVoices: 'below' },
  ],
  3: [
    { exercise: 'late-stretch', repetitions: 3, talk: 38 },
    { exercise: 'four-doors', repetitions: 5 },
    { exercise: 'bread-hum', repetitions: 7, shape: 'up', talk: 38, lowVoices: 'below' },
    { exercise: 'pump-house', repetitions: 7, talk: 40, lowVoices: 'below' },
    { exercise: 'cellar-thirds', repetitions: 8, talk: 40, lowVoices: 'below' },
    { exercise: 'slow-fine-scale', repetitions: 7, talk: 40, lowVoices: 'below' },
    { exercise: 'top-of-the-page', repetitions: 9, talk: 40, lowVoices: 'below' },
  ],
};

/** Eight weeks around and the way to the lantern night, counted from the coming Tuesday. */
export const demoEvenings: readonly DemoEvening[] = [
  {
    week: -7,
    agenda: threePieces,
    plan: take('settle-the-feet', 'four-doors', 'narrow-hum', 'embers', 'pulley', 'one-lamp'),
    led: { talk: 1.2, pace: 1.05, again: 9 },
  },
  {
    week: -6,
    agenda: allFour,
    plan: take('coat-off', 'long-s', 'humming-slide', 'open-vowels', 'swift-turns', 'wet-slate'),
    led: { talk: 1.1, pace: 1 },
  },
  {
    week: -5,
    agenda: threePieces,
    plan: take('coat-off', 'sliding-fifths', 'embers', 'bell-to-air', 'pulley', 'lantern-chord'),
    led: { talk: 1.3, pace: 1.04, strains: { segment: 4, part: 'T' } },
  },
  {
    week: -3,
    agenda: allFour,
    plan: take('settle-the-feet', 'soft-v', 'narrow-hum', 'open-vowels', 'slate-steps', 'one-lamp'),
    // Much was explained: it was over eight minutes late.
    led: { talk: 4.35, pace: 1.05 },
  },
  {
    week: -2,
    agenda: threePieces,
    plan: take('coat-off', 'sliding-fifths', 'embers', 'long-ledge', 'tin-and-tackle', 'pulley'),
    led: { talk: 1.1, pace: 1.02, again: 12, strains: { segment: 5, part: 'T' } },
  },
  {
    week: -1,
    agenda: allFour,
    plan: take('settle-the-feet', 'narrow-hum', 'bell-to-air', 'pulley', 'ferry-consonants'),
    led: { talk: 0.9, pace: 1 },
  },
  { week: 0, agenda: allFour, plan: comingPlan },
  ...[1, 2, 3, 4, 5, 6, 7, 8, 9].map((week): DemoEvening => {
    const agenda = week % 2 === 0 ? allFour : threePieces;
    const plan = builtPlans[week];
    return plan ? { week, agenda, plan, builtAhead: true } : { week, agenda };
  }),
  {
    week: 10,
    name: 'Lantern night',
    agenda: [
      { ...warmUp, minutes: 25 },
      piece('ferry', 10),
      piece('heron', 10),
      piece('coldIron', 15),
      piece('lanterns', 15),
    ],
  },
];
