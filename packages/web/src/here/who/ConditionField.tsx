import type { Condition } from '@wide-fern/core';
import { conditions } from '@wide-fern/core';
import { capitalise, conditionWords } from '@wide-fern/words';
import { SelectField } from '../../ui/SelectField';

const options = conditions.map((value) => ({ value, word: capitalise(conditionWords[value]) }));

/** How a choir comes: rested, after a working day, cold … */
export function ConditionField({
  value,
  onChange,
}: {
  readonly value: Condition;
  readonly onChange: (condition: Condition) => void;
}) {
  return (
    <SelectField
      label="The choir comes"
      options={options}
      value={value}
      onChange={(event) => {
        const found = conditions.find((one) => one === event.currentTarget.value);
        if (found) onChange(found);
      }}
    />
  );
}
