import type { Anchor } from '../exercise/vocabulary';
import { goalBottomTonic, goalTonic, type LadderProblem } from '../ladder';
import type { PartNeed } from '../evening/needs';
import type { PitchRange, Semitones, Span } from '../units';
import type { Voice } from '../voices/parts';
import { lightVoice, type LightVoice } from '../voices/lightRegister';

/**
 * Where voices speak, a little above the usual mean pitch of speech: A3 to D4, for parts an octave down
 * A2 to D3 (Baken and Orlikoff, Clinical Measurement of Speech and Voice, 2000; docs/model.md, section 5).
 */
const speechZone: PitchRange = [57, 62];

/** The share of the light register that its ladders keep to. */
const lightFraction = 0.55;

/** A part of an evening with what is known of its light register. */
export type AnchoredVoice = Voice & LightVoice;

/** Whether a part usually sings an octave below the women's. */
const isOctaveDown = ({ octave }: Pick<Voice, 'octave'>): boolean => octave < 0;

/** The zone in which a part speaks. */
export const speechZoneOf = ({ octave }: Pick<Voice, 'octave'>): PitchRange => [
  speechZone[0] + octave,
  speechZone[1] + octave,
];

const holding = ([low, high]: PitchRange, zone: PitchRange): PitchRange => [
  Math.min(low, zone[0]),
  Math.max(high, zone[1]),
];

/** The lower half of a comfort. */
const lowerHalf = ([low, high]: PitchRange): PitchRange => [
  low,
  low + Math.floor((high - low) / 2),
];

/** The parts as an anchor lets them be: where they speak, or light at the women's sounding pitch; else as they are. */
export function anchoredSections<V extends AnchoredVoice>(
  anchor: Anchor,
  sections: readonly V[],
): V[] {
  if (anchor === 'speech') {
    return sections.map((section) => {
      const zone = speechZoneOf(section);
      const { comfort, reach } = section;
      return { ...section, comfort: holding(comfort, zone), reach: holding(reach, zone) };
    });
  }
  if (anchor === 'light') {
    return sections.map((section) =>
      isOctaveDown(section) ? { ...section, ...lightVoice(section) } : section,
    );
  }
  return [...sections];
}

/** What an anchor gives a ladder beside its sections. */
export type Anchoring = Pick<LadderProblem, 'windows' | 'goalTonic' | 'goalBottomTonic'> & {
  /** In place of the phase's share. */
  readonly fraction?: number;
  /** In place of the usual octave moves. */
  readonly octaveMoves?: readonly Semitones[];
};

/**
 * The windows and goals of an anchor (docs/model.md, section 5).
 * @param sections as the anchor lets them be
 * @param spanOfPart what each part sings over the tonic
 */
export function anchoring(
  anchor: Anchor,
  sections: readonly Voice[],
  spanOfPart: (part: string) => Span,
  needs: readonly Pick<PartNeed, 'part' | 'lowest' | 'highest'>[],
): Anchoring {
  const windows = (of: (section: Voice) => PitchRange) =>
    Object.fromEntries(sections.map((section) => [section.id, of(section)]));
  switch (anchor) {
    case 'middle':
      return {};
    case 'speech':
      return { windows: windows(speechZoneOf), octaveMoves: [0] };
    case 'low': {
      const goal = goalBottomTonic(sections, spanOfPart, needs);
      return {
        windows: windows(({ comfort }) => lowerHalf(comfort)),
        ...(goal === undefined ? {} : { goalBottomTonic: goal }),
      };
    }
    case 'top': {
      const goal = goalTonic(sections, spanOfPart, needs);
      return goal === undefined ? {} : { goalTonic: goal };
    }
    case 'light':
      return { fraction: lightFraction };
  }
}
