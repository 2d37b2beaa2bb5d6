import { Box, Flex } from '@chakra-ui/react';
import type { SentAct } from '@wide-fern/contract';
import { managing, type Managing, type Section } from '@wide-fern/core';
import { managedWords } from '@wide-fern/words';
import { useState, type ReactNode } from 'react';
import { FormField } from '../../ui/FormField';
import { WordButton } from '../../ui/words';
import { HurtsTouch } from './HurtsTouch';
import { OnTop } from './stand/OnTop';

const words = ['worked', 'too long', 'once more next time'] as const;

/** What is noticed while it goes on, each with one touch; none of them stops anything. */
export default function Noticed({
  sections,
  onNote,
  onManaged,
  rule,
  onPain,
  onClose,
}: {
  readonly sections: readonly Section[];
  readonly onNote: (act: SentAct) => void;
  readonly onManaged: (how: Managing) => void;
  /** What comes of how many managed, to be set. */
  readonly rule: ReactNode;
  readonly onPain: () => void;
  readonly onClose: () => void;
}) {
  const [own, setOwn] = useState('');
  const mark = (word: string, part: string | null = null) => onNote({ kind: 'marked', part, word });
  const keepOwn = () => {
    const word = own.trim().slice(0, 120);
    if (word !== '') mark(word);
    setOwn('');
  };
  const touch = { fontSize: '20px', minH: '44px', px: '6px' } as const;
  return (
    <OnTop label="What happens">
      <Flex wrap="wrap" columnGap="20px" align="center">
        <HurtsTouch onPain={onPain} />
        {sections.map(({ id, many }) => (
          <WordButton key={id} {...touch} onClick={() => mark('strained', id)}>
            {many} strained
          </WordButton>
        ))}
        {words.map((word) => (
          <WordButton key={word} {...touch} onClick={() => mark(word)}>
            {word}
          </WordButton>
        ))}
        {managing.map((how) => (
          <WordButton key={how} {...touch} onClick={() => onManaged(how)}>
            {managedWords[how]}
          </WordButton>
        ))}
      </Flex>
      <Flex gap="16px" align="flex-end" wrap="wrap">
        <Box flex="1 1 240px">
          <FormField
            label="in your own words"
            value={own}
            maxLength={120}
            onChange={(event) => setOwn(event.currentTarget.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter') keepOwn();
            }}
          />
        </Box>
        <WordButton {...touch} onClick={keepOwn}>
          note it
        </WordButton>
        <WordButton {...touch} onClick={onClose}>
          close
        </WordButton>
      </Flex>
      {rule}
    </OnTop>
  );
}
