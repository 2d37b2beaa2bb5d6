import { Box, Flex } from '@chakra-ui/react';
import { useRef, type ReactNode } from 'react';
import { WordButton } from './words';

/** A word of a sentence that can be changed: dotted beneath, and open while its fields are. */
export function SentenceWord({
  open,
  onToggle,
  children,
}: {
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Box
      // A button would be a box of its own; a word goes on in the next line like any other.
      as="span"
      role="button"
      tabIndex={0}
      cursor="pointer"
      aria-expanded={open}
      onClick={onToggle}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onToggle();
      }}
      borderBottomWidth="2px"
      borderBottomStyle="dotted"
      borderColor={open ? 'fern' : 'inkSoft'}
      color={open ? 'fern' : 'ink'}
      pb="2px"
    >
      {children}
    </Box>
  );
}

/** The fields behind a word, beneath the sentence; Escape or «close» puts them away. */
export function SentenceFields({
  children,
  onClose,
}: {
  readonly children: ReactNode;
  readonly onClose: () => void;
}) {
  const own = useRef<HTMLDivElement>(null);
  // The word that opened them has the focus again, so that the keyboard goes on from there.
  const close = () => {
    const sentence = own.current?.parentElement;
    sentence?.querySelector<HTMLElement>('[aria-expanded=true]')?.focus();
    onClose();
  };
  return (
    <Flex
      ref={own}
      gap="2px 16px"
      wrap="wrap"
      align="flex-end"
      borderLeftWidth="3px"
      borderColor="fern"
      pl="10px"
      mt="6px"
      onKeyDown={(event) => {
        if (event.key === 'Escape') close();
      }}
    >
      {children}
      <WordButton type="button" fontSize="13px" minH="32px" onClick={close}>
        close
      </WordButton>
    </Flex>
  );
}

/** A tick with its words. */
export function TickWord({
  checked,
  onChange,
  children,
}: {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly children: ReactNode;
}) {
  return (
    <Flex as="label" gap="5px" align="center" minH="28px" fontSize="13px" whiteSpace="nowrap">
      <input
        type="checkbox"
        checked={checked}
        onChange={(event) => onChange(event.currentTarget.checked)}
      />
      {children}
    </Flex>
  );
}
