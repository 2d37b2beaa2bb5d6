import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { sessionQuery } from '@wide-fern/client';
import { useState } from 'react';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { chooseLight, chosenLight, type Light } from '../../here/theme';
import { Passage } from '../../ui/Passage';
import { SelectField } from '../../ui/SelectField';
import { Name, WordLink } from '../../ui/words';
import { Browsers } from './own/Browsers';
import { ChangePassword } from './own/ChangePassword';
import { CloseAccount } from './own/CloseAccount';
import { EmailForm, NameForm } from './own/NameAndEmail';
import { SecondFactor } from './own/SecondFactor';

function LightField() {
  const [light, setLight] = useState(chosenLight);
  return (
    <Box maxW="220px">
      <SelectField
        label="Light"
        value={light}
        options={[
          { value: 'device', word: 'as this device' },
          { value: 'light', word: 'by day' },
          { value: 'dark', word: 'for the evening' },
        ]}
        onChange={(event) => {
          const chosen = event.currentTarget.value as Light;
          chooseLight(chosen);
          setLight(chosen);
        }}
      />
    </Box>
  );
}

/** What is one's own: name, ways in, browsers, light. */
export default function AccountPage() {
  const here = useHere();
  const { data: session } = useQuery(sessionQuery);
  const account = session?.account ?? here.account;
  const isDemo = here.choir.demoUntil !== null;
  return (
    <Frame>
      <Box maxW="860px" w="100%" mx="auto" px="24px" py="24px">
        <Name as="h1" fontSize="34px" mb="4px">
          {account.name}
        </Name>
        <Box mb="16px">
          <WordLink to="/choir">{here.choir.name}: the choir’s settings</WordLink>
        </Box>
        {isDemo ? (
          <Passage title="You, for now">
            The people of the demo are invented and have no password. Make an account to have one of
            your own: sign out first.
          </Passage>
        ) : (
          <>
            <Passage title="Name and e-mail">
              <Flex gap="40px" wrap="wrap">
                <NameForm name={account.name} />
                <EmailForm email={account.email} />
              </Flex>
            </Passage>
            <Passage title="Password">
              <ChangePassword />
            </Passage>
            <Passage title="Six digits beside the password">
              <SecondFactor isOn={account.secondFactor} />
            </Passage>
          </>
        )}
        <Passage title="Where you are signed in">
          <Browsers />
        </Passage>
        <Passage title="Light on this device">
          <LightField />
        </Passage>
        {!isDemo && (
          <Passage title="The end of your account">
            <CloseAccount closesAt={account.closesAt} />
          </Passage>
        )}
      </Box>
    </Frame>
  );
}
