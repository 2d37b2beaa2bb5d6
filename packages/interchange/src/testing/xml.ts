/** Small pieces of MusicXML for scores written by hand in tests; lengths are in quarters, four divisions each. */

export interface NoteSigns {
  readonly voice?: number;
  readonly staff?: number;
  readonly stem?: 'up' | 'down';
  readonly chord?: boolean;
  readonly tie?: 'start' | 'stop' | 'both';
  readonly lyric?: string | readonly string[];
  readonly also?: string;
  readonly before?: string;
}

const pitchXml = (name: string): string => {
  const [, step, sharps = '', octave] = /^([A-G])([#b]*)(-?\d)$/.exec(name)!;
  const alter =
    sharps === ''
      ? ''
      : `<alter>${sharps.startsWith('#') ? sharps.length : -sharps.length}</alter>`;
  return `<pitch><step>${step}</step>${alter}<octave>${octave}</octave></pitch>`;
};

const lyricXml = (words: string, verse: number): string => {
  const begins = words.endsWith('-');
  const ends = words.startsWith('-');
  const place = begins ? (ends ? 'middle' : 'begin') : ends ? 'end' : 'single';
  return `<lyric number="${verse}"><syllabic>${place}</syllabic><text>${words.replace(/^-|-$/g, '')}</text></lyric>`;
};

/** A note («C4», «F#5») or a rest («r») of so many quarters. */
export function n(name: string, quarters: number, signs: NoteSigns = {}): string {
  const { voice = 1, staff, stem, chord, tie, lyric, also = '', before = '' } = signs;
  const ties = tie === 'both' ? ['stop', 'start'] : tie ? [tie] : [];
  const lyrics = typeof lyric === 'string' ? [lyric] : (lyric ?? []);
  return [
    '<note>',
    before,
    chord ? '<chord/>' : '',
    name === 'r' ? '<rest/>' : pitchXml(name),
    before.includes('<grace') ? '' : `<duration>${quarters * 4}</duration>`,
    ...ties.map((type) => `<tie type="${type}"/>`),
    `<voice>${voice}</voice>`,
    stem ? `<stem>${stem}</stem>` : '',
    staff ? `<staff>${staff}</staff>` : '',
    also,
    ...lyrics.map((words, i) => (words === '' ? '' : lyricXml(words, i + 1))),
    '</note>',
  ].join('');
}

/** Back by so many quarters, to write another voice. */
export const back = (quarters: number): string =>
  `<backup><duration>${quarters * 4}</duration></backup>`;

type XmlClef = 'G' | 'F' | 'G8' | 'C4';

export interface HeadSigns {
  readonly beats?: number;
  readonly unit?: number;
  readonly fifths?: number;
  readonly clef?: XmlClef;
  readonly clefs?: readonly XmlClef[];
  readonly transpose?: string;
}
/** The C clef stands on the fourth line, as tenors once read it. */
const clefXml = (clef: XmlClef, number = 1): string =>
  `<clef number="${number}"><sign>${clef.charAt(0)}</sign><line>${clef.startsWith('G') ? 2 : 4}</line>${clef === 'G8' ? '<clef-octave-change>-1</clef-octave-change>' : ''}</clef>`;

/** What stands at the head of a part's first bar. */
export function head({
  beats = 4,
  unit = 4,
  fifths = 0,
  clef = 'G',
  clefs,
  transpose = '',
}: HeadSigns = {}): string {
  const all = clefs ?? [clef];
  return `<attributes><divisions>4</divisions><key><fifths>${fifths}</fifths></key><time><beats>${beats}</beats><beat-type>${unit}</beat-type></time>${all.length > 1 ? `<staves>${all.length}</staves>` : ''}${all.map((one, i) => clefXml(one, i + 1)).join('')}${transpose}</attributes>`;
}

export const tempo = (perMinute: number): string =>
  `<direction><direction-type><words>x</words></direction-type><sound tempo="${perMinute}"/></direction>`;
export const sound = (attributes: string): string => `<sound ${attributes}/>`;
export const repeat = (direction: 'forward' | 'backward', more = ''): string =>
  `<barline>${more}<repeat direction="${direction}"/></barline>`;
export const ending = (number: string, type: 'start' | 'stop' | 'discontinue'): string =>
  `<ending number="${number}" type="${type}"/>`;
export const barline = (inside: string): string => `<barline>${inside}</barline>`;

export interface XmlPart {
  readonly name: string;
  readonly abbreviation?: string;
  /** Its bars; one that is not numbered from 1 on says so by its own attributes. */
  readonly bars: readonly (string | { readonly attributes: string; readonly inside: string })[];
}

const partList = (parts: readonly XmlPart[]): string =>
  `<part-list>${parts
    .map(
      ({ name, abbreviation = '' }, i) =>
        `<score-part id="P${i + 1}"><part-name>${name}</part-name><part-abbreviation>${abbreviation}</part-abbreviation></score-part>`,
    )
    .join('')}</part-list>`;
const attributesOf = (bar: XmlPart['bars'][number], i: number): string =>
  typeof bar === 'string' ? `number="${i + 1}"` : bar.attributes;
const insideOf = (bar: XmlPart['bars'][number]): string =>
  typeof bar === 'string' ? bar : bar.inside;

/** A score ordered by parts. */
export const partwise = (parts: readonly XmlPart[]): string =>
  `<?xml version="1.0"?><score-partwise version="4.0">${partList(parts)}${parts
    .map(
      ({ bars }, i) =>
        `<part id="P${i + 1}">${bars.map((bar, k) => `<measure ${attributesOf(bar, k)}>${insideOf(bar)}</measure>`).join('')}</part>`,
    )
    .join('')}</score-partwise>`;

/** The same ordered by bars. */
export const timewise = (parts: readonly XmlPart[]): string =>
  `<?xml version="1.0"?><score-timewise version="3.1">${partList(parts)}${(parts[0]?.bars ?? [])
    .map(
      (bar, k) =>
        `<measure ${attributesOf(bar, k)}>${parts.map(({ bars }, i) => `<part id="P${i + 1}">${insideOf(bars[k]!)}</part>`).join('')}</measure>`,
    )
    .join('')}</score-timewise>`;
