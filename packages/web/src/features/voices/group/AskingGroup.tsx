import { Box, Flex } from '@chakra-ui/react';
import type { Singer } from '@wide-fern/contract';
import { nextNote, noteName, turnAround, type GroupCheck } from '@wide-fern/core';
import { useHere } from '../../../here/session';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { letter, lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import { Label, Name, WordButton } from '../../../ui/words';
import { giveNote } from '../../../music/hearing/giveNote';
import { TickList } from './TickList';
import type { GroupChecking } from './useGroupCheck';

const octave = 12;

/** The note that is given, who still sings, and the way on: a check of many while it goes on. */
export function AskingGroup({
  check,
  group: { change, undo, isOut },
  singers,
  width,
  heading = 'h3',
}: {
  readonly check: GroupCheck;
  readonly group: GroupChecking;
  readonly singers: readonly Singer[];
  readonly width: number;
  /** Its place among the page's headings. */
  readonly heading?: 'h2' | 'h3';
}) {
  const { writing } = useHere().choir;
  const hear = () => void giveNote(check.note);
  useShortcuts(
    [
      { keys: 'n', words: 'next note', match: letter('n'), act: () => change(nextNote(check)) },
      { keys: 'h', words: 'hear', match: letter('h'), act: hear },
      { keys: 'u', words: 'undo', match: letter('u'), act: undo.act },
    ],
    lettersOn(),
  );
  const isUp = check.way === 'up';
  const low = check.below.length > 0 && `low voices ${noteName(check.note - octave, writing)}`;
  return (
    <>
      <Box as={heading} fontWeight={650}>
        Everyone {isUp ? 'up' : 'down'}, step by step
      </Box>
      <Flex align="baseline" gap="16px" my="8px" wrap="wrap">
        <Name fontSize="64px" lineHeight="1" role="status">
          {noteName(check.note, writing)}
        </Name>
        {low && <Name fontSize="24px">{low}</Name>}
        <Label>
          {check.singers.filter((id) => !isOut(id)).length} of {check.singers.length} still sing
        </Label>
      </Flex>
      <Flex gap="8px" wrap="wrap" mb="12px" align="center">
        <MainButton size="sm" onClick={() => change(nextNote(check))}>
          Next note (n)
        </MainButton>
        <QuietButton size="sm" onClick={() => change(turnAround(check))}>
          {isUp ? 'Now down' : 'That is all'}
        </QuietButton>
        <WordButton onClick={hear}>hear (h)</WordButton>
        <WordButton onClick={undo.act} disabled={!undo.can}>
          undo (u)
        </WordButton>
      </Flex>
      <TickList check={check} singers={singers} isOut={isOut} width={width} onChange={change} />
      <Label mt="8px">
        Tick whoever drops out at this note, and “changes” where a voice is heard to change its
        register. Nobody sings on when it is not easy; a changing voice is never pushed.
      </Label>
      <Label>
        By tones while it is easy for everybody, then by semitones. What is found is the last note
        that was sung; whoever never drops out keeps what is known beyond it.
      </Label>
    </>
  );
}
