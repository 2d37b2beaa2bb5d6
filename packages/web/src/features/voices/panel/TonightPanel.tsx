import { Box, Flex } from '@chakra-ui/react';
import { conditions, singerStates } from '@wide-fern/core';
import {
  conditionWords,
  stateWords,
  dayName,
  absenceInWords,
  conditionInWords,
  rangeInWords,
} from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { LongList } from '../../../ui/LongList';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import type { Row } from '../model/section';
import type { PanelProps } from './props';
import { PanelHead } from './PanelHead';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const conditionOptions = conditions.map((value) => ({
  value,
  word: capital(conditionWords[value]),
}));

/** Who is here on the coming evening, and how: everyone, as usual, until something is said. */
export function TonightPanel({ data, section, onOpen }: PanelProps) {
  const { choir } = useHere();
  const { evening, presence, setting } = data;
  if (!evening || !presence.presence) return null;
  const { condition } = presence.presence;
  const { part, rows, section: band } = section;
  const away = rows.filter((row) => row.away).length;
  const everyone = evening.withEveryone.find(({ id }) => id === part.id);
  const absence =
    everyone &&
    absenceInWords({ ...part, away, comfort: band.comfort }, everyone.comfort, choir.accidentals);
  const say = (row: Row, more: { away?: boolean; states?: Row['statesTonight'] }) =>
    presence.change({
      singers: [
        {
          singer: row.singer.id,
          away: more.away ?? row.away,
          states: [...(more.states ?? row.statesTonight)],
        },
      ],
    });
  return (
    <Box>
      <PanelHead title="Who is here" onClose={() => onOpen('section')} close="done" />
      <Label mb="12px">{dayName(evening.startsAt, choir.timeZone)}</Label>
      <SelectField
        label="The choir comes"
        options={conditionOptions}
        value={condition}
        onChange={(event) => {
          const found = conditions.find((one) => one === event.currentTarget.value);
          if (found) presence.change({ condition: found });
        }}
      />
      <Label mt="4px">
        {conditionInWords(condition, setting.voices.trims.conditions[condition]) ||
          'Nothing is taken off anybody’s range.'}
      </Label>
      {presence.trouble && (
        <Box role="alert" color="brick" fontSize="13px" mt="8px">
          {presence.trouble}
        </Box>
      )}
      <Flex justify="space-between" align="baseline" mt="16px" mb="4px">
        <Box as="h3" fontWeight={650}>
          {capital(part.many)}: {rows.length - away} of {rows.length} here
        </Box>
        {away > 0 && (
          <WordButton
            fontSize="13px"
            onClick={() =>
              presence.change({
                singers: rows
                  .filter((row) => row.away)
                  .map(({ singer, statesTonight }) => ({
                    singer: singer.id,
                    away: false,
                    states: [...statesTonight],
                  })),
              })
            }
          >
            all here
          </WordButton>
        )}
      </Flex>
      <LongList
        items={rows}
        label={`Who of the ${part.many} is here`}
        rowHeight={30}
        mostHeight={390}
        keyOf={({ singer }) => singer.id}
      >
        {(row) => (
          <Flex h="30px" align="center" gap="8px" fontSize="13px">
            <Box asChild flex="1" minW={0} display="flex" alignItems="center" gap="8px">
              <label>
                <input
                  type="checkbox"
                  checked={!row.away}
                  onChange={() => say(row, { away: !row.away })}
                />
                <Box as="span" truncate color={row.away ? 'inkSoft' : 'ink'}>
                  {row.singer.name}
                </Box>
              </label>
            </Box>
            {!row.away && (
              <Box asChild bg="sheet" borderWidth="1px" borderRadius="3px" maxW="120px">
                <select
                  aria-label={`How ${row.singer.name} is tonight`}
                  value={row.statesTonight[0] ?? ''}
                  onChange={(event) => {
                    const found = singerStates.find((one) => one === event.currentTarget.value);
                    say(row, { states: found ? [found] : [] });
                  }}
                >
                  <option value="">
                    {row.singer.states.length > 0
                      ? row.singer.states.map((state) => stateWords[state]).join(', ')
                      : 'as usual'}
                  </option>
                  {singerStates
                    .filter((state) => !row.singer.states.includes(state))
                    .map((state) => (
                      <option key={state} value={state}>
                        {stateWords[state]}
                      </option>
                    ))}
                </select>
              </Box>
            )}
          </Flex>
        )}
      </LongList>
      <Box mt="12px" role="status">
        {absence ? `${capital(absence)}.` : ''} Easy tonight:{' '}
        {rangeInWords(band.comfort, choir.accidentals)}.
      </Box>
      <Label mt="8px">
        Trims are rules of thumb, not a finding about a voice. Whoever is hoarse or in pain does not
        sing; hoarseness that lasts is for a doctor.
      </Label>
    </Box>
  );
}
