import { Box, Flex } from '@chakra-ui/react';
import { familyKey, wantedBy } from '@wide-fern/core';
import { figured, formFor, notPossibleInWords, phaseWords } from '@wide-fern/words';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { useHere } from '../../here/session';
import { early, lazily, missing } from '../../ui/lazily';
import { LongList } from '../../ui/LongList';
import { usePageHeight, useWidth } from '../../ui/useSize';
import { Signs, SignsWord, useSigns } from '../../ui/Signs';
import { Label, Name, WordButton, WordLink } from '../../ui/words';
import { signsOf } from '../../music/signs';
import { ExerciseRow } from './ExerciseRow';
import { Filters } from './Filters';
import { ThrownAway } from './ThrownAway';
import { countOf, rowsOf, type Row } from './model/rows';
import { useWanted } from './model/wanted';
import { MoreWays, toggled } from '../../ui/MoreWays';
import type { ReadyExercises } from './model/useExercises';
import { WriteAll } from './files/WriteAll';

/** The panel comes right behind the list. */
const panelCode = early(() => import('./panel/ExercisePanel'));
const ExercisePanel = lazily(() => panelCode().then((it) => ({ default: it.ExercisePanel })), {
  room: <Box minH="280px" />,
  absent: missing('This exercise'),
});

function keyOf(row: Row): string {
  switch (row.kind) {
    case 'phase':
      return row.phase;
    case 'ways':
      return `${row.key} ways`;
    case 'one':
      return row.item.exercise.id;
  }
}

/** From this width on the list and the chosen exercise stand beside each other. */
const besideFrom = 900;

/** The list of exercises with its filters, and the chosen one beside it. */
export function ExercisesView({
  data,
  chosen,
}: {
  readonly data: ReadyExercises;
  readonly chosen: string | undefined;
}) {
  const { choir, mayEdit } = useHere();
  const { wanted, wantAll } = useWanted();
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const pageHeight = usePageHeight();
  // The day does not change while somebody looks.
  const [now] = useState(() => Date.now());
  // The list follows the typing when there is time; the field never waits for it.
  const looked = useDeferredValue(wanted);
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const open = data.all.find(({ exercise }) => exercise.id === chosen);
  const unfolded = useMemo(() => {
    const family = open?.exercise.family?.id;
    return open && family !== undefined
      ? new Set([...opened, familyKey(open.phase, family)])
      : opened;
  }, [opened, open]);
  const rows = useMemo(
    () => rowsOf(data.all, looked, now, unfolded),
    [data.all, looked, now, unfolded],
  );
  const fold = (key: string) => setOpened((before) => toggled(before, key));
  const forbids = data.evening?.forbids ?? [];
  const count = countOf(rows);
  const signs = useSigns('exercises');
  const shown = useMemo(() => data.all.filter(wantedBy(looked, now)), [data.all, looked, now]);
  const beside = width >= besideFrom;
  const works = data.all.filter(({ keys }) => !keys || keys.length >= 3).length;
  const panel = open && (
    <ExercisePanel key={open.exercise.id} listed={open} data={data} beside={beside} />
  );
  return (
    <Flex ref={frame} flex="1" minH={0} align="stretch">
      {(beside || !open) && (
        <Box flex="1 1 0" minW={0} px={{ base: '16px', md: '24px' }} pt="14px">
          <Flex align="baseline" gap="16px" wrap="wrap" mb="8px">
            <Name as="h1" fontSize="24px">
              {figured(data.all.length, 'exercise', 'exercises')}, {works}{' '}
              {formFor(works, 'fits', 'fit')} tonight’s voices
            </Name>
            <Flex gap="0 14px" wrap="wrap" align="baseline" fontSize="13px">
              <WordLink to="/courses">courses</WordLink>
              {mayEdit && (
                <>
                  <WordLink to="/exercises/make/new">make one</WordLink>
                  <WordLink to="/exercises/read/file">read a file</WordLink>
                  <WriteAll listed={shown} />
                </>
              )}
            </Flex>
          </Flex>
          <ThrownAway />
          <Filters compact={open !== undefined} />
          <Label as="p" role="status" mt="6px" mb="6px">
            {count === 0
              ? 'Nothing is like that. Take a word or a choice away.'
              : `${count} shown.`}{' '}
            {count === 0 && (
              <WordButton fontSize="13px" onClick={wantAll}>
                show all again
              </WordButton>
            )}
            <SignsWord {...signs} />
          </Label>
          <Signs shown={signs} load={signsOf.exercises} />
          <LongList
            items={rows}
            label="Exercises"
            rowHeight={30}
            mostHeight={Math.max(300, pageHeight - 190)}
            keyOf={keyOf}
            startAt={rows.findIndex((row) => keyOf(row) === chosen)}
          >
            {(row) =>
              row.kind === 'phase' ? (
                <Flex h="29px" align="flex-end" px="8px" pb="2px" borderBottomWidth="1px">
                  <Label as="h2" fontWeight={650}>
                    {phaseWords[row.phase]}
                  </Label>
                  <Label as="span" ml="8px" fontSize="12px">
                    {row.count}
                  </Label>
                </Flex>
              ) : row.kind === 'ways' ? (
                <MoreWays row={row} onFold={() => fold(row.key)} />
              ) : (
                <ExerciseRow
                  within={row.within ?? false}
                  listed={row.item}
                  writing={choir.writing}
                  not={notPossibleInWords(row.item.exercise.needs, forbids)}
                  chosen={row.item.exercise.id === chosen}
                  wide={width >= 700 && (!open || width >= 1500)}
                />
              )
            }
          </LongList>
        </Box>
      )}
      {chosen !== undefined && !open && (
        <Box flex="1 1 0" p="24px">
          This exercise is not here any more. <WordLink to="/exercises">All exercises</WordLink>
        </Box>
      )}
      {panel && (
        <Box
          flex={beside ? '0 0 58%' : '1'}
          minW={0}
          bg="sheet"
          borderLeftWidth={beside ? '2px' : 0}
          borderLeftColor="fern"
          maxH={beside ? 'calc(100dvh - 48px)' : undefined}
          overflowY={beside ? 'auto' : undefined}
        >
          {panel}
        </Box>
      )}
    </Flex>
  );
}
