/** The parts of a parsed tune that are read here. */
export interface AbcPitch {
  readonly pitch: number;
  readonly accidental?: string;
  readonly startSlur?: readonly unknown[];
  readonly endSlur?: readonly unknown[];
  readonly startTie?: unknown;
  readonly endTie?: unknown;
}
export interface AbcElement extends Partial<AbcKey> {
  readonly el_type: string;
  readonly type?: string;
  readonly duration?: number;
  readonly pitches?: readonly AbcPitch[];
  readonly rest?: { readonly type: string };
  readonly lyric?: readonly { readonly syllable: string; readonly divider: string }[];
  readonly decoration?: readonly string[];
  readonly startTriplet?: number;
  readonly tripletMultiplier?: number;
  readonly endTriplet?: boolean;
  readonly gracenotes?: readonly unknown[];
  readonly chord?: readonly unknown[];
}
export interface AbcKey {
  readonly root: string;
  readonly acc: string;
  readonly mode: string;
  readonly accidentals?: readonly { readonly acc: string; readonly note: string }[];
}
export interface AbcStaff {
  readonly key?: AbcKey;
  readonly meter?: {
    readonly type: string;
    readonly value?: readonly { readonly num: string; readonly den?: string }[];
  };
  readonly clef?: { readonly type: string };
  readonly title?: readonly string[];
  readonly voices: readonly (readonly AbcElement[])[];
}
export interface AbcTune {
  readonly metaText: {
    readonly title?: string;
    readonly notes?: string;
    readonly tempo?: { readonly duration?: readonly number[]; readonly bpm?: number };
  };
  readonly lines: readonly { readonly staff?: readonly AbcStaff[] }[];
  readonly warnings?: readonly string[];
}
