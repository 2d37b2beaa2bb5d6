import type { MidiNote, PitchRange } from '../units';
import type { Voice } from './parts';

/** The top of a section's light register as range checks found it, and on how many that rests. */
export interface LightTop {
  readonly top: MidiNote;
  /** Singers here who were asked; never 0. */
  readonly asked: number;
}

/** What is known of a part's light register; nothing where nobody was asked. */
export interface LightVoice {
  readonly light?: LightTop | undefined;
}

/** A low voice that usually sings to this note, F4, or higher is a tenor's. */
const tenorFrom: MidiNote = 65;
/** The light register's comfort while nobody was asked: D4 to C5 for tenors, B3 to A4 for basses (docs/model.md, section 5). */
const usualLight = { tenor: [62, 72], bass: [59, 69] } as const satisfies Record<
  string,
  PitchRange
>;
/** The reach lies a tone beyond it at either end. */
const beyond = 2;

/**
 * The highest note that the wanted share of those who were asked still sing lightly; undefined where
 * nobody was.
 * @param tops the light register's top of each singer here, null where it was not asked
 */
export function sectionLightTop(
  tops: readonly (MidiNote | null | undefined)[],
  share: number,
): LightTop | undefined {
  const known = tops.flatMap((top) => top ?? []).sort((a, b) => a - b);
  if (known.length === 0) return undefined;
  // Fractions such as 0.85 are not exact in binary; the allowance keeps whole counts whole.
  const needed = Math.max(1, Math.ceil(share * known.length - 1e-9));
  return { top: known[known.length - needed]!, asked: known.length };
}

/** A low part in its light register: at the women's sounding pitch, a tone of reach beyond its comfort. */
export function lightVoice(
  section: Pick<Voice, 'comfort'> & LightVoice,
): Pick<Voice, 'comfort' | 'reach' | 'octave'> {
  const [low, usualTop] = section.comfort[1] >= tenorFrom ? usualLight.tenor : usualLight.bass;
  const top = Math.max(low, section.light?.top ?? usualTop);
  return { comfort: [low, top], reach: [low - beyond, top + beyond], octave: 0 };
}
