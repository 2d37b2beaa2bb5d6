import { Box, Flex } from '@chakra-ui/react';
import type { Evening } from '@wide-fern/contract';
import type { LoadWarning, NoteWriting, Purpose } from '@wide-fern/core';
import {
  longerBy,
  remedyFor,
  stillMissing,
  type EvaluatedPlan,
  type Remedy,
} from '@wide-fern/plan';
import {
  loadNote,
  likelyLongerInWords,
  mindedInWords,
  notServedInWords,
  reminderInWords,
  remedyInWords,
  warningInWords,
} from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { useHere } from '../../here/session';
import { Attention } from '../../ui/Attention';
import { Label, WordButton } from '../../ui/words';
import type { Behind } from './model/useBehind';

/** More than this is said on request. */
const atFirst = 3;

/** What should be looked at in a plan: a sentence each, where it is, and one touch that helps. */
export function LookAt({
  plan,
  behind: { load, minded, reminders },
  evening,
  writing,
  mayEdit,
  onShow,
  onRemedy,
  onBring,
}: {
  readonly plan: EvaluatedPlan;
  readonly behind: Behind;
  readonly evening: Evening;
  readonly writing: NoteWriting;
  readonly mayEdit: boolean;
  readonly onShow: (segment: string) => void;
  readonly onRemedy: (remedy: Remedy) => void;
  /** Adds what brings a skill that nothing here works on. */
  readonly onBring: (skill: Purpose) => void;
}) {
  const { timeZone } = useHere().choir;
  const [all, setAll] = useState(false);
  const { warnings } = load;
  const missing = plan.segments.length > 0 ? stillMissing(plan, evening.wishes) : [];
  const isToCome = Date.parse(evening.startsAt) > Date.now();
  const longer = longerBy(plan);
  const lines = [
    ...(longer === undefined ? [] : [{ word: 'Time:', line: likelyLongerInWords(longer) }]),
    ...minded.map((one) => ({ word: 'Mind tonight:', line: mindedInWords(one) })),
    ...(isToCome && mayEdit
      ? reminders.map((one) => ({
          word: 'Remember:',
          line: reminderInWords(one, evening.startsAt, timeZone),
        }))
      : []),
  ];
  if (warnings.length + missing.length + lines.length === 0) return null;
  // What can hurt comes first, then what is wished for, then what is to be minded.
  const forMissing = Math.max(0, atFirst - warnings.length);
  const room = Math.max(0, forMissing - missing.length);
  const more =
    Math.max(0, warnings.length - atFirst) +
    Math.max(0, missing.length - forMissing) +
    Math.max(0, lines.length - room);
  return (
    <Box
      as="section"
      aria-label="To look at"
      px={{ base: '16px', md: '24px' }}
      py="6px"
      fontSize="13px"
    >
      {(all ? warnings : warnings.slice(0, atFirst)).map((warning) => (
        <WarningLine
          key={`${warning.code} ${warning.segment}`}
          {...{ warning, plan, writing, mayEdit, onShow, onRemedy }}
        />
      ))}
      {(all ? missing : missing.slice(0, forMissing)).map((skill) => (
        <Flex key={skill} gap="12px" wrap="wrap" align="baseline">
          <Box>
            <Label as="span">Not yet:</Label> {notServedInWords(skill, evening.wishes)}
          </Box>
          {mayEdit && (
            <WordButton fontSize="13px" onClick={() => onBring(skill)}>
              add what brings it
            </WordButton>
          )}
        </Flex>
      ))}
      {(all ? lines : lines.slice(0, room)).map(({ word, line }) => (
        <Box key={line} display="inline-block" w={{ base: '100%', lg: 'auto' }} mr="16px">
          <Label as="span">{word}</Label> {line}
        </Box>
      ))}
      {more > 0 && !all && (
        <WordButton fontSize="13px" onClick={() => setAll(true)}>
          {more} more
        </WordButton>
      )}
      {(all || lines.length === 0) && warnings.length > 0 && (
        <Label fontSize="12px">{loadNote}</Label>
      )}
    </Box>
  );
}

function WarningLine({
  warning,
  plan,
  writing,
  mayEdit,
  onShow,
  onRemedy,
}: Pick<Parameters<typeof LookAt>[0], 'plan' | 'writing' | 'mayEdit' | 'onShow' | 'onRemedy'> & {
  readonly warning: LoadWarning;
}) {
  const remedy = useMemo(
    () => (mayEdit ? remedyFor(warning, plan) : undefined),
    [warning, plan, mayEdit],
  );
  return (
    <Flex gap="12px" wrap="wrap" align="baseline">
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
}
