import { Box, Flex } from '@chakra-ui/react';
import { listedNotes, namingOfList } from '@wide-fern/core';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { Name, WordLink } from '../../../ui/words';
import { ChooseList } from './ChooseList';
import { guessReading, readCells } from './csv';
import { keepList, readKept, type ReadList } from './keptList';
import { MapList } from './MapList';
import { WithRoster, type RosterData } from './WithRoster';

/** Reads a roster from a spreadsheet: paste or choose, say what the columns are, look, store. */
export default function ReadListPage() {
  return <WithRoster>{(data) => <ReadAList {...data} />}</WithRoster>;
}

function ReadAList({ parts, singers }: RosterData) {
  const { choir, account } = useHere();
  const [list, setList] = useState(() => readKept(account.id, choir.id));
  const [trouble, setTrouble] = useState<string>();
  const change = (next: ReadList | undefined) => {
    setList(next);
    keepList(account.id, choir.id, next);
  };
  const take = (text: string) => {
    const { rows, warning } = readCells(text);
    if (rows.length === 0) {
      setTrouble(
        'There is nothing in it yet. Copy the rows in the spreadsheet and paste them here.',
      );
      return;
    }
    setTrouble(undefined);
    const reading = guessReading(rows);
    const notes = listedNotes(reading.headings ? rows.slice(1) : rows, { ...reading, parts });
    change({ rows, ...reading, ...namingOfList(notes, choir.naming), warning });
  };
  return (
    <Box px={{ base: '16px', md: '40px' }} pt="16px" pb="24px" flex="1">
      <Flex justify="space-between" gap="16px" wrap="wrap" align="baseline" mb="12px">
        <Name as="h1" fontSize="24px">
          {list ? 'Look at the list before it is stored' : 'Read a list of singers'}
        </Name>
        <WordLink to="/voices/roster">back to the roster</WordLink>
      </Flex>
      {list ? (
        <MapList
          list={list}
          parts={parts}
          singers={singers}
          onChange={change}
          onAway={() => change(undefined)}
        />
      ) : (
        <ChooseList trouble={trouble} onText={take} onTrouble={setTrouble} />
      )}
    </Box>
  );
}
