import { Box, Flex, Input } from '@chakra-ui/react';
import type { Exercise, Piece } from '@wide-fern/contract';
import { type Section, beatsOf, sharedKeys, tonicName, type Excerpt } from '@wide-fern/core';
import { lengthInFigures } from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { messageOf, storeExercises } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Stepper } from '../../../ui/Stepper';
import { Label, WordLink } from '../../../ui/words';
import { KeyLetters } from '../drawing/KeyLetters';
import type { ChosenBars } from '../model/bars';
import { exerciseOf, type Making } from '../model/exercise';
import { ChoiceRow } from './ChoiceRow';

/** What of it can only be said once the bars are here: pace, keys, name, and the act. */
export function MakingDetails({
  excerpt,
  making,
  onChange,
  piece,
  sections,
  chosen,
}: {
  readonly excerpt: Excerpt;
  readonly making: Making;
  readonly onChange: (next: Partial<Making>) => void;
  readonly piece: Piece;
  readonly sections: readonly Section[];
  readonly chosen: ChosenBars;
}) {
  const { choir } = useHere();
  const [made, setMade] = useState<Exercise>();
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const exercise = useMemo(
    () =>
      exerciseOf(excerpt, making, {
        piece: piece.id,
        title: piece.piece.title,
        from: chosen.from,
        to: chosen.to,
        marks: piece.marks,
        sections,
      }),
    [excerpt, making, piece, sections, chosen],
  );
  const keys = useMemo(() => sharedKeys(exercise.music, sections) ?? [], [exercise, sections]);
  const beats = beatsOf(exercise.music);
  const seconds = (beats * 60) / making.tempo;
  const store = async () => {
    setStoring(true);
    setTrouble(undefined);
    try {
      const { stored } = await storeExercises(choir.id, [exercise]);
      if (stored[0]) setMade(stored[0]);
      else setTrouble('An exercise exactly like this is here already.');
    } catch (error) {
      setTrouble(messageOf(error));
    } finally {
      setStoring(false);
    }
  };
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
          own={excerpt.tonic}
          accidentals={choir.accidentals}
        />
      </Flex>
      {made ? (
        <Box role="status" mt="8px">
          “{made.name}” is on the shelf.{' '}
          <WordLink to={`/exercises/${made.id}`}>look at it and hear it</WordLink>
        </Box>
      ) : (
        <Flex gap="14px" align="center" mt="8px">
          <MainButton size="sm" disabled={storing || wrongName} onClick={() => void store()}>
            Make the exercise
          </MainButton>
          <Label as="span">
            {keys.length === 0
              ? 'no key suits every part; some rest or move'
              : `${keys.length} ${keys.length === 1 ? 'key suits' : 'keys suit'} every part: ${tonicName(keys[0]!, 'major', choir.accidentals)} to ${tonicName(keys.at(-1)!, 'major', choir.accidentals)}`}
            , {lengthInFigures(seconds)} a key
          </Label>
        </Flex>
      )}
      {trouble && (
        <Box role="alert" color="brick" mt="4px">
          {trouble}
        </Box>
      )}
    </>
  );
}
