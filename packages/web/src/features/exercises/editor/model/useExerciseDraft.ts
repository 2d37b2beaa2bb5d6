import { ApiError, changeExercise, messageOf, storeExercises } from '@wide-fern/client';
import type { Exercise } from '@wide-fern/contract';
import { idFromName } from '@wide-fern/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useHere } from '../../../../here/session';
import type { Listed } from '../../model/listed';
import { draftOf, emptyDraft, type ExerciseDraft } from './draft';
import { keepDraft, readKept } from './kept';
import { exerciseOf } from './make';

export type Storing =
  | { readonly kind: 'no' }
  | { readonly kind: 'busy' }
  /** Someone else changed the exercise meanwhile. */
  | { readonly kind: 'clash' }
  | { readonly kind: 'failed'; readonly message: string };

/**
 * An exercise while it is made: kept on the device at every stroke, read all the time, and stored
 * when it is whole.
 * @param from what its draft is kept under: the id it was begun from, or «new»
 */
export function useExerciseDraft(from: string, begun: Listed | undefined) {
  const { choir, account } = useHere();
  const navigate = useNavigate();
  const isOwn = begun?.own ?? false;
  const first = useMemo((): ExerciseDraft => {
    if (!begun) return emptyDraft;
    const draft = draftOf(begun.exercise);
    return isOwn ? draft : { ...draft, name: `${draft.name}, ours` };
  }, [begun, isOwn]);
  const [kept] = useState(() => readKept(account.id, choir.id, from));
  const [draft, setDraft] = useState(kept ?? first);
  const [asked, setAsked] = useState(false);
  const [saving, setSaving] = useState<Storing>({ kind: 'no' });
  const set = (changed: Partial<ExerciseDraft>) => {
    const next = { ...draft, ...changed };
    setDraft(next);
    keepDraft(account.id, choir.id, from, next);
  };
  const id = isOwn && begun ? begun.exercise.id : idFromName(draft.name);
  const version = isOwn && begun ? begun.exercise.version : 1;
  const made = useMemo(() => exerciseOf(draft, id, version), [draft, id, version]);
  // Before the first try only what cannot be read is said; then all that is missing.
  const errors = asked && made.kind === 'wrong' ? made.fields : {};
  const music = useMemo(() => {
    const whole = exerciseOf(
      { ...draft, name: 'x', purpose: 'x', cue: 'x', purposes: ['legato'] },
      'x',
      1,
    );
    return whole.kind === 'made' ? whole.made : undefined;
  }, [draft]);
  const done = (stored: Exercise) => {
    keepDraft(account.id, choir.id, from, undefined);
    void navigate(`/exercises/${stored.id}`);
  };
  const store = async (asCopy: boolean) => {
    setAsked(true);
    if (made.kind === 'wrong') return;
    setSaving({ kind: 'busy' });
    try {
      if (isOwn && !asCopy) done(await changeExercise(choir.id, made.made, version));
      else {
        const { stored, alike } = await storeExercises(choir.id, [
          { ...made.made, id: idFromName(draft.name) },
        ]);
        if (stored[0]) done(stored[0]);
        else {
          const message = `“${alike[0] ?? draft.name}” is here already, exactly like this. Change something, or go back.`;
          setSaving({ kind: 'failed', message });
        }
      }
    } catch (error) {
      const clash = error instanceof ApiError && error.status === 409 && isOwn;
      setSaving(clash ? { kind: 'clash' } : { kind: 'failed', message: messageOf(error) });
    }
  };
  return {
    draft,
    set,
    isOwn,
    /** It was taken up where it had been left. */
    wasKept: kept !== undefined,
    isChanged: kept !== undefined || draft !== first,
    beginAgain: () => {
      setDraft(first);
      keepDraft(account.id, choir.id, from, undefined);
    },
    errors,
    /** The first thing that is missing, once it was tried to keep it. */
    missing: asked && made.kind === 'wrong' ? Object.values(made.fields)[0] : undefined,
    music,
    saving,
    store,
  };
}
