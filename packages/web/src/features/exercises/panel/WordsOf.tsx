import { Box } from '@chakra-ui/react';
import {
  anchorWords,
  listInWords,
  lastUsedInWords,
  accompanimentInWords,
  breathAdviceFor,
  passesInWords,
  substitutingWords,
  watchedInWords,
} from '@wide-fern/words';
import { hasKeys, type PlaceNeed } from '@wide-fern/core';
import { useHere } from '../../../here/session';
import { lazily } from '../../../ui/lazily';
import { Cautions, WordRow } from '../../../ui/WordList';
import { WordLink } from '../../../ui/words';
import type { Listed } from '../model/listed';

const SingersSaid = lazily(() => import('../../../here/SingersSaid'));

const needWords: Readonly<Record<PlaceNeed, string>> = {
  standing: 'room to stand',
  floor: 'the floor',
  noise: 'that noise is all right',
  prop: 'a prop',
  mirror: 'a mirror or a partner',
};

/** Exercises nearby, by their names. */
function Neighbours({
  label,
  ids = [],
  nameOf,
}: {
  readonly label: string;
  readonly ids?: readonly string[] | undefined;
  readonly nameOf: (id: string) => string | undefined;
}) {
  const known = ids.flatMap((id) => {
    const name = nameOf(id);
    return name === undefined ? [] : [{ id, name }];
  });
  if (known.length === 0) return null;
  return (
    <WordRow width="76px" label={label}>
      {known.map(({ id, name }, i) => (
        <Box as="span" key={id}>
          {i > 0 && ', '}
          <WordLink to={`/exercises/${id}`}>{name}</WordLink>
        </Box>
      ))}
    </WordRow>
  );
}

/** What to do, to mind, and to do instead. */
export function WordsOf({
  listed,
  all,
}: {
  readonly listed: Listed;
  readonly all: readonly Listed[];
}) {
  const { choir } = useHere();
  const { exercise } = listed;
  const { usual } = exercise;
  const advice = breathAdviceFor(exercise, exercise.usual, choir.phraseSeconds);
  const nameOf = (id: string) => all.find((one) => one.exercise.id === id)?.exercise.name;
  return (
    <Box as="dl" fontSize="13px" mt="12px" maxW="78ch">
      {exercise.source && (
        <WordRow width="76px" label="From">
          <WordLink
            fontSize="13px"
            to={`/pieces/${exercise.source.piece}?bars=${exercise.source.fromBar}-${exercise.source.toBar}`}
          >
            bars {exercise.source.fromBar} to {exercise.source.toBar} of “{exercise.source.title}”
          </WordLink>
        </WordRow>
      )}
      {exercise.steps.length > 0 && (
        <WordRow width="76px" label="Steps">
          {exercise.steps.join(' ')}
        </WordRow>
      )}
      {exercise.watchFor.length > 0 && (
        <WordRow width="76px" label="Watch">
          {exercise.watchFor.map(watchedInWords).join(' ')}
        </WordRow>
      )}
      {exercise.substitutes.length > 0 && (
        <WordRow width="76px" label="If it fails">
          {exercise.substitutes.map(({ when, exercise: id, who }) => (
            <Box key={when + id}>
              {when}: {nameOf(id) ? <WordLink to={`/exercises/${id}`}>{nameOf(id)}</WordLink> : id}
              {who && `, only ${substitutingWords[who]}; the others go on`}
            </Box>
          ))}
        </WordRow>
      )}
      <Neighbours label="Easier" ids={exercise.easier} nameOf={nameOf} />
      <Neighbours label="Harder" ids={exercise.harder} nameOf={nameOf} />
      {exercise.cautions.length > 0 && (
        <WordRow width="76px" label="Caution">
          <Cautions cautions={exercise.cautions} />
        </WordRow>
      )}
      <SingersSaid width="76px" exercise={exercise.id} />
      {advice && (
        <WordRow width="76px" label="Breath">
          {advice}
        </WordRow>
      )}
      {exercise.relay && (
        <WordRow width="76px" label="Relay">
          {exercise.relay}
        </WordRow>
      )}
      {exercise.passes && (
        <WordRow width="76px" label="By turns">
          {passesInWords(exercise.passes, exercise.music).join(' ')}
        </WordRow>
      )}
      {exercise.accompaniment && (
        <WordRow width="76px" label="Played">
          {accompanimentInWords(exercise.accompaniment)}
        </WordRow>
      )}
      <WordRow width="76px" label="For">
        {listInWords(exercise.purposes)}
        {hasKeys(exercise.music) && `; ${anchorWords[exercise.anchor]}`}. Effort {exercise.effort}{' '}
        of 5, difficulty {exercise.difficulty} of 3
        {exercise.needs.length > 0 &&
          `; needs ${listInWords(exercise.needs.map((need) => needWords[need]))}`}
        {exercise.held && `; ${exercise.held}`}
        {exercise.ages && `; for ${listInWords(exercise.ages)}`}.
      </WordRow>
      <WordRow width="76px" label="Usually">
        {exercise.music.kind === 'body' ? '' : `${usual.tempo} a minute, `}talk {usual.talk} s
        {exercise.countIn > 0 && `, ${exercise.countIn} counted in`}
        {exercise.breathBeats > 0 && `, ${exercise.breathBeats} to breathe`}
        {exercise.keyChangeBeats > 0 && `, ${exercise.keyChangeBeats} to change key`}.{' '}
        {lastUsedInWords(listed.lastUsed, choir.timeZone)}
      </WordRow>
    </Box>
  );
}
