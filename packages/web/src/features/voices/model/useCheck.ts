import type { ChoirPart, Singer } from '@wide-fern/contract';
import {
  answerCheck,
  beginCheck,
  checkNow,
  foundBy,
  noteChange,
  undoCheck,
  usualStart,
  type CheckAnswer,
  type CheckProgress,
} from '@wide-fern/core';
import { useMemo, useState } from 'react';
import { useHere } from '../../../here/session';
import { useListening } from '../listening/useListening';
import { keptChecks } from './keptOnDevice';
import { useGivenByItself, useGivenNote } from './useGivenNote';
import { useKeepChecks } from './useKeepChecks';

const middleC = 60;

/** The notes the staff shows: the one asked for, behind the one before it where that is its neighbour. */
export function notesShown({ steps }: CheckProgress, note: number): number[] {
  const last = steps[steps.length - 1];
  return last && Math.abs(last.note - note) === 1 ? [last.note, note] : [note];
}

/** One singer's range check: kept on the device at every answer, by hand or by the microphone. */
export function useCheck(
  singer: Singer,
  part: Pick<ChoirPart, 'comfort'> | undefined,
  onKept: () => void,
) {
  const { account } = useHere();
  const expected = singer.comfort ?? part?.comfort ?? null;
  // Of whoever has no part and no range nothing is expected; middle C is easy for most.
  const begin = () => beginCheck(expected ? usualStart(expected) : middleC, { expected });
  const [check, setCheck] = useState<CheckProgress>(
    () => keptChecks.read(account.id, singer.id) ?? begin(),
  );
  const [byItself, setByItself] = useState(false);
  const [heardAny, setHeardAny] = useState(false);
  const now = checkNow(check);
  const note = now.kind === 'ask' ? now.note : undefined;
  const found = foundBy(check);
  const { sounding, hear, setSounding } = useGivenNote(note);

  const change = (next: CheckProgress) => {
    setCheck(next);
    const isAnything = next.steps.length > 0 || next.changes.length > 0;
    keptChecks.keep(account.id, singer.id, isAnything ? next : undefined);
  };
  const answer = (one: CheckAnswer) => change(answerCheck(check, one));
  const listening = useListening({
    wanted: note,
    paused: sounding,
    onJudged: (judgedNote, verdict) => {
      // What does not come within eight seconds is only taken for an answer where nobody has a hand free.
      if (verdict !== 'easy' && !byItself) return;
      setHeardAny(true);
      setCheck((before) => {
        const asked = checkNow(before);
        if (asked.kind !== 'ask' || asked.note !== judgedNote) return before;
        const next = answerCheck(before, verdict);
        keptChecks.keep(account.id, singer.id, next);
        return next;
      });
    },
  });
  useGivenByItself(note, byItself && listening.state.kind === 'on', setSounding);
  const keep = useKeepChecks(() => {
    keptChecks.keep(account.id, singer.id, undefined);
    onKept();
  });
  const keepFound = () => {
    if (!found) return;
    const means = heardAny ? 'microphone' : 'by-ear';
    keep.send([{ singer: singer.id, ...found, changes: [...found.changes], means }]);
  };
  const onStaff = useMemo(() => (note === undefined ? [] : notesShown(check, note)), [check, note]);
  return {
    check,
    now,
    /** The note that is asked for; undefined when none is. */
    note,
    /** The notes the staff shows. */
    onStaff,
    found,
    change,
    answer,
    undo: () => change(undoCheck(check)),
    beginAgain: () =>
      change({ ...begin(), light: check.light, expected: check.expected && expected }),
    /** The larger steps, while something is expected; undefined where nothing is. */
    larger: expected && {
      on: check.expected !== null,
      set: (on: boolean) => change({ ...check, expected: on ? expected : null }),
    },
    /** The voice changes its register at the note that is asked for, or it does not after all. */
    noteChange: () => {
      if (note !== undefined) change({ ...check, changes: noteChange(check.changes, note) });
    },
    hear,
    /** The note is being given. */
    sounding,
    listening,
    keep: { ...keep, found: keepFound },
    /** The check goes on without a hand. */
    itself: byItself,
    setItself: setByItself,
  };
}
