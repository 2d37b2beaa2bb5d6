import { Box, Flex } from '@chakra-ui/react';
import type { Plan, PlanDocument } from '@wide-fern/contract';
import { lengthInFigures, type Clock, differenceInWords } from '@wide-fern/words';
import { useEffect, useRef } from 'react';
import { MainButton, QuietButton } from '../../ui/MainButton';
import { Label, Name } from '../../ui/words';
import { compare, evaluate } from '@wide-fern/plan';

/** Two versions of the same plan: both are shown, and the person chooses. The other stays an undo away. */
export function ClashPanel({
  mine,
  theirs,
  allotted,
  clock,
  ownName,
  onSettle,
}: {
  readonly mine: PlanDocument;
  readonly theirs: Plan;
  readonly allotted: number;
  readonly clock: Clock;
  readonly ownName: string;
  readonly onSettle: (which: 'mine' | 'theirs') => void;
}) {
  // What asks for a choice takes the keyboard along.
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => panel.current?.focus(), []);
  const differences = compare(mine, theirs.document);
  const alike = differences.filter(({ kind }) => kind === 'same').length;
  const total = (document: PlanDocument) => lengthInFigures(evaluate(document, allotted).total);
  const savedAt = clock.minute(Date.parse(theirs.savedAt));
  const who =
    theirs.savedBy === ownName ? 'in another window' : `by ${theirs.savedBy || 'someone'}`;
  return (
    <Box
      ref={panel}
      tabIndex={-1}
      role="alertdialog"
      aria-label="Two versions of this plan"
      bg="sheet"
      borderTopWidth="2px"
      borderBottomWidth="2px"
      borderColor="spore"
      px={{ base: '16px', md: '24px' }}
      py="16px"
    >
      <Name as="h2" fontSize="18px">
        This plan was changed {who} at {savedAt}, while you changed it here.
      </Name>
      <Box mb="12px">
        Nothing is lost. Look at both and choose; you can undo the choice.
        {alike > 0 && ` ${alike} ${alike === 1 ? 'segment is' : 'segments are'} the same in both.`}
      </Box>
      <Box
        as="table"
        w="100%"
        maxW="960px"
        css={{
          '& th, & td': { textAlign: 'left', padding: '3px 16px 3px 0', verticalAlign: 'top' },
          '& tr': { borderBottom: '1px solid var(--chakra-colors-line)' },
        }}
      >
        <thead>
          <tr>
            <th>
              <Label as="span">Segment</Label>
            </th>
            <th>Yours, {total(mine)}</th>
            <th>The other, {total(theirs.document)}</th>
          </tr>
        </thead>
        <tbody>
          {differences
            .filter(({ kind }) => kind !== 'same')
            .map(({ id, name, kind, mine: here, theirs: there }) => (
              <tr key={id}>
                <td>
                  <Name as="span">{name}</Name>
                </td>
                <td>
                  {kind === 'only theirs'
                    ? 'not in it'
                    : here.map(differenceInWords).join(', ') || 'in it'}
                </td>
                <td>
                  {kind === 'only mine'
                    ? 'not in it'
                    : there.map(differenceInWords).join(', ') || 'in it'}
                </td>
              </tr>
            ))}
          {differences.every(({ kind }) => kind === 'same') && (
            <tr>
              <td colSpan={3}>Both have the same segments with the same choices.</td>
            </tr>
          )}
        </tbody>
      </Box>
      <Flex gap="16px" mt="16px" wrap="wrap">
        <MainButton onClick={() => onSettle('mine')}>Keep yours</MainButton>
        <QuietButton onClick={() => onSettle('theirs')}>Take the other</QuietButton>
      </Flex>
    </Box>
  );
}
