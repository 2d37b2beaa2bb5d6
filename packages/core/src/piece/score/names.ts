import { ordinalOf, partWordsOf, voiceGroup, voiceKind } from '../../voices/partWords';
import { isInstrument } from './instruments';

/** What a staff's name says: who sings it, alone or all, that an instrument plays it, or nothing. */
export type NameSays =
  | { readonly kind: 'parts' | 'solo'; readonly parts: readonly string[] }
  | { readonly kind: 'instrument' }
  | { readonly kind: 'nothing' };

const choir =
  /^(choir|choral|chorus|chor|coro|choeur|choeurs|koor|kor|kuoro|korus|kar|korus|cor|tutti|ensemble)$/;
const solo =
  /^(sol(o|i|os|ist|istin|isten|iste|istes|ista|isti|istas|isti)|cantor|kantor|vorsanger)$/;
/** Words that leave a letter beside them a part's. */
const neutral =
  /^(part|parts|voice|voices|stimme|stimmen|voix|voce|voci|voz|voces|and|und|et|e|y|og|och|ja|en|div|divisi|tutti)$/;

/** Whether a name says that a whole choir sings. */
export const saysChoir = (name: string): boolean =>
  partWordsOf(name).some((one) => choir.test(one));

/** «sa», «ttbb»: parts by their letters from high to low, those that come twice with numbers. */
function byLetters(word: string): string[] | undefined {
  if (word.length < 2 || word.length > 8 || !/^s*a*t*b*$/.test(word) || voiceKind(word)) {
    return undefined;
  }
  const letters = [...word.toUpperCase()];
  const count = (letter: string, until?: number) =>
    letters.slice(0, until).filter((one) => one === letter).length;
  return letters.map((letter, i) =>
    count(letter) > 1 ? `${letter}${count(letter, i + 1)}` : letter,
  );
}

/** The words without the choir's own number or letter: «Choir 2 alto» is an alto, «Choir A» nobody. */
function withoutChoir(words: readonly string[]): string[] {
  return words.filter((word, i) => {
    if (choir.test(word)) return false;
    const isAfterChoir = i > 0 && choir.test(words[i - 1]!);
    return !(isAfterChoir && (/^[a-d]$/.test(word) || ordinalOf(word) !== undefined));
  });
}

/** Whether letters in a name can be parts: nothing stands beside them that they could belong to. */
const lettersCount = (words: readonly string[]): boolean =>
  words.every(
    (word) =>
      voiceKind(word) ??
      voiceGroup(word) ??
      ordinalOf(word) ??
      byLetters(word) ??
      (neutral.test(word) || solo.test(word) || undefined),
  );

/** The parts that words name, in their order: «soprano 1 2» are two. */
function partsIn(words: readonly string[]): string[] {
  const asLetters = lettersCount(words);
  const parts: string[] = [];
  let before: string | undefined;
  let group: readonly string[] = [];
  for (const word of words) {
    const isLetter = word.length === 1;
    const part = isLetter && !asLetters ? undefined : voiceKind(word);
    const several = voiceGroup(word) ?? (asLetters ? byLetters(word) : undefined);
    const number = ordinalOf(word);
    if (part) {
      parts.push(part + (before ?? ''));
      before = undefined;
    } else if (several) {
      group = several;
      parts.push(...group);
    } else if (number !== undefined) {
      const last = parts[parts.length - 1];
      const ofGroup = group[Number(number) - 1];
      if (last === undefined) before = number;
      // «Women 1» are the higher ones.
      else if (ofGroup) parts.splice(-group.length, group.length, ofGroup);
      else if (/\d$/.test(last)) parts.push(last.replace(/\d$/, number));
      else parts[parts.length - 1] = last + number;
    }
  }
  return [...new Set(parts)];
}

/**
 * What a staff's name says, in several languages and abbreviations: «Sopran II» and «1st Soprano»
 * are one part, «Alt/Tenor» are two, «Orgel» is an instrument, «Tenor solo» one person; «Choir A»
 * and «a cappella» say nothing of an alto.
 */
export function nameSays(name: string): NameSays {
  const words = partWordsOf(name);
  if (words.length === 0) return { kind: 'nothing' };
  if (isInstrument(words)) return { kind: 'instrument' };
  const parts = partsIn(withoutChoir(words));
  const isSolo = words.some((word) => solo.test(word)) && !words.includes('tutti');
  if (isSolo) return { kind: 'solo', parts };
  return parts.length > 0 ? { kind: 'parts', parts } : { kind: 'nothing' };
}
