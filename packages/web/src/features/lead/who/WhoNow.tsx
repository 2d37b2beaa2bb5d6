import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { putAnewInWords } from '@wide-fern/words';
import { ConditionField } from '../../../here/who/ConditionField';
import { WhoList } from '../../../here/who/WhoList';
import { usePageHeight } from '../../../ui/useSize';
import { Label, WordButton } from '../../../ui/words';
import type { Who } from './useWho';

/** So many names of those who are away are touched at once; more are found in the list. */
const mostNamed = 8;

/** Who is here, said by a touch: whoever has come late first. */
export default function WhoNow({
  who: { groups, presence, change, done, error },
  onClose,
}: {
  readonly who: Who;
  readonly onClose: () => void;
}) {
  const height = usePageHeight();
  const touch = { fontSize: '20px', minH: '44px' } as const;
  const close = (
    <WordButton {...touch} ml="auto" onClick={onClose}>
      close
    </WordButton>
  );
  if (!groups || !presence.presence) {
    return (
      <Flex align="center" gap="16px" fontSize="18px">
        {error ? messageOf(error) : 'Fetching who sings here …'}
        {close}
      </Flex>
    );
  }
  const { sections, undecided, away } = groups;
  return (
    <>
      <Flex wrap="wrap" columnGap="20px" align="center">
        <Box as="h2" fontSize="20px" fontWeight={650}>
          Who is here
        </Box>
        {away.length === 0 && <Box fontSize="18px">Everybody is here.</Box>}
        {away.slice(0, mostNamed).map(({ singer, statesTonight }) => (
          <WordButton
            key={singer.id}
            {...touch}
            onClick={() =>
              change({
                singers: [{ singer: singer.id, away: false, states: [...statesTonight] }],
              })
            }
          >
            {singer.name} has come
          </WordButton>
        ))}
        {away.length > mostNamed && (
          <Box fontSize="18px">and {away.length - mostNamed} more in the list</Box>
        )}
        {close}
      </Flex>
      <Flex gap="8px 24px" wrap="wrap" align="flex-start">
        <Box flex="1 1 320px" maxW="560px">
          <WhoList
            sections={sections}
            undecided={undecided}
            mostHeight={Math.max(176, height * 0.3)}
            change={change}
          />
        </Box>
        <Box flex="1 1 220px" maxW="360px" pt="8px">
          <ConditionField
            value={presence.presence.condition}
            onChange={(condition) => change({ condition })}
          />
          <Box role="status" mt="12px" fontSize="18px">
            {done ? putAnewInWords(done) : ''}
          </Box>
          {presence.trouble && (
            <Box role="alert" mt="8px" color="brick">
              {presence.trouble} The keys follow then.
            </Box>
          )}
          <Label mt="12px">
            Whoever is hoarse or in pain does not sing; hoarseness that lasts is for a doctor.
          </Label>
        </Box>
      </Flex>
    </>
  );
}
