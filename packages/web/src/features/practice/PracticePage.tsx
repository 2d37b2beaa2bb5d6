import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { messageOf } from '@wide-fern/client';
import { openPractice } from '@wide-fern/client/practice';
import type { Practice } from '@wide-fern/contract';
import {
  barsToPractise,
  cautions,
  clockIn,
  dayInWords,
  practiceFor,
  type PracticeEntry,
  type SheetOf,
} from '@wide-fern/words';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { secretOf } from '../../ui/secretOf';
import { Empty, Failed, Loading } from '../../ui/states';
import { WordChoice } from '../../ui/WordChoice';
import { Label, Name } from '../../ui/words';
import { HowWasIt } from './HowWasIt';
import { PracticeExercise } from './PracticeExercise';
import { WhatWasEasy } from './WhatWasEasy';

const sheetOf = ({ startsAt, accidentals, naming, ...practice }: Practice): SheetOf => ({
  ...practice,
  start: Date.parse(startsAt),
  place: '',
  writing: { accidentals, naming },
});

/** What may be wanted when there is no connection any more comes along while there is one. */
const fetchAhead = () =>
  Promise.all([
    import('../../music/hearing/player'),
    import('tone'),
    import('../../music/notation/ScoreStaff'),
    import('@wide-fern/interchange'),
  ]);

/** Tonight's exercises to practise at home, for whoever has the link; no account is needed. */
export default function PracticePage() {
  const secret = secretOf(useLocation().hash);
  const opened = useQuery({
    queryKey: ['practice', secret],
    queryFn: () => openPractice(secret),
    enabled: secret !== '',
  });
  useEffect(() => {
    if (opened.isSuccess) void fetchAhead().catch(() => undefined);
  }, [opened.isSuccess]);
  if (secret === '') {
    return (
      <Empty title="This link is not whole">
        <Box>Open it as it was given to you, with all its letters and digits.</Box>
      </Empty>
    );
  }
  if (opened.isError) {
    return <Failed message={messageOf(opened.error)} onRetry={() => void opened.refetch()} />;
  }
  if (!opened.data) return <Loading what="your exercises" />;
  return <Exercises {...{ secret }} practice={opened.data.practice} keptAt={opened.data.keptAt} />;
}

function Exercises({
  secret,
  practice,
  keptAt,
}: {
  readonly secret: string;
  readonly practice: Practice;
  readonly keptAt: string | null;
}) {
  const { sections } = practice.document.tonight;
  const [chosen, setChosen] = useState<string>();
  const own = practice.part ?? chosen;
  const part = sections.some(({ id }) => id === own) ? own : undefined;
  const page = { choir: practice.choir, startsAt: practice.startsAt };
  const section = sections.find(({ id }) => id === part);
  const sender = useMemo(
    () => (practice.asks ? { secret, part: part ?? null } : undefined),
    [practice.asks, secret, part],
  );
  const [heard, setHeard] = useState<string>();
  const of = useMemo(() => sheetOf(practice), [practice]);
  const { title, under, entries } = useMemo(() => practiceFor(of, part), [of, part]);
  const bars = useMemo(() => barsToPractise(of, practice.bars, part), [of, practice.bars, part]);
  const clock = clockIn(of.timeZone, of.clock);
  const exercise = (entry: PracticeEntry, asked?: ReactNode) => (
    <PracticeExercise
      key={`${entry.id} ${part ?? ''}`}
      {...{ entry, part }}
      writing={of.writing}
      isHeard={heard === entry.id}
      onHeard={setHeard}
    >
      {asked}
    </PracticeExercise>
  );
  if (entries.length + bars.length === 0) {
    return (
      <Empty title="Nothing is planned yet">
        <Box>Open this link again later.</Box>
      </Empty>
    );
  }
  return (
    <Box as="main" maxW="720px" mx="auto" px={{ base: '16px', md: '24px' }} py="20px" pb="60px">
      <Name as="h1" fontSize={{ base: '24px', md: '30px' }} lineHeight="1.2">
        Warm-up of {title}
      </Name>
      <Label>{under}</Label>
      {keptAt && (
        <Box role="status" mt="8px" fontSize="14px">
          There is no connection: this is how it was on {dayInWords(keptAt, of.timeZone)},{' '}
          {clock.minute(Date.parse(keptAt))}.
        </Box>
      )}
      {practice.part === null && (
        <Flex mt="12px" gap="4px 12px" wrap="wrap" align="center">
          <Label as="span">I sing</Label>
          <WordChoice
            isLarge
            label="I sing"
            options={[
              [undefined, 'everything'],
              ...sections.map(({ id, many }) => [id, many] as const),
            ]}
            value={part}
            onChange={setChosen}
          />
        </Flex>
      )}
      <Box mt="12px" fontSize="15px" color="sporeText">
        {cautions.pain}
      </Box>
      <Box as="ol" listStyleType="none" mt="8px">
        {entries.map((entry) =>
          exercise(
            entry,
            sender && (
              <HowWasIt
                name={entry.name}
                hasNotes={entry.listening !== undefined}
                place={{ ...page, part: part ?? null, exercise: entry.exercise }}
                sender={sender}
              />
            ),
          ),
        )}
      </Box>
      {bars.length > 0 && (
        <Box as="section" aria-labelledby="hard-bars" mt="28px">
          <Name as="h2" id="hard-bars" fontSize={{ base: '21px', md: '24px' }} lineHeight="1.25">
            Hard bars, as they are written
          </Name>
          <Label>
            Of the score this much is shown for you to practise; it is not to be handed on.
          </Label>
          <Box as="ol" listStyleType="none">
            {bars.map((entry) => exercise(entry))}
          </Box>
        </Box>
      )}
      {sender && section && (
        <WhatWasEasy
          key={section.id}
          {...{ section, sender }}
          place={{ ...page, part: section.id }}
          writing={of.writing}
        />
      )}
    </Box>
  );
}
