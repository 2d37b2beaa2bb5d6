import {
  quartersOf,
  quartersOfBeat,
  spellInKey,
  spellKey,
  writtenBars,
  type AccidentalPreference,
  type Clef,
  type LineEvent,
  type Metre,
  type MidiNote,
  type Score,
  type ScoreKey,
  type SpelledKey,
  type SpelledNote,
  type WrittenBar,
  type WrittenEvent,
} from '@wide-fern/core';
import { element, text, type Element } from '../xml/element';
import { fileNote, fieldName } from './fields';

/** Parts of a quarter that lengths are counted in: exact for 32nds and triplets. */
const divisions = 96;

const types: Readonly<Record<number, string>> = {
  8: 'breve',
  4: 'whole',
  2: 'half',
  1: 'quarter',
  0.5: 'eighth',
  0.25: '16th',
  0.125: '32nd',
  0.0625: '64th',
  0.03125: '128th',
};

/** Whether an event is on its way to another note; a slide that stays is a held note. */
const slides = ({ midi, glideTo }: LineEvent): boolean => glideTo !== undefined && glideTo !== midi;

const pitch = ({ letter, accidental, octave }: SpelledNote): Element =>
  element(
    'pitch',
    {},
    text('step', letter),
    accidental !== 0 && text('alter', accidental),
    text('octave', octave),
  );

function clefElement(clef: Clef): Element {
  const [sign, line] = clef === 'bass' ? ['F', 4] : ['G', 2];
  return element(
    'clef',
    {},
    text('sign', sign),
    text('line', line),
    clef === 'octave-treble' && text('clef-octave-change', -1),
  );
}

/** What a syllable is within its word, told by the hyphens it is written with. */
function lyric(syllable: string, goesOn: boolean): Element {
  const begins = syllable.endsWith('-');
  const words = begins ? syllable.slice(0, -1) : syllable;
  const place = goesOn ? (begins ? 'middle' : 'end') : begins ? 'begin' : 'single';
  return element('lyric', { number: 1 }, text('syllabic', place), text('text', words));
}

interface Setting {
  readonly key: SpelledKey;
  readonly tonic: MidiNote;
  /** For each event, whether its syllable goes on from one that ended in a hyphen. */
  readonly goesOn: readonly boolean[];
  readonly events: readonly LineEvent[];
  readonly isLastKey: boolean;
}

function goingOn(events: readonly LineEvent[]): boolean[] {
  let open = false;
  return events.map(({ syllable }) => {
    const here = open;
    if (syllable !== undefined) open = syllable.endsWith('-');
    return here;
  });
}

/** The notations of a head: ties, triplets, slurs, slides, breath. */
function notations(
  written: WrittenEvent,
  event: LineEvent,
  { isSlurEnd, slideFrom }: { readonly isSlurEnd: boolean; readonly slideFrom: boolean },
): Element | undefined {
  const parts: Element[] = [];
  if (event.midi !== null) {
    if (!written.first) parts.push(element('tied', { type: 'stop' }));
    if (!written.last) parts.push(element('tied', { type: 'start' }));
    if (isSlurEnd && written.first) parts.push(element('slur', { type: 'stop', number: 1 }));
    if (event.slur && written.last) parts.push(element('slur', { type: 'start', number: 1 }));
    if (slideFrom && written.first) parts.push(element('slide', { type: 'stop', number: 1 }));
    if (slides(event) && written.last) {
      parts.push(element('slide', { type: 'start', number: 1, 'line-type': 'solid' }));
    }
    if (event.breathAfter && written.last) {
      parts.push(element('articulations', {}, element('breath-mark')));
    }
  }
  return parts.length > 0 ? element('notations', {}, parts) : undefined;
}

function noteElement(written: WrittenEvent, setting: Setting): Element {
  const { events, key, tonic, goesOn } = setting;
  const event = events[written.event]!;
  const before = events[written.event - 1];
  const { midi } = event;
  const spelled = midi === null ? undefined : spellInKey(midi, tonic, key);
  const isSlurEnd = before?.slur === true;
  const slideFrom = before !== undefined && slides(before);
  return element(
    'note',
    {},
    spelled ? pitch(spelled) : element('rest'),
    text('duration', Math.round(quartersOf(written) * divisions)),
    midi !== null && !written.first && element('tie', { type: 'stop' }),
    midi !== null && !written.last && element('tie', { type: 'start' }),
    text('voice', 1),
    text('type', types[written.value] ?? 'quarter'),
    Array.from({ length: written.dots }, () => element('dot')),
    written.triplet &&
      element('time-modification', {}, text('actual-notes', 3), text('normal-notes', 2)),
    notations(written, event, { isSlurEnd, slideFrom }),
    written.first && event.syllable !== undefined
      ? lyric(event.syllable, goesOn[written.event]!)
      : undefined,
  );
}

/** The end of the last slide: a note that takes no time of its own. */
function slideEnd(event: LineEvent, { key, tonic }: Setting): Element {
  return element(
    'note',
    {},
    element('grace'),
    pitch(spellInKey(event.glideTo!, tonic, key)),
    text('voice', 1),
    text('type', 'quarter'),
    element('notations', {}, element('slide', { type: 'stop', number: 1 })),
  );
}

const dynamicElement = (dynamic: string): Element =>
  element(
    'direction',
    { placement: 'above' },
    element('direction-type', {}, element('dynamics', {}, element(dynamic))),
  );

function tempoElement({ tempo, metre }: Score): Element {
  const unit = { 1: 'whole', 2: 'half', 4: 'quarter', 8: 'eighth', 16: '16th' }[metre?.unit ?? 4];
  return element(
    'direction',
    { placement: 'above' },
    element(
      'direction-type',
      {},
      element('metronome', {}, text('beat-unit', unit), text('per-minute', tempo)),
    ),
    element('sound', { tempo: tempo * quartersOfBeat(metre) }),
  );
}

/**
 * The time signature of a bar. A bar that has another length than the metre says, or no metre at
 * all, tells its own length without printing it, so that every program counts it as whole.
 */
function timeElement(
  metre: Metre | undefined,
  quarters: number,
  isFirst: boolean,
): Element | undefined {
  const usual = metre && Math.abs(metre.beats * quartersOfBeat(metre) - quarters) < 1e-4;
  // The first bar names the metre, even when the music is shorter than it.
  if (usual || (metre && isFirst)) {
    if (!isFirst) return undefined;
    return element('time', {}, text('beats', metre.beats), text('beat-type', metre.unit));
  }
  const unit = [4, 8, 16, 32].find((one) => {
    const count = (quarters * one) / 4;
    return Math.abs(count - Math.round(count)) < 1e-4;
  });
  if (!unit) return isFirst ? element('time', {}, element('senza-misura')) : undefined;
  const beats = Math.round((quarters * unit) / 4);
  return element('time', { 'print-object': 'no' }, text('beats', beats), text('beat-type', unit));
}

/** What stands at a bar's head: how lengths are counted, key, time and clef, where they are new. */
function attributes(
  score: Score,
  place: number,
  bar: {
    readonly quarters: number;
    readonly key: SpelledKey | undefined;
    readonly isFirst: boolean;
    readonly wasOdd: boolean;
  },
): Element | undefined {
  const { metre } = score;
  const { key, isFirst } = bar;
  const mode = score.mode === 'chromatic' ? 'major' : score.mode;
  const time =
    timeElement(metre, bar.quarters, isFirst) ??
    // After a bar of another length the metre is in force again.
    (bar.wasOdd && metre
      ? element(
          'time',
          { 'print-object': 'no' },
          text('beats', metre.beats),
          text('beat-type', metre.unit),
        )
      : undefined);
  const parts = [
    isFirst && text('divisions', divisions),
    key && element('key', {}, text('fifths', key.signature), text('mode', mode)),
    time,
    isFirst && clefElement(score.parts[place]!.clef),
  ].filter((part) => part !== false && part !== undefined);
  return parts.length > 0 ? element('attributes', {}, parts) : undefined;
}

function barContent(bar: WrittenBar, setting: Setting, isLast: boolean): Element[] {
  const { events } = setting;
  const written = bar.events.flatMap((one) => {
    const { dynamic } = events[one.event]!;
    const said = one.first && dynamic ? [dynamicElement(dynamic)] : [];
    return [...said, noteElement(one, setting)];
  });
  const final = events[events.length - 1];
  return isLast && final && slides(final) ? [...written, slideEnd(final, setting)] : written;
}

/** The measures of one part: every key in turn, with the silence between them as a bar of its own. */
function measures(score: Score, place: number, preference: AccidentalPreference): Element[] {
  const { metre } = score;
  const all: Element[] = [];
  let wasOdd = false;
  const add = (bar: WrittenBar, setting: Setting, how: { isNewKey: boolean; isEnd: boolean }) => {
    const isFirst = all.length === 0;
    const head = attributes(score, place, {
      quarters: bar.quarters,
      key: how.isNewKey ? setting.key : undefined,
      isFirst,
      wasOdd,
    });
    wasOdd = !metre || Math.abs(metre.beats * quartersOfBeat(metre) - bar.quarters) >= 1e-4;
    const isLastOfAll = how.isEnd && setting.isLastKey;
    all.push(
      element(
        'measure',
        { number: all.length + 1 },
        head,
        isFirst && place === 0 ? tempoElement(score) : undefined,
        barContent(bar, setting, how.isEnd),
        how.isEnd &&
          element(
            'barline',
            { location: 'right' },
            text('bar-style', isLastOfAll ? 'light-heavy' : 'light-light'),
          ),
      ),
    );
  };
  score.keys.forEach((scoreKey: ScoreKey, keyIndex) => {
    const key = spellKey(scoreKey.tonic, score.mode, preference);
    const { events } = scoreKey.lines[place]!;
    const isLastKey = keyIndex === score.keys.length - 1;
    const setting = { key, tonic: scoreKey.tonic, events, goesOn: goingOn(events), isLastKey };
    const bars = writtenBars(events, metre);
    bars.forEach((bar, i) =>
      add(bar, setting, { isNewKey: i === 0, isEnd: i === bars.length - 1 }),
    );
    if (isLastKey || score.between <= 0) return;
    const silence = [{ midi: null, beats: score.between }];
    // Beats of silence count as the music's do.
    const [bar] = writtenBars(silence, metre && { beats: 999, unit: metre.unit });
    const waiting = { ...setting, events: silence, goesOn: [false] };
    add(bar!, waiting, { isNewKey: false, isEnd: false });
  });
  return all;
}

/**
 * An exercise as MusicXML 4.0, partwise: every part a staff, every key of its score in turn
 * (docs/interchange.md).
 */
export function writeMusicXml(score: Score, preference: AccidentalPreference = 'flats'): string {
  const [first] = score.keys;
  const root = element(
    'score-partwise',
    { version: '4.0' },
    element('work', {}, text('work-title', score.title)),
    element(
      'identification',
      {},
      element('encoding', {}, text('software', 'Wide Fern')),
      first &&
        element(
          'miscellaneous',
          {},
          element(
            'miscellaneous-field',
            { name: fieldName.tonic },
            fileNote(first.tonic, score.mode, preference),
          ),
          score.mode === 'chromatic' &&
            element('miscellaneous-field', { name: fieldName.mode }, score.mode),
        ),
    ),
    element(
      'part-list',
      {},
      score.parts.map(({ name }, i) =>
        element('score-part', { id: `P${i + 1}` }, text('part-name', name)),
      ),
    ),
    score.parts.map((_, i) => element('part', { id: `P${i + 1}` }, measures(score, i, preference))),
  );
  return `<?xml version="1.0" encoding="UTF-8" standalone="no"?>
<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">
${root.xml}
`;
}
