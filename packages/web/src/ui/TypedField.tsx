import { Box, Flex } from '@chakra-ui/react';
import type { ClockKind } from '@wide-fern/contract';
import { clockInWords } from '@wide-fern/words';
import { useState } from 'react';
import { FormField } from './FormField';
import { daysAfter, isClock, isDate, readClock, readDate, showDate } from './typedTimes';
import { WordButton } from './words';

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly error?: string | undefined;
  readonly disabled?: boolean;
  readonly size?: 'xs' | 'sm';
  readonly onChange: (value: string) => void;
}

/**
 * A field whose value is shown in one way and typed in many: read when it is left or confirmed; what
 * cannot be read is said and stays as it was typed.
 */
function TypedField({
  show,
  read,
  help,
  value,
  error,
  onChange,
  ...field
}: FieldProps & {
  readonly show: (value: string) => string;
  readonly read: (text: string) => string | undefined;
  /** What to type. */
  readonly help: string;
}) {
  const [typed, setTyped] = useState<string>();
  const [isLeft, setLeft] = useState(false);
  const found = typed === undefined ? undefined : read(typed);
  const isWrong = isLeft && typed !== undefined && typed.trim() !== '' && found === undefined;
  const take = () => {
    setLeft(true);
    if (found === undefined) return;
    onChange(found);
    setTyped(undefined);
  };
  return (
    <FormField
      {...field}
      autoComplete="off"
      value={typed ?? show(value)}
      error={isWrong ? help : error}
      onChange={(event) => {
        const text = event.currentTarget.value;
        setTyped(text);
        setLeft(false);
        // What is whole counts at once: a form can be sent from its field.
        const now = read(text);
        if (now !== undefined) onChange(now);
        else if (text.trim() === '') onChange('');
      }}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take();
        if (event.key === 'Escape') setTyped(undefined);
      }}
    />
  );
}

/** A date, shown as «Tue 1 Dec 2026»; typed in any usual way, or stepped by days and weeks. */
export function DateField({
  today,
  ...field
}: FieldProps & {
  /** For what is typed without a year. */
  readonly today: string;
}) {
  const { label, value, onChange, disabled } = field;
  const step = (days: number) => onChange(daysAfter(isDate(value) ? value : today, days));
  const steps = [
    [-7, '−', 'a week earlier'],
    [7, '+', 'a week later'],
  ] as const;
  return (
    <Flex gap="2px" align="flex-end">
      <Box flex="1" minW="120px">
        <TypedField
          {...field}
          show={showDate}
          read={(text) => readDate(text, today)}
          help="Write it like 1 Dec, 1.12. or 2026-12-01."
        />
      </Box>
      {steps.map(([days, sign, words]) => (
        <WordButton
          key={days}
          type="button"
          aria-label={`${label}: ${words}`}
          disabled={disabled}
          px="6px"
          flexShrink={0}
          minH="32px"
          fontSize="13px"
          whiteSpace="nowrap"
          onClick={() => step(days)}
        >
          {sign} week
        </WordButton>
      ))}
    </Flex>
  );
}

/** A time of day, shown as the choir has it and typed in any usual way. */
export function ClockField({ kind, ...field }: FieldProps & { readonly kind: ClockKind }) {
  const show = (value: string) => (isClock(value) ? clockInWords(value, kind) : value);
  const help = `Write it like ${clockInWords('19:30', kind)}.`;
  return <TypedField {...field} show={show} read={readClock} help={help} />;
}
