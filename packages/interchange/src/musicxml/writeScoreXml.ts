import {
  inForce,
  quartersOfPulse,
  type Metre,
  type PieceScore,
  type Quarters,
  type ScoreBar,
  type Staff,
  type StaffNote,
} from '@wide-fern/core';
import { element, text, writeXml, type Element } from '../xml/element';
import { voiceProgram } from '../midi/voice';
import { slidesOf } from './slides';
import {
  divisions,
  duration,
  layersOf,
  near,
  types,
  voiceElements,
  type VoiceState,
} from './writeVoice';

function clefElement({ clef }: Staff, number: number | undefined): Element {
  const [sign, line] = clef === 'bass' ? ['F', 4] : ['G', 2];
  return element(
    'clef',
    { number },
    text('sign', sign),
    text('line', line),
    clef === 'octave-treble' && text('clef-octave-change', -1),
  );
}

/** A length as a time signature can say it: «5/8». */
function lengthOf(quarters: Quarters): Metre | undefined {
  const unit = [4, 8, 16, 32].find((one) => {
    const count = (quarters * one) / 4;
    return Math.abs(count - Math.round(count)) < near;
  });
  return unit
    ? { beats: Math.round((quarters * unit) / 4), unit: unit as Metre['unit'] }
    : undefined;
}

const timeElement = ({ beats, unit }: Metre, isPrinted: boolean): Element =>
  element(
    'time',
    { 'print-object': isPrinted ? undefined : 'no' },
    text('beats', beats),
    text('beat-type', unit),
  );

/**
 * The time signature of each bar that has one. A bar of another length than its metre, or without
 * any, tells its own length without printing it, so that every program counts it as whole; a pick-up
 * or the half of a divided bar says so otherwise.
 */
function timesOf({ bars, metres }: PieceScore): (Element | undefined)[] {
  let metre: Metre | undefined;
  let told: Quarters | undefined;
  return bars.map(({ quarters, counted }, place) => {
    const printed = metres.find(({ bar }) => bar === place)?.metre;
    if (printed) {
      metre = printed;
      told = (printed.beats * 4) / printed.unit;
      // Where a metre is named, its first bar may be shorter.
      return timeElement(printed, true);
    }
    if (!counted || (told !== undefined && Math.abs(told - quarters) < near)) return undefined;
    const isUsual = metre && Math.abs((metre.beats * 4) / metre.unit - quarters) < near;
    const length = isUsual ? metre : lengthOf(quarters);
    if (!length) return place === 0 ? element('time', {}, element('senza-misura')) : undefined;
    told = quarters;
    return timeElement(length, false);
  });
}

function attributes(
  score: PieceScore,
  place: number,
  staves: readonly Staff[],
  time: Element | undefined,
): Element | undefined {
  const key = score.keys.find(({ bar }) => bar === place);
  const mode = key?.mode === 'chromatic' ? 'major' : key?.mode;
  const isFirst = place === 0;
  const parts = [
    isFirst && text('divisions', divisions),
    key && element('key', {}, text('fifths', key.fifths), text('mode', mode!)),
    time,
    isFirst && staves.length > 1 && text('staves', staves.length),
    ...(isFirst
      ? staves.map((staff, i) => clefElement(staff, staves.length > 1 ? i + 1 : undefined))
      : []),
  ].filter((part) => part !== false && part !== undefined);
  return parts.length > 0 ? element('attributes', {}, parts) : undefined;
}

const direction = (sound: Record<string, string | number>, ...shown: Element[]): Element =>
  element(
    'direction',
    { placement: 'above' },
    element('direction-type', {}, shown),
    element('sound', sound),
  );
const words = (said: string): Element => text('words', said);

/** A tempo in the beat that is led: quarters, or dotted quarters in six eighths. */
function metronome(quarters: number, metre: Metre | undefined): Element {
  const pulse = metre ? quartersOfPulse({ metre }) : 1;
  const isDotted = pulse % 0.75 === 0;
  const perMinute = Math.round((quarters / pulse) * 100) / 100;
  return element(
    'metronome',
    {},
    text('beat-unit', types[isDotted ? pulse / 1.5 : pulse] ?? 'quarter'),
    isDotted && element('beat-unit-dot'),
    text('per-minute', perMinute),
  );
}

/** Tempo, segno and coda at a bar's beginning, for the first part. */
function before(score: PieceScore, place: number): Element[] {
  const bar = score.bars[place]!;
  const tempos = score.tempos.filter((mark) => mark.bar === place);
  return [
    ...tempos.map(({ at, tempo }) =>
      element(
        'direction',
        { placement: 'above' },
        element('direction-type', {}, metronome(tempo, inForce(score.metres, place)?.metre)),
        at > near && text('offset', Math.round(at * divisions)),
        element('sound', { tempo }),
      ),
    ),
    ...(bar.segno ? [direction({ segno: 'segno' }, element('segno'))] : []),
    ...(bar.coda ? [direction({ coda: 'coda' }, element('coda'))] : []),
  ];
}

/** Where it goes on from a bar's end, for the first part. */
function after({ toCoda, fine, backTo }: ScoreBar): Element[] {
  return [
    ...(toCoda ? [direction({ tocoda: 'coda' }, words('To Coda'))] : []),
    ...(fine ? [direction({ fine: 'yes' }, words('Fine'))] : []),
    ...(backTo === 'beginning' ? [direction({ dacapo: 'yes' }, words('D.C.'))] : []),
    ...(backTo === 'segno' ? [direction({ dalsegno: 'segno' }, words('D.S.'))] : []),
  ];
}

const sameEndings = (a: ScoreBar | undefined, b: ScoreBar | undefined): boolean =>
  a?.endings?.join() === b?.endings?.join();

function barlines(bars: readonly ScoreBar[], place: number): { left: Element[]; right: Element[] } {
  const bar = bars[place]!;
  const number = bar.endings?.join(', ');
  const begins = number !== undefined && !sameEndings(bar, bars[place - 1]);
  const ends = number !== undefined && !sameEndings(bar, bars[place + 1]);
  const isLast = place === bars.length - 1;
  const left = [
    begins && element('ending', { number, type: 'start' }),
    bar.repeatFrom && element('repeat', { direction: 'forward' }),
  ].filter((one) => one !== false && one !== undefined);
  const right = [
    isLast || bar.repeatTo !== undefined
      ? text('bar-style', 'light-heavy')
      : bar.sectionEnd && text('bar-style', 'light-light'),
    ends && element('ending', { number, type: bar.repeatTo ? 'stop' : 'discontinue' }),
    bar.repeatTo && element('repeat', { direction: 'backward', times: bar.repeatTo.times }),
  ].filter((one) => one !== false && one !== undefined);
  return {
    left: left.length > 0 ? [element('barline', { location: 'left' }, left)] : [],
    right: right.length > 0 ? [element('barline', { location: 'right' }, right)] : [],
  };
}

function notesByBar({ notes }: Staff): Map<number, StaffNote[]> {
  const bars = new Map<number, StaffNote[]>();
  for (const note of notes) {
    const bar = bars.get(note.bar);
    if (bar) bar.push(note);
    else bars.set(note.bar, [note]);
  }
  return bars;
}

/** Staves of one part of the score: those whose ids differ only behind the point. */
function partsOf(score: PieceScore): Staff[][] {
  const parts = new Map<string, Staff[]>();
  for (const staff of score.staves) {
    const id = staff.id.slice(0, staff.id.lastIndexOf('.'));
    parts.set(id, [...(parts.get(id) ?? []), staff]);
  }
  return [...parts.values()];
}

function measures(score: PieceScore, staves: readonly Staff[], isFirstPart: boolean): Element[] {
  const byBar = staves.map(notesByBar);
  const slides = slidesOf(staves);
  const times = timesOf(score);
  const states = new Map<string, VoiceState>();
  const stateOf = (key: string): VoiceState => {
    const found = states.get(key) ?? { goesOn: [], bound: false };
    states.set(key, found);
    return found;
  };
  return score.bars.map((bar, place) => {
    const key = inForce(score.keys, place);
    const voices = staves.flatMap((staff, i) => {
      const here = byBar[i]!.get(place) ?? [];
      const names = staff.voices[place] ?? [];
      return (names.length > 0 ? names : ['1']).flatMap((voice) => {
        const notes = here.filter((note) => note.voice === voice);
        const number = staves.length > 1 ? i + 1 : undefined;
        const layers = layersOf(notes);
        return (layers.length > 0 ? layers : [[]]).map((layer, k) =>
          voiceElements(
            layer,
            bar,
            { voice, staff: number, key, slides },
            stateOf(`${i} ${voice} ${k}`),
          ),
        );
      });
    });
    const back = element('backup', {}, duration(bar.quarters));
    const { left, right } = barlines(score.bars, place);
    const isHalf = !bar.counted && place > 0;
    return element(
      'measure',
      {
        number: isHalf ? `X${place}` : bar.number,
        implicit: bar.counted ? undefined : 'yes',
      },
      left,
      attributes(score, place, staves, times[place]),
      isFirstPart ? before(score, place) : [],
      voices.flatMap((elements, i) => (i === 0 ? elements : [back, ...elements])),
      isFirstPart ? after(bar) : [],
      right,
    );
  });
}

/** A part is sung: its instrument is a voice, so that a program plays it as one. */
const voiceInstrument = (id: string): Element[] => [
  element(
    'score-instrument',
    { id },
    text('instrument-name', 'Voice'),
    text('instrument-sound', 'voice.vocals'),
  ),
  element('midi-instrument', { id }, text('midi-program', voiceProgram + 1)),
];

/** A score as MusicXML 4.0, partwise, staff by staff as it stands (docs/interchange.md). */
export function writeScoreXml(score: PieceScore): string {
  const parts = partsOf(score);
  const said = Object.entries(score.said ?? {});
  const root = element(
    'score-partwise',
    { version: '4.0' },
    element('work', {}, text('work-title', score.title)),
    element(
      'identification',
      {},
      score.composer !== '' && element('creator', { type: 'composer' }, score.composer),
      element('encoding', {}, text('software', 'Wide Fern')),
      said.length > 0 &&
        element(
          'miscellaneous',
          {},
          said.map(([name, value]) => element('miscellaneous-field', { name }, value)),
        ),
    ),
    score.language !== '' &&
      element('defaults', {}, element('lyric-language', { 'xml:lang': score.language })),
    element(
      'part-list',
      {},
      parts.map(([staff], i) =>
        element(
          'score-part',
          { id: `P${i + 1}` },
          text('part-name', staff!.name),
          staff!.abbreviation !== '' && text('part-abbreviation', staff!.abbreviation),
          ...voiceInstrument(`P${i + 1}-I1`),
        ),
      ),
    ),
    parts.map((staves, i) =>
      element('part', { id: `P${i + 1}` }, measures(score, staves, i === 0)),
    ),
  );
  return writeXml(root, {
    name: 'score-partwise',
    publicId: '-//Recordare//DTD MusicXML 4.0 Partwise//EN',
    address: 'http://www.musicxml.org/dtds/partwise.dtd',
  });
}
