import { Box } from '@chakra-ui/react';
import { dayInWords } from '@wide-fern/words';
import { WordLink } from '../ui/words';
import { useHere } from './session';

/** The choir or one's account is thrown away soon: said on every page until somebody decides. */
export function ClosingNotice() {
  const { account, choir } = useHere();
  if (!choir.closesAt && !account.closesAt) return null;
  return (
    <Box role="status" px={{ base: '16px', md: '24px' }} py="6px" bg="sunk" fontSize="13px">
      {choir.closesAt && (
        <>
          {choir.name} is thrown away on {dayInWords(choir.closesAt, choir.timeZone)}.{' '}
          <WordLink to="/choir">Keep it or look</WordLink>{' '}
        </>
      )}
      {account.closesAt && (
        <>
          Your account is thrown away on {dayInWords(account.closesAt, choir.timeZone)}.{' '}
          <WordLink to="/account">Keep it or look</WordLink>
        </>
      )}
    </Box>
  );
}
