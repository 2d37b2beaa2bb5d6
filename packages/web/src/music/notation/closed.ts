import { spellKey, type NoteWriting, type Score, type SpelledKey } from '@wide-fern/core';
import {
  Accidental,
  Beam,
  Formatter,
  Renderer,
  Stave,
  StaveConnector,
  Voice,
  type Annotation,
  type Tuplet,
} from 'vexflow/core';
import { signatureName } from './engrave';
import { pinFonts } from './fonts';
import { ink, joins, noteOf, onOneLine, textFont, tripletsOf, type Placed } from './heads';
import { systemsOf, type DrawnBar } from './systems';

/** Measures of a system of two staves (px). */
const upperTop = 0;
const lowerTop = 132;
const wordsAt = 130;
const systemHeight = 254;
const left = 34;

/** Whether a score can be set close together: four parts that read treble above and bass below. */
export const canBeClosed = ({ parts, keys }: Score): boolean =>
  parts.length === 4 && keys.length === 1 && parts[0]!.clef === 'treble';

/** The two staves of a row of bars, with clef and signature at its beginning. */
interface Row {
  readonly score: Score;
  readonly key: SpelledKey;
  readonly bars: readonly DrawnBar[];
  readonly top: number;
  readonly width: number;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  readonly headWidth: number;
  readonly stretch: number;
  readonly context: ReturnType<Renderer['getContext']>;
}

const placeOf = (part: number): 0 | 1 => (part < 2 ? 0 : 1);

/** The staves of one bar. */
function stavesOf(row: Row, barIndex: number, x: number, width: number): Stave[] {
  const { score, key, top, bars, context } = row;
  const bar = bars[barIndex]!;
  return [upperTop, lowerTop].map((offset, i) => {
    const stave = new Stave(x, top + offset, width);
    if (barIndex === 0) {
      stave.addClef(i === 0 ? 'treble' : 'bass');
      stave.addKeySignature(signatureName(key));
      if (row.isFirst && score.metre) {
        stave.addTimeSignature(`${score.metre.beats}/${score.metre.unit}`);
      }
    }
    const isEnd = row.isLast && barIndex === bars.length - 1;
    stave.setBegBarType(7);
    stave.setEndBarType(isEnd ? 3 : bar.closes ? 1 : 7);
    stave.setStyle({ fillStyle: ink, strokeStyle: ink });
    stave.setContext(context).draw();
    return stave;
  });
}

/** One bar of all four parts, two on a staff. */
function drawBar(
  row: Row,
  barIndex: number,
  staves: readonly Stave[],
  x: number,
  barWidth: number,
  kept: { readonly placed: Placed[][]; readonly syllables: Annotation[] },
): void {
  const { score, key, context } = row;
  const { tonic, lines } = score.keys[0]!;
  const bar = row.bars[barIndex]!;
  const tuplets: Tuplet[] = [];
  const beams: Beam[] = [];
  const voices = bar.parts.map((written, part) => {
    const stem = part % 2 === 0 ? ('up' as const) : ('down' as const);
    const notes = written.map((one) =>
      noteOf(one, {
        clef: placeOf(part) === 0 ? 'treble' : 'bass',
        key,
        tonic,
        events: lines[part]!.events,
        selected: undefined,
        syllables: kept.syllables,
        stem,
        wordless: part > 0,
      }),
    );
    notes.forEach((note, i) => kept.placed[part]!.push({ written: written[i]!, note }));
    tuplets.push(...tripletsOf(written, notes));
    beams.push(...Beam.generateBeams(notes, { stemDirection: stem === 'up' ? 1 : -1 }));
    const voice = new Voice({ numBeats: 4, beatValue: 4 }).setMode(2).addTickables(notes);
    voice.setStave(staves[placeOf(part)]!);
    return voice;
  });
  const sounding = voices.filter((voice) => voice.getTickables().length > 0);
  if (sounding.length === 0) return;
  const begins = Math.max(...staves.map((stave) => stave.getNoteStartX()));
  staves.forEach((stave) => stave.setNoteStartX(begins));
  Accidental.applyAccidentals(sounding, signatureName(key));
  const formatter = new Formatter();
  for (const staff of [voices.slice(0, 2), voices.slice(2)]) {
    formatter.joinVoices(staff.filter((voice) => voice.getTickables().length > 0));
  }
  formatter.format(sounding, barWidth - (begins - x) - 14);
  voices.forEach((voice, part) => {
    if (voice.getTickables().length > 0) voice.draw(context, staves[placeOf(part)]);
  });
  for (const beam of beams) beam.setContext(context).draw();
  for (const tuplet of tuplets) tuplet.setContext(context).draw();
}

/** What stands before a row: the brace, the parts' letters, and the number of its first bar. */
function drawHead(row: Row, staves: readonly Stave[], number: number | undefined): void {
  const { context, score, top } = row;
  for (const type of ['singleLeft', 'brace'] as const) {
    new StaveConnector(staves[0]!, staves[1]!).setType(type).setContext(context).draw();
  }
  context.setFont(textFont, 10, 'bold');
  score.parts.forEach(({ id }, part) => {
    const stave = staves[placeOf(part)]!;
    const y = stave.getYForLine(part % 2 === 0 ? 0.5 : 3.5) + 4;
    context.fillText(id, 2, y);
  });
  if (number !== undefined) {
    context.setFont(textFont, 9, 'normal');
    context.fillText(String(number), left + 2, top + 22);
  }
}

/**
 * Engraves four parts on two staves: sopranos and altos above, tenors and basses below, the words
 * between them once. The music font must be there.
 * @param numbers the printed numbers of the bars, in order
 */
export function engraveClosed(
  frame: HTMLDivElement,
  {
    score,
    writing,
    width,
    numbers,
  }: {
    readonly score: Score;
    readonly writing: NoteWriting;
    readonly width: number;
    readonly numbers: readonly number[];
  },
): void {
  frame.replaceChildren();
  const { tonic, lines } = score.keys[0]!;
  const key = spellKey(tonic, score.mode, writing);
  const signatureWidth = 50 + 11 * Math.abs(key.signature);
  const room = width - left - signatureWidth - (score.metre ? 24 : 0) - 10;
  const systems = systemsOf(
    lines.map(({ events }) => events.filter(({ beats }) => beats > 0)),
    score.metre,
    room,
  );
  const renderer = new Renderer(frame, Renderer.Backends.SVG);
  renderer.resize(width, Math.max(1, systems.length) * systemHeight);
  const context = renderer.getContext();
  context.setFillStyle(ink).setStrokeStyle(ink);
  let barsBefore = 0;
  systems.forEach((bars, i) => {
    const isFirst = i === 0;
    const isLast = i === systems.length - 1;
    const headWidth = signatureWidth + (isFirst && score.metre ? 24 : 0);
    const needed = bars.reduce((sum, bar) => sum + bar.width, 0);
    const stretch = isLast && needed < room * 0.6 ? 1.25 : (width - left - headWidth - 4) / needed;
    const row: Row = {
      score,
      key,
      bars,
      top: i * systemHeight,
      width,
      isFirst,
      isLast,
      headWidth,
      stretch,
      context,
    };
    const kept = { placed: lines.map((): Placed[] => []), syllables: [] as Annotation[] };
    let x = left;
    bars.forEach((bar, barIndex) => {
      const barWidth = bar.width * stretch + (barIndex === 0 ? headWidth : 0);
      const staves = stavesOf(row, barIndex, x, barWidth);
      drawBar(row, barIndex, staves, x, barWidth, kept);
      if (barIndex === 0) drawHead(row, staves, numbers[barsBefore]);
      x += barWidth;
    });
    onOneLine(kept.syllables, row.top + wordsAt);
    kept.placed.forEach((placed, part) => {
      for (const join of joins(placed, lines[part]!.events)) {
        join.setContext(context as never).draw();
      }
    });
    barsBefore += bars.filter(({ closes }) => closes).length;
  });
  const svg = frame.querySelector('svg');
  if (svg) pinFonts(svg);
}
