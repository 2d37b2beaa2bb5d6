import { Box, Textarea } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../../app/session';
import { Label } from '../../../ui/words';
import { useMarking } from '../model/changes';
import type { Listed } from '../model/listed';

/** Stored this long after the last letter. */
const pause = 700;

/** The choir's own note on an exercise: saved by itself, kept on the device until it is. */
export function NoteField({ listed }: { readonly listed: Listed }) {
  const { choir, account } = useHere();
  const { exercise, mark } = listed;
  const kept = `wide-fern:note:${account.id}:${choir.id}:${exercise.id}`;
  const [note, setNote] = useState(() => localStorage.getItem(kept) ?? mark.note);
  const marking = useMarking(choir.id, exercise.id, (stored) => {
    // What was typed since stays kept.
    if (localStorage.getItem(kept)?.trim() === stored.note) localStorage.removeItem(kept);
  });
  const latest = useRef({ mark, note, save: marking.mutate });
  useEffect(() => {
    latest.current = { mark, note, save: marking.mutate };
  });
  const unsaved = note.trim() !== mark.note;
  useEffect(() => {
    if (!unsaved || note.length > 1000) return undefined;
    localStorage.setItem(kept, note);
    const save = () => latest.current.save({ ...latest.current.mark, note: note.trim() });
    const timer = window.setTimeout(save, pause);
    return () => window.clearTimeout(timer);
  }, [note, unsaved, kept]);
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
