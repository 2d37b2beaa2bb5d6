import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { ChoirPart, SaveParts } from '@wide-fern/contract';
import { arrangements, own } from '@wide-fern/core';
import { useState } from 'react';
import { ApiError, messageOf, queryClient, voicesQuery, call, choirQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import { PartFields } from './PartFields';
import {
  newPartForm,
  partMoved,
  partsLeft,
  readParts,
  toPartForm,
  type PartForm,
} from './partForm';

/** Two to eight parts with their usual figures: begin with a usual set, change what is different here. */
export function PartsForm({
  parts,
  mayChange,
}: {
  readonly parts: readonly ChoirPart[];
  readonly mayChange: boolean;
}) {
  const { choir } = useHere();
  const { writing } = choir;
  const [forms, setForms] = useState<readonly PartForm[]>(() =>
    parts.map((part) => toPartForm(part, writing)),
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
      setLeft([...new Set([...left, ...partsLeft(error.fields)])]);
    },
  });
  const change = (at: number, more: Partial<PartForm>) =>
    setForms(forms.map((form, i) => (i === at ? { ...form, ...more } : form)));
  const submit = () => {
    const read = readParts(forms, choir.writing);
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
              onClick={() => setForms(usual.map((part) => toPartForm(part, writing)))}
            >
              {name}
            </QuietButton>
          ))}
        </Flex>
      )}
      {forms.map((form, i) => (
        <PartFields
          key={i}
          form={form}
          place={i}
          of={forms.length}
          wrong={wrong}
          mayChange={mayChange}
          onChange={(more) => change(i, more)}
          onMove={(by) => setForms(partMoved(forms, i, by))}
          onTakeOut={() => setForms(forms.filter((_, at) => at !== i))}
        />
      ))}
      {left.map((code) => (
        <Box key={code} w="340px" my="8px">
          <SelectField
            label={`Who sang ${code} sings from now on`}
            options={[
              { value: '', word: 'choose a part' },
              ...forms.map(({ id, one }) => ({ value: id, word: `${id}, ${one}` })),
            ]}
            value={own(moves, code) ?? ''}
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
            onClick={() => setForms([...forms, newPartForm(forms, writing)])}
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
