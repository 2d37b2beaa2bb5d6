import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits, type Choices } from '@wide-fern/contract';
import { hasKeys } from '@wide-fern/core';
import type { Evaluated } from '@wide-fern/plan';
import { useState } from 'react';
import { Stepper } from '../../../ui/Stepper';
import { LeadingFields } from '../led/LeadingFields';
import type { BenchActions } from './actions';

/** What is chosen more rarely, opened where any of it is. */
export function Further({
  segment: { id, choices, exercise },
  disabled,
  set,
  choose,
}: {
  readonly segment: Evaluated['segment'];
  readonly disabled: boolean;
  readonly set: (name: keyof Choices) => (value: number) => void;
  readonly choose: BenchActions['choose'];
}) {
  const { tempoStep = 0, coach = 0, after = 0, countInEach = false, reset } = choices;
  const pitched = hasKeys(exercise.music);
  const isUsed = tempoStep !== 0 || coach > 0 || after > 0 || countInEach || reset !== undefined;
  const everyUsual = pitched ? 4 : 2;
  // Open where something is chosen; taking that back does not close it under the hand.
  const [isOpen, setOpen] = useState(isUsed);
  const resetTo = (seconds: number, every: number) =>
    choose({ reset: seconds > 0 ? { seconds, every } : undefined }, `${id} reset`);
  return (
    <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary style={{ cursor: 'pointer', fontSize: 13 }}>
        quicker, talk between, shake-outs
      </summary>
      <Box display="grid" gap="3px" mt="3px">
        <Stepper
          label="Quicker"
          name="Beats a minute quicker each time"
          labelWidth="92px"
          value={tempoStep}
          limits={choiceLimits.tempoStep}
          unit="a minute each time"
          disabled={disabled}
          onChange={(value) => set('tempoStep')(Math.round(value))}
        />
        {pitched && (
          <Stepper
            label="Talk between"
            name="Talk between keys"
            labelWidth="92px"
            value={coach}
            limits={choiceLimits.talk}
            step={5}
            unit="s between keys"
            disabled={disabled}
            onChange={set('coach')}
          />
        )}
        <Stepper
          label="At the end"
          name="Talk at the end"
          labelWidth="92px"
          value={after}
          limits={choiceLimits.talk}
          step={5}
          unit="s of talk"
          disabled={disabled}
          onChange={set('after')}
        />
        <Stepper
          label="Shake out"
          name="Shake-out in seconds"
          labelWidth="92px"
          value={reset?.seconds ?? 0}
          limits={[0, 120]}
          step={5}
          unit="s"
          disabled={disabled}
          onChange={(value) => resetTo(Math.round(value), reset?.every ?? everyUsual)}
        />
        {reset && (
          <Stepper
            label="every"
            name="Times between shake-outs"
            labelWidth="92px"
            value={reset.every}
            limits={[1, 24]}
            unit={reset.every === 1 ? 'time' : 'times'}
            disabled={disabled}
            onChange={(value) => resetTo(reset.seconds, Math.round(value))}
          />
        )}
        <Flex as="label" gap="6px" fontSize="13px" align="center">
          <input
            type="checkbox"
            checked={countInEach}
            disabled={disabled}
            onChange={(event) =>
              choose({ countInEach: event.currentTarget.checked }, `${id} count-in`)
            }
          />
          count in every time
        </Flex>
      </Box>
    </details>
  );
}

/** Who sings when, what happens with what is too high, and how it is taught; opened where any of it is chosen. */
export function HowLed({
  segment: { id, choices, exercise },
  disabled,
  choose,
}: {
  readonly segment: Evaluated['segment'];
  readonly disabled: boolean;
  readonly choose: BenchActions['choose'];
}) {
  const { voices, lowVoices, tooHigh, purposeSaid, untilRight } = choices;
  const inKeys = hasKeys(exercise.music);
  const isUsed = [voices, lowVoices, tooHigh, purposeSaid, untilRight].some((one) => one);
  const [isOpen, setOpen] = useState(isUsed);
  return (
    <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary style={{ cursor: 'pointer', fontSize: 13 }}>
        {inKeys ? 'who sings when, what is too high, how it is taught' : 'how it is taught'}
      </summary>
      <Box mt="3px">
        <LeadingFields
          value={choices}
          inKeys={inKeys}
          disabled={disabled}
          onChange={(name, value) => choose({ [name]: value }, `${id} ${name}`)}
        />
      </Box>
    </details>
  );
}
