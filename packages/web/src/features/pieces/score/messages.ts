import type {
  Excerpt,
  ExcerptForm,
  ExcerptWords,
  FoundScore,
  Mapping,
  PieceAnalysis,
  PieceProgramme,
  PieceSetting,
  ReadingOfScore,
  Score,
  ScoreSection,
} from '@wide-fern/core';

/** What the page asks of the score that its worker holds, and what is answered. */
export interface Asks {
  open: { asked: { bytes: Uint8Array }; answer: FoundScore };
  reading: {
    asked: { mapping: readonly Mapping[]; parts: readonly string[] };
    answer: ReadingOfScore;
  };
  analyse: { asked: PieceSetting; answer: PieceAnalysis };
  bars: {
    asked: {
      mapping: readonly Mapping[];
      sections: readonly ScoreSection[];
      places: readonly [from: number, to: number];
      transpose: number;
    };
    answer: Score;
  };
  excerpt: {
    asked: {
      mapping: readonly Mapping[];
      from: number;
      to: number;
      form: ExcerptForm;
      parts: readonly { readonly id: string; readonly octave: number }[];
      words: ExcerptWords;
    };
    answer: Excerpt | null;
  };
  listen: {
    asked: {
      mapping: readonly Mapping[];
      parts: readonly string[];
      /** A written bar's place to begin at, or the place of the order to go on from. */
      from: { readonly bar: number } | { readonly place: number };
      /** How many bars at once. */
      count: number;
      pace: number;
      transpose: number;
      countIn: boolean;
    };
    answer: {
      readonly programme: PieceProgramme;
      /** For each place of the stretch, the written bar. */
      readonly bars: readonly number[];
      /** Where it goes on; null at the end. */
      readonly next: number | null;
    };
  };
}
export type Word = keyof Asks;

export interface ToScoreWorker<W extends Word = Word> {
  readonly id: number;
  readonly word: W;
  readonly asked: Asks[W]['asked'];
}
export type FromScoreWorker =
  | { readonly id: number; readonly kind: 'progress'; readonly share: number }
  | { readonly id: number; readonly kind: 'answer'; readonly answer: unknown }
  | { readonly id: number; readonly kind: 'refused'; readonly message: string };
