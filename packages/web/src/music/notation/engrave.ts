import {
  spellInKey,
  spellKey,
  writeTonic,
  type NoteWriting,
  type Clef,
  type MidiNote,
  type Score,
  type SpelledKey,
} from '@wide-fern/core';
import {
  Accidental,
  Beam,
  Formatter,
  Renderer,
  Stave,
  StaveConnector,
  Voice,
  type Annotation,
  type RenderContext,
  type Tuplet,
} from 'vexflow/core';
import { pinFonts } from './fonts';
import {
  ink,
  joins,
  noteOf,
  onOneLine,
  textFont,
  tripletsOf,
  withLanding,
  type Placed,
  type Setting,
} from './heads';
import { systemsOf, type DrawnBar } from './systems';

/** A drawn head: which event it belongs to and where it stands. */
export interface Head {
  readonly event: number;
  readonly x: number;
  readonly top: number;
  readonly bottom: number;
}

/** What a click needs to know of a drawing: heads of the first part, and how far down a step is. */
export interface Engraved {
  readonly heads: readonly Head[];
  readonly height: number;
  /** The staff step (0 is C0, one for each letter) at a height in the system of a head; the nearest system counts. */
  readonly stepAt: (y: number) => number;
}

const letters = 'CDEFGAB';
const signatureNames = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#'];
const flatNames = ['C', 'F', 'Bb', 'Eb', 'Ab', 'Db', 'Gb', 'Cb'];

/** A signature as the engraver names it: by the major key that has it. */
export const signatureName = ({ signature }: SpelledKey): string =>
  (signature >= 0 ? signatureNames[signature] : flatNames[-signature]) ?? 'C';

/** What is to be engraved: one key of a score. */
export interface Engraving {
  readonly score: Score;
  readonly keyIndex: number;
  readonly writing: NoteWriting;
  readonly width: number;
  /** An event of the first part to mark. */
  readonly selected?: number | undefined;
  /** Letters before the staves; none for a single line. */
  readonly names: readonly string[];
}

interface DrawnStave {
  readonly stave: Stave;
  readonly clef: Clef;
  readonly top: number;
}

/** A bar where it stands in its row. */
interface BarPlace {
  readonly row: number;
  readonly x: number;
  readonly width: number;
  readonly isFirst: boolean;
  readonly isEnd: boolean;
}

/** How high a staff is with its words; more where another stands below, so that words never meet notes. */
const staffHeightOf = (lines: number): number => (lines > 1 ? 124 : 104);
/** From the words of one pass to those of the next. */
const passHeight = 14;
/** What stands below the staves of a row, and below the last row. */
const below = { row: 18, page: 6 } as const;

/** How high so many lines are at least, in one row: room that is kept before they are drawn. */
export const leastHeight = (lines: number): number =>
  staffHeightOf(lines) * lines + below.row + below.page;

/** What a beginning needs for the metre. */
const metreWidth = 24;

/** What VexFlow numbers its bar lines by. */
const barLines = { single: 1, end: 3, none: 7 } as const;

/** One key of a score on its way into a frame, row by row. */
class Sheet {
  readonly heads: Head[] = [];
  readonly height: number;
  private readonly staves: DrawnStave[] = [];
  private readonly context: RenderContext;
  private readonly systems: readonly (readonly DrawnBar[])[];
  private readonly events: readonly Setting['events'][];
  private readonly key: SpelledKey;
  private readonly tonic: MidiNote;
  private readonly isOfMany: boolean;
  private readonly left: number;
  private readonly signatureWidth: number;
  private readonly room: number;
  private readonly systemHeight: number;
  private readonly staffHeight: number;
  /** How many passes have words of their own beyond the first. */
  private readonly passes: number;

  constructor(
    frame: HTMLDivElement,
    private readonly engraving: Engraving,
  ) {
    const { score, keyIndex, writing, width } = engraving;
    const { tonic, lines } = score.keys[keyIndex]!;
    this.tonic = tonic;
    this.key = spellKey(tonic, score.mode, writing);
    this.isOfMany = lines.length > 1;
    this.left = this.isOfMany ? 30 : 2;
    this.signatureWidth = 50 + 11 * Math.abs(this.key.signature);
    this.events = lines.map((line) => withLanding(line.events));
    this.room = width - this.left - this.headWidth(0) - 10;
    this.systems = systemsOf(this.events, score.metre, this.room);
    this.passes = Math.max(0, ...this.events.flat().map(({ further }) => further?.length ?? 0));
    this.staffHeight = staffHeightOf(lines.length) + passHeight * this.passes;
    this.systemHeight = this.staffHeight * lines.length + below.row;
    this.height = Math.max(1, this.systems.length) * this.systemHeight + below.page;
    const renderer = new Renderer(frame, Renderer.Backends.SVG);
    renderer.resize(width, this.height);
    this.context = renderer.getContext();
    this.context.setFillStyle(ink).setStrokeStyle(ink);
  }

  draw(): void {
    this.systems.forEach((bars, row) => this.drawSystem(bars, row));
  }

  readonly stepAt = (y: number): number => {
    const near = this.staves.reduce((a, b) => {
      const off = (one: DrawnStave) => Math.abs(y - one.top - this.staffHeight / 2);
      return off(b) < off(a) ? b : a;
    });
    // The middle line of the treble is B4, of the bass D3; half a line is a step.
    const middle =
      near.clef === 'bass' ? 3 * 7 + letters.indexOf('D') : 4 * 7 + letters.indexOf('B');
    const shift = near.clef === 'octave-treble' ? -7 : 0;
    const lineSpacing = near.stave.getSpacingBetweenLines();
    return middle + shift + Math.round((near.stave.getYForLine(2) - y) / (lineSpacing / 2));
  };

  /** What stands before the first note of a row: clef, signature, and at the beginning the metre. */
  private headWidth(row: number): number {
    return this.signatureWidth + (row === 0 && this.engraving.score.metre ? metreWidth : 0);
  }

  private drawSystem(bars: readonly DrawnBar[], row: number): void {
    const top = row * this.systemHeight;
    const headWidth = this.headWidth(row);
    const needed = bars.reduce((sum, bar) => sum + bar.width, 0);
    const isLastRow = row === this.systems.length - 1;
    // A short last row is not stretched over the whole width.
    const stretch =
      isLastRow && needed < this.room * 0.75
        ? 1.15
        : (this.engraving.width - this.left - headWidth - 4) / needed;
    const placed: Placed[][] = this.events.map(() => []);
    const syllables: Annotation[][] = this.events.map(() => []);
    const further = this.events.map(() =>
      Array.from({ length: this.passes }, (): Annotation[] => []),
    );
    let x = this.left;
    bars.forEach((bar, index) => {
      const isFirst = index === 0;
      const width = bar.width * stretch + (isFirst ? headWidth : 0);
      const isEnd = isLastRow && index === bars.length - 1;
      const staves = this.drawStaves(bar, { row, x, width, isFirst, isEnd });
      this.drawNotes(bar, { x, width, staves, placed, syllables, further });
      if (isFirst && this.isOfMany) this.drawNames(staves);
      x += width;
    });
    syllables.forEach((row, part) => {
      const at = onOneLine(row);
      further[part]!.forEach((one, pass) => onOneLine(one, at + passHeight * (pass + 1)));
    });
    placed.forEach((notes, part) => {
      for (const join of joins(notes, this.events[part]!)) {
        join.setContext(this.context as never).draw();
      }
    });
    for (const { written, note } of placed[0] ?? []) {
      if (!written.first) continue;
      const bottom = top + this.staffHeight;
      this.heads.push({ event: written.event, x: note.getAbsoluteX() + 6, top, bottom });
    }
  }

  /** The staves of a bar, one for each part, their first notes below one another. */
  private drawStaves(bar: DrawnBar, { row, x, width, isFirst, isEnd }: BarPlace): Stave[] {
    const { score } = this.engraving;
    const staves = this.events.map((_, part) => {
      const { clef } = score.parts[part]!;
      const top = row * this.systemHeight + part * this.staffHeight;
      const stave = new Stave(x, top, width);
      if (isFirst) {
        const sung = clef === 'octave-treble' ? '8vb' : undefined;
        stave.addClef(clef === 'bass' ? 'bass' : 'treble', undefined, sung);
        stave.addKeySignature(signatureName(this.key));
        if (row === 0 && score.metre) {
          stave.addTimeSignature(`${score.metre.beats}/${score.metre.unit}`);
        }
        this.staves.push({ stave, clef, top });
      }
      stave.setBegBarType(barLines.none);
      stave.setEndBarType(isEnd ? barLines.end : bar.closes ? barLines.single : barLines.none);
      stave.setStyle({ fillStyle: ink, strokeStyle: ink });
      stave.setContext(this.context).draw();
      return stave;
    });
    const noteStart = Math.max(...staves.map((stave) => stave.getNoteStartX()));
    for (const stave of staves) stave.setNoteStartX(noteStart);
    return staves;
  }

  private drawNotes(
    bar: DrawnBar,
    to: {
      readonly x: number;
      readonly width: number;
      readonly staves: readonly Stave[];
      readonly placed: readonly Placed[][];
      readonly syllables: readonly Annotation[][];
      readonly further: readonly (readonly Annotation[][])[];
    },
  ): void {
    const { score, selected } = this.engraving;
    const tuplets: Tuplet[] = [];
    const beams: Beam[] = [];
    const voices = bar.parts.map((writtenEvents, part) => {
      const setting: Setting = {
        clef: score.parts[part]!.clef,
        key: this.key,
        tonic: this.tonic,
        events: this.events[part]!,
        selected: part === 0 ? selected : undefined,
        syllables: to.syllables[part]!,
        further: to.further[part]!,
      };
      const notes = writtenEvents.map((written) => noteOf(written, setting));
      notes.forEach((note, i) => to.placed[part]!.push({ written: writtenEvents[i]!, note }));
      tuplets.push(...tripletsOf(writtenEvents, notes));
      beams.push(...Beam.generateBeams(notes, { maintainStemDirections: false }));
      const voice = new Voice({ numBeats: 4, beatValue: 4 }).setMode(2).addTickables(notes);
      voice.setStave(to.staves[part]!);
      return voice;
    });
    const sounding = voices.filter((voice) => voice.getTickables().length > 0);
    if (sounding.length === 0) return;
    Accidental.applyAccidentals(sounding, signatureName(this.key));
    const formatter = new Formatter();
    for (const voice of sounding) formatter.joinVoices([voice]);
    const noteStart = to.staves[0]!.getNoteStartX();
    formatter.format(sounding, to.width - (noteStart - to.x) - 14);
    voices.forEach((voice, part) => {
      if (voice.getTickables().length > 0) voice.draw(this.context, to.staves[part]);
    });
    for (const drawn of [...beams, ...tuplets]) drawn.setContext(this.context).draw();
  }

  /** The line down the left of all staves, and a letter before each. */
  private drawNames(staves: readonly Stave[]): void {
    const connector = new StaveConnector(staves[0]!, staves[staves.length - 1]!);
    connector.setType('singleLeft').setContext(this.context).draw();
    this.context.setFont(textFont, 11, 'bold');
    staves.forEach((stave, part) => {
      this.context.fillText(this.engraving.names[part] ?? '', 4, stave.getYForLine(2) + 4);
    });
  }
}

/**
 * Engraves one key of a score into a frame: every part on its staff, in rows that fit the width.
 * The music font must be there.
 */
export function engrave(frame: HTMLDivElement, engraving: Engraving): Engraved {
  frame.replaceChildren();
  const sheet = new Sheet(frame, engraving);
  sheet.draw();
  const svg = frame.querySelector('svg');
  if (svg) pinFonts(svg);
  const { heads, height, stepAt } = sheet;
  return { heads, height, stepAt };
}

/** The staff step of a tonic, on the scale of `stepAt`. */
export function stepOfTonic(tonic: MidiNote, score: Score, writing: NoteWriting): number {
  const key = spellKey(tonic, score.mode, writing);
  const spelled = spellInKey(tonic, tonic, key);
  return spelled.octave * 7 + letters.indexOf(writeTonic(key).charAt(0));
}
