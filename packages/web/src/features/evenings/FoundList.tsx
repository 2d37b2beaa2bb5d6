import { Box, Flex } from '@chakra-ui/react';
import type { Evening, StoreEvening, Template } from '@wide-fern/contract';
import type { FoundDates } from '@wide-fern/interchange/calendar';
import { clockInWords, counted, dayInWords } from '@wide-fern/words';
import { useHere } from '../../here/session';
import { ClockField } from '../../ui/TypedField';
import { useState } from 'react';
import { MainButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { Label, Name } from '../../ui/words';
import { dateRows, eveningsOf, type DateRow } from './model/dates';

/** A calendar's dates, each to be taken or left; what the calendar does not say is asked. */
export function FoundList({
  file,
  found,
  evenings,
  templates,
  choir,
  storing,
  onStore,
}: {
  readonly file: string;
  readonly found: FoundDates;
  readonly evenings: readonly Pick<Evening, 'startsAt'>[];
  readonly templates: readonly Template[];
  readonly choir: { readonly name: string; readonly timeZone: string };
  readonly storing: boolean;
  readonly onStore: (evenings: StoreEvening[]) => void;
}) {
  const [leftOut, setLeftOut] = useState<ReadonlySet<number>>(new Set());
  const { clock } = useHere().choir;
  const [template, setTemplate] = useState('');
  const [start, setStart] = useState('19:30');
  const [end, setEnd] = useState('21:30');
  const like = templates.find(({ id }) => id === template);
  const rows = dateRows(found.dates, evenings, choir.timeZone, { like, start, end }, leftOut);
  const wanted = eveningsOf(rows, like, choir.name);
  const asksClock = found.dates.some((one) => one.start === null || one.end === null);
  const take = (at: number, isTaken: boolean) => {
    const next = new Set(leftOut);
    if (isTaken) next.delete(at);
    else next.add(at);
    setLeftOut(next);
  };
  return (
    <Box mt="14px">
      <Name as="h2" fontSize="18px">
        {found.dates.length === 1 ? 'One date' : `${found.dates.length} dates`} in {file}
      </Name>
      {found.notTaken.map((words) => (
        <Label key={words}>{words}</Label>
      ))}
      <Flex gap="12px" my="8px" maxW="560px">
        {templates.length > 0 && (
          <SelectField
            label="They go like"
            options={[
              { value: '', word: 'a warm-up only' },
              ...templates.map(({ id, name }) => ({ value: id, word: name })),
            ]}
            value={template}
            onChange={(event) => setTemplate(event.currentTarget.value)}
          />
        )}
        {!like && asksClock && (
          <>
            <ClockField
              label="Starts, where it is not said"
              kind={clock}
              value={start}
              onChange={setStart}
            />
            <ClockField
              label="Ends, where it is not said"
              kind={clock}
              value={end}
              onChange={setEnd}
            />
          </>
        )}
      </Flex>
      <Box as="ul" listStyleType="none" aria-label="Dates" maxH="320px" overflowY="auto">
        {rows.map((row) => (
          <DateLine key={row.at} row={row} onTake={(isTaken) => take(row.at, isTaken)} />
        ))}
      </Box>
      {rows.every(({ isHere }) => isHere) ? (
        <Label mt="10px">All of these evenings are here already.</Label>
      ) : (
        <MainButton
          mt="10px"
          disabled={storing || wanted.length === 0}
          onClick={() => onStore(wanted)}
        >
          {wanted.length === 0
            ? 'Choose the dates to add'
            : `Add ${counted(wanted.length, 'evening', 'evenings')}`}
        </MainButton>
      )}
    </Box>
  );
}

function DateLine({
  row,
  onTake,
}: {
  readonly row: DateRow;
  readonly onTake: (isTaken: boolean) => void;
}) {
  const { clock } = useHere().choir;
  return (
    <Flex as="li" gap="10px" fontSize="13px" align="center">
      <Flex as="label" gap="6px" align="center">
        <input
          type="checkbox"
          checked={row.isTaken}
          disabled={row.isHere}
          onChange={(event) => onTake(event.currentTarget.checked)}
        />
        {dayInWords(`${row.date}T12:00:00Z`, 'UTC')}, {clockInWords(row.begins, clock)} to{' '}
        {clockInWords(row.ends, clock)} {row.name}
      </Flex>
      {row.isHere && <Label as="span">is here already</Label>}
    </Flex>
  );
}
