import type { Minded, Reminder } from '@wide-fern/core';
import { countInWords, listInWords } from '../counting';
import { dayInWords } from '../dates';

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A caution that meets tonight's singers, as a sentence. */
export function mindedInWords(minded: Minded): string {
  const where = listInWords(minded.segments);
  switch (minded.code) {
    case 'changing': {
      const { singers } = minded;
      const who =
        singers === 1
          ? 'One changing voice is'
          : `${capital(countInWords(singers))} changing voices are`;
      return `${who} here: in ${where} nobody pushes an end of the range.`;
    }
    case 'unwell': {
      const { singers } = minded;
      const who = singers === 1 ? 'One singer is' : `${capital(countInWords(singers))} singers are`;
      return `${who} ill or just back: ${where} is strong; sitting it out is right, and hoarseness that lasts is for a doctor.`;
    }
    case 'cold':
      return `Voices come in cold: ${where} small and easy, no top notes before the voice is warm.`;
  }
}

const msInDay = 86_400_000;

/** Something to be remembered before an evening, with its date. */
export function reminderInWords(reminder: Reminder, startsAt: string, timeZone: string): string {
  const by = dayInWords(Date.parse(startsAt) - reminder.days * msInDay, timeZone);
  switch (reminder.code) {
    case 'bring': {
      const things = reminder.things.length > 0 ? listInWords(reminder.things) : 'what is held';
      return `By ${by}: put ${things} ready, for ${listInWords(reminder.segments)}.`;
    }
    case 'neighbours':
      return `By ${by}: tell the neighbours; ${listInWords(reminder.segments)} can be heard next door.`;
    case 'rest':
      return `On ${by}: rest the voice; speak little, sleep, and sing only what is needed.`;
  }
}
