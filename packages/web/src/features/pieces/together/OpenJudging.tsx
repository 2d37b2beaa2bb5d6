import { Box, Flex } from '@chakra-ui/react';
import { messageOf, newUuid } from '@wide-fern/client';
import { purposes, type Purpose } from '@wide-fern/core';
import { useState } from 'react';
import { dayIn } from '../../../here/judging';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { PlainSelect } from '../../../ui/PlainSelect';
import { DateField } from '../../../ui/TypedField';
import { useKeptDraft } from '../../../ui/useKeptDraft';
import { WordChoice } from '../../../ui/WordChoice';
import { Label, WordButton } from '../../../ui/words';
import type { Together } from './useTogether';

/** What a run that is judged again begins with. */
export interface Begun {
  readonly skills: readonly Purpose[];
  readonly group: string;
}

interface Draft {
  readonly id: string;
  readonly judgedOn: string;
  /** The skills to choose from, and those chosen. */
  readonly offered: readonly Purpose[];
  readonly skills: readonly Purpose[];
  readonly isFew: boolean;
  readonly group: string;
  readonly tried: string;
}

const mostSkills = 8;
const whoSang = [
  ['all', 'the whole choir'],
  ['few', 'a small group'],
] as const;

/** Opens a run to judge together: which skills stand on everybody's card, who sang, what was tried. */
export function OpenJudging({
  draftKey,
  begun,
  open,
  onDone,
}: {
  /** Under which it waits on the device. */
  readonly draftKey: string;
  readonly begun: Begun;
  readonly open: Together['open'];
  readonly onDone: () => void;
}) {
  const { choir } = useHere();
  const today = dayIn(choir.timeZone);
  // A closed tab loses nothing of it; sent again, it is the same run.
  const [draft, setDraft, forget] = useKeptDraft<Draft>(draftKey, {
    ...{ id: useState(newUuid)[0], judgedOn: today, offered: begun.skills, skills: begun.skills },
    ...{ isFew: begun.group !== '', group: begun.group, tried: '' },
  });
  const { id, judgedOn, offered, skills, isFew, group, tried } = draft;
  const set = (next: Partial<Draft>) => setDraft({ ...draft, ...next });
  const done = () => {
    forget();
    onDone();
  };
  const [missing, setMissing] = useState<'skills' | 'group'>();
  const more = purposes.filter((skill) => !offered.includes(skill));
  const begin = () => {
    const lacks =
      skills.length === 0 ? 'skills' : isFew && group.trim() === '' ? 'group' : undefined;
    setMissing(lacks);
    if (lacks) return;
    open.mutate(
      { id, judgedOn, skills: [...skills], group: isFew ? group.trim() : '', tried },
      { onSuccess: done },
    );
  };
  return (
    <Box role="group" aria-label="Judge together" p="10px" bg="sheet" borderWidth="1px" mt="8px">
      <Box mb="6px" maxW="60ch">
        Whoever belongs to the choir opens this piece and fills in a card of their own. Nobody sees
        the others’ before their own is in.
      </Box>
      <Box w="300px" maxW="100%">
        <DateField
          label="Sung on"
          size="xs"
          value={judgedOn}
          today={today}
          onChange={(next) => set({ judgedOn: next })}
        />
      </Box>
      <Flex role="group" aria-label="On everybody’s card" gap="2px 14px" wrap="wrap" mt="6px">
        {offered.map((skill) => (
          <label key={skill}>
            <input
              type="checkbox"
              checked={skills.includes(skill)}
              onChange={(event) =>
                set({
                  skills: event.currentTarget.checked
                    ? [...skills, skill]
                    : skills.filter((one) => one !== skill),
                })
              }
            />{' '}
            {skill}
          </label>
        ))}
        {offered.length < mostSkills && (
          <PlainSelect
            label="Another skill on the card"
            value=""
            options={[
              { value: '', word: 'another skill …' },
              ...more.map((skill) => ({ value: skill, word: skill })),
            ]}
            onChange={(skill) => {
              if (!skill) return;
              const one = skill as Purpose;
              set({ offered: [...offered, one], skills: [...skills, one] });
            }}
          />
        )}
      </Flex>
      <Flex gap="10px" align="center" wrap="wrap" mt="6px">
        <Label as="span">sung by</Label>
        <WordChoice
          label="Sung by"
          options={whoSang}
          value={isFew ? 'few' : 'all'}
          onChange={(who) => set({ isFew: who === 'few' })}
        />
      </Flex>
      {isFew && (
        <Box maxW="360px">
          <FormField
            label="Who they are"
            size="xs"
            maxLength={80}
            value={group}
            help="“two of each part”: a trial, that counts for nothing else."
            error={missing === 'group' ? 'Say who sang, “two of each part”.' : undefined}
            onChange={(event) => set({ group: event.currentTarget.value })}
          />
        </Box>
      )}
      <Box maxW="360px" mt="6px">
        <FormField
          label="What was tried since it was judged before (may stay empty)"
          size="xs"
          maxLength={200}
          value={tried}
          onChange={(event) => set({ tried: event.currentTarget.value })}
        />
      </Box>
      <Flex gap="12px" mt="8px" align="center">
        <MainButton size="sm" disabled={open.isPending} onClick={begin}>
          Open the cards
        </MainButton>
        <WordButton fontSize="13px" onClick={done}>
          leave it
        </WordButton>
      </Flex>
      {(missing === 'skills' || open.error) && (
        <Box role="alert" color="brick" mt="4px">
          {missing === 'skills' ? 'Choose at least one skill.' : messageOf(open.error)}
        </Box>
      )}
    </Box>
  );
}
