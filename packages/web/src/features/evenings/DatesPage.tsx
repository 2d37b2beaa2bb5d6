import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { StoreEvening } from '@wide-fern/contract';
import type { FoundDates } from '@wide-fern/interchange/calendar';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf, eveningsQuery, queryClient, templatesQuery, call } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { MainButton, QuietButton } from '../../ui/MainButton';
import { Failed, Loading } from '../../ui/states';
import { saveFile } from '../../ui/saveFile';
import { Name, WordLink } from '../../ui/words';
import { FoundList } from './FoundList';
import { calendarEvents } from './model/dates';
import { readCalendarFile } from './model/readCalendar';

/** The evenings as a calendar file, and evenings from a calendar's dates. */
export default function DatesPage() {
  const { choir, mayEdit } = useHere();
  const navigate = useNavigate();
  const evenings = useQuery(eveningsQuery(choir.id));
  const templates = useQuery(templatesQuery(choir.id));
  const input = useRef<HTMLInputElement>(null);
  const [found, setFound] = useState<{ readonly dates: FoundDates; readonly file: string }>();
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
  const all = evenings.data;
  const write = async () => {
    const { writeCalendar } = await import('@wide-fern/interchange/calendar');
    const events = calendarEvents(all, choir.name);
    saveFile('evenings.ics', 'text/calendar', writeCalendar(choir.name, events, new Date()));
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    setTrouble(undefined);
    setFound(undefined);
    const reading = await readCalendarFile(file, choir.timeZone);
    if (reading.kind === 'read') setFound({ dates: reading.dates, file: file.name });
    else setTrouble(reading.message);
  };
  const store = async (wanted: StoreEvening[]) => {
    setStoring(true);
    setTrouble(undefined);
    try {
      await call('addEvenings', { params: { choir: choir.id }, body: { evenings: wanted } });
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
          Download a calendar file
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
          <FoundList
            file={found.file}
            found={found.dates}
            evenings={all}
            templates={templates.data}
            choir={choir}
            storing={storing}
            onStore={(wanted) => void store(wanted)}
          />
        )}
        <Box mt="20px">
          <WordLink to="/">back to Tonight</WordLink>
        </Box>
      </Box>
    </Frame>
  );
}
