import { noteName, type AccidentalPreference } from '../pitch';
import type { MidiNote, PitchRange } from '../units';
import type { PartName } from './parts';

/** The four limits of a singer and the light register's top, as they are typed or read. */
export interface Limits {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly lightTop: MidiNote | null;
}

/** What of a singer's limits is wrong, and in words what to do. */
export interface LimitsProblem {
  readonly field: 'comfortLow' | 'comfortHigh' | 'reachLow' | 'reachHigh' | 'lightTop';
  readonly message: string;
}

/** A limit further than this from what its part can reach is taken for a slip of the octave. */
const octave = 12;
/** The light register of a low voice lies where the high voices sing. */
const lightAbove = 24;

/**
 * What is wrong with a singer's limits, in the order in which they are typed: lowest above highest,
 * comfort outside the reach, notes that nobody of the part has.
 * @param part the singer's part with its usual reach.
 */
export function limitsProblems(
  { comfort, reach, lightTop }: Limits,
  part: Pick<PartName, 'many'> & { readonly reach: PitchRange },
  accidentals?: AccidentalPreference,
): LimitsProblem[] {
  const name = (note: MidiNote) => noteName(note, accidentals);
  const problems: LimitsProblem[] = [];
  const say = (field: LimitsProblem['field'], message: string) => {
    problems.push({ field, message });
  };
  if (comfort[0] > comfort[1]) {
    say(
      'comfortLow',
      `${name(comfort[0])} lies above ${name(comfort[1])}; the lowest easy note comes first.`,
    );
  }
  if (reach[0] > comfort[0]) {
    say(
      'reachLow',
      `The reach begins at ${name(reach[0])}, above the lowest easy note ${name(comfort[0])}; it goes at least as low.`,
    );
  }
  if (reach[1] < comfort[1]) {
    say(
      'reachHigh',
      `The reach ends at ${name(reach[1])}, below the highest easy note ${name(comfort[1])}; it goes at least as high.`,
    );
  }
  const [low, high] = [part.reach[0] - octave, part.reach[1] + octave];
  const far = (note: MidiNote, field: LimitsProblem['field']) => {
    if (note > high) {
      say(
        field,
        `${name(note)} is more than an octave above what ${part.many} usually reach (${name(part.reach[1])}). Check the octave.`,
      );
    } else if (note < low) {
      say(
        field,
        `${name(note)} is more than an octave below what ${part.many} usually reach (${name(part.reach[0])}). Check the octave.`,
      );
    }
  };
  far(comfort[0], 'comfortLow');
  far(comfort[1], 'comfortHigh');
  far(reach[0], 'reachLow');
  far(reach[1], 'reachHigh');
  if (lightTop !== null && (lightTop < reach[0] || lightTop > part.reach[1] + lightAbove)) {
    say(
      'lightTop',
      `${name(lightTop)} is no usual top of a light register for ${part.many}. Check the octave.`,
    );
  }
  return problems;
}
