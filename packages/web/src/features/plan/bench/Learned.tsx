import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { exercisesQuery, ledOnceQuery, messageOf } from '@wide-fern/client';
import type { Segment } from '@wide-fern/contract';
import { own, type Tonight } from '@wide-fern/core';
import { dayInWords, givenUpInWords, learnedInWords } from '@wide-fern/words';
import { noMark, useMarking } from '../../../here/marking';
import { useHere } from '../../../here/session';
import SingersSaid from '../../../here/SingersSaid';
import { WordRow } from '../../../ui/WordList';
import { WordButton } from '../../../ui/words';
import type { BenchActions } from './actions';

interface LearnedProps {
  readonly segment: Segment;
  readonly tonight: Tonight;
  /** Nothing where the plan is only looked at. */
  readonly choose: BenchActions['choose'] | undefined;
}

/** What leading this exercise has taught, and what singers said of it. */
export default function Learned(props: LearnedProps) {
  return (
    <>
      <ByLeading {...props} />
      <SingersSaid exercise={props.segment.exercise.id} />
    </>
  );
}

/**
 * What leading this exercise has taught: its talk, and keys that a part gave up; with the evenings it comes
 * from, one touch that plans it so, and one that goes by it no more.
 */
function ByLeading({ segment, tonight, choose }: LearnedProps) {
  const { choir } = useHere();
  const led = useQuery(ledOnceQuery(choir.id));
  const exercises = useQuery(exercisesQuery(choir.id));
  const marking = useMarking(choir.id, segment.exercise.id);
  if (!led.data || !exercises.data) return null;
  const mark = own(exercises.data.marks, segment.exercise.id) ?? noMark;
  const { learnedFrom: from, ...rest } = mark;
  const { timeZone, writing } = choir;
  const learned = learnedInWords(segment, led.data, timeZone, from);
  const given = givenUpInWords(segment, tonight, led.data, { timeZone, writing, from });
  const isLed = led.data.some(({ exercise }) => exercise === segment.exercise.id);
  if (!isLed) return null;
  return (
    <WordRow label="Led">
      {learned?.words}{' '}
      {choose && learned?.talk !== undefined && (
        <WordButton
          fontSize="13px"
          onClick={() => choose({ talk: learned.talk! }, `${segment.id} talk`)}
        >
          plan {learned.talk} s of talk
        </WordButton>
      )}
      {given && (
        <Box>
          {given.words}{' '}
          {choose && (
            <WordButton
              fontSize="13px"
              onClick={() => choose(given.choices, `${segment.id} given up`)}
            >
              {given.act}
            </WordButton>
          )}
        </Box>
      )}
      {choose && (
        <Box>
          {from !== undefined && (
            <>What was learned before {dayInWords(from, timeZone)} is left out. </>
          )}
          {from !== undefined && (
            <WordButton
              fontSize="13px"
              disabled={marking.isPending}
              onClick={() => marking.mutate(rest)}
            >
              go by it again
            </WordButton>
          )}
          {learned && (
            <WordButton
              fontSize="13px"
              disabled={marking.isPending}
              onClick={() =>
                marking.mutate({ ...rest, learnedFrom: new Date(Date.now()).toISOString() })
              }
            >
              do not go by this
            </WordButton>
          )}
        </Box>
      )}
      {marking.error && (
        <Box role="alert" color="brick">
          {messageOf(marking.error)}
        </Box>
      )}
    </WordRow>
  );
}
