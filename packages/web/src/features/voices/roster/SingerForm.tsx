import { Box, Flex } from '@chakra-ui/react';
import type { ChoirPart, Singer } from '@wide-fern/contract';
import { columnHeadings, singerStates } from '@wide-fern/core';
import { stateWords } from '@wide-fern/words';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Tick } from '../../../ui/Tick';
import { Label, WordButton } from '../../../ui/words';
import { limitWords, noteFields } from './limitsForm';
import { useSingerForm } from './useSingerForm';

/** One singer, new or changed: what is wrong is said at its field, before and after it is sent. */
export function SingerForm({
  parts,
  singer,
  part = parts[0]?.id ?? '',
  onDone,
}: {
  readonly parts: readonly ChoirPart[];
  readonly singer?: Singer;
  /** The part a new singer is added to. */
  readonly part?: string;
  readonly onDone: () => void;
}) {
  const { register, watch, setValue, errors, submit, problem, isBusy } = useSingerForm(
    parts,
    singer,
    part,
    onDone,
  );
  const [also, states] = watch(['also', 'states']);
  const toggle = <T extends string>(list: readonly T[], one: T): T[] =>
    list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <Flex direction="column" gap="12px">
        <FormField label="Name" size="sm" error={errors.name?.message} {...register('name')} />
        <SelectField
          label="Part"
          options={[
            ...parts.map(({ id, one }) => ({ value: id, word: `${id}, ${one}` })),
            { value: '', word: 'not decided yet' },
          ]}
          error={errors.part?.message}
          {...register('part')}
        />
        <Box as="fieldset">
          <Label as="legend">Can also sing</Label>
          <Flex gap="12px" wrap="wrap" fontSize="13px">
            {parts
              .filter(({ id }) => id !== watch('part'))
              .map(({ id, one }) => (
                <Tick
                  key={id}
                  checked={also.includes(id)}
                  onChange={() => setValue('also', toggle(also, id))}
                >
                  {one}
                </Tick>
              ))}
          </Flex>
        </Box>
        <Flex gap="8px" wrap="wrap">
          {noteFields.map((field) => (
            <Box key={field} flex="1 1 120px" minW="112px">
              <FormField
                label={limitWords[field]}
                size="sm"
                placeholder={field === 'comfortLow' ? 'like D4' : ''}
                error={errors[field]?.message}
                {...register(field)}
              />
            </Box>
          ))}
        </Flex>
        <FormField
          label={columnHeadings.changes}
          size="sm"
          error={errors.changes?.message}
          {...register('changes')}
        />
        <Label>
          Notes like C4 (middle C) or B♭3. Leave them empty until a range is known; a reach that is
          left empty ends where the easy notes end.
        </Label>
        <Box as="fieldset">
          <Label as="legend">State, until it is changed</Label>
          <Flex gap="12px" wrap="wrap" fontSize="13px">
            {singerStates.map((state) => (
              <Tick
                key={state}
                checked={states.includes(state)}
                onChange={() => setValue('states', toggle(states, state))}
              >
                {stateWords[state]}
              </Tick>
            ))}
          </Flex>
        </Box>
        <Box asChild fontSize="13px">
          <label>
            <input type="checkbox" {...register('onLeave')} /> on leave, not counted until back
          </label>
        </Box>
        <Box asChild>
          <label>
            <Label as="span">Notes, for those who lead</Label>
            <Box asChild w="100%" p="8px" bg="sheet" borderWidth="1px" borderColor="inkSoft">
              <textarea rows={2} {...register('notes')} />
            </Box>
          </label>
        </Box>
        {errors.notes && (
          <Box role="alert" color="brick" fontSize="13px">
            {errors.notes.message}
          </Box>
        )}
        {problem && (
          <Box role="alert" color="brick" fontSize="13px">
            {problem}
          </Box>
        )}
        <Flex gap="16px" align="center">
          <MainButton type="submit" disabled={isBusy}>
            {singer ? 'Keep the changes' : 'Add to the roster'}
          </MainButton>
          <WordButton type="button" onClick={onDone}>
            leave it
          </WordButton>
        </Flex>
      </Flex>
    </form>
  );
}
