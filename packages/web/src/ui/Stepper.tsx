import { Box, Flex, Input } from '@chakra-ui/react';
import { useState } from 'react';
import { WordButton } from './words';

/**
 * A figure that is typed or stepped. What is typed is taken over when it is left or confirmed; what
 * lies outside the limits is said and not taken.
 */
export function Stepper({
  label,
  name = label,
  value,
  limits: [least, most],
  step = 1,
  unit,
  labelWidth = '52px',
  disabled,
  onChange,
}: {
  readonly label: string;
  /** The full name, where the label is short. */
  readonly name?: string;
  readonly value: number;
  readonly limits: readonly [number, number];
  readonly step?: number;
  readonly unit?: string;
  readonly labelWidth?: string;
  readonly disabled: boolean;
  readonly onChange: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const parsed = Number((typed ?? '').replace(',', '.'));
  const wrong =
    typed !== undefined &&
    (typed.trim() === '' || !Number.isFinite(parsed) || parsed < least || parsed > most);
  const message = `${name}: a number from ${least} to ${most}.`;
  const take = () => {
    if (typed !== undefined && !wrong) onChange(parsed);
    setTyped(undefined);
  };
  return (
    <Flex align="center" gap="2px" role="group" aria-label={name} fontSize="13px" wrap="wrap">
      <Box as="span" color="inkSoft" w={labelWidth}>
        {label}
      </Box>
      <WordButton
        aria-label={`${name}: less`}
        disabled={disabled || value <= least}
        onClick={() => onChange(Math.max(least, value - step))}
        px="7px"
      >
        −
      </WordButton>
      <Input
        aria-label={name}
        aria-invalid={wrong}
        value={typed ?? String(value)}
        disabled={disabled}
        inputMode="decimal"
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            // Taken over here; the form around it is sent by its own button.
            event.preventDefault();
            take();
          }
          if (event.key === 'Escape') setTyped(undefined);
        }}
        size="xs"
        w="44px"
        h="24px"
        px="4px"
        textAlign="center"
        fontSize="13px"
        bg="sheet"
        borderColor={wrong ? 'brick' : 'line'}
      />
      <WordButton
        aria-label={`${name}: more`}
        disabled={disabled || value >= most}
        onClick={() => onChange(Math.min(most, value + step))}
        px="8px"
      >
        +
      </WordButton>
      {unit && (
        <Box as="span" color="inkSoft">
          {unit}
        </Box>
      )}
      {wrong && (
        <Box role="alert" color="brick" w="100%">
          {message}
        </Box>
      )}
    </Flex>
  );
}
