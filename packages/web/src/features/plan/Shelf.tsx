import { Box, Flex, Input } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { Exercise, Segment, Wish } from '@wide-fern/contract';
import {
  askedFor,
  isFound,
  own,
  folded,
  phases,
  type Phase,
  type PlaceNeed,
  type NoteWriting,
} from '@wide-fern/core';
import {
  figured,
  listInWords,
  notPossibleInWords,
  phaseWords,
  searched,
  understoodInWords,
} from '@wide-fern/words';
import { useEffect, useMemo, useState, type RefObject } from 'react';
import { messageOf, exercisesQuery } from '@wide-fern/client';
import { bringingMissing, type EvaluatedPlan, type Missing } from '@wide-fern/plan';
import { builtInQuery } from '../../here/builtIn';
import { useHere } from '../../here/session';
import { MoreWays, toggled } from '../../ui/MoreWays';
import { WordChoice } from '../../ui/WordChoice';
import { Label, Name, WordButton } from '../../ui/words';
import type { Dropping } from './drawing/Dragging';
import { preview, ShelfRow } from './ShelfRow';

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

/** Where an exercise goes: by its phase, behind the chosen segment, or to the beginning. */
type Goes = 'phase' | 'behind' | 'first';

/** Where exercises wait: by phase, a line each; taking one adds it where its phase belongs. */
export default function Shelf({
  plan,
  chosen,
  wishes,
  forbids,
  writing,
  dropping,
  onTake,
  onClose,
}: {
  readonly plan: EvaluatedPlan;
  /** The segment that is chosen: an exercise can go behind it. */
  readonly chosen: Segment | undefined;
  /** What judged runs of pieces ask for. */
  readonly wishes: readonly Wish[];
  /** What the place does not allow. */
  readonly forbids: readonly PlaceNeed[];
  readonly writing: NoteWriting;
  /** Filled with what takes an exercise that is dragged to its place. */
  readonly dropping?: RefObject<Dropping | undefined>;
  readonly onTake: (exercise: Exercise, isNew: boolean, after?: string | null) => void;
  readonly onClose: () => void;
}) {
  const { tonight } = plan.document;
  const [words, setWords] = useState('');
  const [goes, setGoes] = useState<Goes>('phase');
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
  const takeOne = (exercise: Exercise) => {
    const after = goes === 'behind' ? chosen?.id : goes === 'first' ? null : undefined;
    onTake(exercise, isNew(exercise), after);
  };
  useEffect(() => {
    if (!dropping) return undefined;
    dropping.current = (id, after) => {
      const exercise = exercises.find((one) => one.id === id);
      if (exercise) onTake(exercise, isNew(exercise), after);
    };
    return () => {
      dropping.current = undefined;
    };
  });
  const missing = useMemo(
    () => bringingMissing(plan, exercises, { wishes, forbids, left: plan.left }),
    [plan, exercises, wishes, forbids],
  );
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
                : `${figured(found.length, 'exercise', 'exercises')}; more talk where one was never led here`}
          {understood && `. Taken ${understood}.`}
        </Label>
        <WordButton ml="auto" fontSize="13px" onClick={onClose}>
          back to the bench
        </WordButton>
      </Flex>
      {plan.segments.length > 0 && <Where {...{ chosen, goes }} onGoes={setGoes} />}
      {words === '' && <StillMissing missing={missing} known={known} onTake={takeOne} />}
      <WishedFor wishes={wishes} onLook={setWords} />
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
                    onTake={() => takeOne(row.item)}
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

/** What judged runs ask for: a touch looks for it. */
function WishedFor({
  wishes,
  onLook,
}: {
  readonly wishes: readonly Wish[];
  readonly onLook: (words: string) => void;
}) {
  if (wishes.length === 0) return null;
  return (
    <Flex gap="14px" wrap="wrap" fontSize="13px" mb="6px">
      <Label as="span">wished for</Label>
      {wishes.slice(0, 3).map(({ piece, title, skill }) => (
        <Box as="span" key={piece}>
          <WordButton fontSize="13px" onClick={() => onLook(skill)}>
            {skill}
          </WordButton>{' '}
          <Box as="span" color="inkSoft">
            for “{title}”
          </Box>
        </Box>
      ))}
    </Flex>
  );
}

/** What judged runs wish for and nothing in the plan works on yet: what brings it and has time. */
function StillMissing({
  missing,
  known,
  onTake,
}: {
  readonly missing: readonly Missing[];
  readonly known: (exercise: Exercise) => ReturnType<typeof preview>;
  readonly onTake: (exercise: Exercise) => void;
}) {
  if (missing.length === 0) return null;
  return (
    <Box mb="8px" maxW="620px">
      <Label as="h3" fontWeight={650} borderBottomWidth="1px">
        Still missing, and fits tonight
      </Label>
      {missing.map(({ exercise, serves }) => (
        <Box key={exercise.id}>
          <ShelfRow
            exercise={exercise}
            known={known(exercise)}
            not={undefined}
            note={`for ${listInWords(serves)}`}
            onTake={() => onTake(exercise)}
          />
        </Box>
      ))}
    </Box>
  );
}

/** Where what is taken goes. */
function Where({
  chosen,
  goes,
  onGoes,
}: {
  readonly chosen: Segment | undefined;
  readonly goes: Goes;
  readonly onGoes: (goes: Goes) => void;
}) {
  return (
    <Box mb="6px">
      <WordChoice
        label="Where it goes"
        options={[
          ['phase', 'goes where its phase belongs'],
          ...(chosen ? ([['behind', `behind ${chosen.exercise.name}`]] as const) : []),
          ['first', 'at the beginning'],
        ]}
        value={goes}
        onChange={onGoes}
      />
    </Box>
  );
}
