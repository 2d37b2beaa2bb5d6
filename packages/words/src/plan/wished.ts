import type { Wish } from '@wide-fern/contract';
import type { Purpose } from '@wide-fern/core';
import { listInWords } from '../counting';

/** «Nothing here works on intonation, which “Lanterns over Slate” asks for.» */
export function notServedInWords(skill: Purpose, wishes: readonly Wish[]): string {
  const titles = [...new Set(wishes.filter((one) => one.skill === skill).map((one) => one.title))];
  const who = listInWords(titles.map((title) => `“${title}”`));
  return `Nothing here works on ${skill}, which ${who} ${titles.length > 1 ? 'ask' : 'asks'} for.`;
}
