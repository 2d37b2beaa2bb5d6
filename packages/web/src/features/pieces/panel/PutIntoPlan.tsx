import { Box } from '@chakra-ui/react';
import type { Exercise, Piece } from '@wide-fern/contract';
import { messageOf, putIntoPlan } from '@wide-fern/client';
import { warmUpBefore } from '@wide-fern/plan';
import { weekdayName } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { useTonight } from '../../../here/useTonight';
import { WordButton, WordLink } from '../../../ui/words';

type State =
  | { readonly kind: 'idle' | 'busy' | 'put' }
  | { readonly kind: 'failed'; readonly message: string };

/**
 * Puts an exercise into the warm-up before its piece on the evening that comes, in one touch; one
 * that is not stored yet is stored first. Nothing without such a warm-up.
 */
export function PutIntoPlan({
  piece,
  disabled,
  stored,
}: {
  readonly piece: Piece;
  readonly disabled: boolean;
  /** The exercise as it is stored, by now at the latest; undefined when it could not be. */
  readonly stored: () => Promise<Exercise | undefined>;
}) {
  const { choir } = useHere();
  const { evening } = useTonight();
  const [state, setState] = useState<State>({ kind: 'idle' });
  const before = evening && warmUpBefore(evening.agenda, piece.id);
  if (!before) return null;
  const day = weekdayName(evening.startsAt, choir.timeZone);
  const put = async () => {
    setState({ kind: 'busy' });
    try {
      const exercise = await stored();
      if (!exercise) {
        setState({ kind: 'idle' });
        return;
      }
      const place = { choir: choir.id, evening: evening.id, item: before.item.id };
      const became = await putIntoPlan(place, exercise, evening.tonight);
      setState(
        became === 'put'
          ? { kind: 'put' }
          : { kind: 'failed', message: 'The plan takes no more exercises; take one out first.' },
      );
    } catch (error) {
      setState({ kind: 'failed', message: messageOf(error) });
    }
  };
  return (
    <Box mt="6px" role={state.kind === 'put' ? 'status' : undefined}>
      {state.kind === 'put' ? (
        <>
          It is in {day}’s warm-up.{' '}
          <WordLink to={`/evenings/${evening.id}/plan/${before.item.id}`}>open the plan</WordLink>
        </>
      ) : (
        <WordButton
          fontSize="13px"
          disabled={disabled || state.kind === 'busy'}
          onClick={() => void put()}
        >
          {before.isStraight
            ? `put it into ${day}’s warm-up, straight before the piece`
            : `put it into ${day}’s warm-up`}
        </WordButton>
      )}
      {state.kind === 'failed' && (
        <Box role="alert" color="brick">
          {state.message}
        </Box>
      )}
    </Box>
  );
}
