import { Box, Flex } from '@chakra-ui/react';
import type { StoreEvening } from '@wide-fern/contract';
import { occasions, placeNeeds, type Occasion } from '@wide-fern/core';
import { clockInWords, forbiddenInWords, placeNeedWords } from '@wide-fern/words';
import { useState, type ReactNode } from 'react';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { SentenceFields, SentenceWord, TickWord } from '../../../ui/Sentence';
import { ClockField, DateField } from '../../../ui/TypedField';
import { Label } from '../../../ui/words';
import { fillInWords, isOverfull, lengthAdviceInWords } from '../model/typed';

type Part = 'day' | 'times' | 'place' | 'occasion' | 'forbids';

/** The evening in one sentence whose words can be changed: when, where, what it is, what the place forbids. */
export function EveningSentence({
  evening,
  errors,
  today,
  onChange,
}: {
  readonly evening: StoreEvening;
  readonly errors: Readonly<Record<string, string>>;
  readonly today: string;
  readonly onChange: (next: Partial<StoreEvening>, label: string) => void;
}) {
  const { clock } = useHere().choir;
  const [opened, setOpened] = useState<Part>();
  // What is wrong is shown where it can be put right.
  const faulty = (Object.keys(partOf) as (keyof typeof partOf)[]).find((name) => errors[name]);
  const open = opened ?? (faulty && partOf[faulty]);
  const word = (part: Part, words: ReactNode) => (
    <SentenceWord open={open === part} onToggle={() => setOpened(open === part ? undefined : part)}>
      {words}
    </SentenceWord>
  );
  return (
    <Box mb="10px">
      <Box textStyle="name" fontSize="18px" lineHeight="32px">
        {word('day', evening.name ?? 'a rehearsal')},{' '}
        {word(
          'times',
          `${clockInWords(evening.start, clock)} to ${clockInWords(evening.end, clock)}`,
        )}
        {' in '}
        {word('place', evening.place || 'a place to be named')},{' '}
        {word('occasion', evening.occasion)}; {word('forbids', forbiddenInWords(evening.forbids))}.{' '}
        <Box
          as="span"
          role="status"
          color={isOverfull(evening) ? 'brick' : undefined}
          fontWeight={isOverfull(evening) ? 650 : undefined}
        >
          {fillInWords(evening).replace(/^./, (first) => first.toUpperCase())}.
        </Box>
      </Box>
      {open && (
        <SentenceFields onClose={() => setOpened(undefined)}>
          <Fields part={open} {...{ evening, errors, today, onChange }} />
        </SentenceFields>
      )}
    </Box>
  );
}

const partOf = { name: 'day', date: 'day', start: 'times', end: 'times', place: 'place' } as const;

/** The fields behind one of the sentence's words. */
function Fields({
  part,
  evening,
  errors,
  today,
  onChange,
}: {
  readonly part: Part;
  readonly evening: StoreEvening;
  readonly errors: Readonly<Record<string, string>>;
  readonly today: string;
  readonly onChange: (next: Partial<StoreEvening>, label: string) => void;
}) {
  const { clock: kind } = useHere().choir;
  switch (part) {
    case 'day':
      return (
        <>
          <DateField
            label="Date"
            size="sm"
            value={evening.date}
            today={today}
            error={errors.date}
            onChange={(date) => onChange({ date }, 'date')}
          />
          <Box>
            <FormField
              label="Name, if it has one"
              size="sm"
              value={evening.name ?? ''}
              maxLength={120}
              error={errors.name}
              onChange={(event) => onChange({ name: event.currentTarget.value || null }, 'name')}
            />
          </Box>
        </>
      );
    case 'times':
      return (['start', 'end'] as const).map((name) => (
        <Box w="110px" key={name}>
          <ClockField
            label={name === 'start' ? 'Starts' : 'Ends'}
            size="sm"
            value={evening[name]}
            error={errors[name]}
            kind={kind}
            onChange={(time) => onChange({ [name]: time }, name)}
          />
        </Box>
      ));
    case 'place':
      return (
        <Box w="280px">
          <FormField
            label="Place"
            size="sm"
            value={evening.place}
            maxLength={80}
            error={errors.place}
            onChange={(event) => onChange({ place: event.currentTarget.value }, 'place')}
          />
        </Box>
      );
    case 'occasion':
      return (
        <>
          <Box w="220px">
            <SelectField
              label="What it is"
              options={occasions.map((value) => ({ value, word: value }))}
              value={evening.occasion}
              onChange={(event) =>
                onChange({ occasion: event.currentTarget.value as Occasion }, 'occasion')
              }
            />
          </Box>
          <Label maxW="60ch">A warm-up of {lengthAdviceInWords(evening.occasion, evening)}</Label>
        </>
      );
    case 'forbids':
      return (
        <Flex as="fieldset" gap="14px" fontSize="13px" align="center" wrap="wrap" minH="32px">
          <Label as="legend" float="left" mr="8px">
            The place does not allow
          </Label>
          {placeNeeds.map((need) => (
            <TickWord
              key={need}
              checked={evening.forbids.includes(need)}
              onChange={(isForbidden) => {
                const others = evening.forbids.filter((one) => one !== need);
                onChange({ forbids: isForbidden ? [...others, need] : others }, need);
              }}
            >
              {placeNeedWords[need]}
            </TickWord>
          ))}
        </Flex>
      );
  }
}
