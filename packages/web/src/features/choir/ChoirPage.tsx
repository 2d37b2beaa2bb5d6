import { Box } from '@chakra-ui/react';
import { momentInWords } from '@wide-fern/words';
import { useNavigate } from 'react-router';
import { queryClient } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { rememberChoir, useHere } from '../../here/session';
import { Passage } from '../../ui/Passage';
import { SelectField } from '../../ui/SelectField';
import { ownZone } from '../../ui/zones';
import { Label, Name, WordLink } from '../../ui/words';
import { Invitations } from './Invitations';
import { GiveOut } from './GiveOut';
import { CloseChoir, LeaveChoir } from './Leaving';
import { Members } from './Members';
import { PhraseField } from './PhraseField';
import { Records } from './Records';
import { Room } from './Room';
import { Settings } from './Settings';

function ChoirInUse() {
  const { choir, choirs } = useHere();
  const navigate = useNavigate();
  if (choirs.length < 2) return null;
  return (
    <Box maxW="320px" mb="24px">
      <SelectField
        label="Choir in use"
        value={choir.id}
        options={choirs.map(({ id, name }) => ({ value: id, word: name }))}
        onChange={(event) => {
          rememberChoir(event.currentTarget.value);
          void queryClient.invalidateQueries();
          void navigate('/');
        }}
      />
    </Box>
  );
}

/** A choir's own settings: who belongs to it, what it is called, how it breathes. */
export default function ChoirPage() {
  const { account, choir, mayEdit } = useHere();
  const isDirector = choir.role === 'director';
  const isDemo = choir.demoUntil !== null;
  return (
    <Frame>
      <Box maxW="860px" w="100%" mx="auto" px="24px" py="24px">
        <Name as="h1" fontSize="34px" mb="4px">
          {choir.name}
        </Name>
        <Box mb="16px">
          <WordLink to="/account">{account.name}: your own settings</WordLink>
        </Box>
        {choir.demoUntil && (
          <Label mb="16px">
            A choir to look around in: yours alone, and thrown away{' '}
            {momentInWords(choir.demoUntil, ownZone, choir.clock)}. Nobody is invited into it.
          </Label>
        )}
        <ChoirInUse />
        {mayEdit && (
          <Passage title="Who belongs to it">
            <Members />
            {isDirector && !isDemo && <Invitations />}
          </Passage>
        )}
        <Passage title="Its name, clock and notes">
          <Settings />
        </Passage>
        {mayEdit && (
          <Passage title="What it keeps">
            <Room />
          </Passage>
        )}
        <Passage title="Its breath">
          <PhraseField />
        </Passage>
        {isDirector && (
          <Passage title="What was done">
            <Records />
          </Passage>
        )}
        {mayEdit && (
          <Passage title="Everything in one file">
            <GiveOut />
          </Passage>
        )}
        {!isDemo && (
          <Passage title="Leaving">
            <LeaveChoir />
            {isDirector && <CloseChoir />}
          </Passage>
        )}
      </Box>
    </Frame>
  );
}
