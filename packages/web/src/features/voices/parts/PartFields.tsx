import { Box, Flex } from '@chakra-ui/react';
import { octaveSteps, rangeEnds, type OctaveStep } from '@wide-fern/core';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { WordButton } from '../../../ui/words';
import type { PartForm } from './partForm';

const octaveWords: Readonly<Record<OctaveStep, string>> = {
  12: 'an octave above the key’s own pitch',
  0: 'at the key’s own pitch',
  [-12]: 'an octave below it',
  [-24]: 'two octaves below it',
};
const octaveOptions = octaveSteps.map((step) => ({ value: String(step), word: octaveWords[step] }));
/** By which end of a voice this part is told from its neighbours. */
const endWords = { top: 'told by high notes', bottom: 'told by low notes' } as const;
const endOptions = rangeEnds.map((value) => ({ value, word: endWords[value] }));

/** One part: what it is called, its figures, and its place among the others. */
export function PartFields({
  form,
  place,
  of,
  wrong,
  mayChange,
  onChange,
  onMove,
  onTakeOut,
}: {
  readonly form: PartForm;
  readonly place: number;
  /** How many parts there are. */
  readonly of: number;
  /** Messages by «place.field». */
  readonly wrong: Readonly<Record<string, string>>;
  readonly mayChange: boolean;
  readonly onChange: (more: Partial<PartForm>) => void;
  readonly onMove: (by: 1 | -1) => void;
  readonly onTakeOut: () => void;
}) {
  const field = (name: keyof PartForm, label: string, width: string) => (
    <Box w={width}>
      <FormField
        label={label}
        size="sm"
        disabled={!mayChange}
        value={form[name]}
        error={wrong[`${place}.${name}`]}
        onChange={(event) => onChange({ [name]: event.currentTarget.value })}
      />
    </Box>
  );
  return (
    <Box
      as="fieldset"
      borderTopWidth="1px"
      py="12px"
      aria-label={`Part ${place + 1}: ${form.many}`}
    >
      <Flex gap="12px" wrap="wrap" align="flex-start">
        {field('id', 'Letters', '72px')}
        {field('one', 'One is a', '150px')}
        {field('many', 'Several are', '150px')}
        {field('comfortLow', 'Easy from', '84px')}
        {field('comfortHigh', 'Easy to', '84px')}
        {field('reachLow', 'Reach from', '84px')}
        {field('reachHigh', 'Reach to', '84px')}
        {field('changeLow', 'Change from', '92px')}
        {field('changeHigh', 'Change to', '92px')}
        <Box w="230px">
          <SelectField
            label="Sings"
            options={octaveOptions}
            disabled={!mayChange}
            value={form.octave}
            onChange={(event) => onChange({ octave: event.currentTarget.value })}
          />
        </Box>
        <Box w="150px">
          <SelectField
            label="In a suggestion"
            options={endOptions}
            disabled={!mayChange}
            value={form.end}
            onChange={(event) => {
              const found = rangeEnds.find((end) => end === event.currentTarget.value);
              if (found) onChange({ end: found });
            }}
          />
        </Box>
      </Flex>
      {mayChange && (
        <Flex gap="16px" mt="4px">
          <WordButton fontSize="13px" disabled={place === 0} onClick={() => onMove(-1)}>
            higher
          </WordButton>
          <WordButton fontSize="13px" disabled={place === of - 1} onClick={() => onMove(1)}>
            lower
          </WordButton>
          <WordButton fontSize="13px" disabled={of <= 2} onClick={onTakeOut}>
            take out
          </WordButton>
        </Flex>
      )}
    </Box>
  );
}
