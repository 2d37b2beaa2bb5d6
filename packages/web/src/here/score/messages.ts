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
      asWritten?: boolean;
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

/** What the worker offers to the page. */
export type ScoreApi = {
  readonly [W in Word]: (asked: Asks[W]['asked']) => Promise<Asks[W]['answer']>;
} & {
  /** Whether a kept file was read on this device before; then nothing has to be fetched. */
  readonly openKept: (file: string) => Promise<boolean>;
  /** Reads a file; a kept one is remembered on this device by its id. */
  readonly open: (
    bytes: Uint8Array,
    onProgress: (share: number) => void,
    file?: string,
  ) => Promise<FoundScore>;
};

/** The name of an error whose message is for a person. */
export const scoreRefused = 'ScoreRefused';
