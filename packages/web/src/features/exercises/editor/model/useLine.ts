import {
  noteAfter,
  plainScore,
  readLine,
  toStep,
  writeLine,
  type LineEdit,
  type Metre,
  type Mode,
} from '@wide-fern/core';
import { useMemo, useState } from 'react';
import type { PointedAt } from '../../../../music/notation/ScoreStaff';
import { lineTonic, type LineAct } from './lineActs';

/** How many states of the line can be gone back to. */
const remembered = 100;

export interface TypedLine {
  readonly label: string;
  readonly text: string;
  readonly mode: Mode;
  readonly metre: Metre | null;
  readonly onText: (text: string) => void;
}

/** A line as it is typed and as it stands on the staff, always in step. */
export function useLine({ label, text, mode, metre, onText }: TypedLine) {
  const [selected, setSelected] = useState<number>();
  const [before, setBefore] = useState<readonly string[]>([]);
  const read = useMemo(() => readLine(text, mode), [text, mode]);
  /** What the staff shows while the typed line cannot be read: the last that could. */
  const [lastGood, setLastGood] = useState(read);
  if (read.kind === 'line' && read !== lastGood) setLastGood(read);
  const shown = read.kind === 'line' ? read : lastGood.kind === 'line' ? lastGood : undefined;
  const score = useMemo(() => {
    if (!shown) return undefined;
    const music = {
      kind: 'pattern' as const,
      mode,
      ...(metre ? { metre } : {}),
      notes: shown.events,
    };
    return plainScore({ name: label, music, breathBeats: 0, keyChangeBeats: 0 }, 60, [lineTonic]);
  }, [shown, label, mode, metre]);
  const events = shown?.events ?? [];
  const count = events.length;
  const at = selected === undefined || count === 0 ? undefined : Math.min(selected, count - 1);

  const change = (edit: LineEdit, then?: number) => {
    if (read.kind !== 'line') return;
    const next = edit(read.events);
    if (next === read.events) return;
    setBefore((was) => [...was.slice(-remembered), text]);
    onText(writeLine(next, mode));
    if (then !== undefined) setSelected(Math.max(0, Math.min(next.length - 1, then)));
  };
  return {
    score,
    events,
    /** The chosen note, by its place. */
    at,
    problem: read.kind === 'problem' ? read : undefined,
    change,
    act: ({ edit, then }: LineAct) => {
      if (at !== undefined) change(edit(at, mode), then?.(at));
    },
    /** Chooses a note, and answers where in the typed line it stands. */
    choose: (to: number): readonly [number, number] | undefined => {
      const place = Math.max(0, Math.min(count - 1, to));
      setSelected(place);
      return read.kind === 'line' ? read.places[place] : undefined;
    },
    /** Behind the last note the staff takes another; on a note, it moves there. */
    point: ({ event, step }: PointedAt) => {
      if (event === undefined) change(noteAfter(count - 1, step, mode), count);
      else {
        change(toStep(event, step, mode), event);
        setSelected(event);
      }
    },
    canGoBack: before.length > 0,
    goBack: () => {
      const last = before[before.length - 1];
      if (last === undefined) return;
      setBefore(before.slice(0, -1));
      onText(last);
    },
  };
}

export type Line = ReturnType<typeof useLine>;
