import { Box, Flex } from '@chakra-ui/react';
import type { LoadWarning, NoteWriting } from '@wide-fern/core';
import { remedyFor, type EvaluatedPlan, type Remedy } from '@wide-fern/plan';
import { loadNote, remedyInWords, warningInWords } from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { Attention } from '../../ui/Attention';
import { Label, WordButton } from '../../ui/words';

/** More than this is said on request. */
const atFirst = 3;

/** What should be looked at in a plan: a sentence each, where it is, and one touch that helps. */
export function LookAt({
  plan,
  warnings,
  writing,
  mayEdit,
  onShow,
  onRemedy,
}: {
  readonly plan: EvaluatedPlan;
  readonly warnings: readonly LoadWarning[];
  readonly writing: NoteWriting;
  readonly mayEdit: boolean;
  readonly onShow: (segment: string) => void;
  readonly onRemedy: (remedy: Remedy) => void;
}) {
  const [all, setAll] = useState(false);
  const remedies = useMemo(
    () => warnings.map((warning) => (mayEdit ? remedyFor(warning, plan) : undefined)),
    [warnings, plan, mayEdit],
  );
  if (warnings.length === 0) return null;
  const shown = all ? warnings : warnings.slice(0, atFirst);
  return (
    <Box
      as="section"
      aria-label="To look at"
      px={{ base: '16px', md: '24px' }}
      py="6px"
      fontSize="13px"
    >
      {shown.map((warning, i) => {
        const remedy = remedies[i];
        return (
          <Flex key={`${warning.code} ${warning.segment}`} gap="12px" wrap="wrap" align="baseline">
            <Box>
              <Attention words="To look at:" /> {warningInWords(warning, plan, writing)}
            </Box>
            <WordButton fontSize="13px" onClick={() => onShow(warning.segment)}>
              show it
            </WordButton>
            {remedy && (
              <WordButton fontSize="13px" onClick={() => onRemedy(remedy)}>
                {remedyInWords(remedy)}
              </WordButton>
            )}
          </Flex>
        );
      })}
      <Flex gap="12px" wrap="wrap">
        {warnings.length > shown.length && (
          <WordButton fontSize="13px" onClick={() => setAll(true)}>
            {warnings.length - shown.length} more
          </WordButton>
        )}
        <Label fontSize="12px">{loadNote}</Label>
      </Flex>
    </Box>
  );
}
