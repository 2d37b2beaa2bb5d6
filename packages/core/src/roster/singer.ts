import type { MidiNote, PitchRange } from '../units';
import type { SingerState } from '../voices';

/** A singer as a roster lists them; limits are null until a range is known. */
export interface RosterSinger {
  readonly name: string;
  /** The id of the singer's part; null while it is not decided. */
  readonly part: string | null;
  /** Ids of other parts the singer can take. */
  readonly also: readonly string[];
  readonly comfort: PitchRange | null;
  readonly reach: PitchRange | null;
  readonly lightTop: MidiNote | null;
  /** Where the voice changes its register, from low to high; empty when nobody asked. */
  readonly changes: readonly MidiNote[];
  readonly states: readonly SingerState[];
  readonly onLeave: boolean;
  readonly notes: string;
}

/** How long a name and a note may be, in characters. */
export const rosterLengths = { name: 80, notes: 1000 } as const;
