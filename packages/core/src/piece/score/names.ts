/** What a staff's name says: who sings it, that an instrument plays it, or nothing. */
export type NameSays =
  | { readonly kind: 'parts'; readonly parts: readonly string[] }
  | { readonly kind: 'instrument' }
  | { readonly kind: 'nothing' };

/** Words for parts in the languages choirs print in, without accents and in small letters. */
const partWords: Readonly<Record<string, RegExp>> = {
  S: /^(s|sop|sopr|soprano|sopranos|soprani|soprane|sopran|soprane|sopraan|szoprano|discantus|discant|diskant|descant|treble|trebles|cantus|canto|superius|dessus)$/,
  A: /^(a|alt|alto|altos|alti|alte|altus|contralto|contraltos)$/,
  T: /^(t|ten|tenor|tenors|tenore|tenores|tenori|tenoor|tenorok|taille)$/,
  B: /^(b|bas|bass|basses|basse|basso|bassi|bassus|bajo|bajos|baixo|baixos|basy|baso|basszus)$/,
  Mez: /^(mez|mezzo|mezzosoprano|mezzosopran)$/,
  Bar: /^(bar|bari|bariton|baritone|baritones|baritono|barytons?|barytone)$/,
};
const groups: readonly (readonly [RegExp, readonly string[]])[] = [
  [/^(women|womens|ladies|frauen|damen|femmes|donne|mujeres)$/, ['S', 'A']],
  [/^(men|mens|gentlemen|manner|herren|hommes|uomini|hombres)$/, ['T', 'B']],
];
const instruments =
  /\b(piano\w*|pno|klavier\w*|keyboard\w*|organ|organo|orgel|orgue|org|harmonium|cembalo|harpsichord|reduction|reduktion|reduccion|klavierauszug|accomp\w*|begleit\w*|rehearsal|guitar\w*|gitarre\w*|violin\w*|viola\w*|violon\w*|cello\w*|vln|vla|vc|flute\w*|flote\w*|fl|oboe\w*|clarinet\w*|klarinette\w*|bassoon\w*|fagott\w*|horn\w*|trumpet\w*|trompete\w*|trombone\w*|posaune\w*|tuba|timpani|pauken|drum\w*|percussion|schlagzeug|kontrabass\w*|contrabass\w*|double bass|continuo|strings|streicher|sax\w*|harp\w*|harfe\w*|recorder\w*)\b/;
const numbers: Readonly<Record<string, string>> = {
  '1': '1',
  '2': '2',
  '3': '3',
  '4': '4',
  i: '1',
  ii: '2',
  iii: '3',
  iv: '4',
};

const plain = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/ß/g, 'ss')
    .toLowerCase()
    .replace(/mezzo[ -]?sopran(o?)/g, 'mezzosopran$1')
    .replace(/([a-z])(\d)/g, '$1 $2')
    .replace(/(\d)([a-z])/g, '$1 $2')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

const partOf = (word: string): string | undefined =>
  Object.entries(partWords).find(([, words]) => words.test(word))?.[0];

/** «sa», «ttbb»: parts by their letters, those that come twice with numbers. */
function byLetters(word: string): string[] | undefined {
  if (!/^[satb]{2,8}$/.test(word) || partOf(word)) return undefined;
  const letters = [...word.toUpperCase()];
  const count = (letter: string, until?: number) =>
    letters.slice(0, until).filter((one) => one === letter).length;
  return letters.map((letter, i) =>
    count(letter) > 1 ? `${letter}${count(letter, i + 1)}` : letter,
  );
}

/**
 * What a staff's name says, in several languages and abbreviations: «Sopran II» is S2, «Alt/Tenor»
 * are two parts, «Orgel» is an instrument.
 */
export function nameSays(name: string): NameSays {
  const words = plain(name);
  if (words === '') return { kind: 'nothing' };
  if (instruments.test(words)) return { kind: 'instrument' };
  const parts: string[] = [];
  let before: string | undefined;
  for (const word of words.split(' ')) {
    const group = groups.find(([known]) => known.test(word))?.[1] ?? byLetters(word);
    const part = partOf(word);
    const number = numbers[word];
    if (part) {
      parts.push(part + (before ?? ''));
      before = undefined;
    } else if (group) parts.push(...group);
    else if (number !== undefined) {
      const last = parts[parts.length - 1];
      if (last !== undefined && !/\d$/.test(last)) parts[parts.length - 1] = last + number;
      // «Soprano 1 2» are two parts.
      else if (last !== undefined) parts.push(last.replace(/\d$/, number));
      else before = number;
    }
  }
  return parts.length > 0 ? { kind: 'parts', parts: [...new Set(parts)] } : { kind: 'nothing' };
}
