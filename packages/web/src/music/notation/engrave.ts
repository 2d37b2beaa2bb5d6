import {
  spellInKey,
  spellKey,
  writeTonic,
  type AccidentalPreference,
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

/**
 * Engraves one key of a score into a frame: every part on its staff, in rows that fit the width.
 * The music font must be there.
 */
export function engrave(
  frame: HTMLDivElement,
  {
    score,
    keyIndex,
    accidentals,
    width,
    selected,
    names,
  }: {
    readonly score: Score;
    readonly keyIndex: number;
    readonly accidentals: AccidentalPreference;
    readonly width: number;
    /** An event of the first part to mark. */
    readonly selected?: number | undefined;
    /** Letters before the staves; none for a single line. */
    readonly names: readonly string[];
  },
): Engraved {
  frame.replaceChildren();
  const { tonic, lines } = score.keys[keyIndex]!;
  const key = spellKey(tonic, score.mode, accidentals);
  const many = lines.length > 1;
  const left = many ? 30 : 2;
  const signatureWidth = 50 + 11 * Math.abs(key.signature);
  const events = lines.map((line) => withLanding(line.events));
  const room = width - left - signatureWidth - (score.metre ? 24 : 0) - 10;
  const systems = systemsOf(events, score.metre, room);
  const staffHeight = 104;
  const systemHeight = staffHeight * lines.length + 18;
  const height = Math.max(1, systems.length) * systemHeight + 6;

  const renderer = new Renderer(frame, Renderer.Backends.SVG);
  renderer.resize(width, height);
  const context = renderer.getContext();
  context.setFillStyle(ink).setStrokeStyle(ink);
  const heads: Head[] = [];
  const staves: { stave: Stave; clef: Clef; top: number }[] = [];

  systems.forEach((bars: readonly DrawnBar[], row) => {
    const top = row * systemHeight;
    const headWidth = signatureWidth + (row === 0 && score.metre ? 24 : 0);
    const needed = bars.reduce((sum, bar) => sum + bar.width, 0);
    const isLastRow = row === systems.length - 1;
    // A short last row is not stretched over the whole width.
    const stretch =
      isLastRow && needed < room * 0.75 ? 1.15 : (width - left - headWidth - 4) / needed;
    const placedByPart: Placed[][] = lines.map(() => []);
    const syllablesByPart: Annotation[][] = lines.map(() => []);
    let x = left;
    bars.forEach((bar, barIndex) => {
      const barWidth = bar.width * stretch + (barIndex === 0 ? headWidth : 0);
      const barStaves = lines.map((_, part) => {
        const { clef } = score.parts[part]!;
        const stave = new Stave(x, top + part * staffHeight, barWidth);
        if (barIndex === 0) {
          stave.addClef(
            clef === 'bass' ? 'bass' : 'treble',
            undefined,
            clef === 'octave-treble' ? '8vb' : undefined,
          );
          stave.addKeySignature(signatureName(key));
          if (row === 0 && score.metre) {
            stave.addTimeSignature(`${score.metre.beats}/${score.metre.unit}`);
          }
          if (part === 0 || many) staves.push({ stave, clef, top: top + part * staffHeight });
        }
        // 1 single, 6 end, 7 none.
        const isEnd = isLastRow && barIndex === bars.length - 1;
        stave.setBegBarType(7);
        stave.setEndBarType(isEnd ? 3 : bar.closes ? 1 : 7);
        stave.setStyle({ fillStyle: ink, strokeStyle: ink });
        stave.setContext(context).draw();
        return stave;
      });
      const noteStart = Math.max(...barStaves.map((stave) => stave.getNoteStartX()));
      barStaves.forEach((stave) => stave.setNoteStartX(noteStart));
      const tuplets: Tuplet[] = [];
      const beams: Beam[] = [];
      const voices = bar.parts.map((writtenEvents, part) => {
        const setting: Setting = {
          clef: score.parts[part]!.clef,
          key,
          tonic,
          events: events[part]!,
          selected: part === 0 ? selected : undefined,
          syllables: syllablesByPart[part]!,
        };
        const notes = writtenEvents.map((written) => noteOf(written, setting));
        notes.forEach((note, i) => {
          placedByPart[part]!.push({ written: writtenEvents[i]!, note });
        });
        tuplets.push(...tripletsOf(writtenEvents, notes));
        beams.push(...Beam.generateBeams(notes, { maintainStemDirections: false }));
        const voice = new Voice({ numBeats: 4, beatValue: 4 }).setMode(2).addTickables(notes);
        voice.setStave(barStaves[part]!);
        return voice;
      });
      const sounding = voices.filter((voice) => voice.getTickables().length > 0);
      if (sounding.length > 0) {
        Accidental.applyAccidentals(sounding, signatureName(key));
        const formatter = new Formatter();
        for (const voice of sounding) formatter.joinVoices([voice]);
        formatter.format(sounding, barWidth - (noteStart - x) - 14);
        voices.forEach((voice, part) => {
          if (voice.getTickables().length > 0) voice.draw(context, barStaves[part]);
        });
        for (const beam of beams) beam.setContext(context).draw();
        for (const tuplet of tuplets) tuplet.setContext(context).draw();
      }
      if (barIndex === 0 && many) {
        const connector = new StaveConnector(barStaves[0]!, barStaves[barStaves.length - 1]!);
        connector.setType('singleLeft').setContext(context).draw();
        context.setFont(textFont, 11, 'bold');
        lines.forEach((_, part) => {
          const y = barStaves[part]!.getYForLine(2) + 4;
          context.fillText(names[part] ?? '', 4, y);
        });
      }
      x += barWidth;
    });
    syllablesByPart.forEach(onOneLine);
    placedByPart.forEach((placed, part) => {
      for (const join of joins(placed, events[part]!)) join.setContext(context as never).draw();
    });
    for (const { written, note } of placedByPart[0] ?? []) {
      if (!written.first) continue;
      heads.push({
        event: written.event,
        x: note.getAbsoluteX() + 6,
        top,
        bottom: top + staffHeight,
      });
    }
  });
  const svg = frame.querySelector('svg');
  if (svg) pinFonts(svg);
  const stepAt = (y: number): number => {
    const near = staves.reduce((a, b) => {
      const off = (one: typeof a) => Math.abs(y - one.top - staffHeight / 2);
      return off(b) < off(a) ? b : a;
    });
    // The middle line of the treble is B4, of the bass D3; half a line is a step.
    const middle =
      near.clef === 'bass' ? 3 * 7 + letters.indexOf('D') : 4 * 7 + letters.indexOf('B');
    const shift = near.clef === 'octave-treble' ? -7 : 0;
    const lineSpacing = near.stave.getSpacingBetweenLines();
    return middle + shift + Math.round((near.stave.getYForLine(2) - y) / (lineSpacing / 2));
  };
  return { heads, height, stepAt };
}

/** The staff step of a tonic, on the scale of `stepAt`. */
export function stepOfTonic(
  tonic: MidiNote,
  score: Score,
  accidentals: AccidentalPreference,
): number {
  const key = spellKey(tonic, score.mode, accidentals);
  const spelled = spellInKey(tonic, tonic, key);
  return spelled.octave * 7 + letters.indexOf(writeTonic(key).charAt(0));
}
