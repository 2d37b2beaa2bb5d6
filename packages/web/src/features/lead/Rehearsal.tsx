import { Box, Flex } from '@chakra-ui/react';
import type { PlanPlace, RunLead } from '@wide-fern/client';
import { withSlips, type Answering, type RunState } from '@wide-fern/core';
import { ledPlan, rehearsed, saidThings, saidWord, slipsNow, timesBegun } from '@wide-fern/plan';
import { rehearsedInWords, saidThingWords } from '@wide-fern/words';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useStore } from 'zustand';
import { Name, WordButton } from '../../ui/words';
import { Area } from './Area';
import { LedStand, type Rehearsing } from './LedStand';
import type { Shown } from './useShown';

/** A rehearsal with its simulated choir, and what came of it. */
export default function Rehearsal({
  place,
  lead,
  answering,
  onAnew,
}: {
  readonly place: PlanPlace;
  readonly lead: RunLead;
  readonly answering: Answering;
  readonly onAnew: () => void;
}) {
  const rehearsing = useMemo((): Rehearsing => {
    const { head } = lead.store.getState().run;
    const led = ledPlan(head);
    return {
      answered: (heard, plan, at, events) =>
        withSlips(heard, slipsNow(plan, at, timesBegun(led, events), answering)),
      banner: (
        <Box bg="spore" color="onFern" fontSize="17px" px={{ base: '20px', md: '40px' }} py="2px">
          A rehearsal with a simulated choir: it counts nowhere.
        </Box>
      ),
      touches: (settled) => <SaidTouches {...{ lead, settled }} />,
    };
  }, [lead, answering]);
  return (
    <LedStand
      {...{ place, lead, rehearsing }}
      over={(shown) => <Figures {...{ place, lead, answering, shown, onAnew }} />}
    />
  );
}

/** What whoever leads says that was said of the open exercise: nobody hears it here. */
function SaidTouches({ lead, settled }: { readonly lead: RunLead; readonly settled: RunState }) {
  const open = settled.segments[settled.open]?.id;
  const marks = settled.records.find(({ id }) => id === open)?.marks ?? [];
  return (
    <Flex
      px={{ base: '20px', md: '40px' }}
      columnGap="20px"
      align="center"
      fontSize={{ base: '17px', md: '20px' }}
    >
      <Box color="inkSoft">You said</Box>
      {saidThings.map((thing) => {
        const isSaid = marks.some(({ word }) => word === saidWord(thing));
        return (
          <WordButton
            key={thing}
            minH="44px"
            fontSize={{ base: '17px', md: '20px' }}
            aria-pressed={isSaid}
            fontWeight={isSaid ? 700 : 400}
            color={isSaid ? 'ink' : 'fern'}
            disabled={open === undefined}
            onClick={() => {
              if (!isSaid) lead.note({ kind: 'marked', part: null, word: saidWord(thing) });
            }}
          >
            {saidThingWords[thing]}
          </WordButton>
        );
      })}
    </Flex>
  );
}

/** What came of it: figures, one sentence of encouragement, one thing to try. */
function Figures({
  place,
  lead,
  answering,
  shown: { led },
  onAnew,
}: {
  readonly place: PlanPlace;
  readonly lead: RunLead;
  readonly answering: Answering;
  readonly shown: Shown;
  readonly onAnew: () => void;
}) {
  const navigate = useNavigate();
  const { events } = useStore(lead.store, ({ run }) => run);
  const { rows, went, toTry } = useMemo(
    () => rehearsedInWords(rehearsed(led, events, answering)),
    [led, events, answering],
  );
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="760px">
      <Name as="h1" fontSize="34px">
        Your rehearsal
      </Name>
      <Box fontSize="20px">{went}</Box>
      <Box fontSize="20px" mb="16px">
        {toTry}
      </Box>
      <Box
        as="dl"
        fontSize="18px"
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: '280px 1fr' }}
        columnGap="24px"
        rowGap={{ base: '0', md: '4px' }}
      >
        {rows.map(([what, words]) => (
          <Box key={what} display="contents">
            <Box as="dt" color="inkSoft">
              {what}
            </Box>
            <Box as="dd" mb={{ base: '8px', md: 0 }}>
              {words}
            </Box>
          </Box>
        ))}
      </Box>
      <Flex gap="24px" align="center" mt="24px" wrap="wrap">
        <Box w="260px">
          <Area
            isMain
            onClick={() => void navigate(`/evenings/${place.evening}/plan/${place.item}`)}
          >
            To the plan
          </Area>
        </Box>
        <WordButton minH="44px" fontSize="18px" onClick={onAnew}>
          rehearse once more
        </WordButton>
      </Flex>
    </Box>
  );
}
