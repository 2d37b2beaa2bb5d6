import { Box, Flex } from '@chakra-ui/react';
import type { LadderProblem, Section, SegmentKeys, ToldMove } from '@wide-fern/core';
import { tellWords, type Wording } from '@wide-fern/words';
import { useEffect, useRef } from 'react';
import { WordChoice } from '../../ui/WordChoice';
import { WordButton } from '../../ui/words';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

/** Whether a part was told what to do in a key. */
export const isTold = (fixed: LadderProblem['fixed'], part: string, place: number): boolean =>
  fixed !== undefined && Object.hasOwn(fixed, part) && fixed[part]![place] !== undefined;

/** What is chosen where nothing is told. */
const best = 'best';

/** What a part is to do in one of the ladder's keys: by hand, or what is best. */
export function Telling({
  keys,
  sections,
  wording,
  part,
  place,
  onTell,
  onClose,
}: {
  readonly keys: LadderKeys;
  readonly sections: readonly Section[];
  readonly wording: Wording;
  readonly part: string;
  readonly place: number;
  readonly onTell: (part: string, place: number, move: ToldMove | null) => void;
  readonly onClose: () => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    frame.current?.querySelector<HTMLElement>('[role="radio"][aria-checked="true"]')?.focus();
  }, []);
  const band = sections.find(({ id }) => id === part);
  const tonic = keys.sung?.tonics[place];
  if (!band || tonic === undefined) return null;
  const words = tellWords(band, tonic, wording);
  const { fixed } = keys.problem;
  const told = isTold(fixed, part, place) ? fixed![part]![place]! : best;
  return (
    <Flex
      ref={frame}
      gap="0 12px"
      wrap="wrap"
      align="center"
      fontSize="13px"
      mt="6px"
      borderLeftWidth="3px"
      borderColor="fern"
      pl="8px"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
    >
      <Box fontWeight={650}>{words.who}</Box>
      <WordChoice<ToldMove | typeof best>
        label={words.who}
        value={told}
        options={[...words.moves, [best, 'what is best']]}
        onChange={(move) => onTell(part, place, move === best ? null : move)}
      />
      <WordButton fontSize="13px" onClick={onClose}>
        close
      </WordButton>
    </Flex>
  );
}
