import { Box, Textarea } from '@chakra-ui/react';
import { typedProblemInWords } from '@wide-fern/words';
import type { TypedProblem } from '@wide-fern/core';
import type { Ref } from 'react';
import { Label } from '../../../ui/words';

const signs: readonly (readonly [string, string])[] = [
  ['1 2 3 8', 'steps of the scale; 8 is the octave'],
  ['do re mi', 'or so, or d r m, or C D E: what you are used to'],
  ['<7  4+  3-', 'below the first step; raised; lowered by a semitone'],
  ['5:2  5:1/2', 'how many beats'],
  [':1/2', 'so long from here on'],
  ['r  r:2', 'a rest'],
  ['5(noo)', 'a syllable; a hyphen at its end goes on: (a-) (long)'],
  ['3~ 2', 'bound together'],
  [',  |', 'breathe here; a bar line for the eye'],
  ['p  mf  ff', 'this loud from the next note on'],
  ['growing  fading', 'from the next note on, until the next of these words'],
];

/** A line as it is typed, where its first mistake stands, and how a line is typed. */
export function LineText({
  ref,
  label,
  text,
  problem,
  error,
  onText,
}: {
  readonly ref: Ref<HTMLTextAreaElement>;
  readonly label: string;
  readonly text: string;
  readonly problem: TypedProblem | undefined;
  /** What else is wrong with it. */
  readonly error: string | undefined;
  readonly onText: (text: string) => void;
}) {
  const message = problem
    ? `At character ${problem.at + 1}: ${typedProblemInWords(problem)}`
    : error;
  return (
    <Box flex="0 0 38%" minW={0}>
      <Label as="label" display="block" fontSize="12px">
        {label}, typed
        <Textarea
          ref={ref}
          value={text}
          rows={3}
          spellCheck={false}
          autoCapitalize="off"
          aria-invalid={message !== undefined}
          bg="sheet"
          color="ink"
          borderWidth="1px"
          borderColor={message ? 'brick' : 'inkSoft'}
          borderRadius="3px"
          fontSize="15px"
          w="100%"
          px="8px"
          py="4px"
          onChange={(typed) => onText(typed.currentTarget.value)}
        />
      </Label>
      {problem && (
        <Box fontSize="13px" fontFamily="mono" whiteSpace="pre-wrap" aria-hidden="true" mt="2px">
          {text.slice(Math.max(0, problem.at - 24), problem.at)}
          <Box as="span" bg="brick" color="sheet" px="1px">
            {text[problem.at] ?? '⏎'}
          </Box>
          {text.slice(problem.at + 1, problem.at + 16)}
        </Box>
      )}
      {message && (
        <Box role="alert" color="brick" fontSize="13px">
          {message}
        </Box>
      )}
      <Box as="details" fontSize="12px" color="inkSoft" mt="4px">
        <summary style={{ cursor: 'pointer' }}>how a line is typed</summary>
        <Box as="dl" display="grid" gridTemplateColumns="96px 1fr" mt="2px" columnGap="8px">
          {signs.map(([typed, meaning]) => (
            <Box key={typed} display="contents">
              <Box as="dt" color="ink" fontFamily="mono">
                {typed}
              </Box>
              <Box as="dd">{meaning}</Box>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
