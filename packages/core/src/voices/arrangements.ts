import type { PitchRange } from '../units';
import { mixedChoir, type ChoirPart } from './parts';

/** A usual set of parts that a choir can begin with and then change. */
export interface Arrangement {
  readonly id: string;
  readonly name: string;
  /** From the highest part to the lowest. */
  readonly parts: readonly ChoirPart[];
}

const [soprano, alto, tenor, bass] = mixedChoir as readonly [
  ChoirPart,
  ChoirPart,
  ChoirPart,
  ChoirPart,
];

/** One of two halves of a part: it keeps the octave and the telling end, and has a range of its own. */
const half = (
  part: ChoirPart,
  number: 1 | 2,
  comfort: PitchRange,
  reach: PitchRange,
): ChoirPart => ({
  ...part,
  id: `${part.id}${number}`,
  one: `${number === 1 ? 'first' : 'second'} ${part.one}`,
  many: `${number === 1 ? 'first' : 'second'} ${part.many}`,
  comfort,
  reach,
});

const sopranos = [
  half(soprano, 1, [62, 79], [59, 82]),
  half(soprano, 2, [60, 77], [57, 79]),
] as const;
const altos = [half(alto, 1, [57, 74], [53, 76]), half(alto, 2, [53, 71], [50, 74])] as const;
const tenors = [half(tenor, 1, [50, 67], [47, 70]), half(tenor, 2, [48, 65], [45, 67])] as const;
const basses = [half(bass, 1, [45, 64], [42, 66]), half(bass, 2, [40, 60], [38, 62])] as const;

/** A voice that is changing sings a narrow range in the middle, and no end of it is pushed. */
const changing: ChoirPart = {
  id: 'C',
  one: 'changing voice',
  many: 'changing voices',
  comfort: [57, 67],
  reach: [55, 69],
  octave: 0,
  end: 'top',
  change: [64, 67],
};

/** The usual sets of parts, from a mixed choir to changing voices; every figure can be changed. */
export const arrangements: readonly Arrangement[] = [
  { id: 'mixed', name: 'Mixed, four parts', parts: mixedChoir },
  {
    id: 'mixed-eight',
    name: 'Mixed, eight parts',
    parts: [...sopranos, ...altos, ...tenors, ...basses],
  },
  { id: 'treble', name: 'Treble, three parts', parts: [...sopranos, alto] },
  { id: 'treble-four', name: 'Treble, four parts', parts: [...sopranos, ...altos] },
  { id: 'male', name: 'Male, four parts', parts: [...tenors, ...basses] },
  { id: 'changing', name: 'With changing voices', parts: [soprano, alto, changing, bass] },
];
