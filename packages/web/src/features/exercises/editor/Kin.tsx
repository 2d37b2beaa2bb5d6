import { Box, Flex } from '@chakra-ui/react';
import type { Exercise } from '@wide-fern/contract';
import { strains } from '@wide-fern/core';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import { ManyOf } from './fields';
import { withFields, type Further } from './model/further';
import type { DraftProps } from './musicParts';

/** What of other exercises is named beside this one. */
export type Other = Pick<Exercise, 'id' | 'name' | 'family'>;

/** What it is one of several ways of, what is easier and harder, what it asks of the body and the hands. */
export function Kin({
  draft,
  errors,
  set,
  others,
}: DraftProps & { readonly others: readonly Other[] }) {
  const { further } = draft;
  const { easier = [], harder = [], held = '', strains: strained = [] } = further.exercise;
  const change = (changed: {
    [K in keyof Further['exercise']]?: Further['exercise'][K] | undefined;
  }) => set({ further: { ...further, exercise: withFields(further.exercise, changed) } });
  const row = (ids: readonly string[]) => (ids.length > 0 ? [...ids] : undefined);
  return (
    <Box display="grid" gap="10px" alignContent="start">
      <FamilyFields draft={draft} errors={errors} others={others} onChange={change} />
      <Named
        label="Easier"
        ids={easier}
        others={others}
        onChange={(ids) => change({ easier: row(ids) })}
      />
      <Named
        label="Harder"
        ids={harder}
        others={others}
        onChange={(ids) => change({ harder: row(ids) })}
      />
      <FormField
        label="Held in the hand, if anything"
        value={held}
        error={errors.held}
        onChange={(event) => change({ held: event.currentTarget.value || undefined })}
      />
      <ManyOf
        label="It can strain (nothing chosen: told from its words)"
        all={strains}
        chosen={strained}
        onChange={(chosen) => change({ strains: chosen.length > 0 ? chosen : undefined })}
      />
    </Box>
  );
}

/** Exercises by name, each taken away by a word, and one more chosen. */
function Named({
  label,
  ids,
  others,
  onChange,
}: {
  readonly label: string;
  readonly ids: readonly string[];
  readonly others: readonly Other[];
  readonly onChange: (ids: readonly string[]) => void;
}) {
  const free = others.filter(({ id }) => !ids.includes(id));
  return (
    <Box>
      {ids.length < 4 && (
        <SelectField
          label={`${label} ones`}
          value=""
          options={[
            { value: '', word: 'name one' },
            ...free.map(({ id, name }) => ({ value: id, word: name })),
          ]}
          onChange={(event) => onChange([...ids, event.currentTarget.value])}
        />
      )}
      <Flex gap="4px 14px" wrap="wrap" fontSize="13px" aria-label={label} role="list">
        {ids.map((id) => {
          const name = others.find((one) => one.id === id)?.name ?? id;
          return (
            <Flex key={id} gap="6px" role="listitem">
              {name}
              <WordButton
                fontSize="13px"
                aria-label={`take ${name} away`}
                onClick={() => onChange(ids.filter((one) => one !== id))}
              >
                away
              </WordButton>
            </Flex>
          );
        })}
      </Flex>
    </Box>
  );
}

/** Which family it is one way of, and which way. */
function FamilyFields({
  draft,
  errors,
  others,
  onChange,
}: Omit<DraftProps, 'set'> & {
  readonly others: readonly Other[];
  readonly onChange: (changed: { readonly family: Exercise['family'] }) => void;
}) {
  const { family } = draft.further.exercise;
  // A family is known by the first exercise that belongs to it.
  const families = new Map<string, string>(family ? [[family.id, draft.name]] : []);
  for (const { family: one, name } of [...others].reverse()) if (one) families.set(one.id, name);
  const options = [...families].sort(([, a], [, b]) => a.localeCompare(b));
  return (
    <Flex gap="8px" align="flex-end" wrap="wrap">
      <Box flex="1 1 160px">
        <SelectField
          label="One idea in several ways, with"
          value={family?.id ?? ''}
          options={[
            { value: '', word: 'no other' },
            ...options.map(([value, word]) => ({ value, word })),
          ]}
          onChange={(event) => {
            const id = event.currentTarget.value;
            onChange({ family: id === '' ? undefined : { id, variant: family?.variant ?? '' } });
          }}
        />
      </Box>
      {family && (
        <Box flex="1 1 120px">
          <FormField
            label="This way"
            value={family.variant}
            error={errors.family}
            onChange={(event) =>
              onChange({ family: { id: family.id, variant: event.currentTarget.value } })
            }
          />
        </Box>
      )}
      {errors.family && !family && <Label>{errors.family}</Label>}
    </Flex>
  );
}
