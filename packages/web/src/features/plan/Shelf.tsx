import { Box, Flex, Input } from '@chakra-ui/react';
import { exercises } from '@wide-fern/catalogue';
import type { Exercise, Tonight } from '@wide-fern/contract';
import {
  computeSegment,
  isPitched,
  lengthInFigures,
  phases,
  phaseWords,
  type AccidentalPreference,
} from '@wide-fern/core';
import { useMemo, useState } from 'react';
import { Label, Name, WordButton } from '../../ui/words';
import { keyPath, wordingFor } from './model/words';
import { PatternFigure } from './bench/PatternFigure';

/** What an exercise would be tonight: its length and its keys. */
function preview(exercise: Exercise, tonight: Tonight, accidentals: AccidentalPreference) {
  const segment = { id: exercise.id, exercise, choices: { ...exercise.usual, start: null } };
  const computed = computeSegment(segment, { sections: tonight.bands, needs: tonight.needs });
  return {
    length: lengthInFigures(computed.seconds),
    path: keyPath(computed.keys, wordingFor(tonight.bands, segment, accidentals)),
  };
}

const matches = (exercise: Exercise, words: string): boolean =>
  `${exercise.name} ${exercise.figure} ${exercise.purpose} ${exercise.purposes.join(' ')}`
    .toLowerCase()
    .includes(words.trim().toLowerCase());

/** Where exercises wait: by phase, a line each; taking one adds it where its phase belongs. */
export default function Shelf({
  tonight,
  accidentals,
  onTake,
  onClose,
}: {
  readonly tonight: Tonight;
  readonly accidentals: AccidentalPreference;
  readonly onTake: (exercise: Exercise) => void;
  readonly onClose: () => void;
}) {
  const [words, setWords] = useState('');
  const previews = useMemo(
    () => new Map(exercises.map((one) => [one.id, preview(one, tonight, accidentals)] as const)),
    [tonight, accidentals],
  );
  const found = exercises.filter((exercise) => matches(exercise, words));
  return (
    <Box
      as="section"
      aria-label="Shelf"
      px={{ base: '16px', md: '24px' }}
      pt="10px"
      pb="16px"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <Flex align="center" gap="16px" wrap="wrap" mb="8px">
        <Name as="h2" fontSize="18px">
          Shelf
        </Name>
        <Input
          aria-label="Look for an exercise"
          placeholder="name or purpose"
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
          autoFocus
          size="xs"
          w="220px"
          bg="sheet"
          fontSize="13px"
        />
        <Label as="span" role="status">
          {found.length === 0
            ? 'Nothing on the shelf has these words; try fewer.'
            : `${found.length} exercises; each goes where its phase belongs`}
        </Label>
        <WordButton ml="auto" fontSize="13px" onClick={onClose}>
          back to the bench
        </WordButton>
      </Flex>
      <Box columnWidth="280px" columnGap="28px">
        {phases.map((phase) => {
          const here = found.filter((exercise) => exercise.phase === phase);
          if (here.length === 0) return null;
          return (
            <Box key={phase} mb="10px" breakInside="avoid">
              <Label as="h3" fontWeight={650} borderBottomWidth="1px">
                {phaseWords[phase]}
              </Label>
              {here.map((exercise) => {
                const { length, path } = previews.get(exercise.id)!;
                return (
                  <Box
                    as="button"
                    key={exercise.id}
                    aria-label={`Add ${exercise.name}: ${exercise.figure}, ${length}`}
                    onClick={() => onTake(exercise)}
                    display="grid"
                    gridTemplateColumns={
                      isPitched(exercise.music) ? '1fr 44px 76px 34px' : '1fr 34px'
                    }
                    alignItems="center"
                    gap="6px"
                    w="100%"
                    minH="26px"
                    textAlign="left"
                    fontSize="13px"
                    cursor="pointer"
                    _hover={{ bg: 'sunk' }}
                  >
                    <Name as="span" fontSize="15px" truncate>
                      {exercise.name}
                    </Name>
                    {isPitched(exercise.music) && (
                      <>
                        <PatternFigure music={exercise.music} width={44} height={18} small />
                        <Box as="span" whiteSpace="nowrap">
                          {path}
                        </Box>
                      </>
                    )}
                    <Box as="span" textAlign="right" color="inkSoft">
                      {length}
                    </Box>
                  </Box>
                );
              })}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
