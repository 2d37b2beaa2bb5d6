import { Box, Textarea } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { bySchema, keptOnDevice, messageOf } from '@wide-fern/client';
import { z } from '@wide-fern/contract';
import { useHere } from '../../../here/session';
import { Label } from '../../../ui/words';
import { useMarking } from '../../../here/marking';
import type { Listed } from '../model/listed';

/** Stored this long after the last letter. */
const pause = 700;

/** What was typed and is not stored yet. */
const notes = keptOnDevice('note', bySchema(z.string()));

/** The choir's own note on an exercise: saved by itself, kept on the device until it is. */
export function NoteField({ listed }: { readonly listed: Listed }) {
  const { choir, account } = useHere();
  const { exercise, mark } = listed;
  const ids = useMemo(
    () => [account.id, choir.id, exercise.id],
    [account.id, choir.id, exercise.id],
  );
  const [note, setNote] = useState(() => notes.read(...ids) ?? mark.note);
  const marking = useMarking(choir.id, exercise.id, (stored) => {
    // What was typed since stays kept.
    if (notes.read(...ids)?.trim() === stored.note) notes.keep(ids, undefined);
  });
  const latest = useRef({ mark, note, save: marking.mutate });
  useEffect(() => {
    latest.current = { mark, note, save: marking.mutate };
  });
  const unsaved = note.trim() !== mark.note;
  useEffect(() => {
    if (!unsaved || note.length > 1000) return undefined;
    notes.keep(ids, note);
    const save = () => latest.current.save({ ...latest.current.mark, note: note.trim() });
    const timer = window.setTimeout(save, pause);
    return () => window.clearTimeout(timer);
  }, [note, unsaved, ids]);
  useEffect(
    () => () => {
      const { mark: was, note: now, save } = latest.current;
      // Whoever goes on at once still has the last words stored.
      if (now.trim() !== was.note && now.length <= 1000) save({ ...was, note: now.trim() });
    },
    [],
  );
  return (
    <Box mt="10px" maxW="78ch">
      <Label as="label" display="block" fontSize="12px" mb="2px">
        Our note
        <Textarea
          value={note}
          rows={2}
          bg="paper"
          borderColor="inkSoft"
          borderWidth="1px"
          fontSize="13px"
          color="ink"
          w="100%"
          px="6px"
          placeholder="What worked, who begins, what to leave out"
          aria-invalid={note.length > 1000}
          onChange={(event) => setNote(event.currentTarget.value)}
        />
      </Label>
      <Label as="span" fontSize="12px" role="status">
        {note.length > 1000
          ? `${note.length - 1000} characters too many; at most 1000.`
          : marking.error
            ? `${messageOf(marking.error)} The note is kept on this device.`
            : unsaved
              ? 'saving …'
              : note
                ? 'saved'
                : ''}
      </Label>
    </Box>
  );
}
