import { Box, Flex } from '@chakra-ui/react';
import type { ChoirPart, Singer } from '@wide-fern/contract';
import { beginRoom, singsBelow, type GroupCheck } from '@wide-fern/core';
import { countInWords } from '@wide-fern/words';
import { useState } from 'react';
import { LongList } from '../../../ui/LongList';
import { MainButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordLink } from '../../../ui/words';
import { Newcomers } from './Newcomers';

type Who = 'all' | 'no-range' | 'no-part';
const takesPart: Readonly<Record<Who, (singer: Singer) => boolean>> = {
  all: () => true,
  'no-range': ({ comfort }) => comfort === null,
  'no-part': ({ part }) => part === null,
};

/** Who is in the room, who sings an octave below the others, and who came for the first time. */
export function RoomBegin({
  here,
  parts,
  onBegin,
}: {
  readonly here: readonly Singer[];
  readonly parts: readonly ChoirPart[];
  readonly onBegin: (check: GroupCheck) => void;
}) {
  const [who, setWho] = useState<Who>('all');
  /** What was said of somebody otherwise than their part or range says. */
  const [said, setSaid] = useState<Readonly<Record<string, boolean>>>({});
  const isBelow = (singer: Singer) => said[singer.id] ?? singsBelow(singer, parts);
  const singers = here.filter(takesPart[who]);
  const count = (one: Who) => here.filter(takesPart[one]).length;
  const begin = () => {
    const below = singers.filter(isBelow).map(({ id }) => id);
    onBegin(beginRoom(singers, below, parts));
  };
  return (
    <>
      <Box maxW="68ch" my="8px">
        A note is given; everybody sings it on an open syllable, low voices an octave below. It goes
        up step by step while you tick whoever finds it easy no longer, then down. At the end a part
        is suggested for each, and you decide.
      </Box>
      <Flex gap="32px" wrap="wrap" align="flex-start">
        <Box flex="2 1 360px" minW={0}>
          <Box maxW="320px" mb="8px">
            <SelectField
              label="Who takes part"
              value={who}
              options={[
                { value: 'all', word: `everybody here, ${countInWords(count('all'))}` },
                {
                  value: 'no-range',
                  word: `who has no range yet, ${countInWords(count('no-range'))}`,
                },
                {
                  value: 'no-part',
                  word: `whose part is not decided, ${countInWords(count('no-part'))}`,
                },
              ]}
              onChange={(event) => setWho(event.currentTarget.value as Who)}
            />
          </Box>
          <LongList
            items={singers}
            label="In the room"
            rowHeight={44}
            mostHeight={396}
            keyOf={({ id }) => id}
          >
            {(singer) => (
              <Flex h="44px" align="center" gap="12px" borderBottomWidth="1px">
                <Box w="28px" fontWeight={700} fontSize="13px">
                  {singer.part ?? '?'}
                </Box>
                <Box flex="1" minW={0} truncate>
                  {singer.name}
                </Box>
                <Box asChild h="44px" display="flex" alignItems="center" gap="8px" fontSize="13px">
                  <label>
                    <input
                      type="checkbox"
                      aria-label={`${singer.name} sings an octave below`}
                      checked={isBelow(singer)}
                      onChange={(event) =>
                        setSaid({ ...said, [singer.id]: event.currentTarget.checked })
                      }
                    />
                    an octave below
                  </label>
                </Box>
              </Flex>
            )}
          </LongList>
          {singers.length === 0 && (
            <Box>
              {here.length === 0
                ? 'Nobody is here yet. Write the names of who is, or '
                : 'Nobody like that is here. Choose others, or '}
              <WordLink to="/voices?who">say who is here</WordLink>.
            </Box>
          )}
          <Flex mt="16px" gap="16px" align="center" wrap="wrap">
            <MainButton disabled={singers.length === 0} onClick={begin}>
              Begin with {countInWords(singers.length)}
            </MainButton>
            <Label>“?” means that the part is not decided.</Label>
          </Flex>
          <Label mt="8px">
            Nobody sings on when it is not easy. Voices that are hoarse or ill rest today; what
            lasts is for a doctor.
          </Label>
        </Box>
        <Newcomers />
      </Flex>
    </>
  );
}
