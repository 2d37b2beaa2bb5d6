import {
  inForce,
  type PieceScore,
  type ScoreBar,
  type Staff,
  type StaffNote,
} from '@wide-fern/core';
import { element, text, type Element } from '../xml/element';
import { divisions, duration, layersOf, near, voiceElements, type VoiceState } from './writeVoice';

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

function attributes(
  score: PieceScore,
  place: number,
  staves: readonly Staff[],
): Element | undefined {
  const key = score.keys.find(({ bar }) => bar === place);
  const metre = score.metres.find(({ bar }) => bar === place)?.metre;
  const isFirst = place === 0;
  const parts = [
    isFirst && text('divisions', divisions),
    key && element('key', {}, text('fifths', key.fifths), text('mode', key.mode)),
    metre && element('time', {}, text('beats', metre.beats), text('beat-type', metre.unit)),
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

/** Tempo, segno and coda at a bar's beginning, for the first part. */
function before(score: PieceScore, place: number): Element[] {
  const bar = score.bars[place]!;
  const tempos = score.tempos.filter((mark) => mark.bar === place);
  return [
    ...tempos.map(({ at, tempo }) =>
      element(
        'direction',
        { placement: 'above' },
        element(
          'direction-type',
          {},
          element('metronome', {}, text('beat-unit', 'quarter'), text('per-minute', tempo)),
        ),
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
    (isLast || bar.repeatTo !== undefined) && text('bar-style', 'light-heavy'),
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
          voiceElements(layer, bar, { voice, staff: number, key }, stateOf(`${i} ${voice} ${k}`)),
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
      attributes(score, place, staves),
      isFirstPart ? before(score, place) : [],
      voices.flatMap((elements, i) => (i === 0 ? elements : [back, ...elements])),
      isFirstPart ? after(bar) : [],
      right,
    );
  });
}

/** A choir score as MusicXML 4.0, partwise, staff by staff as it was read (docs/interchange.md). */
export function writeScoreXml(score: PieceScore): string {
  const parts = partsOf(score);
  const root = element(
    'score-partwise',
    { version: '4.0' },
    element('work', {}, text('work-title', score.title)),
    element(
      'identification',
      {},
      score.composer !== '' && element('creator', { type: 'composer' }, score.composer),
      element('encoding', {}, text('software', 'Wide Fern')),
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
        ),
      ),
    ),
    parts.map((staves, i) =>
      element('part', { id: `P${i + 1}` }, measures(score, staves, i === 0)),
    ),
  );
  return `<?xml version="1.0" encoding="UTF-8" standalone="no"?>
<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">
${root.xml}
`;
}
