import { Box, Flex } from '@chakra-ui/react';
import type { Tonight } from '@wide-fern/contract';
import {
  asSentences,
  decidingInWords,
  edgesInWords,
  movesInWords,
  type AccidentalPreference,
  type Wording,
} from '@wide-fern/core';
import type { ReactNode } from 'react';
import { color } from '../../../ui/color';
import { Label, Name } from '../../../ui/words';
import type { Evaluated } from '../model/evaluate';
import { needMetInWords } from '../model/needs';
import { timeInWords } from '../model/words';

function Row({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box display="grid" gridTemplateColumns="62px 1fr" mb="4px">
      <Label as="dt" fontSize="12px" pt="1px">
        {label}
      </Label>
      <Box as="dd">{children}</Box>
    </Box>
  );
}

/** The right of the bench: why, what to say, what to mind, how long. */
export function Words({
  evaluated,
  tonight,
  wording,
  accidentals,
}: {
  readonly evaluated: Evaluated;
  readonly tonight: Tonight;
  readonly wording: Wording;
  readonly accidentals: AccidentalPreference;
}) {
  const { segment, computed } = evaluated;
  const { exercise } = segment;
  const { keys } = computed;
  const { sung, problem } = keys.kind === 'ladder' ? keys : {};
  const why = [
    ...needMetInWords(evaluated, tonight, accidentals),
    ...(sung && problem ? asSentences(decidingInWords(sung, problem, wording)) : []),
  ];
  const moves = sung ? asSentences(movesInWords(sung, tonight.bands, wording)) : [];
  const edges = sung && problem ? asSentences(edgesInWords(sung, problem, wording)) : [];
  return (
    <Box as="dl" fontSize="13px">
      {why.length > 0 && <Row label="Why">{why.join(' ')}</Row>}
      {sung && (
        <Row label="Parts">
          {moves.length > 0 ? moves.join(' ') : 'Every part sings every key in its usual octave.'}
        </Row>
      )}
      {edges.length > 0 && <Row label="Edge">{edges.join(' ')}</Row>}
      <Row label="Cue">
        <Name as="span" fontSize="15px">
          {exercise.cue}
        </Name>
      </Row>
      <Row label="Purpose">{exercise.purpose}</Row>
      {exercise.cautions.length > 0 && (
        <Row label="Caution">
          {exercise.cautions.map((caution) => (
            <Flex key={caution} gap="6px" align="baseline">
              <svg
                width="8"
                height="8"
                viewBox="0 0 8 8"
                aria-hidden="true"
                style={{ flexShrink: 0 }}
              >
                <path d="M4 0 L8 4 L4 8 L0 4 Z" fill={color('spore')} />
              </svg>
              <Box>{caution}</Box>
            </Flex>
          ))}
        </Row>
      )}
      {exercise.steps.length > 0 && <Row label="Steps">{exercise.steps.join(' ')}</Row>}
      {exercise.watchFor.length > 0 && <Row label="Watch">{exercise.watchFor.join(' ')}</Row>}
      <Row label="Time">
        <details>
          <summary style={{ cursor: 'pointer' }}>{timeInWords(evaluated)[0]}</summary>
          {timeInWords(evaluated).slice(1).join(' ')}
        </details>
      </Row>
    </Box>
  );
}
