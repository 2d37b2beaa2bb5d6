import {
  clefShift,
  swellsOf,
  spellInKey,
  type Clef,
  type LineEvent,
  type MidiNote,
  type SpelledKey,
  type WrittenEvent,
} from '@wide-fern/core';
import {
  Annotation,
  Articulation,
  Curve,
  Dot,
  Modifier,
  StaveHairpin,
  StaveLine,
  StaveNote,
  StaveTie,
  Tuplet,
} from 'vexflow/core';

export const textFont = '"Source Sans 3 Variable", sans-serif';
/** In points: 12 px on the screen. */
const textSize = 9;
export const ink = 'currentColor';

const durations: Readonly<Record<number, string>> = {
  8: '1/2',
  4: 'w',
  2: 'h',
  1: 'q',
  0.5: '8',
  0.25: '16',
  0.125: '32',
  0.0625: '64',
  0.03125: '128',
};
/** What a part's heads are drawn with. */
export interface Setting {
  readonly clef: Clef;
  readonly key: SpelledKey;
  readonly tonic: MidiNote;
  readonly events: readonly LineEvent[];
  readonly selected: number | undefined;
  /** The syllables of this row, to be put on one line. */
  readonly syllables: Annotation[];
  /** Those of further passes, a row of each under the first. */
  readonly further?: readonly Annotation[][] | undefined;
  /** Where two parts share a staff: whose stems go up, whose go down. */
  readonly stem?: 'up' | 'down' | undefined;
  /** Whether its words are printed; a closed score prints them once. */
  readonly wordless?: boolean | undefined;
}

/** Where a rest stands: in the middle, or out of the other part's way. */
function restKey({ clef, stem }: Setting): string {
  if (stem === undefined) return clef === 'bass' ? 'd/3' : 'b/4';
  if (clef === 'bass') return stem === 'up' ? 'g/3' : 'a/2';
  return stem === 'up' ? 'e/5' : 'f/4';
}

/** A pitch as the engraver takes it: «f#/5», where the clef shows it. */
function keyOf(midi: MidiNote, { clef, key, tonic }: Setting): string {
  const { letter, accidental, octave } = spellInKey(midi, tonic, key);
  const sign = (accidental < 0 ? 'b' : '#').repeat(Math.abs(accidental));
  return `${letter.toLowerCase()}${sign}/${octave + clefShift(clef) / 12}`;
}

const annotation = (words: string, below: boolean, italic = false): Annotation =>
  new Annotation(words)
    .setFont(textFont, textSize, 'normal', italic ? 'italic' : 'normal')
    .setJustification(Annotation.HorizontalJustify.CENTER)
    .setVerticalJustification(
      below ? Annotation.VerticalJustify.BOTTOM : Annotation.VerticalJustify.TOP,
    );

/** As VexFlow names the signs: a line, a dot, a wedge that lies. */
const articulationSigns = { bound: 'a-', short: 'a.', weighty: 'a>' } as const;

/** One head or rest, with its syllable, its loudness and its breath. */
export function noteOf(written: WrittenEvent, setting: Setting): StaveNote {
  const { clef, events, selected, stem } = setting;
  const event = events[written.event]!;
  const duration = durations[written.value] ?? 'q';
  const common = { clef: clef === 'bass' ? 'bass' : 'treble', dots: written.dots } as const;
  const rest = event.midi === null;
  const note = new StaveNote({
    ...common,
    keys: rest
      ? [restKey(setting)]
      : [event.midi, ...(event.above ?? [])].map((midi) => keyOf(midi, setting)),
    duration: rest ? `${duration}r` : duration,
    ...(rest ? {} : stem ? { stemDirection: stem === 'up' ? 1 : -1 } : { autoStem: true }),
  });
  for (let i = 0; i < written.dots; i += 1) Dot.buildAndAttach([note], { all: true });
  if (!rest && written.first) {
    if (event.syllable && !setting.wordless) {
      const syllable = annotation(event.syllable, true);
      setting.syllables.push(syllable);
      note.addModifier(syllable);
    }
    setting.further?.forEach((row, pass) => {
      const sung = event.further?.[pass];
      if (!sung) return;
      const syllable = annotation(sung, true);
      row.push(syllable);
      note.addModifier(syllable);
    });
    if (event.dynamic) note.addModifier(annotation(event.dynamic, false, true));
  }
  if (!rest && written.first && event.articulation) {
    note.addModifier(new Articulation(articulationSigns[event.articulation]));
  }
  if (!rest && written.last && event.breathAfter) note.addModifier(annotation('’', false));
  const hue = written.event === selected ? 'var(--chakra-colors-fern)' : ink;
  note.setStyle({ fillStyle: hue, strokeStyle: hue });
  // Of their own they are grey, which the dark swallows.
  note.setLedgerLineStyle({ fillStyle: hue, strokeStyle: hue, lineWidth: 1.5 });
  return note;
}

/** The runs of triplets in a bar: three heads at a time, or what is left of them. */
export function tripletsOf(events: readonly WrittenEvent[], notes: readonly StaveNote[]): Tuplet[] {
  const groups: StaveNote[][] = [];
  let sum = 0;
  events.forEach(({ triplet, value }, i) => {
    if (!triplet) {
      sum = 0;
      return;
    }
    if (sum === 0) groups.push([]);
    groups[groups.length - 1]!.push(notes[i]!);
    sum = (sum + value) % 1.5;
  });
  return groups.map((group) => new Tuplet(group, { numNotes: 3, notesOccupied: 2 }));
}

/** A head where it was put. */
export interface Placed {
  readonly written: WrittenEvent;
  readonly note: StaveNote;
}

/** What grows and fades in a row, over its notes; one that goes on from the row before begins with this one. */
function hairpins(placed: readonly Placed[], events: readonly LineEvent[]): StaveHairpin[] {
  return swellsOf(events).flatMap(({ swell, from, to }) => {
    const notes = placed.filter(
      ({ written: { event } }) => event >= from && event <= to && events[event]!.midi !== null,
    );
    const first = notes[0]?.note;
    const last = notes[notes.length - 1]?.note;
    if (!first || !last) return [];
    const type = StaveHairpin.type[swell === 'growing' ? 'CRESC' : 'DECRESC'];
    const hairpin = new StaveHairpin({ firstNote: first, lastNote: last }, type);
    hairpin.setPosition(Modifier.Position.ABOVE);
    // A single note's is as long as the note is wide in its bar.
    // Beside the printed loudness, where there is one.
    const leftShiftPx = events[from]!.dynamic ? 18 : 0;
    hairpin.setRenderOptions({
      height: 7,
      yShift: -4,
      leftShiftPx,
      rightShiftPx:
        first === last
          ? Math.max(leftShiftPx + 16, first.getStave()!.getNoteEndX() - first.getAbsoluteX() - 12)
          : 8,
    });
    return [hairpin];
  });
}

/** The places of an event's heads, one above the other. */
const headsOf = ({ above = [] }: LineEvent): number[] => [0, ...above.map((_, i) => i + 1)];

/** Ties, slurs and slides between the heads of one part, within a system. */
export function joins(placed: readonly Placed[], events: readonly LineEvent[]) {
  const drawn: { setContext: (context: never) => { draw: () => void } }[] = hairpins(
    placed,
    events,
  );
  placed.forEach(({ written, note }, i) => {
    const next = placed[i + 1];
    const event = events[written.event]!;
    if (!next || event.midi === null) return;
    if (!written.last) {
      drawn.push(
        new StaveTie({
          firstNote: note,
          lastNote: next.note,
          firstIndexes: headsOf(event),
          lastIndexes: headsOf(event),
        }),
      );
    } else if (event.slur) {
      drawn.push(new Curve(note, next.note, {}));
    } else if (event.glideTo !== undefined && event.glideTo !== event.midi) {
      drawn.push(
        new StaveLine({
          firstNote: note,
          lastNote: next.note,
          firstIndexes: [0],
          lastIndexes: [0],
        }),
      );
    }
  });
  return drawn;
}

/** Puts the syllables of a row on one line, at a height (px) or as low as the lowest has to be, and tells how low. */
export function onOneLine(syllables: readonly Annotation[], at?: number): number {
  const texts = syllables.flatMap((one) => one.getSVGElement()?.querySelector('text') ?? []);
  // A little below where it has to be, so that no stem runs into it.
  const lowest = at ?? 2 + Math.max(...texts.map((text) => Number(text.getAttribute('y'))));
  for (const text of texts) text.setAttribute('y', String(lowest));
  return lowest;
}

/** The end of a slide is shown as a head of its own, so that the line has somewhere to go. */
export function withLanding(events: readonly LineEvent[]): LineEvent[] {
  const last = events.findLast(({ midi }) => midi !== null);
  const whole = events.filter(({ beats }) => beats > 0);
  if (!last || last.glideTo === undefined || last.glideTo === last.midi) return whole;
  return [...whole, { midi: last.glideTo, beats: 1 }];
}
