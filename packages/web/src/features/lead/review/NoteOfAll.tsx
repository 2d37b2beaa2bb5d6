import { Box, Field, Textarea } from '@chakra-ui/react';
import { mostNoted } from '@wide-fern/contract';
import { useKeptDraft } from '../../../ui/useKeptDraft';
import { WordButton } from '../../../ui/words';

/** A note of the whole, kept while it is typed, and noted when it is left. */
export function NoteOfAll({
  run,
  notes,
  onNote,
}: {
  readonly run: string;
  /** What was noted already. */
  readonly notes: readonly string[];
  readonly onNote: (word: string) => void;
}) {
  const [{ word }, setDraft, forget] = useKeptDraft(`note of ${run}`, { word: '' });
  const keep = () => {
    const said = word.replaceAll(/\s+/g, ' ').trim();
    if (said === '') return;
    onNote(said);
    setDraft({ word: '' });
    forget();
  };
  return (
    <Box mt="16px" maxW="640px">
      {notes.length > 0 && (
        <Box as="ul" aria-label="Notes" listStyleType="none" p={0} fontSize="20px" mb="8px">
          {notes.map((note, i) => (
            <li key={i}>{note}</li>
          ))}
        </Box>
      )}
      <Field.Root>
        <Field.Label fontSize="17px" color="inkSoft" fontWeight={400}>
          a note, if you wish
        </Field.Label>
        <Textarea
          w="100%"
          bg="sheet"
          borderWidth="1px"
          borderColor="inkSoft"
          borderRadius="3px"
          fontSize="18px"
          rows={2}
          maxLength={mostNoted}
          value={word}
          onChange={(event) => setDraft({ word: event.currentTarget.value })}
          onBlur={keep}
        />
      </Field.Root>
      {word !== '' && (
        <WordButton minH="44px" fontSize="18px" onClick={keep}>
          note it
        </WordButton>
      )}
    </Box>
  );
}
