import { Box } from '@chakra-ui/react';
import { memo } from 'react';
import { useStore } from 'zustand';
import { WordButton, WordLink } from '../../ui/words';
import { color } from '../../ui/color';
import type { PlanStore, Step } from '@wide-fern/client';
import type { Clock } from '@wide-fern/words';
import { useStepNames } from './model/useStepNames';

/** What has become of the last change, and undo; one quiet line in the head. Only its own words follow each change. */
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
  if (!mayEdit) return <span>you may look, not change</span>;
  return (
    <Box
      display="flex"
      gap="0 8px"
      alignItems="center"
      flexWrap={{ base: 'wrap', md: 'nowrap' }}
      whiteSpace="nowrap"
    >
      <Back store={store} />
      {onDone && (
        <WordButton fontSize="13px" onClick={onDone}>
          versions
        </WordButton>
      )}
      <Become {...{ store, clock, saveNow }} />
    </Box>
  );
}

/** A step back, and forth again, each named by what it takes back. */
function Back({ store }: { readonly store: PlanStore }) {
  const past = useStore(store, (now) => now.past.at(-1));
  const future = useStore(store, (now) => now.future[0]);
  const { undo, redo } = store.getState();
  const names = useStepNames();
  const named = (step: Step | undefined) => step && names?.stepInWords(step);
  return (
    <>
      <BackWord word="undo" title={named(past)} canBe={past !== undefined} onClick={undo} />
      <BackWord word="redo" title={named(future)} canBe={future !== undefined} onClick={redo} />
    </>
  );
}

const BackWord = memo(
  ({
    word,
    title,
    canBe,
    onClick,
  }: {
    readonly word: string;
    readonly title: string | undefined;
    readonly canBe: boolean;
    readonly onClick: () => void;
  }) => (
    <WordButton fontSize="13px" title={title} onClick={onClick} disabled={!canBe}>
      {word}
    </WordButton>
  ),
);

/** What has become of the last change. */
function Become({
  store,
  clock,
  saveNow,
}: {
  readonly store: PlanStore;
  readonly clock: Clock;
  readonly saveNow: () => void;
}) {
  const saving = useStore(store, (now) => now.saving);
  const ink =
    saving.kind === 'refused' ? 'brick' : saving.kind === 'waiting' ? 'sporeText' : undefined;
  return (
    <>
      <span role="status" style={ink && { color: color(ink) }}>
        {saving.kind === 'saved' &&
          (saving.at ? `saved ${clock.minute(Date.parse(saving.at))}` : '')}
        {(saving.kind === 'changed' || saving.kind === 'saving') && 'saving …'}
        {saving.kind === 'waiting' && 'kept on this device; no connection'}
        {saving.kind === 'signed-out' && 'kept on this device'}
        {saving.kind === 'refused' && 'not saved'}
        {saving.kind === 'clash' && 'two versions: choose'}
      </span>
      {saving.kind === 'waiting' && (
        <WordButton fontSize="13px" onClick={saveNow}>
          try now
        </WordButton>
      )}
      {saving.kind === 'signed-out' && <WordLink to="/sign-in">sign in again</WordLink>}
    </>
  );
}
