import { Field, Input, type InputProps } from '@chakra-ui/react';

/** A labelled field with its help and, when it is wrong, what to do about it. */
export function FormField({
  label,
  error,
  help,
  ...input
}: {
  readonly label: string;
  readonly error?: string | undefined;
  readonly help?: string;
} & InputProps) {
  return (
    <Field.Root invalid={error !== undefined}>
      <Field.Label fontSize="13px" color="inkSoft" fontWeight={400}>
        {label}
      </Field.Label>
      <Input bg="sheet" borderColor="inkSoft" borderRadius="3px" fontSize="15px" {...input} />
      {help && !error && (
        <Field.HelperText color="inkSoft" fontSize="13px">
          {help}
        </Field.HelperText>
      )}
      <Field.ErrorText color="brick" fontSize="13px">
        {error}
      </Field.ErrorText>
    </Field.Root>
  );
}
