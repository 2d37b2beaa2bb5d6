import {
  quartersOf,
  spellInKey,
  swellsOf,
  spellKey,
  writeLength,
  writtenBars,
  writeTonic,
  type AccidentalPreference,
  type Articulation,
  writeSlide,
  type LineEvent,
  type Metre,
  type Mode,
  type Score,
  type SpelledKey,
  type SpelledNote,
  type WrittenBar,
  type WrittenEvent,
} from '@wide-fern/core';
import { fileNote } from '../exercise/said';

/** Sharps in the order signatures add them, and flats the other way. */
const sharpOrder = 'FCGDAEB';

/** What the signature does to a letter: 1 sharp, −1 flat, 0 nothing. */
function signatureOf(letter: string, signature: number): number {
  const order = signature > 0 ? sharpOrder : [...sharpOrder].reverse().join('');
  return order.slice(0, Math.abs(signature)).includes(letter) ? Math.sign(signature) : 0;
}

const modeWords: Readonly<Record<Mode, string>> = {
  major: '',
  minor: 'm',
  dorian: ' dor',
  phrygian: ' phr',
  lydian: ' lyd',
  mixolydian: ' mix',
  chromatic: '',
};

const ascii = (words: string): string => words.replaceAll('♭', 'b').replaceAll('♯', '#');

/** Text of a header field stays on its line. */
const oneLine = (words: string): string => words.replace(/\s+/g, ' ').replace(/%/g, '\\%').trim();

/** A note's letter and octave marks: C is middle C, c the octave above. */
function letterOf({ letter, octave }: SpelledNote): string {
  if (octave >= 5) return letter.toLowerCase() + "'".repeat(octave - 5);
  return letter + ','.repeat(4 - octave);
}

const signs: Readonly<Record<number, string>> = { [-2]: '__', [-1]: '_', 0: '=', 1: '^', 2: '^^' };

/**
 * Writes accidentals where they differ from the signature and from what the bar has had: in the same
 * octave, as some programs count, or in any, as the standard does. So every program reads the same.
 */
function accidentals(key: SpelledKey) {
  const inBar = new Map<string, number>();
  return (note: SpelledNote): string => {
    const places = [note.letter, `${note.letter}${note.octave}`];
    const usual = signatureOf(note.letter, key.signature);
    const isClear = places.every((place) => (inBar.get(place) ?? usual) === note.accidental);
    for (const place of places) inBar.set(place, note.accidental);
    return isClear ? '' : (signs[note.accidental] ?? '');
  };
}

const lengthOf = (written: WrittenEvent): string => {
  const quarters = quartersOf({ ...written, triplet: false });
  const length = writeLength(quarters);
  return length === '1' ? '' : length;
};

/** How many written events from here on are put into one sign of a triplet: three at most. */
function tripletRun(events: readonly WrittenEvent[], from: number): number {
  let to = from;
  while (events[to]?.triplet && to - from < 3) to += 1;
  return to - from;
}

interface Voice {
  readonly events: readonly LineEvent[];
  readonly key: SpelledKey;
  readonly tonic: number;
  /** How far above where it sounds it is written: an octave in the clef that says so. */
  readonly above: number;
}

const articulationSigns: Readonly<Record<Articulation, string>> = {
  bound: '!tenuto!',
  short: '.',
  weighty: '!>!',
};

function writeBar(bar: WrittenBar, { events, key, tonic, above }: Voice) {
  const swells = swellsOf(events);
  const accidental = accidentals(key);
  let run = 0;
  return bar.events
    .map((written, i) => {
      const event = events[written.event]!;
      const before = events[written.event - 1];
      let words = '';
      if (written.triplet && run === 0) {
        run = tripletRun(bar.events, i);
        words += `(3:2:${run}`;
      }
      if (run > 0) run -= 1;
      if (event.midi === null) return `${words}z${lengthOf(written)}`;
      if (written.first && event.slur && !before?.slur) words += '(';
      if (written.first && event.dynamic) words += `!${event.dynamic}!`;
      if (written.first && event.articulation) words += articulationSigns[event.articulation];
      for (const { swell, from, to } of swells) {
        const sign = swell === 'growing' ? '<' : '>';
        if (written.first && from === written.event) words += `!${sign}(!`;
        if (written.last && to === written.event) words += `!${sign})!`;
      }
      if (written.last && event.breathAfter) words += '!breath!';
      const comesFrom = before?.glideTo !== undefined && before.glideTo !== before.midi;
      if (written.first && comesFrom && before.glideTo === event.midi) words += '!~)!';
      const slides = event.glideTo !== undefined && event.glideTo !== event.midi;
      if (written.last && slides && events[written.event + 1]?.midi === event.glideTo) {
        words += '!~(!';
      }
      const spelled = spellInKey(event.midi + above, tonic, key);
      words += `${accidental(spelled)}${letterOf(spelled)}${lengthOf(written)}`;
      if (!written.last) words += '-';
      if (written.last && !event.slur && before?.slur) words += ')';
      return words;
    })
    .join(' ');
}

/** A syllable as a line of words takes it: what means something there is marked. */
const lyric = (syllable: string): string => {
  const goesOn = syllable.endsWith('-');
  const words = (goesOn ? syllable.slice(0, -1) : syllable)
    .replace(/\\/g, '')
    .replace(/[-]/g, '\\-')
    .replace(/[_*|]/g, '')
    .replace(/\s+/g, '~');
  return `${words}${goesOn ? '-' : ''}`;
};

/** The line of words of one pass under a bar: one for every head, a blank one where nothing new is sung. */
function writeWords(bar: WrittenBar, events: readonly LineEvent[], pass: number): string {
  return bar.events
    .filter(({ event }) => events[event]!.midi !== null)
    .map(({ event, first }) => {
      const { syllable, further } = events[event]!;
      const sung = pass === 0 ? syllable : further?.[pass - 1];
      return first && sung ? lyric(sung) : '~';
    })
    .join(' ');
}

/** What takes no time is a leap on the way of a slide, and no note. */
const timed = (events: readonly LineEvent[]): LineEvent[] =>
  events.filter(({ beats }) => beats > 0);

/**
 * The way of a line that slides, as it is typed: where it begins, then each step with its beats.
 * ABC has a sign where a slide leads to a note, and none for how it goes on.
 */
function slideOf(lines: Score['keys'][number]['lines'], tonic: number, mode: Mode): string[] {
  const [line, ...others] = lines;
  if (!line || others.length > 0 || line.events.some(({ glideTo }) => glideTo === undefined)) {
    return [];
  }
  const points = [
    { offset: line.events[0]!.midi! - tonic, beats: 0 },
    ...line.events.map(({ glideTo, beats }) => ({ offset: glideTo! - tonic, beats })),
  ];
  return [`N:slide ${writeSlide(points, mode)}`];
}

/** The bars of a voice, each with its words beneath. */
function writeLine(voice: Voice, metre: Metre | undefined): string[] {
  const bars = writtenBars(voice.events, metre);
  const passes = 1 + Math.max(0, ...voice.events.map(({ further }) => further?.length ?? 0));
  return bars.flatMap((bar, i) => {
    const words = Array.from({ length: passes }, (_, pass) => writeWords(bar, voice.events, pass));
    // A pass without words here keeps its place where a later one has some.
    const last = words.findLastIndex((line) => /[^~ ]/.test(line));
    const sung = words.slice(0, last + 1).map((line) => `w:${line}`);
    return [`${writeBar(bar, voice)} ${i === bars.length - 1 ? '|]' : '|'}`, ...sung];
  });
}

const clefWords = { treble: 'treble', bass: 'bass', 'octave-treble': 'treble-8' } as const;

/**
 * The pattern of an exercise as ABC 2.1: every part that sings in the first key of a score, as
 * voices where they are several (docs/interchange.md).
 */
export function writeAbc(score: Score, preference: AccidentalPreference = 'flats'): string {
  const sings = ({ events }: { readonly events: readonly LineEvent[] }) =>
    events.some(({ midi }) => midi !== null);
  const first = score.keys.find(({ lines }) => lines.some(sings));
  if (!first) return '';
  const key = spellKey(first.tonic, score.mode, preference);
  const parts = score.parts.flatMap((part, i) => {
    const line = first.lines[i];
    return line && sings(line) ? [{ ...part, line }] : [];
  });
  const isOne = parts.length === 1;
  const unit = score.metre?.unit ?? 4;
  const tonic = ascii(fileNote(first.tonic, score.mode, preference));
  return [
    '%abc-2.1',
    'X:1',
    `T:${oneLine(score.title)}`,
    `N:tonic ${tonic}${score.mode === 'chromatic' ? ', chromatic' : ''}`,
    ...slideOf(
      parts.map(({ line }) => line),
      first.tonic,
      score.mode,
    ),
    ...(score.metre?.pickUp ? [`N:pick-up ${score.metre.pickUp}`] : []),
    `M:${score.metre ? `${score.metre.beats}/${score.metre.unit}` : 'none'}`,
    'L:1/4',
    `Q:1/${unit}=${score.tempo}`,
    `K:${ascii(writeTonic(key))}${modeWords[score.mode]}`,
    ...(isOne
      ? []
      : parts.map(
          ({ name, clef }, i) =>
            `V:${i + 1} name="${oneLine(name).replace(/"/g, "'")}" clef=${clefWords[clef]}`,
        )),
    ...parts.flatMap(({ line, clef }, i) => {
      const events = timed(line.events);
      const above = !isOne && clef === 'octave-treble' ? 12 : 0;
      const voice = { events, key, tonic: first.tonic, above };
      return [...(isOne ? [] : [`V:${i + 1}`]), ...writeLine(voice, score.metre)];
    }),
    '',
  ].join('\n');
}
