import { Box, Flex } from '@chakra-ui/react';
import { sectionsChangeInWords, segmentChangeInWords } from '@wide-fern/words';
import type { PlanDocument, PlanEdit } from '@wide-fern/contract';
import type { NoteWriting, Tonight } from '@wide-fern/core';
import { memo, useMemo, useState } from 'react';
import { MainButton } from '../../ui/MainButton';
import { WordButton } from '../../ui/words';
import { sectionsChange, takeTonight, type SectionsChange } from '@wide-fern/plan';

/** The sections are others than when the plan was made; nothing where they are the same. */
export const SectionsChanged = memo(function SectionsChanged({
  document,
  tonight,
  onTake,
  ...shown
}: {
  readonly document: PlanDocument;
  /** As they are now. */
  readonly tonight: Tonight;
  readonly mayEdit: boolean;
  readonly writing: NoteWriting;
  readonly onTake: (edit: PlanEdit) => void;
}) {
  const change = useMemo(() => sectionsChange(document, tonight), [document, tonight]);
  if (!change) return null;
  const take = () => onTake(takeTonight(document, change.tonight));
  return <Changed {...shown} change={change} onTake={take} />;
});

/** Which keys that touches, and the new ladders as an offer. */
function Changed({
  change,
  mayEdit,
  writing,
  onTake,
}: {
  readonly change: SectionsChange;
  readonly mayEdit: boolean;
  readonly writing: NoteWriting;
  readonly onTake: () => void;
}) {
  const [open, setOpen] = useState(false);
  const { segments, tonight } = change;
  return (
    <Box
      role="region"
      aria-label="The sections have changed"
      mx={{ base: '16px', md: '24px' }}
      mb="8px"
      pl="12px"
      borderLeftWidth="3px"
      borderColor="spore"
      fontSize="13px"
    >
      <Flex gap="16px" align="center" wrap="wrap">
        <Box flex="1 1 360px">{sectionsChangeInWords(change, writing)}</Box>
        {segments.length > 0 && (
          <WordButton fontSize="13px" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'close' : 'which ones'}
          </WordButton>
        )}
        {mayEdit && (
          <MainButton size="xs" onClick={onTake}>
            Take tonight’s keys
          </MainButton>
        )}
      </Flex>
      {open && (
        <Box as="ul" mt="4px" pl="16px" listStyleType="disc">
          {segments.map((one) => (
            <li key={one.segment.id}>{segmentChangeInWords(one, tonight, writing)}</li>
          ))}
        </Box>
      )}
    </Box>
  );
}
