import type { BeatsPerMinute, MidiNote, Music } from '@wide-fern/core';

/** Something a file holds that an exercise cannot keep, and where it stands. */
export interface NotKept {
  /** «part 2, bar 3», «line 7»; empty for the whole file. */
  readonly where: string;
  readonly what: string;
}

/** Music found in a file: what becomes the exercise, and what could not be kept. */
export interface FoundMusic {
  readonly name: string;
  readonly music: Extract<Music, { kind: 'pattern' | 'lines' | 'glide' }>;
  /** Where its tonic lies in the file. */
  readonly tonic: MidiNote;
  readonly tempo: BeatsPerMinute | undefined;
  readonly notKept: readonly NotKept[];
}

/** A file that cannot be read: what is wrong with it and what to do, for a person. */
export class UnreadableFile extends Error {}

export const refuse = (message: string): never => {
  throw new UnreadableFile(message);
};

/** The most lines that are read; a choir's four parts. */
export const mostLines = 4;
/** More notes in one line than this are a piece. */
export const mostNotesRead = 400;

/** Collects what is not kept: the same thing is said once for each place, at most a hundred times. */
export function notes() {
  const list: NotKept[] = [];
  const seen = new Set<string>();
  return {
    list,
    add(where: string, what: string) {
      const key = `${where}: ${what}`;
      if (seen.has(key) || list.length >= 100) return;
      seen.add(key);
      list.push({ where, what });
    },
  };
}
export type Notes = ReturnType<typeof notes>;
