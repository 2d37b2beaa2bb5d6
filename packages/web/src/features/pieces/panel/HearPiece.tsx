import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import type { Section, PieceAnalysis } from '@wide-fern/core';
import { useCallback, useMemo, useState } from 'react';
import { QuietButton } from '../../../ui/MainButton';
import { Stepper } from '../../../ui/Stepper';
import { letter, lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import { PlainSelect } from '../../../ui/PlainSelect';
import type { ChosenBars } from '../model/bars';
import type { ScoreWorker } from '../../../here/score/scoreWorker';
import { usePieceHearing, type Wanted } from '../score/usePieceHearing';

/** Hearing a piece from the chosen bar on: everyone, one part alone or above the others, slower. */
export function HearPiece({
  piece,
  worker,
  analysis,
  sections,
  chosen,
  pace,
  transpose,
  onBar,
}: {
  readonly piece: Piece;
  readonly worker: ScoreWorker;
  readonly analysis: PieceAnalysis;
  readonly sections: readonly Section[];
  readonly chosen: ChosenBars | undefined;
  readonly pace: number;
  readonly transpose: number;
  readonly onBar: (bar: number | undefined) => void;
}) {
  const [who, setWho] = useState('all');
  const [percent, setPercent] = useState(100);
  const [countIn, setCountIn] = useState(true);
  const sung = sections.filter(({ id }) => analysis.parts.some(({ part }) => part === id));
  const mapping = piece.piece.score!.mapping;
  const names = sung.map(({ id }) => id).join(' ');
  const wanted = useMemo((): Wanted => {
    const [how = 'all', part = ''] = who.split(' ');
    return {
      mapping,
      parts: how === 'alone' ? [part] : names.split(' '),
      loud: how === 'louder' ? part : null,
      pace: (pace * percent) / 100,
      transpose,
    };
  }, [who, mapping, names, pace, percent, transpose]);
  const { bars } = analysis;
  const say = useCallback(
    (place: number | undefined) => onBar(place === undefined ? undefined : bars[place]?.number),
    [bars, onBar],
  );
  const { state, begin, stop } = usePieceHearing(worker, wanted, say);
  const isOn = state.kind === 'playing' || state.kind === 'opening';
  const first = Math.max(
    0,
    bars.findIndex(({ number }) => number >= (chosen?.from ?? 0)),
  );
  const toggle = () => (isOn ? stop() : void begin(first, countIn));
  useShortcuts(
    useMemo(
      () => [{ keys: 'h', words: 'hear', match: letter('h'), act: () => toggle() }],
      // The toggle follows what is on.
      // eslint-disable-next-line react-hooks/exhaustive-deps
      [isOn, begin, stop, first, countIn],
    ),
    lettersOn(),
  );
  return (
    <Box>
      <Flex gap="14px" align="center" wrap="wrap" fontSize="13px">
        <QuietButton size="xs" fontSize="13px" onClick={toggle} aria-pressed={isOn}>
          {isOn ? 'Be silent' : `Hear it from bar ${bars[first]?.number ?? 1}`}
        </QuietButton>
        <PlainSelect
          label="Who is heard"
          value={who}
          onChange={setWho}
          options={[
            { value: 'all', word: 'everyone' },
            ...sung.map(({ id, many }) => ({ value: `alone ${id}`, word: `${many} alone` })),
            ...sung.map(({ id, many }) => ({ value: `louder ${id}`, word: `${many} louder` })),
          ]}
        />
        <Stepper
          label=""
          labelWidth="0"
          name="Pace in percent"
          value={percent}
          limits={[30, 150]}
          step={10}
          unit="% of the tempo"
          disabled={false}
          onChange={setPercent}
        />
        <Flex as="label" gap="5px" align="center">
          <input
            type="checkbox"
            checked={countIn}
            onChange={(event) => setCountIn(event.currentTarget.checked)}
          />
          count a bar first
        </Flex>
      </Flex>
      {state.kind === 'failed' && (
        <Box role="alert" color="brick" fontSize="13px">
          {state.message} The notes are as good.
        </Box>
      )}
    </Box>
  );
}
