import { Box, Flex, Input } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import {
  aimReached,
  beatsOf,
  hasKeys,
  keysOf,
  sharedKeys,
  tonicName,
  type Excerpt,
  type Section,
} from '@wide-fern/core';
import { aimInWords, lengthInFigures } from '@wide-fern/words';
import { useMemo } from 'react';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Stepper } from '../../../ui/Stepper';
import { Label, WordLink } from '../../../ui/words';
import { KeyLetters } from '../drawing/KeyLetters';
import type { ChosenBars } from '../model/bars';
import { exerciseOf, type Making } from '../../../here/score/exercise';
import { ChoiceRow } from './ChoiceRow';
import { PutIntoPlan } from './PutIntoPlan';
import { useStoring } from './useStoring';

/** What of it can only be said once the bars are here: pace, keys, name, and the act. */
export function MakingDetails({
  excerpt,
  making,
  onChange,
  piece,
  sections,
  chosen,
  troubled,
  transpose,
}: {
  readonly excerpt: Excerpt;
  readonly making: Making;
  readonly onChange: (next: Partial<Making>) => void;
  readonly piece: Piece;
  readonly sections: readonly Section[];
  readonly chosen: ChosenBars;
  readonly troubled: string | undefined;
  readonly transpose: number;
}) {
  const { choir } = useHere();
  const { made, trouble, isStoring, store } = useStoring(choir.id);
  const exercise = useMemo(
    () =>
      exerciseOf(excerpt, making, {
        piece: piece.id,
        title: piece.piece.title,
        from: chosen.from,
        to: chosen.to,
        marks: piece.marks,
        sections,
        troubled,
        transpose,
      }),
    [excerpt, making, piece, sections, chosen, troubled, transpose],
  );
  const keys = useMemo(() => sharedKeys(exercise, sections) ?? [], [exercise, sections]);
  const beats = beatsOf(exercise.music);
  const seconds = (beats * 60) / making.tempo;
  const reached = useMemo(() => {
    const choices = { ...exercise.usual, start: null };
    if (!hasKeys(exercise.music)) return undefined;
    const keysTonight = keysOf(exercise, exercise.music, choices, { sections, needs: [] });
    return aimReached(exercise.aim, keysTonight);
  }, [exercise, sections]);
  const wrongName = making.name.trim() === '';
  return (
    <>
      <ChoiceRow label="Pace">
        <Stepper
          label=""
          labelWidth="0"
          name="Pace in beats a minute"
          value={making.tempo}
          limits={[20, 240]}
          step={2}
          disabled={false}
          onChange={(tempo) => onChange({ tempo })}
        />
        <Label as="span">
          {Math.round(excerpt.tempo)} in the piece · {Math.round(beats * 10) / 10} beats,{' '}
          {Math.round(seconds)} s
        </Label>
      </ChoiceRow>
      <ChoiceRow label="Breath">
        <span>
          {excerpt.breathBeats === 1 ? 'a beat' : `${excerpt.breathBeats} beats`} before it begins
          again
        </span>
      </ChoiceRow>
      <ChoiceRow label="Name">
        <Input
          size="xs"
          aria-label="Name of the exercise"
          aria-invalid={wrongName}
          value={making.name}
          maxLength={60}
          bg="sheet"
          w="260px"
          onChange={(event) => onChange({ name: event.currentTarget.value })}
        />
        {wrongName && (
          <Box role="alert" color="brick">
            Give it a name.
          </Box>
        )}
      </ChoiceRow>
      <Flex gap="8px" mt="4px">
        <Label as="span" w="60px">
          Keys
        </Label>
        <KeyLetters
          music={exercise.music}
          sections={sections}
          own={excerpt.tonic + transpose}
          writing={choir.writing}
        />
      </Flex>
      {reached && (
        <Box mt="4px" fontWeight={reached.kind === 'short' ? 650 : undefined}>
          {aimInWords(reached, sections, choir.writing)}
        </Box>
      )}
      {made ? (
        <Box role="status" mt="8px">
          “{made.name}” is among your exercises.{' '}
          <WordLink to={`/exercises/${made.id}`}>look at it and hear it</WordLink>
        </Box>
      ) : (
        <Flex gap="4px 14px" align="center" mt="8px" wrap="wrap">
          <MainButton
            size="sm"
            disabled={isStoring || wrongName}
            onClick={() => void store(exercise)}
          >
            Make the exercise
          </MainButton>
          <Label as="span">
            {keys.length === 0
              ? 'no key suits every part; some rest or move'
              : `${keys.length} ${keys.length === 1 ? 'key suits' : 'keys suit'} every part: ${tonicName(keys[0]!, 'major', choir.writing)} to ${tonicName(keys.at(-1)!, 'major', choir.writing)}`}
            , {lengthInFigures(seconds)} a key
          </Label>
        </Flex>
      )}
      <PutIntoPlan
        piece={piece}
        disabled={isStoring || wrongName}
        stored={async () => made ?? store(exercise)}
      />
      {trouble && (
        <Box role="alert" color="brick" mt="4px">
          {trouble}
        </Box>
      )}
    </>
  );
}
