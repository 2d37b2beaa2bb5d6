import { Box, Flex } from '@chakra-ui/react';
import type { BuildWish } from '@wide-fern/contract';
import { noteName, type NoteWriting, type Purpose } from '@wide-fern/core';
import type { BuildRequest, Proposal } from '@wide-fern/plan';
import { leftOpenInWords, lengthInFigures } from '@wide-fern/words';
import { hueOf } from '../../../ui/color';
import { Label, WordButton } from '../../../ui/words';

/** What the opened proposal prepares, how far it brings each part, and what it leaves open. */
export function Answers({
  request,
  opened,
  columns,
  wish,
  writing,
  onWish,
}: {
  readonly request: BuildRequest;
  readonly opened: Proposal;
  /** The plans beside each other: now, first, second … */
  readonly columns: readonly {
    readonly label: string;
    readonly plan: Proposal;
    readonly isOpened: boolean;
  }[];
  readonly wish: BuildWish;
  readonly writing: NoteWriting;
  readonly onWish: (wish: BuildWish) => void;
}) {
  const open = leftOpenInWords(opened, request.wishes, wish, request.tonight, writing);
  return (
    <Box
      bg="sheet"
      borderTopWidth="1px"
      borderColor="ink"
      px={{ base: '16px', md: '24px' }}
      py="12px"
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 5fr) minmax(0, 4fr) minmax(0, 4fr)' }}
      gap="20px 32px"
      fontSize="13px"
    >
      <Prepares request={request} columns={columns} />
      <Reached request={request} opened={opened} writing={writing} />
      <Box as="section" aria-label="What it leaves open">
        <Box as="h3" fontWeight={650} mb="6px">
          What it leaves open
        </Box>
        {open.length === 0 && (
          <Box>Nothing: every wish gets its time, and every note the music needs is reached.</Box>
        )}
        {open.map(({ words, act, next }) => (
          <Flex key={words} justify="space-between" gap="12px" mb="6px">
            <Box>{words}</Box>
            <WordButton fontSize="13px" onClick={() => onWish(next)}>
              {act}
            </WordButton>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

const marks = (weight: number) => '❙'.repeat(weight);
const fullBar = 240;

/** Seconds for each wish, the plans beside each other. */
function Prepares({
  request,
  columns,
}: Pick<Parameters<typeof Answers>[0], 'request' | 'columns'>) {
  const skills = (Object.entries(request.wishes) as [Purpose, number][]).sort(
    ([, a], [, b]) => b - a,
  );
  return (
    <Box as="section" aria-label="What it prepares" overflowX="auto">
      <Box as="table" w="100%" css={{ '& td, & th': { padding: '1px 8px 1px 0' } }}>
        <thead>
          <tr>
            <Box as="th" textAlign="left" fontWeight={650}>
              What it prepares
            </Box>
            {columns.map(({ label }) => (
              <Box as="th" key={label} textAlign="left" fontWeight={400} color="inkSoft">
                {label}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {skills.map(([skill, weight]) => (
            <tr key={skill}>
              <Box as="th" textAlign="left" fontWeight={400} whiteSpace="nowrap">
                <Box
                  as="span"
                  color="inkSoft"
                  display="inline-block"
                  w="26px"
                  fontSize="9px"
                  aria-hidden="true"
                >
                  {marks(weight)}
                </Box>
                {skill}
              </Box>
              {columns.map(({ label, plan, isOpened }) => {
                const seconds = plan.served.seconds[skill] ?? 0;
                return (
                  <td key={label}>
                    <Flex align="center" gap="6px">
                      <Box
                        bg={isOpened ? 'fern' : 'inkSoft'}
                        opacity={isOpened ? 1 : 0.5}
                        h="6px"
                        w={`${Math.min(1, seconds / fullBar) * 34}px`}
                      />
                      <Box as="span" fontVariantNumeric="tabular-nums">
                        {seconds < 0.5 ? '–' : lengthInFigures(seconds)}
                      </Box>
                    </Flex>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

/** How far each part has been, of what the music needs: a step for each semitone. */
function Reached({
  request,
  opened,
  writing,
}: Pick<Parameters<typeof Answers>[0], 'request' | 'opened' | 'writing'>) {
  const { sections } = request.tonight;
  const parts = sections.flatMap(({ id, many }, place) => {
    const top = request.needs[id]?.top;
    return top ? [{ id, many, place, top }] : [];
  });
  if (parts.length === 0) {
    return (
      <Box as="section" aria-label="How far each part has been">
        <Box as="h3" fontWeight={650} mb="6px">
          How far each part has been
        </Box>
        <Label>No piece of this evening says yet what it needs.</Label>
      </Box>
    );
  }
  return (
    <Box as="section" aria-label="How far each part has been">
      <Box as="h3" fontWeight={650} mb="6px">
        How far each part has been, of what the music needs
      </Box>
      <Flex gap="18px" wrap="wrap">
        {parts.map(({ id, many, place, top: [from, to] }) => {
          const high = opened.served.reached[id]?.high ?? -1;
          const steps = Array.from({ length: to - from + 1 }, (_, i) => to - i);
          const done = steps.filter((note) => high >= note).length;
          return (
            <Flex
              key={id}
              gap="6px"
              role="img"
              aria-label={`${many}: ${done} of ${steps.length} steps up to ${noteName(to, writing)}`}
            >
              <Box>
                <Box fontWeight={700} style={{ color: hueOf(id, place) }} textAlign="center">
                  {id}
                </Box>
                {steps.map((note) => (
                  <Box
                    key={note}
                    w="30px"
                    h="9px"
                    mb="2px"
                    borderWidth="1px"
                    style={{
                      borderColor: hueOf(id, place),
                      background: high >= note ? hueOf(id, place) : 'transparent',
                      opacity: high >= note ? 0.8 : 1,
                    }}
                  />
                ))}
              </Box>
              <Flex direction="column" justify="space-between" pt="18px" pb="2px" color="inkSoft">
                <span>{noteName(to, writing)}</span>
                <span>{noteName(from, writing)}</span>
              </Flex>
            </Flex>
          );
        })}
      </Flex>
    </Box>
  );
}
