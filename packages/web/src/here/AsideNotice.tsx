import { Box } from '@chakra-ui/react';
import { asideStore, forgetAside } from '@wide-fern/client';
import { useStore } from 'zustand';
import { saveFile } from '../ui/saveFile';
import { WordButton } from '../ui/words';

/** What is said of each kind of thing that was kept on this device. */
const kindWords: Readonly<Record<string, string>> = {
  draft: 'changes that were not saved',
  presence: 'who is here',
  check: 'a range check',
  'section-check': 'a check of a whole section',
  list: 'a list that was being read',
  making: 'an exercise in the making',
  note: 'a note on an exercise',
  'cool-down': 'that a cool-down was called to mind',
  steps: 'which first steps were skipped',
};

/** Something kept on this device cannot be read any more: it is said, and lies aside until a person decides. */
export function AsideNotice() {
  const { aside } = useStore(asideStore);
  const [first] = aside;
  if (!first) return null;
  const what = kindWords[first.kind] ?? 'something';
  return (
    <Box role="alert" px={{ base: '16px', md: '24px' }} py="6px" bg="sunk" fontSize="13px">
      Kept on this device, but not readable any more: {what}
      {aside.length > 1 && ` (and ${aside.length - 1} more)`}. It was made by another version, or is
      damaged. Nothing was thrown away.{' '}
      <WordButton
        fontSize="13px"
        onClick={() => saveFile('wide-fern-aside.json', 'application/json', first.text)}
      >
        download it
      </WordButton>
      {' · '}
      <WordButton fontSize="13px" onClick={() => forgetAside(first.key)}>
        throw it away
      </WordButton>
    </Box>
  );
}
