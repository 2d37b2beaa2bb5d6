import { Box } from '@chakra-ui/react';
import { phaseWords } from '@wide-fern/words';
import type { ReadFile } from '@wide-fern/interchange';
import { useState } from 'react';
import { messageOf, storeExercises } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { LongList } from '../../../ui/LongList';
import { MainButton } from '../../../ui/MainButton';
import { Label, Name, WordLink } from '../../../ui/words';
import { NotKeptList } from './NotKeptList';

type State =
  | { readonly kind: 'ready' }
  | { readonly kind: 'storing'; readonly count: number }
  | { readonly kind: 'stored'; readonly stored: number; readonly alike: number }
  | { readonly kind: 'failed'; readonly message: string };

/** Whole exercises from a file: which, what is lost, and taking them in. */
export function FoundExercises({
  file,
  found,
}: {
  readonly file: string;
  readonly found: Extract<ReadFile, { kind: 'exercises' }>;
}) {
  const { choir } = useHere();
  const [state, setState] = useState<State>({ kind: 'ready' });
  const { exercises, notKept } = found;
  const store = async () => {
    setState({ kind: 'storing', count: 0 });
    try {
      const { stored, alike } = await storeExercises(choir.id, exercises, (count) =>
        setState({ kind: 'storing', count }),
      );
      setState({ kind: 'stored', stored: stored.length, alike: alike.length });
    } catch (error) {
      setState({ kind: 'failed', message: messageOf(error) });
    }
  };
  const many = `${exercises.length} ${exercises.length === 1 ? 'exercise' : 'exercises'}`;
  return (
    <Box>
      <Name as="h2" fontSize="18px">
        {many} in {file}
      </Name>
      <LongList
        items={exercises}
        label="Exercises in the file"
        rowHeight={26}
        mostHeight={320}
        keyOf={(one) => `${one.id} ${exercises.indexOf(one)}`}
      >
        {(one) => (
          <Box fontSize="13px" truncate>
            <Name as="span" fontSize="15px">
              {one.name}
            </Name>{' '}
            <Label as="span">
              {phaseWords[one.phase]}, {one.figure}
            </Label>
          </Box>
        )}
      </LongList>
      <NotKeptList notKept={notKept} />
      <Box mt="14px" role="status">
        {state.kind === 'storing' && (
          <Label>
            {state.count} of {exercises.length} taken in …
          </Label>
        )}
        {state.kind === 'stored' && (
          <Box>
            {state.stored} taken in.
            {state.alike > 0 &&
              ` ${state.alike} ${state.alike === 1 ? 'was' : 'were'} here already, exactly alike.`}{' '}
            <WordLink to="/exercises">Look at them</WordLink>
          </Box>
        )}
        {state.kind === 'failed' && (
          <Box role="alert" color="brick">
            {state.message} What was taken in stays; take the rest in again, nothing comes twice.
          </Box>
        )}
      </Box>
      {(state.kind === 'ready' || state.kind === 'failed') && (
        <MainButton size="sm" mt="8px" onClick={() => void store()}>
          Take {exercises.length === 1 ? 'it' : 'them'} in
        </MainButton>
      )}
    </Box>
  );
}
