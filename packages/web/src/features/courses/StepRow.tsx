import { Box, Flex } from '@chakra-ui/react';
import type { Course } from '@wide-fern/contract';
import { SelectField } from '../../ui/SelectField';
import { Stepper } from '../../ui/Stepper';
import { Label, WordButton } from '../../ui/words';
import { needOfKind } from './model/own';

type Step = Course['steps'][number];

const kinds = [
  { value: 'managed', word: 'it is managed' },
  { value: 'keys', word: 'so many keys' },
  { value: 'breath', word: 'so long on one breath' },
] as const satisfies readonly { value: Step['need']['kind']; word: string }[];
const managedBy = [
  { value: 'most', word: 'by most' },
  { value: 'all', word: 'by all' },
] as const;

/** By how many, how far or how long it is managed. */
function Figure({
  step: { need },
  name,
  set,
}: {
  readonly step: Step;
  readonly name: string;
  readonly set: (need: Step['need']) => void;
}) {
  switch (need.kind) {
    case 'managed':
      return (
        <Box w="110px">
          <SelectField
            label="by whom"
            value={need.by}
            options={managedBy}
            onChange={(event) =>
              set({ ...need, by: managedBy[event.currentTarget.selectedIndex]!.value })
            }
          />
        </Box>
      );
    case 'keys':
      return (
        <Stepper
          label="keys"
          name={`${name}, keys`}
          value={need.keys}
          limits={[1, 24]}
          disabled={false}
          onChange={(keys) => set({ ...need, keys: Math.round(keys) })}
        />
      );
    case 'breath':
      return (
        <Stepper
          label="seconds"
          name={`${name}, seconds`}
          value={need.seconds}
          limits={[1, 60]}
          disabled={false}
          onChange={(seconds) => set({ ...need, seconds })}
        />
      );
  }
}

/** One step of a course while it is made. */
export function StepRow({
  step,
  place,
  count,
  names,
  problems,
  onChange,
  onMove,
  onAway,
}: {
  readonly step: Step;
  readonly place: number;
  readonly count: number;
  readonly names: ReadonlyMap<string, string>;
  readonly problems: ReadonlyMap<string, string>;
  readonly onChange: (step: Step) => void;
  readonly onMove: (by: number) => void;
  readonly onAway: () => void;
}) {
  const name = `Step ${place + 1}`;
  const sorted = [...names].sort(([, a], [, b]) => a.localeCompare(b));
  const words = (word: string, act: () => void, disabled: boolean) => (
    <WordButton
      fontSize="13px"
      pb="6px"
      aria-label={`${name}: ${word}`}
      disabled={disabled}
      onClick={act}
    >
      {word}
    </WordButton>
  );
  return (
    <Flex role="group" aria-label={name} gap="4px 12px" align="flex-end" wrap="wrap" mb="10px">
      <Label as="span" pb="8px" w="14px">
        {place + 1}
      </Label>
      <Box flex="1 1 200px" maxW="280px">
        <SelectField
          label="exercise"
          value={step.exercise}
          error={problems.get(`steps.${place}.exercise`)}
          options={[
            { value: '', word: 'choose one' },
            ...sorted.map(([value, word]) => ({ value, word })),
          ]}
          onChange={(event) => onChange({ ...step, exercise: event.currentTarget.value })}
        />
      </Box>
      <Box w="190px">
        <SelectField
          label="done when"
          value={step.need.kind}
          options={kinds}
          onChange={(event) =>
            onChange({ ...step, need: needOfKind(kinds[event.currentTarget.selectedIndex]!.value) })
          }
        />
      </Box>
      <Figure step={step} name={name} set={(need) => onChange({ ...step, need })} />
      <Stepper
        label="evenings"
        name={`${name}, evenings`}
        value={step.evenings}
        limits={[1, 8]}
        labelWidth="58px"
        disabled={false}
        onChange={(evenings) => onChange({ ...step, evenings: Math.round(evenings) })}
      />
      <Flex gap="12px">
        {words('earlier', () => onMove(-1), place === 0)}
        {words('later', () => onMove(1), place === count - 1)}
        {words('away', onAway, count <= 2)}
      </Flex>
    </Flex>
  );
}
