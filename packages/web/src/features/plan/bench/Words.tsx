import { Box } from '@chakra-ui/react';
import type { NoteWriting, PlaceNeed, PlanLoad, Tonight } from '@wide-fern/core';
import {
  accompanimentInWords,
  asSentences,
  passesInWords,
  decidingOfKeys,
  edgesOfKeys,
  movesOfKeys,
  singleInWords,
  turnsOfSegment,
  type Wording,
  timeInWords,
  watchedInWords,
} from '@wide-fern/words';
import { Cautions, WordRow } from '../../../ui/WordList';
import { Name } from '../../../ui/words';
import { needMet, type Evaluated } from '@wide-fern/plan';
import { breathAdviceFor, needMetInWords, notPossibleInWords } from '@wide-fern/words';
import type { ReactNode } from 'react';
import { LoadFigures } from './LoadFigures';

/** The right of the bench: why, what to say, what to mind, how long. */
export function Words({
  evaluated,
  tonight,
  forbids,
  wording,
  writing,
  phraseSeconds,
  load,
  learned,
}: {
  readonly evaluated: Evaluated;
  readonly tonight: Tonight;
  readonly forbids: readonly PlaceNeed[];
  readonly wording: Wording;
  readonly writing: NoteWriting;
  /** How long the choir comfortably sings on one breath. */
  readonly phraseSeconds: number;
  /** Of the whole plan. */
  readonly load: PlanLoad | undefined;
  /** What leading it has taught. */
  readonly learned?: ReactNode;
}) {
  const { segment, computed } = evaluated;
  const { exercise } = segment;
  const { keys } = computed;
  const sung = keys.kind === 'ladder' ? keys.sung : undefined;
  const turns = turnsOfSegment(segment);
  const met = needMet(evaluated, tonight);
  const why = [
    ...(met ? [needMetInWords(met, writing)] : []),
    ...asSentences(decidingOfKeys(keys, wording)),
  ];
  const not = notPossibleInWords(exercise.needs, forbids);
  const breath = breathAdviceFor(exercise, segment.choices, phraseSeconds);
  const moves = asSentences(movesOfKeys(keys, wording));
  const edges = asSentences(edgesOfKeys(keys, wording));
  return (
    <Box as="dl" fontSize="13px">
      {not && (
        <WordRow label="Place">
          <Box as="span" color="sporeText">
            {not}
          </Box>
        </WordRow>
      )}
      {why.length > 0 && <WordRow label="Why">{why.join(' ')}</WordRow>}
      {sung && (
        <WordRow label="Parts">
          {moves.length > 0 ? moves.join(' ') : 'Every part sings every key in its usual octave.'}
        </WordRow>
      )}
      {edges.length > 0 && <WordRow label="Edge">{edges.join(' ')}</WordRow>}
      {breath && <WordRow label="Breath">{breath}</WordRow>}
      {exercise.cue && (
        <WordRow label="Cue">
          <Name as="span" fontSize="15px">
            {exercise.cue}
          </Name>
        </WordRow>
      )}
      {exercise.passes && (
        <WordRow label="By turns">
          {passesInWords(exercise.passes, exercise.music).join(' ')}
        </WordRow>
      )}
      {singleInWords(segment).length > 0 && (
        <WordRow label="Single">{singleInWords(segment).join(' ')}</WordRow>
      )}
      {turns && <WordRow label="Lines">{turns}</WordRow>}
      {exercise.accompaniment && (
        <WordRow label="Played">{accompanimentInWords(exercise.accompaniment)}</WordRow>
      )}
      {exercise.purpose && <WordRow label="Purpose">{exercise.purpose}</WordRow>}
      {exercise.cautions.length > 0 && (
        <WordRow label="Caution">
          <Cautions cautions={exercise.cautions} />
        </WordRow>
      )}
      {exercise.steps.length > 0 && <WordRow label="Steps">{exercise.steps.join(' ')}</WordRow>}
      {exercise.watchFor.length > 0 && (
        <WordRow label="Watch">{exercise.watchFor.map(watchedInWords).join(' ')}</WordRow>
      )}
      <WordRow label="Time">
        <details>
          <summary style={{ cursor: 'pointer' }}>{timeInWords(evaluated)[0]}</summary>
          {timeInWords(evaluated).slice(1).join(' ')}
        </details>
      </WordRow>
      {learned}
      {load && (
        <WordRow label="Load">
          <LoadFigures load={load} segment={segment.id} />
        </WordRow>
      )}
    </Box>
  );
}
