import { Box, Flex } from '@chakra-ui/react';
import { storeEveningSchema, type PieceSummary, type StoreEvening } from '@wide-fern/contract';
import { placeNeeds, occasions, type PlaceNeed, type Occasion } from '@wide-fern/core';
import { FormField } from '../../ui/FormField';
import { SelectField } from '../../ui/SelectField';
import { Label } from '../../ui/words';
import { AgendaBand } from './AgendaBand';
import { AgendaList } from './AgendaList';
import { fillInWords, isOverfull, lengthAdviceInWords } from './model/typed';

const needWords: Readonly<Record<PlaceNeed, string>> = {
  standing: 'standing',
  floor: 'the floor',
  noise: 'noise',
  prop: 'things to hold',
  mirror: 'a mirror',
};

/** What is wrong with an evening as it is typed, by field. */
export function eveningErrors(evening: StoreEvening): Readonly<Record<string, string>> {
  const result = storeEveningSchema.safeParse(evening);
  if (result.success) return {};
  const errors: Record<string, string> = {};
  for (const { path, message } of result.error.issues)
    errors[String(path[0] ?? 'form')] ??= message;
  return errors;
}

/** The fields of an evening: when, where, what for, and its agenda to scale. */
export function EveningForm({
  evening,
  errors,
  pieces,
  planLink,
  onChange,
}: {
  readonly evening: StoreEvening;
  readonly errors: Readonly<Record<string, string>>;
  readonly pieces: readonly PieceSummary[];
  readonly planLink: ((item: string) => string) | undefined;
  readonly onChange: (evening: StoreEvening) => void;
}) {
  const set = (next: Partial<StoreEvening>) => onChange({ ...evening, ...next });
  const text = (name: 'date' | 'start' | 'end' | 'place', label: string, type = 'text') => (
    <FormField
      label={label}
      type={type}
      value={evening[name]}
      error={errors[name]}
      maxLength={80}
      onChange={(event) => set({ [name]: event.currentTarget.value })}
    />
  );
  const over = isOverfull(evening);
  return (
    <Box>
      <Flex gap="12px" wrap={{ base: 'wrap', md: 'nowrap' }}>
        <FormField
          label="Name, if it has one"
          value={evening.name ?? ''}
          maxLength={120}
          error={errors.name}
          onChange={(event) => set({ name: event.currentTarget.value || null })}
        />
        {text('date', 'Date', 'date')}
        {text('start', 'Starts', 'time')}
        {text('end', 'Ends', 'time')}
        {text('place', 'Place')}
      </Flex>
      <Flex gap="24px" mt="10px" wrap="wrap" align="flex-end">
        <Box w="220px">
          <SelectField
            label="What it is"
            options={occasions.map((value) => ({ value, word: value }))}
            value={evening.occasion}
            onChange={(event) => set({ occasion: event.currentTarget.value as Occasion })}
          />
        </Box>
        <Flex as="fieldset" gap="12px" fontSize="13px" align="center" wrap="wrap">
          <Label as="legend" float="left" mr="8px">
            The place does not allow
          </Label>
          {placeNeeds.map((need) => (
            <Flex as="label" key={need} gap="5px" align="center">
              <input
                type="checkbox"
                checked={evening.forbids.includes(need)}
                onChange={(event) =>
                  set({
                    forbids: event.currentTarget.checked
                      ? [...evening.forbids, need]
                      : evening.forbids.filter((one) => one !== need),
                  })
                }
              />
              {needWords[need]}
            </Flex>
          ))}
        </Flex>
      </Flex>
      <Label mt="8px" maxW="80ch">
        A warm-up of {lengthAdviceInWords(evening.occasion, evening)}
      </Label>
      <Flex align="baseline" gap="14px" mt="16px" mb="4px">
        <Box as="h2" fontWeight={650}>
          Agenda
        </Box>
        <Box role="status" color={over ? 'brick' : 'inkSoft'} fontWeight={over ? 650 : 400}>
          {fillInWords(evening)}
        </Box>
      </Flex>
      <AgendaBand evening={evening} />
      <AgendaList
        agenda={evening.agenda}
        start={evening.start}
        pieces={pieces}
        planLink={planLink}
        onChange={(agenda) => set({ agenda })}
      />
      {errors.agenda && (
        <Box role="alert" color="brick" fontSize="13px">
          {errors.agenda}
        </Box>
      )}
    </Box>
  );
}
