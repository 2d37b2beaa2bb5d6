import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Label, WordButton } from '../../../ui/words';

/** A line of choices behind what they are about. */
export function ChoiceRow({
  label,
  children,
}: {
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <Flex gap="8px" align="center" minH="28px" wrap="wrap">
      <Label as="span" w="60px">
        {label}
      </Label>
      {children}
    </Flex>
  );
}

/** Words to choose one of, in a row. */
export function WordChoice<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  readonly label: string;
  readonly options: readonly (readonly [value: T, word: string])[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}) {
  return (
    <Flex role="radiogroup" aria-label={label} gap="10px" wrap="wrap">
      {options.map(([one, word]) => (
        <WordButton
          key={one}
          type="button"
          role="radio"
          aria-checked={value === one}
          fontSize="13px"
          fontWeight={value === one ? 700 : 400}
          color={value === one ? 'ink' : 'fern'}
          onClick={() => onChange(one)}
        >
          {word}
        </WordButton>
      ))}
    </Flex>
  );
}
