import { Box, Field, Flex, Textarea } from '@chakra-ui/react';
import { useState } from 'react';
import { Label } from '../../../ui/words';

/** A labelled passage of several lines. */
export function TextField({
  label,
  value,
  rows = 3,
  help,
  error,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly rows?: number;
  readonly help?: string;
  readonly error?: string | undefined;
  readonly onChange: (value: string) => void;
}) {
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontSize="13px" color="inkSoft" fontWeight={400}>
        {label}
      </Field.Label>
      <Textarea
        value={value}
        rows={rows}
        bg="sheet"
        borderWidth="1px"
        borderColor="inkSoft"
        borderRadius="3px"
        fontSize="15px"
        w="100%"
        px="8px"
        py="4px"
        onChange={(event) => onChange(event.currentTarget.value)}
      />
      {help && !error && (
        <Field.HelperText color="inkSoft" fontSize="12px">
          {help}
        </Field.HelperText>
      )}
      <Field.ErrorText color="brick" fontSize="13px">
        {error}
      </Field.ErrorText>
    </Field.Root>
  );
}

/** Several of a few words. */
export function ManyOf<T extends string>({
  label,
  all,
  chosen,
  error,
  onChange,
}: {
  readonly label: string;
  readonly all: readonly T[];
  readonly chosen: readonly T[];
  readonly error?: string | undefined;
  readonly onChange: (chosen: T[]) => void;
}) {
  // Many words are shown only when they are wanted.
  const [open, setOpen] = useState(all.length <= 6);
  return (
    <Box as="fieldset">
      <Label as="legend">{label}</Label>
      <Flex gap="2px 12px" wrap="wrap" fontSize="13px">
        {all
          .filter((one) => open || chosen.includes(one))
          .map((one) => (
            <Flex as="label" key={one} gap="5px" align="center">
              <input
                type="checkbox"
                checked={chosen.includes(one)}
                onChange={(event) =>
                  onChange(
                    event.currentTarget.checked
                      ? all.filter((other) => chosen.includes(other) || other === one)
                      : chosen.filter((other) => other !== one),
                  )
                }
              />
              {one}
            </Flex>
          ))}
        {all.length > 6 && (
          <Box asChild color="fern" cursor="pointer">
            <button type="button" aria-expanded={open} onClick={() => setOpen(!open)}>
              {open ? 'show only the chosen' : 'choose'}
            </button>
          </Box>
        )}
      </Flex>
      {error && (
        <Box role="alert" color="brick" fontSize="13px">
          {error}
        </Box>
      )}
    </Box>
  );
}
