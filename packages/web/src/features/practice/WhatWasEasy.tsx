import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import {
  easyBefore,
  keepEasy,
  sendEasy,
  type AnswerPlace,
  type EasyDraft,
  type Sender,
} from '@wide-fern/client/answers';
import { saidAtHomeSchema, type SaidAtHome } from '@wide-fern/contract';
import { noteName, type MidiNote, type NoteWriting, type Section } from '@wide-fern/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { giveNote } from '../../music/hearing/giveNote';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { SelectField } from '../../ui/SelectField';
import { Label, Name, WordButton } from '../../ui/words';

/** So many semitones beyond what the part reaches may be chosen. */
const beyond = 7;

const nothing: EasyDraft = { name: '', low: '', high: '' };

type Easy = Extract<SaidAtHome, { kind: 'range' }>;

/** The lowest and highest note that were easy, sent with a name; whoever leads confirms it. */
export function WhatWasEasy({
  section,
  place,
  sender,
  writing,
}: {
  /** Whose notes may be chosen. */
  readonly section: Pick<Section, 'reach'>;
  /** Of which page it is: what is half filled in waits on the device. */
  readonly place: Omit<AnswerPlace, 'exercise'>;
  readonly sender: Sender;
  readonly writing: NoteWriting;
}) {
  const [draft, setDraft] = useState<EasyDraft>(() => easyBefore(place) ?? nothing);
  const { name, low, high } = draft;
  const change = (next: Partial<EasyDraft>) => {
    setDraft({ ...draft, ...next });
    keepEasy(place, { ...draft, ...next });
  };
  const [wrong, setWrong] = useState<Partial<Record<keyof Easy, string>>>({});
  const send = useMutation({
    mutationFn: (said: Easy) => sendEasy(sender, said),
    onSuccess: () => keepEasy(place, undefined),
  });
  const [lowest, highest] = section.reach;
  const notes = Array.from(
    { length: highest - lowest + 1 + 2 * beyond },
    (_, i): MidiNote => lowest - beyond + i,
  );
  const options = [
    { value: '', word: 'choose' },
    ...notes.map((note) => ({ value: String(note), word: noteName(note, writing) })),
  ];
  const submit = () => {
    const missing = {
      ...(low === '' ? { low: 'Choose the lowest note that was easy.' } : {}),
      ...(high === '' ? { high: 'Choose the highest note that was easy.' } : {}),
    };
    const said = saidAtHomeSchema.safeParse({
      ...{ kind: 'range', name, low: Number(low), high: Number(high) },
    });
    const found = Object.fromEntries(
      (said.error?.issues ?? []).map(({ path, message }) => [String(path[0]), message]),
    );
    setWrong({ ...found, ...missing });
    if (said.data?.kind === 'range' && low !== '' && high !== '') send.mutate(said.data);
  };
  const fields = [
    ['Lowest', 'low', wrong.low],
    ['Highest', 'high', wrong.high],
  ] as const;
  return (
    <Box as="section" aria-label="What was easy today" mt="24px" pt="16px" borderTopWidth="1px">
      <Name as="h2" fontSize={{ base: '21px', md: '24px' }} lineHeight="1.25">
        What was easy today
      </Name>
      <Label>
        Only what was easy, softly and without pressing. Whoever leads your choir sees it with your
        name and keeps it or throws it away; what nobody keeps goes by itself after sixty days.
      </Label>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <Box mt="8px" maxW="320px">
          <FormField
            label="Your name"
            autoComplete="name"
            maxLength={80}
            value={name}
            error={wrong.name}
            onChange={(event) => change({ name: event.currentTarget.value })}
          />
        </Box>
        <Flex mt="8px" gap="8px 20px" wrap="wrap" align="flex-start">
          {fields.map(([label, end, error]) => (
            <Flex key={label} gap="8px" align="flex-start">
              <Box w="130px">
                <SelectField
                  label={`${label} note`}
                  {...{ options, error }}
                  value={draft[end]}
                  minH="44px"
                  onChange={(event) => change({ [end]: event.currentTarget.value })}
                />
              </Box>
              <WordButton
                type="button"
                minH="44px"
                mt="24px"
                disabled={draft[end] === ''}
                aria-label={`Hear the ${label.toLowerCase()} note`}
                onClick={() => void giveNote(Number(draft[end]))}
              >
                hear it
              </WordButton>
            </Flex>
          ))}
        </Flex>
        <QuietButton type="submit" mt="12px" minH="44px" disabled={send.isPending}>
          Send it
        </QuietButton>
      </form>
      <Said>{send.isSuccess && 'Sent. Whoever leads your choir looks at it.'}</Said>
      <Said wrong>{send.isError && `This was not sent. ${messageOf(send.error)}`}</Said>
    </Box>
  );
}
