const selectStyle = {
  background: 'var(--chakra-colors-sheet)',
  border: '1px solid var(--chakra-colors-line)',
  borderRadius: 3,
  padding: '1px 2px',
  width: 'auto',
  fontSize: 13,
} as const;

/** One of several, by its words. */
export function Choice<T extends string | number>({
  label,
  value,
  options,
  disabled,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly disabled: boolean;
  readonly onChange: (value: T) => void;
}) {
  return (
    <select
      aria-label={label}
      style={selectStyle}
      value={value}
      disabled={disabled}
      onChange={(event) => onChange(options[event.currentTarget.selectedIndex]![0])}
    >
      {options.map(([key, word]) => (
        <option key={key} value={key}>
          {word}
        </option>
      ))}
    </select>
  );
}
