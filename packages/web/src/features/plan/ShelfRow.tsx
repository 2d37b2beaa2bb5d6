import { Box } from '@chakra-ui/react';
import type { Exercise } from '@wide-fern/contract';
import { hasKeys, type NoteWriting, type Tonight } from '@wide-fern/core';
import { candidate, choicesAtFirst } from '@wide-fern/plan';
import { keyPaths, lengthInFigures, wordingFor } from '@wide-fern/words';
import { PatternFigure } from '../../music/figures/PatternFigure';
import { Name } from '../../ui/words';

/** What an exercise would be tonight: its length and its keys. */
export function preview(
  exercise: Exercise,
  isNew: boolean,
  tonight: Tonight,
  writing: NoteWriting,
) {
  const computed = candidate(exercise, tonight);
  const wording = wordingFor(tonight.sections, { exercise }, writing);
  return {
    length: lengthInFigures(
      computed.seconds + choicesAtFirst(exercise, isNew).talk - exercise.usual.talk,
    ),
    /** Of each group, where there are two. */
    paths: keyPaths(computed.keys, wording),
  };
}

/** One exercise that can be taken: its name and figure, its keys and length tonight, and what the place forbids. */
export function ShelfRow({
  exercise,
  known: { length, paths },
  not,
  note,
  onTake,
}: {
  readonly exercise: Exercise;
  readonly known: ReturnType<typeof preview>;
  /** What it needs that is not possible there, in words. */
  readonly not: string | undefined;
  /** Why it is offered, where that is said. */
  readonly note?: string;
  readonly onTake: () => void;
}) {
  return (
    <Box
      as="button"
      aria-label={`Add ${exercise.name}: ${exercise.figure}, ${length}${note ? `, ${note}` : ''}${not ? `. ${not}` : ''}`}
      data-exercise={exercise.id}
      data-name={exercise.name}
      onClick={onTake}
      display="grid"
      gridTemplateColumns={
        !hasKeys(exercise.music)
          ? '1fr 34px'
          : paths.length > 1
            ? '1fr 120px 34px'
            : '1fr 44px 76px 34px'
      }
      alignItems="center"
      gap="6px"
      w="100%"
      minH="26px"
      textAlign="left"
      fontSize="13px"
      cursor="grab"
      _hover={{ bg: 'sunk' }}
    >
      <Name as="span" fontSize="15px" truncate>
        {exercise.name}
      </Name>
      {hasKeys(exercise.music) && (
        <>
          {paths.length === 1 && (
            <PatternFigure music={exercise.music} width={44} height={18} small />
          )}
          <Box as="span" whiteSpace="nowrap">
            {paths.join(', ')}
          </Box>
        </>
      )}
      <Box as="span" textAlign="right" color="inkSoft">
        {length}
      </Box>
      {note && (
        <Box as="span" gridColumn="1 / -1" color="inkSoft" mt="-4px" pb="2px">
          {note}
        </Box>
      )}
      {not && (
        <Box as="span" gridColumn="1 / -1" color="sporeText" mt="-4px" pb="2px">
          {not}
        </Box>
      )}
    </Box>
  );
}
