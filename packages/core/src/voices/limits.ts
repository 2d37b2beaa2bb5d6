import type { MidiNote, PitchRange } from '../units';

/** The four limits of a singer and the light register's top, as they are typed or read. */
export interface Limits {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly lightTop: MidiNote | null;
}

/** The fields in which a singer's limits are typed. */
export type LimitField = 'comfortLow' | 'comfortHigh' | 'reachLow' | 'reachHigh' | 'lightTop';

/** What of a singer's limits is wrong, at the field that is to be put right. */
export type LimitsProblem =
  | {
      readonly code: 'comfort-upside-down' | 'reach-above-comfort' | 'reach-below-comfort';
      readonly field: LimitField;
      readonly note: MidiNote;
      /** The easy note it is measured against. */
      readonly against: MidiNote;
    }
  | {
      /** More than an octave beyond what the part usually reaches. */
      readonly code: 'octave-above' | 'octave-below';
      readonly field: LimitField;
      readonly note: MidiNote;
      /** The part's usual reach at that end. */
      readonly against: MidiNote;
    }
  | { readonly code: 'light-top'; readonly field: 'lightTop'; readonly note: MidiNote };

/** What the parts of a choir reach together: the measure for whoever has no part yet. */
export const reachOfAll = (parts: readonly { readonly reach: PitchRange }[]): PitchRange => [
  Math.min(...parts.map(({ reach }) => reach[0])),
  Math.max(...parts.map(({ reach }) => reach[1])),
];

/** A limit further than this from what its part can reach is taken for a slip of the octave. */
const octave = 12;
/** The light register of a low voice lies where the high voices sing. */
const lightAbove = 24;

/**
 * What is wrong with a singer's limits, in the order in which they are typed: lowest above highest,
 * comfort outside the reach, notes that nobody of the part has.
 * @param usual the usual reach of the singer's part, or, undecided, of all parts together.
 */
export function limitsProblems(
  { comfort, reach, lightTop }: Limits,
  usual: PitchRange,
): LimitsProblem[] {
  const problems: LimitsProblem[] = [];
  const [easyLow, easyHigh] = comfort;
  if (easyLow > easyHigh) {
    problems.push({
      code: 'comfort-upside-down',
      field: 'comfortLow',
      note: easyLow,
      against: easyHigh,
    });
  }
  if (reach[0] > easyLow) {
    problems.push({
      code: 'reach-above-comfort',
      field: 'reachLow',
      note: reach[0],
      against: easyLow,
    });
  }
  if (reach[1] < easyHigh) {
    problems.push({
      code: 'reach-below-comfort',
      field: 'reachHigh',
      note: reach[1],
      against: easyHigh,
    });
  }
  const far = (note: MidiNote, field: LimitField) => {
    if (note > usual[1] + octave) {
      problems.push({ code: 'octave-above', field, note, against: usual[1] });
    } else if (note < usual[0] - octave) {
      problems.push({ code: 'octave-below', field, note, against: usual[0] });
    }
  };
  far(comfort[0], 'comfortLow');
  far(comfort[1], 'comfortHigh');
  far(reach[0], 'reachLow');
  far(reach[1], 'reachHigh');
  if (lightTop !== null && (lightTop < reach[0] || lightTop > usual[1] + lightAbove)) {
    problems.push({ code: 'light-top', field: 'lightTop', note: lightTop });
  }
  return problems;
}
