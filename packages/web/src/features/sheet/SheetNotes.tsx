import { Box } from '@chakra-ui/react';
import type { NoteWriting } from '@wide-fern/core';
import { openingsInWords, type SheetNotes as Notes } from '@wide-fern/words';
import { useEffect, useRef, useState } from 'react';
import { loadMusicFont } from '../../music/notation/fonts';
import { engraveOpenings } from '../../music/notation/openings';
import ScoreStaff from '../../music/notation/ScoreStaff';
import { useWidth } from '../../ui/useSize';

/** The notes of one segment on the sheet. */
export default function SheetNotes({
  notes,
  writing,
}: {
  readonly notes: Notes;
  readonly writing: NoteWriting;
}) {
  if (notes.kind === 'score') return <ScoreStaff score={notes.score} writing={writing} />;
  return <OpeningsStaff notes={notes} writing={writing} />;
}

/** What leads into each key, and what that is in words for those who cannot see it. */
function OpeningsStaff({
  notes,
  writing,
}: {
  readonly notes: Extract<Notes, { kind: 'openings' }>;
  readonly writing: NoteWriting;
}) {
  const outer = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(outer);
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
    if (ready && frame.current) {
      engraveOpenings(frame.current, notes, writing, Math.max(280, width));
    }
  }, [ready, notes, writing, width]);
  return (
    <Box ref={outer} w="100%">
      <Box ref={frame} role="img" aria-label={openingsInWords(notes, writing)} color="ink" />
    </Box>
  );
}
