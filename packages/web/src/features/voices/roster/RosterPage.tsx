import { Box, Flex, Input } from '@chakra-ui/react';
import { useDeferredValue, useMemo, useState } from 'react';
import { lazily, missing } from '../../../ui/lazily';
import { LongList } from '../../../ui/LongList';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { saveFile } from '../../../ui/saveFile';
import { usePageHeight } from '../../../ui/useSize';
import { Label, Name, WordLink } from '../../../ui/words';
import { SingerForm } from './SingerForm';
import { SingerRow } from './SingerRow';
import { WithRoster, type RosterData } from './WithRoster';

/** A check and its sound come along when it is opened. */
const CheckPanel = lazily(
  () => import('../panel/CheckPanel').then(({ CheckPanel: one }) => ({ default: one })),
  { room: <Label>Opening …</Label>, absent: missing('The check') },
);

/** The whole roster: everyone who sings, by name, also those on leave. */
export default function RosterPage() {
  return <WithRoster>{(data) => <Roster {...data} />}</WithRoster>;
}

function Roster({ singers, parts }: RosterData) {
  const pageHeight = usePageHeight();
  const [wanted, setWanted] = useState('');
  /** A singer’s id, or «new». */
  const [opened, setOpened] = useState<string>();
  const [checks, setChecks] = useState(false);
  // The list follows the typing when there is time; the field never waits for it.
  const search = useDeferredValue(wanted.trim().toLowerCase());
  const shown = useMemo(
    () =>
      singers.filter(
        ({ name, part, notes }) =>
          search === '' ||
          name.toLowerCase().includes(search) ||
          part?.toLowerCase() === search ||
          notes.toLowerCase().includes(search),
      ),
    [singers, search],
  );
  const open = singers.find(({ id }) => id === opened);
  const isChecking = open !== undefined && checks;
  const onLeave = singers.filter((singer) => singer.onLeave).length;
  const write = async () => {
    const { writeCsv } = await import('./csv');
    saveFile('roster.csv', 'text/csv;charset=utf-8', writeCsv(singers));
  };
  return (
    <Flex
      px={{ base: '16px', md: '40px' }}
      pt="16px"
      gap="32px"
      direction={{ base: 'column', lg: 'row' }}
      align="stretch"
    >
      <Box flex="1" minW={0}>
        <Flex justify="space-between" gap="16px" wrap="wrap" align="baseline" mb="12px">
          <Name as="h1" fontSize="24px">
            {singers.length === 0
              ? 'Nobody is on the roster yet'
              : `${singers.length} ${singers.length === 1 ? 'singer' : 'singers'}${onLeave > 0 ? `, ${onLeave} on leave` : ''}`}
          </Name>
          <WordLink to="/voices">back to the sections</WordLink>
        </Flex>
        <Flex gap="8px" wrap="wrap" mb="12px">
          <Input
            aria-label="Look for a singer"
            placeholder="Look for a singer"
            size="sm"
            flex="1 1 200px"
            bg="sheet"
            borderColor="inkSoft"
            value={wanted}
            onChange={(event) => setWanted(event.currentTarget.value)}
          />
          <MainButton size="sm" onClick={() => setOpened('new')}>
            Add a singer
          </MainButton>
          <QuietButton size="sm" asChild>
            <WordLink to="/voices/roster/read" textDecoration="none" color="ink">
              Read a list
            </WordLink>
          </QuietButton>
          {singers.length > 0 && (
            <QuietButton size="sm" onClick={() => void write()}>
              Download the list
            </QuietButton>
          )}
          <QuietButton size="sm" asChild>
            <WordLink to="/voices/room" textDecoration="none" color="ink">
              Check a whole room
            </WordLink>
          </QuietButton>
        </Flex>
        {singers.length === 0 && (
          <Box maxW="68ch">
            Add singers one by one, or read a list from a spreadsheet. Until then keys rest on what
            each part usually sings.
          </Box>
        )}
        {singers.length > 0 && shown.length === 0 && (
          <Box>Nobody is called that. Look for a part of a name, a part’s letters or a note.</Box>
        )}
        <LongList
          items={shown}
          label="Singers"
          rowHeight={32}
          mostHeight={Math.max(320, pageHeight - 200)}
          keyOf={({ id }) => id}
        >
          {(singer) => (
            <SingerRow
              singer={singer}
              place={parts.findIndex(({ id }) => id === singer.part)}
              isOpen={singer.id === opened}
              onOpen={() => {
                setOpened(singer.id);
                setChecks(false);
              }}
            />
          )}
        </LongList>
        <Label mt="12px">
          Names and ranges are seen by those who lead, never by readers, and never printed on a
          sheet.
        </Label>
      </Box>
      {opened !== undefined && (opened === 'new' || open) && (
        <Box w={{ base: '100%', lg: '320px' }} borderLeftWidth={{ lg: '1px' }} pl={{ lg: '24px' }}>
          {isChecking && (
            <CheckPanel
              key={opened}
              singer={open}
              states={open.states}
              parts={parts}
              onDone={() => setChecks(false)}
            />
          )}
          {/* What was typed stays while the range is checked. */}
          <Box hidden={isChecking}>
            <Name as="h2" fontSize="24px" mb="12px">
              {open ? open.name : 'A new singer'}
            </Name>
            {open && (
              <Box mb="16px">
                <MainButton size="sm" onClick={() => setChecks(true)}>
                  Check the range
                </MainButton>
              </Box>
            )}
            <SingerForm
              key={`${opened} ${open?.version}`}
              parts={parts}
              {...(open ? { singer: open } : {})}
              onDone={() => setOpened(undefined)}
            />
          </Box>
        </Box>
      )}
    </Flex>
  );
}
