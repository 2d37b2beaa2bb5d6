/** The kinds of voice a part's name can say; a number may follow. */
const voiceKinds = ['S', 'A', 'T', 'B', 'Mez', 'Bar'] as const;
export type VoiceKind = (typeof voiceKinds)[number];

/**
 * What voices are called in the languages choirs print and list in, without accents, in small
 * letters. A stem with its usual endings stands for the singular, the plural and the definite form.
 */
const kinds: Readonly<Record<VoiceKind, RegExp>> = {
  S: /^(s|sop|sopr|sopran(o|os|i|e|en|er|erna|erne|ene|y|ok|istin|istinnen)?|sopraan(o|ot|i|it)?|sopranen|szopran(ok)?|discant(us)?|diskant|dyszkant|descant|trebles?|cantus|canto|superius|dessus|tiples?)$/,
  A: /^(a|alt(o|os|i|e|en|er|ar|y|ok|us|istin|istinnen)?|altt?(o|ot)|altarna|alterne|altene|altstem(men)?|contralt(o|os|i)|kontralt(o)?|hautes? ?contre)$/,
  T: /^(t|ten|tenor(s|e|es|i|en|er|erna|erne|ene|y|ok|it|ist|isten)?|tenoor|tenoren|taille)$/,
  B: /^(b|bas|bass(o|i|e|es|en|er|us|ot|arna|erne|ene|ist|isten)?|basar(na)?|baser|bassen|basses|baj(o|os)|baix(o|os)|bas(y|o|i)|basszus(ok)?)$/,
  Mez: /^(mez|mezz?|mezzo|mezzos|mez?zosopran(o|os|i|e|en|er|y)?|mez?zosopraano|mezzoszopran)$/,
  Bar: /^(bar|bari|bariton(e|es|o|i|s|it|en|er|y|ok)?|barito?no?s|barytons?|barytoni|barytone|basse ?taille)$/,
};

const groups: readonly (readonly [RegExp, readonly VoiceKind[]])[] = [
  [
    /^(women|womens|woman|ladies|female|frauen(stimmen|chor)?|damen(chor)?|femmes|voixdefemmes|donne|femminili|mujeres|femeninas|femeninas|mulheres|naiset|naiskuoro|naisaanet|vrouwen(koor|stemmen)?|dames(koor)?|damer|damkor|damekor|kvinnor|kvinder|kvinner|kvinnekor|kobiety|zenskie|nok|noi(kar)?)$/,
    ['S', 'A'],
  ],
  [
    /^(men|mens|gentlemen|male|manner(stimmen|chor)?|herren(chor)?|hommes|uomini|maschili|hombres|masculinas|homens|miehet|mieskuoro|miesaanet|mannen(koor|stemmen)?|heren(koor)?|herrar|manskor|mandskor|mannskor|herrekor|man|maend|menn|mezczyzni|meskie|ferfi(ak|kar)?)$/,
    ['T', 'B'],
  ],
];

const ordinals: Readonly<Record<string, string>> = {
  ...{ '1': '1', '2': '2', '3': '3', '4': '4', i: '1', ii: '2', iii: '3', iv: '4' },
  ...{ first: '1', second: '2', third: '3', fourth: '4' },
  ...{ erster: '1', erste: '1', zweiter: '2', zweite: '2', dritter: '3', dritte: '3' },
  ...{ primo: '1', prima: '1', primi: '1', secondo: '2', seconda: '2', secondi: '2', terzo: '3' },
  ...{ premier: '1', premiere: '1', premiers: '1', deuxieme: '2', seconds: '2', troisieme: '3' },
  ...{ primero: '1', primera: '1', primer: '1', segundo: '2', segunda: '2', tercero: '3' },
  ...{ forsta: '1', andra: '2', forste: '1', anden: '2', andre: '2', eerste: '1', tweede: '2' },
  ...{ ensimmainen: '1', toinen: '2', pierwszy: '1', drugi: '2', elso: '1', masodik: '2' },
};

/** Letters that no accent is taken off from. */
const bare: Readonly<Record<string, string>> = {
  ...{ ß: 'ss', ł: 'l', ø: 'o', æ: 'ae', œ: 'oe', đ: 'd' },
};

/**
 * A name as words without accents, in small letters, numbers by themselves: «1st Soprano» is
 * ['1', 'soprano'], «Mezzo-sopran» is ['mezzosopran'], «Men’s» is ['men'].
 */
export function partWordsOf(name: string): string[] {
  return name
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[ßłøæœđ]/g, (letter) => bare[letter]!)
    .replace(/(\d):?(st|nd|rd|th|er|ere|re|e|eme|o|a|de)?\b/g, '$1')
    .replace(/[’'´`]s\b/g, '')
    .replace(/mez?zo[ -]?(sopra|szopra)/g, 'mezzo$1')
    .replace(/(haute|hautes|basse)[ -](contre|taille)/g, '$1$2')
    .replace(/(sopran|alt|tenor|bass|bariton)(solo|solist)/g, '$1 $2')
    .replace(/([a-z])(\d)/g, '$1 $2')
    .replace(/(\d)([a-z])/g, '$1 $2')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()
    .split(' ')
    .filter((word) => word !== '');
}

/** The kind of voice a plain word names; undefined for any other word. */
export const voiceKind = (word: string): VoiceKind | undefined =>
  voiceKinds.find((kind) => kinds[kind].test(word));

/** The kinds of voice of the women or the men, where a plain word names them. */
export const voiceGroup = (word: string): readonly VoiceKind[] | undefined =>
  groups.find(([known]) => known.test(word))?.[1];

/** The number a plain word says: «2», «ii», «second», «zweiter». */
export const ordinalOf = (word: string): string | undefined =>
  Object.hasOwn(ordinals, word) ? ordinals[word] : undefined;
