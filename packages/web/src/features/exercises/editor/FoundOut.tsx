import { Box } from '@chakra-ui/react';
import { type Exercise } from '@wide-fern/contract';
import { plainScore, segmentSeconds, sharedKeys } from '@wide-fern/core';
import { breathAdviceFor, lengthInFigures } from '@wide-fern/words';
import { useMemo } from 'react';
import { useHere } from '../../../here/session';
import { lazily } from '../../../ui/lazily';
import { Label } from '../../../ui/words';
import type { ReadyExercises } from '../model/useExercises';

/** How it sounds comes behind what is typed. */
const Hear = lazily(() => import('../../../music/hearing/Hear'));

/** What is found out about the music while it is made: length, breath, keys tonight, and how it sounds. */
export function FoundOut({
  exercise,
  data,
}: {
  readonly exercise: Exercise | undefined;
  readonly data: ReadyExercises;
}) {
  const { choir } = useHere();
  const score = useMemo(
    () => exercise && plainScore(exercise, exercise.usual.tempo, [60]),
    [exercise],
  );
  const listening = useMemo(
    () =>
      exercise &&
      score && {
        score,
        countIn: exercise.countIn,
        verses: 1,
        breathBeats: exercise.breathBeats,
        keyChangeBeats: exercise.keyChangeBeats,
      },
    [exercise, score],
  );
  if (!exercise) return null;
  const keys = sharedKeys(exercise, data.tonight.sections);
  const advice = breathAdviceFor(exercise, exercise.usual, choir.phraseSeconds);
  const length = lengthInFigures(segmentSeconds(exercise, { ...exercise.usual, start: null }));
  return (
    <Box mt="10px" fontSize="13px">
      <Box role="status">
        {length} with {keys ? 'its keys and its talk' : 'its talk'}.{' '}
        {keys &&
          (keys.length === 0
            ? 'No key suits every part tonight; the ladder lets parts rest or move an octave.'
            : `${keys.length} ${keys.length === 1 ? 'key suits' : 'keys suit'} every part tonight.`)}{' '}
        {advice}
      </Box>
      {exercise.cautions.length > 0 && (
        <Label mt="2px">Caution: {exercise.cautions.join(' ')}</Label>
      )}
      {listening && (
        <Box mt="6px">
          <Hear
            key={listening.score.tempo}
            listening={listening}
            parts={listening.score.parts}
            name="exercise"
          />
        </Box>
      )}
    </Box>
  );
}
