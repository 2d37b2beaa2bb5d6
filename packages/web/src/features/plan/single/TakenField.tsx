import { useState } from 'react';
import { FormField } from '../../../ui/FormField';

/** Words that are taken over when they are left or confirmed; too many of them are said and not taken. */
export function TakenField({
  label,
  value,
  most,
  wordsOf = (text) => [text],
  disabled,
  onTake,
}: {
  readonly label: string;
  readonly value: string;
  /** How many letters one of its words may have. */
  readonly most: number;
  /** What is counted for itself; all together where it is not said. */
  readonly wordsOf?: (text: string) => readonly string[];
  readonly disabled: boolean;
  readonly onTake: (value: string) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const isTooLong = typed !== undefined && wordsOf(typed).some((word) => word.length > most);
  const take = () => {
    if (typed === undefined || isTooLong) return;
    if (typed.trim() !== value) onTake(typed.trim());
    setTyped(undefined);
  };
  return (
    <FormField
      label={label}
      size="sm"
      disabled={disabled}
      value={typed ?? value}
      error={isTooLong ? `At most ${most} letters; say it shorter.` : undefined}
      onChange={(event) => setTyped(event.currentTarget.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take();
        if (event.key === 'Escape') setTyped(undefined);
      }}
    />
  );
}
