import { Box } from '@chakra-ui/react';
import {
  noteName,
  spellAlone,
  type NoteWriting,
  type MidiNote,
  type SpelledNote,
} from '@wide-fern/core';
import { useEffect, useRef, useState } from 'react';
import { Accidental, Formatter, Renderer, Stave, StaveNote, Voice } from 'vexflow/core';
import { loadMusicFont, pinFonts } from './fonts';

/** The clef a part reads from. */
export type Clef = 'treble' | 'tenor' | 'bass';

const size = { width: 160, height: 110 } as const;

/** A note as the engraver takes it: «f#/5», written an octave higher in the tenor's clef. */
const keyOf = ({ letter, accidental, octave }: SpelledNote, clef: Clef): string => {
  const sign = (accidental < 0 ? 'b' : '#').repeat(Math.abs(accidental));
  return `${letter.toLowerCase()}${sign}/${octave + (clef === 'tenor' ? 1 : 0)}`;
};

function draw(
  frame: HTMLDivElement,
  notes: readonly MidiNote[],
  clef: Clef,
  writing: NoteWriting,
): void {
  frame.replaceChildren();
  const renderer = new Renderer(frame, Renderer.Backends.SVG);
  renderer.resize(size.width, size.height);
  const context = renderer.getContext();
  context.setFillStyle('currentColor').setStrokeStyle('currentColor');
  const stave = new Stave(0, 4, size.width - 2);
  stave.addClef(
    clef === 'bass' ? 'bass' : 'treble',
    undefined,
    clef === 'tenor' ? '8vb' : undefined,
  );
  stave.setStyle({ fillStyle: 'currentColor', strokeStyle: 'currentColor' });
  stave.setContext(context).draw();
  const drawn = notes.map((note, i) => {
    const spelled = spellAlone(note, writing);
    const head = new StaveNote({
      keys: [keyOf(spelled, clef)],
      duration: 'w',
      clef: clef === 'bass' ? 'bass' : 'treble',
    });
    if (spelled.accidental !== 0) {
      head.addModifier(new Accidental(spelled.accidental < 0 ? 'b' : '#'));
    }
    // What was sung before stands paler beside what is sung now.
    const ink = i < notes.length - 1 ? 'var(--chakra-colors-ink-soft)' : 'currentColor';
    head.setStyle({ fillStyle: ink, strokeStyle: ink });
    return head;
  });
  const voice = new Voice({ numBeats: 4 * notes.length, beatValue: 4 }).addTickables(drawn);
  new Formatter().joinVoices([voice]).format([voice], size.width - 80);
  voice.draw(context, stave);
  const svg = frame.querySelector('svg');
  if (svg) pinFonts(svg);
}

/** The last notes of a check on a staff, the present one last. */
export default function NoteStaff({
  notes,
  clef,
  writing,
}: {
  readonly notes: readonly MidiNote[];
  readonly clef: Clef;
  readonly writing: NoteWriting;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let wanted = true;
    void loadMusicFont().then(() => {
      if (wanted) setReady(true);
    });
    return () => {
      wanted = false;
    };
  }, []);
  useEffect(() => {
    if (ready && frame.current && notes.length > 0) draw(frame.current, notes, clef, writing);
  }, [ready, notes, clef, writing]);
  return (
    <Box
      ref={frame}
      role="img"
      aria-label={`On the staff: ${notes.map((note) => noteName(note, writing)).join(', then ')}`}
      w={`${size.width}px`}
      h={`${size.height}px`}
      color="ink"
    />
  );
}
