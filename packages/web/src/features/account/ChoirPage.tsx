import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { queryClient } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { rememberChoir, useHere } from '../../here/session';
import { chooseLight, chosenLight, type Light } from '../../here/theme';
import { SelectField } from '../../ui/SelectField';
import { Name } from '../../ui/words';
import { ChangePassword } from './ChangePassword';
import { Members } from './Members';
import { PhraseField } from './PhraseField';
import { SignOutWords } from './SignOutWords';

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box as="section" py="24px" borderTopWidth="1px" borderColor="ink">
      <Box as="h2" fontWeight={650} mb="8px">
        {title}
      </Box>
      {children}
    </Box>
  );
}

/** The choir's members, and the signed-in person's own settings. */
export default function ChoirPage() {
  const { account, choir, choirs, mayEdit } = useHere();
  const navigate = useNavigate();
  const [light, setLight] = useState(chosenLight);
  return (
    <Frame>
      <Box maxW="860px" w="100%" mx="auto" px="24px" py="24px">
        <Name as="h1" fontSize="34px" mb="16px">
          {choir.name}
        </Name>
        {choirs.length > 1 && (
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
        )}
        {mayEdit && (
          <Part title="Who belongs to it">
            <Members />
          </Part>
        )}
        <Part title="Its breath">
          <PhraseField />
        </Part>
        <Part title={`You, ${account.name}`}>
          <Flex gap="40px" wrap="wrap">
            <Box>
              <ChangePassword />
            </Box>
            <Box w="220px">
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
              <Flex mt="24px" gap="24px">
                <SignOutWords />
                <SignOutWords everywhere />
              </Flex>
            </Box>
          </Flex>
        </Part>
      </Box>
    </Frame>
  );
}
