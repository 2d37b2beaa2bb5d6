import { Box, Flex } from '@chakra-ui/react';
import type { ProposedSegment } from '@wide-fern/plan';
import { signed, whyInWords, worthRows, type ReasonContext } from '@wide-fern/words';
import type { ReactNode } from 'react';
import { Name, WordButton } from '../../../ui/words';

/** Why a segment is in a plan, what of the plan's worth is its own, and what can be done with it. */
export function SegmentWhy({
  segment,
  name,
  cue,
  context,
  children,
  onClose,
}: {
  readonly segment: ProposedSegment;
  readonly name: string;
  readonly cue: string;
  readonly context: ReasonContext;
  readonly children: ReactNode;
  readonly onClose: () => void;
}) {
  const rows = worthRows(segment);
  return (
    <Box
      as="section"
      aria-label={`Why ${name}`}
      bg="sheet"
      borderBottomWidth="1px"
      borderLeftWidth="4px"
      borderLeftColor="fern"
      px="20px"
      py="10px"
      fontSize="13px"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 3fr) minmax(0, 2fr) auto' }}
      gap="8px 32px"
    >
      <Box>
        <Name as="h3" fontSize="18px">
          {name}
        </Name>
        {cue && <Box fontStyle="italic">{cue}</Box>}
        <Box as="ul" mt="4px" listStyleType="none">
          {whyInWords(segment, context).map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </Box>
      </Box>
      <Worth rows={rows} sum={segment.share.points} label={`What ${name} is worth`} />
      <Flex direction="column" gap="4px" align="flex-start">
        {children}
        <WordButton fontSize="13px" onClick={onClose}>
          close
        </WordButton>
      </Flex>
    </Box>
  );
}

/** A sum as a small table that a person can add up. */
export function Worth({
  rows,
  sum,
  label,
}: {
  readonly rows: readonly (readonly [string, number])[];
  readonly sum: number;
  readonly label: string;
}) {
  return (
    <Box as="table" aria-label={label} alignSelf="start" css={{ '& td': { padding: '0 0 1px' } }}>
      <tbody>
        {rows.map(([words, points]) => (
          <tr key={words}>
            <td>{words}</td>
            <Box as="td" textAlign="right" fontVariantNumeric="tabular-nums" pl="12px !important">
              {signed(points)}
            </Box>
          </tr>
        ))}
        <Box as="tr" borderTopWidth="1px" borderColor="ink" fontWeight={650}>
          <td>worth in all</td>
          <Box as="td" textAlign="right" fontVariantNumeric="tabular-nums">
            {signed(sum)}
          </Box>
        </Box>
      </tbody>
    </Box>
  );
}
