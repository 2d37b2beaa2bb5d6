import { Flex } from '@chakra-ui/react';
import { WordButton } from './words';

/** Words to choose one of, in a row. */
export function WordChoice<T extends string | number | undefined>({
  label,
  options,
  value,
  isLarge = false,
  onChange,
}: {
  readonly label: string;
  readonly options: readonly (readonly [value: T, word: string])[];
  readonly value: T;
  /** Where it is read from further away, and touched. */
  readonly isLarge?: boolean;
  readonly onChange: (value: T) => void;
}) {
  return (
    <Flex role="radiogroup" aria-label={label} gap="0 12px" wrap="wrap" align="center">
      {options.map(([one, word]) => (
        <WordButton
          key={one ?? ''}
          type="button"
          minH={isLarge ? '44px' : '28px'}
          role="radio"
          aria-checked={value === one}
          fontSize={isLarge ? '18px' : '13px'}
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
