import type { PieceScore } from '@wide-fern/core';
import { coldIron } from './coldIron';
import { ferry } from './ferry';
import { heron } from './heron';
import { lanterns } from './lanterns';
import { scoreOf, type StaffPlan } from './written';

/** Four staves, one for each part. */
const open: readonly StaffPlan[] = [
  { id: 'P1.1', name: 'Soprano', abbreviation: 'S', clef: 'treble', voices: ['S'] },
  { id: 'P2.1', name: 'Alto', abbreviation: 'A', clef: 'treble', voices: ['A'] },
  { id: 'P3.1', name: 'Tenor', abbreviation: 'T', clef: 'octave-treble', voices: ['T'] },
  { id: 'P4.1', name: 'Bass', abbreviation: 'B', clef: 'bass', voices: ['B'] },
];
/** Two staves that two parts share each, without a name that tells. */
const closed: readonly StaffPlan[] = [
  { id: 'P1.1', name: 'Choir', clef: 'treble', ofStaves: 2, voices: ['S', 'A'] },
  { id: 'P1.2', name: 'Choir', clef: 'bass', ofStaves: 2, voices: ['T', 'B'] },
];
/** What a pianist plays along in rehearsals. */
const reduction: readonly StaffPlan[] = [
  {
    id: 'P5.1',
    name: 'Piano (rehearsal)',
    clef: 'treble',
    ofStaves: 2,
    voices: ['S', 'A'],
    asChords: true,
  },
  {
    id: 'P5.2',
    name: 'Piano (rehearsal)',
    clef: 'bass',
    ofStaves: 2,
    voices: ['T', 'B'],
    asChords: true,
  },
];

/** A piece of the demo as a score, and the file it ships as. */
export interface DemoScore {
  readonly file: string;
  readonly score: PieceScore;
}

/** The pieces of the demo, each in another layout. */
export const demoScores = {
  lanterns: { file: 'lanterns-over-slate.musicxml', score: scoreOf(lanterns, open) },
  coldIron: { file: 'cold-iron-warm-hands.musicxml', score: scoreOf(coldIron, closed) },
  heron: { file: 'the-herons-errand.mxl', score: scoreOf(heron, [...open, ...reduction]) },
  ferry: { file: 'night-ferry-round.musicxml', score: scoreOf(ferry, open) },
} as const satisfies Record<string, DemoScore>;
