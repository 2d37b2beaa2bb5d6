import { Box, Flex } from '@chakra-ui/react';
import { memo, useEffect, useMemo, useState, type ReactElement } from 'react';
import { Label, WordButton } from './words';

/** What a sign means, with the sign itself, drawn in a box of 30 by 18. */
export type SignWord = readonly [words: string, drawn: ReactElement];

const keyOf = (view: string) => `signs:${view}`;
const wasSeen = (view: string): boolean => {
  try {
    return localStorage.getItem(keyOf(view)) !== null;
  } catch {
    // A device that keeps nothing shows them each time.
    return false;
  }
};

export interface SignsShown {
  readonly isOpen: boolean;
  readonly toggle: () => void;
}

/** Whether a view's signs are explained: on first sight, and whenever somebody asks. */
export function useSigns(view: string): SignsShown {
  const [isOpen, setOpen] = useState(() => !wasSeen(view));
  useEffect(() => {
    try {
      localStorage.setItem(keyOf(view), 'seen');
    } catch {
      // Shown again the next time, then.
    }
  }, [view]);
  return useMemo(() => ({ isOpen, toggle: () => setOpen(!isOpen) }), [isOpen]);
}

/** The word behind which the signs are explained. */
export const SignsWord = ({ isOpen, toggle }: SignsShown) => (
  <WordButton fontSize="13px" aria-expanded={isOpen} onClick={toggle}>
    signs
  </WordButton>
);

/** The signs of a view with what they mean, in one row that wraps. */
export const Signs = memo(function Signs({
  shown: { isOpen, toggle },
  load,
}: {
  readonly shown: SignsShown;
  /** Fetches what is explained; the same function each time. */
  readonly load: () => Promise<readonly SignWord[]>;
}) {
  const [signs, setSigns] = useState<readonly SignWord[]>([]);
  const [isAway, setAway] = useState(false);
  useEffect(() => {
    if (!isOpen) return undefined;
    let wanted = true;
    load().then(
      (found) => {
        if (!wanted) return;
        setSigns(found);
        setAway(false);
      },
      () => {
        if (wanted) setAway(true);
      },
    );
    return () => {
      wanted = false;
    };
  }, [isOpen, load]);
  if (!isOpen) return null;
  return (
    <Flex
      as="section"
      aria-label="What the signs mean"
      gap="2px 18px"
      wrap="wrap"
      align="center"
      py="6px"
      borderTopWidth="1px"
      fontSize="12px"
    >
      {isAway && (
        <Label>The signs could not be fetched; open them again when the connection is back.</Label>
      )}
      {signs.map(([words, drawn]) => (
        <Flex key={words} as="span" gap="6px" align="center">
          <svg width={30} height={18} aria-hidden="true">
            {drawn}
          </svg>
          <Label as="span" fontSize="12px">
            {words}
          </Label>
        </Flex>
      ))}
      <Box ml="auto">
        <WordButton fontSize="12px" onClick={toggle}>
          put the signs away
        </WordButton>
      </Box>
    </Flex>
  );
});
