import { accompanySheet } from './accompany';
import { leadSheet } from './lead';
import type { Reader, SheetOf, SheetText } from './sheet';
import { singSheet } from './sing';

export { openingsInWords } from './accompany';
export * from './answers';
export { barsShownInWords, lasting, lastingWords, linkInWords } from './links';
export { barsToPractise, practiceFor } from './practice';
export type { PracticeEntry, PracticeKey, PracticeText } from './practice';
export { readers } from './sheet';
export type {
  Line,
  Reader,
  Run,
  SheetEntry,
  SheetNotes,
  SheetOf,
  SheetTable,
  SheetText,
} from './sheet';

/** For whom a sheet is, as it is chosen. */
export const readerWords: Readonly<Record<Reader, string>> = {
  lead: 'whoever leads',
  accompany: 'whoever plays',
  sing: 'those who sing',
};

/**
 * A warm-up on paper for one reader.
 * @param part for those who sing: whose own sheet; without it one for all
 */
export function sheetFor(reader: Reader, of: SheetOf, part?: string): SheetText {
  switch (reader) {
    case 'lead':
      return leadSheet(of);
    case 'accompany':
      return accompanySheet(of);
    case 'sing':
      return singSheet(of, part);
  }
}
