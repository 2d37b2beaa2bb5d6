import { longestSyllable } from '@wide-fern/core';
import { childrenOf, type Tree } from '../xml/tree';

/** The syllable of one verse, with a hyphen while its word goes on. */
function syllableOf(lyric: Tree): string {
  let words = '';
  let goesOn = false;
  for (const { name, text } of lyric.children) {
    if (name === 'text') words = words === '' ? text : `${words} ${text}`;
    else if (name === 'syllabic') goesOn = text === 'begin' || text === 'middle';
  }
  words = words.trim();
  return words === '' ? '' : `${words.slice(0, longestSyllable - 1)}${goesOn ? '-' : ''}`;
}

/** A note's syllables verse by verse, with a hyphen while their word goes on. */
export function syllablesOf(note: Tree): string[] | undefined {
  const lyrics = childrenOf(note, 'lyric');
  if (lyrics.length === 0) return undefined;
  const [only] = lyrics;
  if (lyrics.length === 1 && (only!.attributes.number ?? '1') === '1') {
    const syllable = syllableOf(only!);
    return syllable === '' ? undefined : [syllable];
  }
  const verses: string[] = [];
  lyrics.forEach((lyric, i) => {
    const syllable = syllableOf(lyric);
    if (syllable === '') return;
    const said = Number(lyric.attributes.number);
    const verse = Number.isInteger(said) && said >= 1 && said <= 20 ? said - 1 : i;
    verses[verse] = syllable;
  });
  return verses.length > 0 ? Array.from(verses, (one) => one ?? '') : undefined;
}
