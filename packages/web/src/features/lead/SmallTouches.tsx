import { Box, Flex } from '@chakra-ui/react';
import { managing, type Giving, type Managing, type Touch } from '@wide-fern/core';
import { capitalise, managedWords } from '@wide-fern/words';
import { memo, useState } from 'react';
import { WordButton } from '../../ui/words';
import type { Panel } from './stand/touches';

interface Small {
  readonly word: string;
  /** Where the word alone does not say it. */
  readonly label?: string;
  readonly act: () => void;
  readonly isOn: boolean;
  /** On a phone only among what is opened. */
  readonly isRare?: boolean;
}

/** What is touched more rarely, in words. */
export const SmallTouches = memo(function SmallTouches({
  isRehearsed,
  isOpen,
  isTalking,
  isPaused,
  isHeld,
  canAgain,
  canMove,
  onTouch,
  onManaged,
  onUndo,
  onGive,
  onOpen,
  said,
}: {
  readonly isRehearsed: boolean;
  /** Whether an exercise is open. */
  readonly isOpen: boolean;
  readonly isTalking: boolean;
  readonly isPaused: boolean;
  readonly isHeld: boolean;
  readonly canAgain: boolean;
  readonly canMove: boolean;
  readonly onTouch: (touch: Touch) => void;
  readonly onManaged: (how: Managing) => void;
  readonly onUndo: () => void;
  readonly onGive: (how: Giving) => void;
  readonly onOpen: (which: Panel) => void;
  /** What has to be known and is not loud: «offline, kept here». */
  readonly said: string;
}) {
  const [isMore, setMore] = useState(false);
  const touch = (which: Touch) => () => onTouch(which);
  // Of what has no keys there is nothing to hear or to move: how it went stands there instead.
  const ofKeys: readonly Small[] = [
    { word: 'Higher', act: touch('higher'), isOn: canMove, isRare: true },
    { word: 'Chord', act: () => onGive('chord'), isOn: canMove, isRare: true },
    { word: 'Score', act: () => onOpen('score'), isOn: canMove, isRare: true },
  ];
  const ofOthers = managing.map((how) => ({
    word: how === 'all' ? capitalise(managedWords.all) : capitalise(how),
    label: capitalise(managedWords[how]),
    act: () => onManaged(how),
    isOn: canAgain,
    isRare: true,
  }));
  const ofChoir: readonly Small[] = [
    { word: 'Who is here', act: () => onOpen('who'), isOn: true, isRare: true },
    { word: 'Screens', act: () => onOpen('screens'), isOn: true, isRare: true },
  ];
  const all: readonly Small[] = [
    { word: 'Back', act: touch('back'), isOn: isOpen },
    { word: 'Undo', act: onUndo, isOn: isOpen },
    {
      word: isTalking ? 'Singing again' : 'Talking',
      act: touch('talk'),
      isOn: canAgain,
    },
    { word: 'Note', act: () => onOpen('noticed'), isOn: isOpen },
    { word: 'Stay longer', act: touch('stay'), isOn: canAgain && !isHeld, isRare: true },
    { word: isPaused ? 'Go on' : 'Pause', act: touch('pause'), isOn: isOpen, isRare: true },
    ...(canMove || !canAgain ? ofKeys : ofOthers),
    { word: 'Sound', act: () => onOpen('sound'), isOn: isOpen, isRare: true },
    ...(isRehearsed ? [] : ofChoir),
    { word: 'Keys', act: () => onOpen('controls'), isOn: true, isRare: true },
    { word: 'End', act: touch('stop'), isOn: true, isRare: true },
  ];
  const size = { fontSize: { base: '18px', md: '20px', xl: '24px' }, minH: '44px' } as const;
  return (
    <Flex px={{ base: '20px', md: '40px' }} columnGap="18px" wrap="wrap" align="center">
      {all.map(({ word, label, act, isOn, isRare }) => (
        <WordButton
          key={word}
          {...size}
          display={{ base: isRare && !isMore ? 'none' : 'block', md: 'block' }}
          aria-label={label}
          disabled={!isOn}
          onClick={act}
        >
          {word}
        </WordButton>
      ))}
      <WordButton
        {...size}
        display={{ md: 'none' }}
        aria-expanded={isMore}
        onClick={() => setMore(!isMore)}
      >
        {isMore ? 'less' : 'more'}
      </WordButton>
      <Box ml="auto" fontSize="17px" color="inkSoft" role="status">
        {said}
      </Box>
    </Flex>
  );
});
