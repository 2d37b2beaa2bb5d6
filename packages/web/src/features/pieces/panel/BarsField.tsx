import { Box, Flex, Input } from '@chakra-ui/react';
import type { PieceAnalysis } from '@wide-fern/core';
import { barsInWords } from '@wide-fern/words';
import { useId, useState } from 'react';
import { Label, Name } from '../../../ui/words';
import { readBars, writeBars, type ChosenBars } from '../model/bars';

/** The chosen bars by their printed numbers, which can be typed: «7», «19-22», «19 to 22». */
export function BarsField({
  analysis,
  chosen,
  onChoose,
}: {
  readonly analysis: PieceAnalysis;
  readonly chosen: ChosenBars | undefined;
  readonly onChoose: (bars: ChosenBars) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const numbers = analysis.bars.map(({ number }) => number);
  const [first, last] = [Math.min(...numbers), Math.max(...numbers)];
  const take = () => {
    if (typed === undefined) return;
    const bars = readBars(typed.trim().replace(/\s*(?:to|–|-)\s*/, '-'));
    if (!bars) setWrong('Type the numbers of bars, like 7 or 19-22.');
    else if (!numbers.some((number) => number >= bars.from && number <= bars.to)) {
      setWrong(`The piece has the bars ${first} to ${last}.`);
    } else {
      setWrong(undefined);
      setTyped(undefined);
      onChoose({ from: Math.max(first, bars.from), to: Math.min(last, bars.to) });
    }
  };
  return (
    <Box mb="4px">
      <Flex align="baseline" gap="12px" wrap="wrap">
        {chosen && (
          <Name as="h2" fontSize="18px">
            {barsInWords(chosen.from, chosen.to).replace('b', 'B')}
          </Name>
        )}
        <Flex as="label" align="baseline" gap="6px" fontSize="13px">
          <Label as="span">bars</Label>
          <Input
            size="xs"
            w="86px"
            bg="sheet"
            borderColor={wrong ? 'brick' : 'inkSoft'}
            fontSize="13px"
            aria-label="Numbers of the bars"
            aria-invalid={wrong !== undefined}
            aria-describedby={id}
            placeholder="19-22"
            value={typed ?? (chosen ? writeBars(chosen) : '')}
            onChange={(event) => setTyped(event.currentTarget.value)}
            onBlur={take}
            onKeyDown={(event) => {
              if (event.key === 'Enter') take();
              if (event.key !== 'Escape') return;
              setTyped(undefined);
              setWrong(undefined);
            }}
          />
        </Flex>
      </Flex>
      <Box id={id} role={wrong ? 'alert' : undefined} color="brick" fontSize="13px">
        {wrong}
      </Box>
    </Box>
  );
}
