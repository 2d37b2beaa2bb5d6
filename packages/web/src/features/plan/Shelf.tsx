import { Box, Flex, Input } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { Exercise, Wish } from '@wide-fern/contract';
import {
  type Tonight,
  askedFor,
  isFound,
  hasKeys,
  own,
  folded,
  phases,
  type Phase,
  type PlaceNeed,
  type NoteWriting,
} from '@wide-fern/core';
import {
  figured,
  lengthInFigures,
  notPossibleInWords,
  phaseWords,
  searched,
  understoodInWords,
  keyPaths,
  wordingFor,
} from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { messageOf, exercisesQuery } from '@wide-fern/client';
import { candidate, choicesAtFirst } from '@wide-fern/plan';
import { builtInQuery } from '../../here/builtIn';
import { useHere } from '../../here/session';
import { MoreWays, toggled } from '../../ui/MoreWays';
import { Label, Name, WordButton } from '../../ui/words';
import { PatternFigure } from '../../music/figures/PatternFigure';

/** What an exercise would be tonight: its length and its keys. */
function preview(exercise: Exercise, isNew: boolean, tonight: Tonight, writing: NoteWriting) {
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

/** More lines than this nobody looks through; the words at the top find the others. */
const mostShown = 300;

/** What waits on the shelf: the built-in exercises and the choir's own, favourites first, without those it hid. */
function useShelved() {
  const { choir } = useHere();
  const builtIn = useQuery(builtInQuery);
  const choirs = useQuery(exercisesQuery(choir.id));
  const exercises = useMemo(() => {
    const marks = choirs.data?.marks ?? {};
    const all = [...(builtIn.data ?? []), ...(choirs.data?.own ?? [])];
    const seen = all.filter(({ id }) => !own(marks, id)?.hidden);
    const isFavourite = ({ id }: Exercise) => own(marks, id)?.favourite ?? false;
    return [...seen.filter(isFavourite), ...seen.filter((one) => !isFavourite(one))];
  }, [builtIn.data, choirs.data]);
  const lastUsed = choirs.data?.lastUsed ?? {};
  return {
    exercises,
    /** Whether it was never led here, as far as is known. */
    isNew: ({ id }: Exercise) => own(lastUsed, id) === undefined,
    isFetching: builtIn.isPending || choirs.isPending,
    error: builtIn.error ?? choirs.error,
    retry: () => {
      void builtIn.refetch();
      void choirs.refetch();
    },
  };
}

/** Where exercises wait: by phase, a line each; taking one adds it where its phase belongs. */
export default function Shelf({
  tonight,
  wishes,
  forbids,
  writing,
  onTake,
  onClose,
}: {
  readonly tonight: Tonight;
  /** What judged runs of pieces ask for. */
  readonly wishes: readonly Wish[];
  /** What the place does not allow. */
  readonly forbids: readonly PlaceNeed[];
  readonly writing: NoteWriting;
  readonly onTake: (exercise: Exercise, isNew: boolean) => void;
  readonly onClose: () => void;
}) {
  const [words, setWords] = useState('');
  const { exercises, isNew, isFetching, error, retry } = useShelved();
  const found = useMemo(() => {
    const asked = askedFor(words);
    return exercises.filter((exercise) => isFound(searched(exercise), asked));
  }, [exercises, words]);
  const understood = understoodInWords(askedFor(words));
  const [unfolded, setUnfolded] = useState<ReadonlySet<string>>(new Set());
  const shown = found.slice(0, mostShown);
  // Worked out when it is first shown, for the sections and names in force.
  const known = useMemo(() => {
    const previews = new Map<Exercise, ReturnType<typeof preview>>();
    return (exercise: Exercise) => {
      const found = previews.get(exercise) ?? preview(exercise, isNew(exercise), tonight, writing);
      previews.set(exercise, found);
      return found;
    };
    // Whether they are new changes with what the choir's exercises say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [tonight, writing, exercises]);
  /** A phase's exercises, families folded unless words are looked for. */
  const rowsIn = (phase: Phase, here: readonly Exercise[]) =>
    words
      ? here.map((item) => ({ kind: 'one', item }) as const)
      : folded(here, (exercise) => exercise.family?.id, phase, unfolded);
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
          placeholder="flat, siren, tired, a name …"
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
          autoFocus
          size="xs"
          w="220px"
          bg="sheet"
          fontSize="13px"
        />
        <Label as="span" role="status">
          {isFetching
            ? 'Fetching the exercises …'
            : found.length === 0
              ? 'Nothing on the shelf has these words; try fewer.'
              : found.length > shown.length
                ? `${shown.length} of ${found.length} exercises; type a word to find the others`
                : `${figured(found.length, 'exercise', 'exercises')}; each goes where its phase belongs, with more talk where it was never led here`}
          {understood && `. Taken ${understood}.`}
        </Label>
        <WordButton ml="auto" fontSize="13px" onClick={onClose}>
          back to the bench
        </WordButton>
      </Flex>
      {wishes.length > 0 && (
        <Flex gap="14px" wrap="wrap" fontSize="13px" mb="6px">
          <Label as="span">wished for</Label>
          {wishes.slice(0, 3).map(({ piece, title, skill }) => (
            <Box as="span" key={piece}>
              <WordButton fontSize="13px" onClick={() => setWords(skill)}>
                {skill}
              </WordButton>{' '}
              <Box as="span" color="inkSoft">
                for “{title}”
              </Box>
            </Box>
          ))}
        </Flex>
      )}
      {error && (
        <Box role="alert" fontSize="13px" color="brick" mb="6px">
          {messageOf(error)} What is on this device is shown.{' '}
          <WordButton fontSize="13px" onClick={retry}>
            try again
          </WordButton>
        </Box>
      )}
      <Box columnWidth="280px" columnGap="28px">
        {phases.map((phase) => {
          const here = shown.filter((exercise) => exercise.phase === phase);
          if (here.length === 0) return null;
          return (
            <Box key={phase} mb="10px" breakInside="avoid">
              <Label as="h3" fontWeight={650} borderBottomWidth="1px">
                {phaseWords[phase]}
              </Label>
              {rowsIn(phase, here).map((row) =>
                row.kind === 'ways' ? (
                  <MoreWays
                    key={row.key}
                    row={row}
                    onFold={() => setUnfolded(toggled(unfolded, row.key))}
                  />
                ) : (
                  <ShelfRow
                    key={row.item.id}
                    exercise={row.item}
                    known={known(row.item)}
                    not={notPossibleInWords(row.item.needs, forbids)}
                    onTake={() => onTake(row.item, isNew(row.item))}
                  />
                ),
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** One exercise that can be taken: its name and figure, its keys and length tonight, and what the place forbids. */
function ShelfRow({
  exercise,
  known: { length, paths },
  not,
  onTake,
}: {
  readonly exercise: Exercise;
  readonly known: ReturnType<typeof preview>;
  /** What it needs that is not possible there, in words. */
  readonly not: string | undefined;
  readonly onTake: () => void;
}) {
  return (
    <Box
      as="button"
      aria-label={`Add ${exercise.name}: ${exercise.figure}, ${length}${not ? `. ${not}` : ''}`}
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
      cursor="pointer"
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
      {not && (
        <Box as="span" gridColumn="1 / -1" color="sporeText" mt="-4px" pb="2px">
          {not}
        </Box>
      )}
    </Box>
  );
}
