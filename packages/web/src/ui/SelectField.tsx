import { Field, NativeSelect, type NativeSelectFieldProps } from '@chakra-ui/react';

/** A labelled choice among a few words. */
export function SelectField({
  label,
  options,
  error,
  disabled = false,
  ...select
}: {
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly word: string }[];
  readonly error?: string | undefined;
  readonly disabled?: boolean;
} & NativeSelectFieldProps) {
  return (
    <Field.Root invalid={error !== undefined} disabled={disabled}>
      <Field.Label fontSize="13px" color="inkSoft" fontWeight={400}>
        {label}
      </Field.Label>
      <NativeSelect.Root size="sm" disabled={disabled}>
        <NativeSelect.Field bg="sheet" borderColor="inkSoft" borderRadius="3px" {...select}>
          {options.map(({ value, word }) => (
            <option key={value} value={value}>
              {word}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <Field.ErrorText color="brick" fontSize="13px">
        {error}
      </Field.ErrorText>
    </Field.Root>
  );
}
