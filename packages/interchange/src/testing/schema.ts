import { readTree, type Tree } from '../xml/tree';

/** What an element holds, by its children's names in order, and its attributes with what they may say. */
interface Model {
  readonly holds: RegExp;
  readonly says?: Readonly<Record<string, RegExp>>;
  readonly text?: RegExp;
}

const yesNo = /^(yes|no)$/;
const startStop = /^(start|stop)$/;
const leaf = (text: RegExp = /[^]*/, says?: Model['says']): Model => ({
  holds: /^$/,
  text,
  ...(says ? { says } : {}),
});
const number = /^-?\d+(\.\d+)?$/;
const whole = /^-?\d+$/;

/** The content models of the 4.0 schema, as far as we write: children, attributes and texts. */
const models: Readonly<Record<string, Model>> = {
  'score-partwise': {
    holds: /^(work )?(movement-title )?(identification )?(defaults )?part-list (part )+$/,
    says: { version: /^4\.0$/ },
  },
  work: { holds: /^(work-title )?$/ },
  'work-title': leaf(),
  identification: { holds: /^(creator )*(encoding )?(miscellaneous )?$/ },
  creator: leaf(undefined, { type: /^composer$/ }),
  encoding: { holds: /^(software )*$/ },
  software: leaf(),
  miscellaneous: { holds: /^(miscellaneous-field )*$/ },
  'miscellaneous-field': leaf(undefined, { name: /./ }),
  defaults: { holds: /^(lyric-language )*$/ },
  'lyric-language': leaf(undefined, { 'xml:lang': /./ }),
  'part-list': { holds: /^(score-part )+$/ },
  'score-part': {
    holds: /^part-name (part-abbreviation )?(score-instrument )*(midi-instrument )*$/,
    says: { id: /^[A-Za-z_][\w.-]*$/ },
  },
  'part-name': leaf(),
  'part-abbreviation': leaf(),
  'score-instrument': {
    holds: /^instrument-name (instrument-sound )?$/,
    says: { id: /^[A-Za-z_][\w.-]*$/ },
  },
  'instrument-name': leaf(),
  'instrument-sound': leaf(/^voice(\.[a-z]+)*$/),
  'midi-instrument': { holds: /^(midi-program )?$/, says: { id: /^[A-Za-z_][\w.-]*$/ } },
  'midi-program': leaf(/^([1-9]|[1-9]\d|1[01]\d|12[0-8])$/),
  part: { holds: /^(measure )+$/, says: { id: /^[A-Za-z_][\w.-]*$/ } },
  measure: {
    holds: /^((note|backup|forward|direction|attributes|barline|sound) )*$/,
    says: { number: /./, implicit: yesNo },
  },
  attributes: { holds: /^(divisions )?(key )*(time )*(staves )?(clef )*(transpose )*$/ },
  divisions: leaf(/^\d+$/),
  key: { holds: /^fifths (mode )?$/ },
  fifths: leaf(whole),
  mode: leaf(/^(major|minor|dorian|phrygian|lydian|mixolydian|aeolian|ionian|locrian|none)$/),
  time: { holds: /^((beats beat-type )+|senza-misura )$/, says: { 'print-object': yesNo } },
  beats: leaf(/^\d+$/),
  'beat-type': leaf(/^\d+$/),
  'senza-misura': leaf(),
  staves: leaf(/^\d+$/),
  clef: { holds: /^sign (line )?(clef-octave-change )?$/, says: { number: /^\d+$/ } },
  sign: leaf(/^[GFC]$/),
  line: leaf(whole),
  'clef-octave-change': leaf(whole),
  note: {
    holds:
      /^(grace (chord )?pitch|(chord )?(pitch|rest) duration) (tie ){0,2}(voice )?(type )?(dot )*(time-modification )?(stem )?(staff )?(notations )*(lyric )*$/,
  },
  grace: leaf(),
  chord: leaf(),
  rest: leaf(undefined, { measure: yesNo }),
  pitch: { holds: /^step (alter )?octave $/ },
  step: leaf(/^[A-G]$/),
  alter: leaf(number),
  octave: leaf(/^[0-9]$/),
  duration: leaf(/^[1-9]\d*$/),
  tie: leaf(undefined, { type: startStop }),
  voice: leaf(),
  type: leaf(/^(breve|whole|half|quarter|eighth|16th|32nd|64th|128th)$/),
  dot: leaf(),
  'time-modification': { holds: /^actual-notes normal-notes $/ },
  'actual-notes': leaf(/^\d+$/),
  'normal-notes': leaf(/^\d+$/),
  stem: leaf(/^(up|down|none|double)$/),
  staff: leaf(/^[1-9]\d*$/),
  notations: { holds: /^((tied|slur|tuplet|slide|glissando|articulations) )*$/ },
  tied: leaf(undefined, { type: startStop }),
  slur: leaf(undefined, { type: startStop, number: /^[1-6]$/ }),
  tuplet: leaf(undefined, { type: startStop, number: /^[1-6]$/, bracket: yesNo }),
  slide: leaf(undefined, { type: startStop, number: /^[1-6]$/, 'line-type': /^(solid|wavy)$/ }),
  articulations: { holds: /^((accent|staccato|tenuto|breath-mark) )*$/ },
  accent: leaf(),
  staccato: leaf(),
  tenuto: leaf(),
  'breath-mark': leaf(/^(comma|tick|)$/),
  lyric: { holds: /^(syllabic )?text $/, says: { number: /./ } },
  syllabic: leaf(/^(single|begin|middle|end)$/),
  text: leaf(),
  backup: { holds: /^duration $/ },
  forward: { holds: /^duration (voice )?(staff )?$/ },
  direction: {
    holds: /^(direction-type )+(offset )?(voice )?(staff )?(sound )?$/,
    says: { placement: /^(above|below)$/ },
  },
  'direction-type': { holds: /^((segno )+|(coda )+|(words )+|metronome |(dynamics )+|wedge )$/ },
  offset: leaf(number),
  sound: leaf(undefined, {
    ...{ tempo: number, segno: /./, coda: /./, tocoda: /./, fine: /./, dalsegno: /./ },
    dacapo: yesNo,
  }),
  segno: leaf(),
  coda: leaf(),
  words: leaf(),
  metronome: { holds: /^beat-unit (beat-unit-dot )*per-minute $/ },
  'beat-unit': leaf(/^(breve|whole|half|quarter|eighth|16th|32nd)$/),
  'beat-unit-dot': leaf(),
  'per-minute': leaf(),
  wedge: leaf(undefined, { type: /^(crescendo|diminuendo|stop|continue)$/ }),
  dynamics: { holds: /^((pp|p|mp|mf|f|ff) )+$/ },
  ...Object.fromEntries(['pp', 'p', 'mp', 'mf', 'f', 'ff'].map((one) => [one, leaf()])),
  barline: {
    holds: /^(bar-style )?(ending )?(repeat )?$/,
    says: { location: /^(left|right|middle)$/ },
  },
  'bar-style': leaf(/^(light-heavy|light-light|heavy-light|regular)$/),
  ending: leaf(undefined, {
    number: /^[1-9]\d*(, ?[1-9]\d*)*$/,
    type: /^(start|stop|discontinue)$/,
  }),
  repeat: leaf(undefined, { direction: /^(forward|backward)$/, times: /^\d+$/ }),
};

/** Where a written file does not keep to the schema: unknown elements, order, attributes, texts. */
export const schemaFaults = (xml: string): string[] =>
  faultsIn(readTree(xml, { tags: 1e6, tooMany: 'too many' }));

function faultsIn(tree: Tree): string[] {
  const model = models[tree.name];
  if (!model) return [`${tree.name} is not known`];
  const children = tree.children.map(({ name }) => `${name} `).join('');
  const faults = model.holds.test(children) ? [] : [`${tree.name} holds ${children}`];
  for (const [name, value] of Object.entries(tree.attributes)) {
    if (!model.says?.[name]?.test(value)) faults.push(`${tree.name} says ${name}="${value}"`);
  }
  if (model.text && !model.text.test(tree.text)) faults.push(`${tree.name} says «${tree.text}»`);
  return [...faults, ...tree.children.flatMap(faultsIn)];
}
