import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { mostDates, type StoreEvening } from '@wide-fern/contract';
import type { FoundDates } from '@wide-fern/interchange/calendar';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf, eveningsQuery, queryClient, templatesQuery, call } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { MainButton, QuietButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { Failed, Loading } from '../../ui/states';
import { saveFile } from '../../ui/saveFile';
import { Label, Name, WordLink } from '../../ui/words';
import { dayName } from '@wide-fern/words';
import { localOf, newItem } from './model/typed';

/** The evenings as a calendar file, and evenings from a calendar's dates. */
export default function DatesPage() {
  const { choir, mayEdit } = useHere();
  const navigate = useNavigate();
  const evenings = useQuery(eveningsQuery(choir.id));
  const templates = useQuery(templatesQuery(choir.id));
  const input = useRef<HTMLInputElement>(null);
  const [found, setFound] = useState<FoundDates & { file: string }>();
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [template, setTemplate] = useState('');
  const [start, setStart] = useState('19:30');
  const [end, setEnd] = useState('21:30');
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  if (!evenings.data || !templates.data) {
    const error = evenings.error ?? templates.error;
    return (
      <Frame place="Tonight">
        {error ? (
          <Failed
            message={messageOf(error)}
            onRetry={() => {
              void evenings.refetch();
              void templates.refetch();
            }}
          />
        ) : (
          <Loading what="your evenings" />
        )}
      </Frame>
    );
  }
  const known = templates.data;
  const all = evenings.data;
  const write = async () => {
    const { writeCalendar } = await import('@wide-fern/interchange/calendar');
    const events = all.map(({ id, name, startsAt, endsAt, place }) => ({
      id,
      name: name ?? `${choir.name}: rehearsal`,
      startsAt: new Date(startsAt),
      endsAt: new Date(endsAt),
      place,
      description: '',
    }));
    saveFile('evenings.ics', 'text/calendar', writeCalendar(choir.name, events, new Date()));
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    setTrouble(undefined);
    setFound(undefined);
    const { readCalendar, UnreadableFile } = await import('@wide-fern/interchange/calendar');
    try {
      const dates = readCalendar(await file.text(), (moment) => localOf(moment, choir.timeZone));
      setFound({ ...dates, file: file.name });
      setLeft(new Set());
    } catch (error) {
      setTrouble(
        error instanceof UnreadableFile ? error.message : 'This calendar could not be read.',
      );
    }
  };
  const taken = new Set(
    all.map(({ startsAt }) => {
      const { date, time } = localOf(new Date(startsAt), choir.timeZone);
      return `${date} ${time}`;
    }),
  );
  const like = known.find(({ id }) => id === template);
  const rows = (found?.dates ?? []).map((one, place) => {
    const begins = one.start ?? like?.start ?? start;
    const here = taken.has(`${one.date} ${begins}`);
    return { ...one, place, begins, here, isTaken: !here && !left.has(place) };
  });
  const eveningOf = (row: (typeof rows)[number]): StoreEvening => ({
    name: row.name || null,
    date: row.date,
    start: row.begins,
    end: row.end ?? like?.end ?? end,
    place: (found?.dates[row.place]?.place || like?.place) ?? choir.name,
    occasion: like?.occasion ?? 'evening after work',
    forbids: like?.forbids ?? [],
    agenda: like?.agenda ?? [newItem([], 'warm-up')],
  });
  const wanted = rows.filter(({ isTaken }) => isTaken);
  const store = async () => {
    setStoring(true);
    setTrouble(undefined);
    try {
      await call('addEvenings', {
        params: { choir: choir.id },
        body: { evenings: wanted.slice(0, mostDates * 2).map(eveningOf) },
      });
      await queryClient.invalidateQueries({ queryKey: eveningsQuery(choir.id).queryKey });
      await navigate('/');
    } catch (error) {
      setTrouble(messageOf(error));
      setStoring(false);
    }
  };
  return (
    <Frame place="Tonight">
      <Box px={{ base: '16px', md: '40px' }} pt="14px" pb="32px" maxW="820px">
        <Name as="h1" fontSize="24px" mb="8px">
          Evenings and calendars
        </Name>
        <Box mb="4px">
          Take the {all.length === 1 ? 'one evening' : `${all.length} evenings`} along in the
          calendar you use.
        </Box>
        <QuietButton size="sm" disabled={all.length === 0} onClick={() => void write()}>
          Write a calendar file
        </QuietButton>
        {mayEdit && (
          <Box mt="20px">
            <Box mb="4px">
              Or bring a list of dates: a calendar file (.ics), single dates and those that repeat.
            </Box>
            <MainButton size="sm" onClick={() => input.current?.click()}>
              Choose a calendar file
            </MainButton>
            <input
              ref={input}
              type="file"
              accept=".ics,text/calendar"
              aria-label="Calendar file to read"
              style={{ display: 'none' }}
              onChange={(event) => {
                void read(event.currentTarget.files?.[0]);
                event.currentTarget.value = '';
              }}
            />
          </Box>
        )}
        {trouble && (
          <Box role="alert" color="brick" mt="10px">
            {trouble} Nothing was changed.
          </Box>
        )}
        {found && (
          <Box mt="14px">
            <Name as="h2" fontSize="18px">
              {found.dates.length === 1 ? 'One date' : `${found.dates.length} dates`} in{' '}
              {found.file}
            </Name>
            {found.notTaken.map((words) => (
              <Label key={words}>{words}</Label>
            ))}
            <Flex gap="12px" my="8px" maxW="560px">
              {known.length > 0 && (
                <SelectField
                  label="They go like"
                  options={[
                    { value: '', word: 'a warm-up only' },
                    ...known.map(({ id, name }) => ({ value: id, word: name })),
                  ]}
                  value={template}
                  onChange={(event) => setTemplate(event.currentTarget.value)}
                />
              )}
              {!like && (
                <>
                  <FormField
                    label="Starts, where it is not said"
                    type="time"
                    value={start}
                    onChange={(event) => setStart(event.currentTarget.value)}
                  />
                  <FormField
                    label="Ends, where it is not said"
                    type="time"
                    value={end}
                    onChange={(event) => setEnd(event.currentTarget.value)}
                  />
                </>
              )}
            </Flex>
            <Box as="ul" listStyleType="none" aria-label="Dates" maxH="320px" overflowY="auto">
              {rows.map((row) => (
                <Flex as="li" key={row.place} gap="10px" fontSize="13px" align="center">
                  <Flex as="label" gap="6px" align="center">
                    <input
                      type="checkbox"
                      checked={row.isTaken}
                      disabled={row.here}
                      onChange={(event) => {
                        const next = new Set(left);
                        if (event.currentTarget.checked) next.delete(row.place);
                        else next.add(row.place);
                        setLeft(next);
                      }}
                    />
                    {dayName(`${row.date}T12:00:00Z`, 'UTC')}, {row.begins} to{' '}
                    {row.end ?? like?.end ?? end} {row.name}
                  </Flex>
                  {row.here && <Label as="span">is here already</Label>}
                </Flex>
              ))}
            </Box>
            <MainButton
              mt="10px"
              disabled={storing || wanted.length === 0}
              onClick={() => void store()}
            >
              Add {wanted.length === 1 ? 'one evening' : `${wanted.length} evenings`}
            </MainButton>
          </Box>
        )}
        <Box mt="20px">
          <WordLink to="/">back to Tonight</WordLink>
        </Box>
      </Box>
    </Frame>
  );
}
