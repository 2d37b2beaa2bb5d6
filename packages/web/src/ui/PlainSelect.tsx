/** A small choice among words within a line of text. */
export function PlainSelect({
  label,
  value,
  options,
  disabled = false,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly word: string }[];
  readonly disabled?: boolean;
  readonly onChange: (value: string) => void;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      disabled={disabled}
      style={{
        background: 'var(--chakra-colors-sheet)',
        border: '1px solid var(--chakra-colors-line)',
        borderRadius: 3,
        padding: '1px 2px',
        fontSize: 13,
        maxWidth: '100%',
      }}
      onChange={(event) => onChange(event.currentTarget.value)}
    >
      {options.map(({ value: one, word }) => (
        <option key={one} value={one}>
          {word}
        </option>
      ))}
    </select>
  );
}
