import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { ChoirPart, SaveParts } from '@wide-fern/contract';
import { arrangements, octaveSteps, rangeEnds, type OctaveStep } from '@wide-fern/core';
import { useState } from 'react';
import { ApiError, messageOf, queryClient, voicesQuery, call, choirQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import { newPartForm, readParts, toPartForm, type PartForm } from './partForm';

const octaveWords: Readonly<Record<OctaveStep, string>> = {
  12: 'an octave above the tonic given',
  0: 'where the tonic is given',
  [-12]: 'an octave below it',
  [-24]: 'two octaves below it',
};
const octaveOptions = octaveSteps.map((step) => ({ value: String(step), word: octaveWords[step] }));
const endOptions = rangeEnds.map((value) => ({ value, word: `told by its ${value}` }));

/** Two to eight parts with their usual figures: begin with a usual set, change what is different here. */
export function PartsForm({
  parts,
  mayChange,
}: {
  readonly parts: readonly ChoirPart[];
  readonly mayChange: boolean;
}) {
  const { choir } = useHere();
  const { accidentals } = choir;
  const [forms, setForms] = useState<readonly PartForm[]>(() =>
    parts.map((part) => toPartForm(part, accidentals)),
  );
  const [moves, setMoves] = useState<Readonly<Record<string, string>>>({});
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  /** Parts that go although singers sing them, as the server said. */
  const [left, setLeft] = useState<readonly string[]>([]);
  const save = useMutation({
    mutationFn: (body: SaveParts) => call('saveParts', { params: { choir: choir.id }, body }),
    onSuccess: async (saved) => {
      queryClient.setQueryData(voicesQuery(choir.id).queryKey, saved);
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
    },
    onError: (error) => {
      if (!(error instanceof ApiError)) return;
      const gone = Object.keys(error.fields).flatMap((field) =>
        field.startsWith('moves.') ? [field.slice('moves.'.length)] : [],
      );
      setLeft([...new Set([...left, ...gone])]);
    },
  });
  const change = (at: number, more: Partial<PartForm>) =>
    setForms(forms.map((form, i) => (i === at ? { ...form, ...more } : form)));
  const swap = (at: number, by: number) => {
    const next = [...forms];
    next.splice(at + by, 0, ...next.splice(at, 1));
    setForms(next);
  };
  const submit = () => {
    const read = readParts(forms);
    setWrong(read.kind === 'wrong' ? read.fields : {});
    if (read.kind === 'parts') save.mutate({ parts: read.parts, moves });
  };
  return (
    <Box>
      {mayChange && (
        <Flex gap="8px" wrap="wrap" align="center" my="16px">
          <Label>Begin with:</Label>
          {arrangements.map(({ id, name, parts: usual }) => (
            <QuietButton
              key={id}
              size="sm"
              onClick={() => setForms(usual.map((part) => toPartForm(part, accidentals)))}
            >
              {name}
            </QuietButton>
          ))}
        </Flex>
      )}
      {forms.map((form, i) => {
        const field = (name: keyof PartForm, label: string, width: string) => (
          <Box w={width}>
            <FormField
              label={label}
              size="sm"
              disabled={!mayChange}
              value={form[name]}
              error={wrong[`${i}.${name}`]}
              onChange={(event) => change(i, { [name]: event.currentTarget.value })}
            />
          </Box>
        );
        return (
          <Box
            key={i}
            as="fieldset"
            borderTopWidth="1px"
            py="12px"
            aria-label={`Part ${i + 1}: ${form.many}`}
          >
            <Flex gap="12px" wrap="wrap" align="flex-start">
              {field('id', 'Letters', '72px')}
              {field('one', 'One is a', '150px')}
              {field('many', 'Several are', '150px')}
              {field('comfortLow', 'Easy from', '84px')}
              {field('comfortHigh', 'Easy to', '84px')}
              {field('reachLow', 'Reach from', '84px')}
              {field('reachHigh', 'Reach to', '84px')}
              {field('changeLow', 'Change from', '92px')}
              {field('changeHigh', 'Change to', '92px')}
              <Box w="230px">
                <SelectField
                  label="Sings"
                  options={octaveOptions}
                  disabled={!mayChange}
                  value={form.octave}
                  onChange={(event) => change(i, { octave: event.currentTarget.value })}
                />
              </Box>
              <Box w="150px">
                <SelectField
                  label="In a suggestion"
                  options={endOptions}
                  disabled={!mayChange}
                  value={form.end}
                  onChange={(event) => {
                    const found = rangeEnds.find((end) => end === event.currentTarget.value);
                    if (found) change(i, { end: found });
                  }}
                />
              </Box>
            </Flex>
            {mayChange && (
              <Flex gap="16px" mt="4px">
                <WordButton fontSize="13px" disabled={i === 0} onClick={() => swap(i, -1)}>
                  higher
                </WordButton>
                <WordButton
                  fontSize="13px"
                  disabled={i === forms.length - 1}
                  onClick={() => swap(i, 1)}
                >
                  lower
                </WordButton>
                <WordButton
                  fontSize="13px"
                  disabled={forms.length <= 2}
                  onClick={() => setForms(forms.filter((_, at) => at !== i))}
                >
                  take out
                </WordButton>
              </Flex>
            )}
          </Box>
        );
      })}
      {left.map((code) => (
        <Box key={code} w="340px" my="8px">
          <SelectField
            label={`Who sang ${code} sings from now on`}
            options={[
              { value: '', word: 'choose a part' },
              ...forms.map(({ id, one }) => ({ value: id, word: `${id}, ${one}` })),
            ]}
            value={moves[code] ?? ''}
            onChange={(event) => setMoves({ ...moves, [code]: event.currentTarget.value })}
          />
        </Box>
      ))}
      {save.isError && (
        <Box role="alert" color="brick" my="8px">
          {messageOf(save.error)}
        </Box>
      )}
      {Object.keys(wrong).length > 0 && (
        <Box role="alert" color="brick" my="8px">
          {wrong.all ?? 'Put the marked fields right; then the parts can be kept.'}
        </Box>
      )}
      {mayChange && (
        <Flex gap="16px" align="center" mt="12px">
          <MainButton disabled={save.isPending} onClick={submit}>
            Keep these parts
          </MainButton>
          <WordButton
            disabled={forms.length >= 8}
            onClick={() => setForms([...forms, newPartForm(forms, accidentals)])}
          >
            add a part
          </WordButton>
          {save.isSuccess && (
            <Box role="status" color="inkSoft">
              Kept.
            </Box>
          )}
        </Flex>
      )}
    </Box>
  );
}
