import {
  spellInKey,
  spellKey,
  type MidiNote,
  type NoteWriting,
  type Opening,
} from '@wide-fern/core';
import type { SheetNotes } from '@wide-fern/words';
import {
  Accidental,
  Annotation,
  Formatter,
  Renderer,
  Stave,
  StaveConnector,
  StaveNote,
  Voice,
  type RenderContext,
} from 'vexflow/core';
import { pinFonts } from './fonts';
import { ink, textFont } from './heads';

type Openings = Extract<SheetNotes, { kind: 'openings' }>;
type Key = Openings['keys'][number];

/** Measures of a row of bars (px). */
const left = 16;
const clefWidth = 44;
const leastBar = 92;
const upperTop = -14;
const lowerTop = 78;
const rowHeight = 204;
const nameSize = 12;
/** Signs as the music face has them. */
const musicSigns: Readonly<Record<string, string>> = { '♭': '\uE260', '♯': '\uE262' };

/** Notes of one clef that sound together, with the letters of those who sing them. */
interface Together {
  readonly midis: readonly MidiNote[];
  readonly letters: string;
}

/** What comes in on a staff: every note once, and who. */
function comingIn({ entries }: Opening, ids: readonly string[]): Together {
  const here = entries.flatMap(({ part, note }) =>
    note !== null && ids.includes(part) ? [{ part, note }] : [],
  );
  const midis = [...new Set(here.map(({ note }) => note))].sort((a, b) => a - b);
  return { midis, letters: here.map(({ part }) => part).join(' ') };
}

/** A whole note of some heads; a place that is kept free where there are none. */
function noteOf(
  { midis, letters }: Together,
  clef: 'treble' | 'bass',
  nameOf: (midi: MidiNote) => string,
): StaveNote {
  const isEmpty = midis.length === 0;
  const keys = isEmpty ? [clef === 'bass' ? 'd/3' : 'b/4'] : midis.map(nameOf);
  const note = new StaveNote({ clef, keys, duration: isEmpty ? 'wr' : 'w' });
  if (letters !== '') {
    const { TOP, BOTTOM } = Annotation.VerticalJustify;
    note.addModifier(
      new Annotation(letters)
        .setFont(textFont, 9, 'bold')
        .setVerticalJustification(clef === 'treble' ? TOP : BOTTOM),
    );
  }
  const hue = isEmpty ? 'transparent' : ink;
  note.setStyle({ fillStyle: hue, strokeStyle: hue });
  note.setLedgerLineStyle({ fillStyle: ink, strokeStyle: ink, lineWidth: 1.5 });
  return note;
}

/** A note as the engraver takes it, spelled in its key. */
const namesIn =
  ({ tonic }: Key, mode: Openings['mode'], writing: NoteWriting) =>
  (midi: MidiNote): string => {
    const key = spellKey(tonic, mode, writing);
    const { letter, accidental, octave } = spellInKey(midi, tonic, key);
    return `${letter.toLowerCase()}${(accidental < 0 ? 'b' : '#').repeat(Math.abs(accidental))}/${octave}`;
  };

/** A key's name, its sign from the music face. */
function drawName(context: RenderContext, name: string, x: number, y: number): void {
  let at = x;
  for (const letter of name) {
    const glyph = musicSigns[letter];
    if (glyph) context.setFont('Bravura', 1.5 * nameSize);
    else context.setFont(textFont, nameSize, 'bold');
    context.fillText(glyph ?? letter, at + (glyph ? 1 : 0), y - (glyph ? nameSize / 3 : 0));
    at += context.measureText(glyph ?? letter).width + 1;
  }
}

/**
 * Engraves what leads into each key, a bar for each on two staves: its name above, the chord, then the first
 * note of every part with its letter. The music font must be there.
 */
export function engraveOpenings(
  frame: HTMLDivElement,
  { keys, parts, mode }: Openings,
  writing: NoteWriting,
  width: number,
): void {
  frame.replaceChildren();
  const room = width - left - clefWidth - 4;
  const rows = Math.ceil(keys.length / Math.max(1, Math.floor(room / leastBar)));
  // As many in each row as in the others, and single ones not drawn out.
  const aRow = Math.ceil(keys.length / rows);
  const barWidth = Math.min(room / aRow, 1.4 * leastBar);
  const renderer = new Renderer(frame, Renderer.Backends.SVG);
  renderer.resize(width, rows * rowHeight);
  const context = renderer.getContext();
  context.setFillStyle(ink).setStrokeStyle(ink);
  const upper = parts.filter(({ clef }) => clef === 'treble').map(({ id }) => id);
  const lower = parts.filter(({ clef }) => clef !== 'treble').map(({ id }) => id);
  keys.forEach((key, i) => {
    const row = Math.floor(i / aRow);
    const isFirst = i % aRow === 0;
    const top = row * rowHeight;
    const x = left + (isFirst ? 0 : clefWidth + barWidth * (i % aRow));
    const staves = ([upperTop, lowerTop] as const).map((offset, place) => {
      const stave = new Stave(x, top + offset, barWidth + (isFirst ? clefWidth : 0));
      if (isFirst) stave.addClef(place === 0 ? 'treble' : 'bass');
      stave.setBegBarType(7).setEndBarType(i === keys.length - 1 ? 3 : 1);
      stave.setStyle({ fillStyle: ink, strokeStyle: ink });
      stave.setContext(context).draw();
      return stave;
    });
    if (isFirst) {
      for (const type of ['singleLeft', 'brace'] as const) {
        new StaveConnector(staves[0]!, staves[1]!).setType(type).setContext(context).draw();
      }
    }
    const nameOf = namesIn(key, mode, writing);
    const [lowest, ...above] = key.chord;
    const voices = [
      [noteOf({ midis: above, letters: '' }, 'treble', nameOf)].concat(
        noteOf(comingIn(key, upper), 'treble', nameOf),
      ),
      [noteOf({ midis: lowest === undefined ? [] : [lowest], letters: '' }, 'bass', nameOf)].concat(
        noteOf(comingIn(key, lower), 'bass', nameOf),
      ),
    ].map((notes) => new Voice({ numBeats: 8, beatValue: 4 }).setMode(2).addTickables(notes));
    const begins = Math.max(...staves.map((stave) => stave.getNoteStartX()));
    for (const stave of staves) stave.setNoteStartX(begins);
    Accidental.applyAccidentals(voices, 'C');
    const formatter = new Formatter();
    for (const voice of voices) formatter.joinVoices([voice]);
    formatter.format(voices, x + barWidth + (isFirst ? clefWidth : 0) - begins - 24);
    voices.forEach((voice, place) => voice.draw(context, staves[place]));
    drawName(context, key.name, begins, top + nameSize);
  });
  const svg = frame.querySelector('svg');
  if (svg) pinFonts(svg);
}
