import { Box, Flex } from '@chakra-ui/react';
import { computeSegment, hasKeys, onOwnPitch, type MidiNote, type PartName } from '@wide-fern/core';
import { partName, sungWords, breathInWords, doneLines, ownPitchInWords } from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { useHere } from '../../../here/session';
import { lazily, missing } from '../../../ui/lazily';
import { Label, Name, WordLink } from '../../../ui/words';
import type { Listed } from '../model/listed';
import type { ReadyExercises } from '../model/useExercises';
import { Acts } from './Acts';
import { Files } from './Files';
import { KeysTonight } from './KeysTonight';
import { NoteField } from './NoteField';
import { Versions } from './Versions';
import { WordsOf } from './WordsOf';

/** What notes on one staff and the words around them take: what lies below stays where it is when they come. */
const oneStaff = '189px';
const Notation = lazily(() => import('./Notation'), {
  room: <Box h={oneStaff} />,
  absent: missing('The notes'),
});

/** One exercise: what it is for, its notes in any key, how it sounds, who can sing it, what to mind. */
export function ExercisePanel({
  listed,
  data,
  beside,
}: {
  readonly listed: Listed;
  readonly data: ReadyExercises;
  readonly beside: boolean;
}) {
  const { mayEdit } = useHere();
  const { exercise, own } = listed;
  const { music } = exercise;
  const [start, setStart] = useState<MidiNote | null>(null);
  const { sections, needs } = data.tonight;
  const computed = useMemo(
    () =>
      computeSegment(
        { id: exercise.id, exercise, choices: { ...exercise.usual, start } },
        { sections, needs },
      ),
    [exercise, start, sections, needs],
  );
  const parts = (id: string): PartName => sections.find((band) => band.id === id) ?? partName(id);
  return (
    <Box
      as="section"
      aria-label={`Exercise: ${exercise.name}`}
      px={{ base: '16px', md: '24px' }}
      pt="14px"
      pb="24px"
    >
      <Flex align="baseline" gap="10px" wrap="wrap">
        <Name as={beside ? 'h2' : 'h1'} fontSize="24px">
          {exercise.name}
        </Name>
        <Label as="span">{exercise.figure}</Label>
        <WordLink to="/exercises" ml="auto" fontSize="13px">
          {beside ? 'close' : 'all exercises'}
        </WordLink>
      </Flex>
      {exercise.purpose && <Box mt="2px">{exercise.purpose}</Box>}
      {exercise.cue && (
        <Name fontSize="18px" mt="4px">
          “{exercise.cue}”
        </Name>
      )}
      {exercise.image && <Label as="p">{exercise.image}</Label>}
      <Acts listed={listed} />
      {hasKeys(music) && (
        <>
          <Notation exercise={exercise} computed={computed} sections={sections} parts={parts} />
          {sungWords(music, exercise.passes) && (
            <Label mb="8px">Sung {sungWords(music, exercise.passes)}</Label>
          )}
          <KeysTonight
            exercise={exercise}
            computed={computed}
            tonight={data.tonight}
            start={start}
            onStart={setStart}
          />
        </>
      )}
      {music.kind === 'breath' && <Box mt="10px">{breathInWords(music)}</Box>}
      {onOwnPitch(music) && <Box mt="10px">{ownPitchInWords(exercise, exercise.usual)}</Box>}
      {(music.kind === 'body' || music.kind === 'spoken') && (
        <Box as="ol" pl="20px" listStyleType="decimal" mt="10px">
          {doneLines(music).map((line) => (
            <Box as="li" key={line}>
              {line}
            </Box>
          ))}
        </Box>
      )}
      <WordsOf listed={listed} all={data.all} />
      {mayEdit && <NoteField listed={listed} />}
      <Files exercise={exercise} computed={computed} sections={sections} />
      {own && <Versions exercise={exercise} />}
    </Box>
  );
}
