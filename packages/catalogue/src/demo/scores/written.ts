import {
  readNote,
  type Clef,
  type Metre,
  type Mode,
  type PieceScore,
  type Staff,
  type StaffNote,
} from '@wide-fern/core';

/** The voices of a demo piece, the highest first. */
export type VoiceName = 'S' | 'A' | 'T' | 'B';

/**
 * A piece of the demo as it is written down: each voice bar by bar, a note as its name and its
 * length in quarters («E♭4:2», without an accidental sign of its own: «Eb4:2»), `r` for a rest, `~`
 * tied on, `(` bound to the next, `+` between two notes of a divided part. Words go syllable by
 * syllable onto the notes that are neither tied nor bound to.
 */
export interface WrittenPiece {
  readonly title: string;
  readonly composer: string;
  /** Quarters a minute. */
  readonly tempo: number;
  readonly key: { readonly fifths: number; readonly mode: Mode };
  readonly metre: Metre;
  /** The first and last bar that are sung twice. */
  readonly repeat?: readonly [from: number, to: number];
  readonly voices: Readonly<Record<VoiceName, string>>;
  /** The same for all voices, or each its own. */
  readonly words: string | Readonly<Record<VoiceName, string>>;
}

const barsOf = (voice: string): string[][] =>
  voice.split('|').map((bar) => bar.trim().split(/\s+/));

const midiOf = (name: string): number => {
  const midi = readNote(name);
  if (midi === undefined) throw new Error(`The demo writes a note that is none: ${name}`);
  return midi;
};

/** The notes of a voice with its words. */
function notesOf(piece: WrittenPiece, name: VoiceName, voice = '1'): StaffNote[] {
  const { words, voices } = piece;
  const syllables = (typeof words === 'string' ? words : words[name]).trim().split(/\s+/);
  const notes: StaffNote[] = [];
  let next = 0;
  let isTied = false;
  let isBound = false;
  barsOf(voices[name]).forEach((tokens, bar) => {
    let at = 0;
    for (const token of tokens) {
      const [, names = '', length = '', sign = ''] = /^(.+):([\d.]+)([~(]?)$/.exec(token) ?? [];
      const quarters = Number(length);
      if (names !== 'r') {
        const sings = !isTied && !isBound;
        const syllable = sings ? syllables[next] : undefined;
        if (sings) next += 1;
        for (const each of names.split('+')) {
          notes.push({
            bar,
            at,
            quarters,
            midi: midiOf(each),
            voice,
            ...(syllable === undefined ? {} : { syllables: [syllable] }),
            ...(isTied ? { tieStop: true } : {}),
            ...(sign === '~' ? { tieStart: true } : {}),
            ...(sign === '(' ? { slur: true } : {}),
          });
        }
      }
      isTied = sign === '~';
      isBound = sign === '(';
      at += quarters;
    }
  });
  if (next !== syllables.length) {
    throw new Error(`${piece.title}, ${name}: ${syllables.length} syllables for ${next} notes.`);
  }
  return notes;
}

/** A staff of a layout: who is on it, and how it is named. */
export interface StaffPlan {
  readonly id: string;
  readonly name: string;
  readonly abbreviation?: string;
  readonly clef: Clef;
  readonly ofStaves?: number;
  readonly voices: readonly VoiceName[];
  /** Its voices as chords of one voice, as a keyboard plays them. */
  readonly asChords?: boolean;
}

/** The score of a piece in a layout. */
export function scoreOf(piece: WrittenPiece, plans: readonly StaffPlan[]): PieceScore {
  const { title, composer, tempo, key, metre, repeat } = piece;
  const count = barsOf(piece.voices.S).length;
  const quarters = (metre.beats * 4) / metre.unit;
  return {
    title,
    composer,
    language: 'en',
    bars: Array.from({ length: count }, (_, i) => ({
      number: i + 1,
      counted: true,
      quarters,
      ...(repeat?.[0] === i + 1 ? { repeatFrom: true } : {}),
      ...(repeat?.[1] === i + 1 ? { repeatTo: {} } : {}),
    })),
    staves: plans.map((plan): Staff => {
      const shared = plan.voices.length > 1 && !plan.asChords;
      const notes = plan.voices.flatMap((name, i) =>
        notesOf(piece, name, shared ? String(i + 1) : '1').map((note): StaffNote => {
          if (plan.asChords) {
            const { syllables: _, slur: __, ...played } = note;
            return played;
          }
          return shared ? { ...note, stem: i === 0 ? 'up' : 'down' } : note;
        }),
      );
      const voices = shared ? plan.voices.map((_, i) => String(i + 1)) : ['1'];
      return {
        id: plan.id,
        name: plan.name,
        abbreviation: plan.abbreviation ?? '',
        clef: plan.clef,
        ofStaves: plan.ofStaves ?? 1,
        notes: notes.sort((a, b) => a.bar - b.bar || a.at - b.at || b.midi - a.midi),
        voices: Array.from({ length: count }, () => voices),
      };
    }),
    tempos: [{ bar: 0, at: 0, tempo }],
    keys: [{ bar: 0, ...key }],
    metres: [{ bar: 0, metre }],
    warnings: [],
  };
}
