import { Box, Flex } from '@chakra-ui/react';
import type { PlanStore } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import { useStore } from 'zustand';
import { useHere } from '../../../here/session';
import { Label, Name, WordButton } from '../../../ui/words';
import { stepInWords } from '../model/stepNames';
import { KeptPlans } from './KeptPlans';
import { Versions } from './Versions';

/** More steps than this are on request; nobody looks for what was done by the hundredth. */
const mostShown = 60;

/** What was done in this window since the plan was opened, the last first, and back to any of it. */
export function WhatWasDone({
  store,
  evening,
  item,
  onClose,
}: {
  readonly store: PlanStore;
  readonly evening: Evening;
  readonly item: string;
  readonly onClose: () => void;
}) {
  const { choir } = useHere();
  const place = { choir: choir.id, evening: evening.id, item };
  const { past, future, goBack } = useStore(store);
  const done = past.slice(-mostShown);
  return (
    <Box
      as="section"
      aria-label="What was done"
      px={{ base: '16px', md: '24px' }}
      pt="10px"
      pb="16px"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <Flex align="baseline" gap="0 16px" mb="4px" wrap="wrap">
        <Name as="h2" fontSize="18px">
          What was done
        </Name>
        <Label as="span">since you opened the plan, the last first</Label>
        <WordButton ml="auto" fontSize="13px" onClick={onClose}>
          back to the bench
        </WordButton>
      </Flex>
      <Box as="ol" listStyleType="none" maxW="620px" fontSize="13px">
        {[...future].reverse().map((step, i) => {
          const on = future.length - i;
          return (
            <Flex as="li" key={`on ${on}`} gap="12px" minH="26px" align="baseline" color="inkSoft">
              <Box flex="1">{stepInWords(step)}: undone</Box>
              <WordButton fontSize="13px" onClick={() => goBack(on)}>
                again, up to here
              </WordButton>
            </Flex>
          );
        })}
        <Box as="li" fontWeight={650} borderTopWidth={future.length > 0 ? '1px' : 0} minH="26px">
          The plan as it is
        </Box>
        {[...done].reverse().map((step, i) => (
          <Flex as="li" key={`back ${past.length - i}`} gap="12px" minH="26px" align="baseline">
            <Box flex="1">{stepInWords(step)}</Box>
            <WordButton fontSize="13px" onClick={() => goBack(-(i + 1))}>
              back to before this
            </WordButton>
          </Flex>
        ))}
      </Box>
      {past.length + future.length === 0 && (
        <Label>Nothing yet. Every change you make stands here by its name.</Label>
      )}
      {past.length > done.length && (
        <Label>{past.length - done.length} more before these; undo reaches them.</Label>
      )}
      <Flex align="baseline" gap="16px" mt="16px" mb="4px" wrap="wrap">
        <Name as="h2" fontSize="18px">
          Earlier versions
        </Name>
        <Label as="span">
          kept whole before a pause, another hand, or another plan in place of this one
        </Label>
      </Flex>
      <Versions {...{ store, evening, place }} />
      <KeptPlans {...{ store, evening, place }} />
    </Box>
  );
}
