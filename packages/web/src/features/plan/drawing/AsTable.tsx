import { Box, Flex } from '@chakra-ui/react';
import type { NoteWriting } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { weaveHeads, weaveRows, type Clock } from '@wide-fern/words';
import { useMemo } from 'react';
import { Name, WordButton } from '../../../ui/words';

/** What the weave shows, as a table: when, in which key, and what each part sings. */
export function AsTable({
  plan,
  start,
  clock,
  writing,
  onClose,
}: {
  readonly plan: EvaluatedPlan;
  readonly start: number;
  readonly clock: Clock;
  readonly writing: NoteWriting;
  readonly onClose: () => void;
}) {
  const rows = useMemo(() => weaveRows(plan, start, clock, writing), [plan, start, clock, writing]);
  return (
    <Box as="section" aria-label="As a table" px={{ base: '16px', md: '24px' }} pt="10px" pb="16px">
      <Flex align="baseline" gap="16px" mb="8px">
        <Name as="h2" fontSize="18px">
          Key by key
        </Name>
        <WordButton ml="auto" fontSize="13px" onClick={onClose}>
          back to the bench
        </WordButton>
      </Flex>
      {rows.length === 0 ? (
        <Box>Nothing is planned yet.</Box>
      ) : (
        <Box overflowX="auto" tabIndex={0} role="group" aria-label="Key by key">
          <Box as="table" fontSize="13px" w="100%" style={{ borderCollapse: 'collapse' }}>
            <thead>
              <tr>
                {weaveHeads(plan).map((head) => (
                  <Box as="th" key={head} textAlign="left" pr="16px" fontWeight={650}>
                    {head}
                  </Box>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(({ clock: at, name, key, parts }, i) => (
                <Box
                  as="tr"
                  key={i}
                  borderTopWidth={i === 0 || rows[i - 1]!.name !== name ? '1px' : 0}
                >
                  <Box as="td" pr="16px" whiteSpace="nowrap">
                    {at}
                  </Box>
                  <Box as="td" pr="16px" whiteSpace="nowrap">
                    {name}
                  </Box>
                  <Box as="td" pr="16px" whiteSpace="nowrap">
                    {key}
                  </Box>
                  {parts.map((words, part) => (
                    <Box as="td" key={part} pr="16px">
                      {words}
                    </Box>
                  ))}
                </Box>
              ))}
            </tbody>
          </Box>
        </Box>
      )}
    </Box>
  );
}
