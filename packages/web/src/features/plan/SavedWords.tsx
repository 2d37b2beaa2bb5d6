import { Box } from '@chakra-ui/react';
import { useStore } from 'zustand';
import { WordButton, WordLink } from '../../ui/words';
import type { PlanStore, Step } from '@wide-fern/client';
import type { Clock } from '@wide-fern/words';
import { useStepNames } from './model/useStepNames';

/** What has become of the last change, and undo; one quiet line in the head. */
export function SavedWords({
  store,
  clock,
  mayEdit,
  saveNow,
  onDone,
}: {
  readonly store: PlanStore;
  readonly clock: Clock;
  readonly mayEdit: boolean;
  readonly saveNow: () => void;
  /** Shows what was done; undefined where that has no place. */
  readonly onDone: (() => void) | undefined;
}) {
  const { saving, past, future, undo, redo } = useStore(store);
  const names = useStepNames();
  const named = (step: Step | undefined) => step && names?.stepInWords(step);
  if (!mayEdit) return <span>you may look, not change</span>;
  return (
    <Box
      display="flex"
      gap="0 8px"
      alignItems="center"
      flexWrap={{ base: 'wrap', md: 'nowrap' }}
      whiteSpace="nowrap"
    >
      <WordButton
        fontSize="13px"
        title={named(past.at(-1))}
        onClick={undo}
        disabled={past.length === 0}
      >
        undo
      </WordButton>
      <WordButton
        fontSize="13px"
        title={named(future[0])}
        onClick={redo}
        disabled={future.length === 0}
      >
        redo
      </WordButton>
      {onDone && (
        <WordButton fontSize="13px" onClick={onDone}>
          versions
        </WordButton>
      )}
      <Box
        as="span"
        role="status"
        color={
          saving.kind === 'refused' ? 'brick' : saving.kind === 'waiting' ? 'sporeText' : undefined
        }
      >
        {saving.kind === 'saved' &&
          (saving.at ? `saved ${clock.minute(Date.parse(saving.at))}` : '')}
        {(saving.kind === 'changed' || saving.kind === 'saving') && 'saving …'}
        {saving.kind === 'waiting' && 'kept on this device; no connection'}
        {saving.kind === 'signed-out' && 'kept on this device'}
        {saving.kind === 'refused' && 'not saved'}
        {saving.kind === 'clash' && 'two versions: choose'}
      </Box>
      {saving.kind === 'waiting' && (
        <WordButton fontSize="13px" onClick={saveNow}>
          try now
        </WordButton>
      )}
      {saving.kind === 'signed-out' && <WordLink to="/sign-in">sign in again</WordLink>}
    </Box>
  );
}
