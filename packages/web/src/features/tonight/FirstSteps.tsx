import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { firstStepNames, firstSteps, type FirstStep, type StepState } from '@wide-fern/plan';
import { stepWords } from '@wide-fern/words';
import { useState } from 'react';
import { keptOnDevice, roomQuery } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { Label, WordButton, WordLink } from '../../ui/words';

/** What was skipped on this device. */
const skippedHere = keptOnDevice('steps', (stored) =>
  Array.isArray(stored) ? firstStepNames.filter((step) => stored.includes(step)) : undefined,
);

function Step({
  number,
  step: { step, state },
  to,
  onSkip,
}: {
  readonly number: number;
  readonly step: StepState;
  readonly to: string;
  readonly onSkip: () => void;
}) {
  const { act, why, done } = stepWords[step];
  return (
    <Box as="li" flex="1 1 200px" minW={0} pl="22px" position="relative">
      <Box
        position="absolute"
        left={0}
        color={state === 'done' ? 'fern' : 'inkSoft'}
        aria-hidden="true"
      >
        {state === 'done' ? (
          <Box mt="6px" w="10px" h="10px" borderRadius="5px" bg="fern" />
        ) : (
          `${number}.`
        )}
      </Box>
      {state === 'open' ? (
        <>
          <WordLink fontWeight={650} to={to}>
            {act}
          </WordLink>
          <Label>{why}</Label>
          <WordButton fontSize="13px" aria-label={`Skip: ${act}`} onClick={onSkip}>
            not now
          </WordButton>
        </>
      ) : (
        <Box color="inkSoft">{state === 'done' ? done : `${act}: later`}</Box>
      )}
    </Box>
  );
}

/** The first steps of a new choir, in order, each done or skipped; nothing once there is none left. */
export function FirstSteps({
  isPlanned,
  planTo,
}: {
  readonly isPlanned: boolean;
  /** Where the warm-up is planned, once there is an evening. */
  readonly planTo: string | undefined;
}) {
  const { choir, mayEdit } = useHere();
  const room = useQuery({ ...roomQuery(choir.id), enabled: mayEdit, retry: false });
  const [skipped, setSkipped] = useState(() => skippedHere.read(choir.id) ?? []);
  if (!mayEdit || !room.data) return null;
  const count = (kind: string) => room.data.find(({ of }) => of === kind)?.here ?? 0;
  const begun = {
    evenings: count('evenings'),
    singers: count('singers'),
    pieces: count('pieces'),
    isPlanned,
  };
  const steps = firstSteps(begun, new Set(skipped));
  if (steps.length === 0) return null;
  const to: Readonly<Record<FirstStep, string>> = {
    evening: '/evenings/new',
    singers: '/voices/roster',
    music: '/pieces',
    plan: planTo ?? '/evenings/new',
  };
  return (
    <Box as="section" aria-label="First steps" py="16px" mb="16px" borderBottomWidth="1px">
      <Box as="h2" fontWeight={650} mb="8px">
        First steps
      </Box>
      <Box as="ol" listStyleType="none" display="flex" flexWrap="wrap" gap="16px 24px">
        {steps.map((step, i) => (
          <Step
            key={step.step}
            number={i + 1}
            step={step}
            to={to[step.step]}
            onSkip={() => {
              const next = [...skipped, step.step];
              setSkipped(next);
              skippedHere.keep([choir.id], next);
            }}
          />
        ))}
      </Box>
    </Box>
  );
}
