import {
  quartersOf,
  spellInKey,
  spellKey,
  writeLength,
  writtenBars,
  writeTonic,
  type AccidentalPreference,
  type LineEvent,
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

/** Writes accidentals where they differ from the signature and from what the bar has had. */
function accidentals(key: SpelledKey) {
  const inBar = new Map<string, number>();
  return (note: SpelledNote): string => {
    const place = `${note.letter}${note.octave}`;
    const before = inBar.get(place) ?? signatureOf(note.letter, key.signature);
    inBar.set(place, note.accidental);
    return note.accidental === before ? '' : (signs[note.accidental] ?? '');
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

function writeBar(bar: WrittenBar, events: readonly LineEvent[], key: SpelledKey, tonic: number) {
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
      if (written.last && event.breathAfter) words += '!breath!';
      const spelled = spellInKey(event.midi, tonic, key);
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

/** The line of words under a bar: one for every head, a blank one where nothing new is sung. */
function writeWords(bar: WrittenBar, events: readonly LineEvent[]): string {
  return bar.events
    .filter(({ event }) => events[event]!.midi !== null)
    .map(({ event, first }) => {
      const { syllable } = events[event]!;
      return first && syllable !== undefined ? lyric(syllable) : '~';
    })
    .join(' ');
}

/** A line that slides has no sign in ABC: it is written as its notes. */
const withoutSlides = (events: readonly LineEvent[]): LineEvent[] =>
  events.flatMap(({ glideTo: _, ...event }) => (event.beats > 0 ? [event] : []));

/**
 * The pattern of an exercise as ABC 2.1: the first part of a score in its first key
 * (docs/interchange.md).
 */
export function writeAbc(score: Score, preference: AccidentalPreference = 'flats'): string {
  const [first] = score.keys;
  const line = first?.lines[0];
  if (!first || !line) return '';
  const key = spellKey(first.tonic, score.mode, preference);
  const events = withoutSlides(line.events);
  const bars = writtenBars(events, score.metre);
  const unit = score.metre?.unit ?? 4;
  const tonic = ascii(fileNote(first.tonic, score.mode, preference));
  return [
    '%abc-2.1',
    'X:1',
    `T:${oneLine(score.title)}`,
    `N:tonic ${tonic}${score.mode === 'chromatic' ? ', chromatic' : ''}`,
    `M:${score.metre ? `${score.metre.beats}/${score.metre.unit}` : 'none'}`,
    'L:1/4',
    `Q:1/${unit}=${score.tempo}`,
    `K:${ascii(writeTonic(key))}${modeWords[score.mode]}`,
    ...bars.flatMap((bar, i) => {
      const music = writeBar(bar, events, key, first.tonic);
      const words = writeWords(bar, events);
      const sung = /[^~ ]/.test(words) ? [`w:${words}`] : [];
      return [`${music} ${i === bars.length - 1 ? '|]' : '|'}`, ...sung];
    }),
    '',
  ].join('\n');
}
