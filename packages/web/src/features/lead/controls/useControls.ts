import { nothingHeld, pressedBy, type Control } from '@wide-fern/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { StandSettings } from '../stand/standSettings';
import type { Command, StandShortcut } from '../stand/touches';
import { connectedMidi } from './midi';

/** Own keys, pedals and notes while a warm-up is led. */
export interface Controls {
  /** The command that waits for the next thing that is pressed. */
  readonly asked: Command | undefined;
  readonly ask: (command: Command | undefined) => void;
  /** A message of a simulated device. */
  readonly receive: (message: readonly number[]) => void;
  /** Why devices are not listened to. */
  readonly trouble: string;
}

/** By these one goes through the page: they are nobody's own. */
const notOwn = new Set(['Tab', 'Escape', 'Enter', 'Shift', 'Control', 'Alt', 'Meta']);
const controlOf = ({ key, ctrlKey, metaKey, altKey }: KeyboardEvent): Control | undefined =>
  ctrlKey || metaKey || altKey || notOwn.has(key)
    ? undefined
    : `key ${key === ' ' ? 'space' : key}`;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName);

/** Listens to what was put on keys, pedals and notes of one's own; they come before the usual ones. */
export function useControls(
  { bound, midi }: StandSettings,
  shortcuts: readonly StandShortcut[],
  onBind: (control: Control, command: Command) => void,
): Controls {
  const [asked, ask] = useState<Command>();
  const [trouble, setTrouble] = useState('');
  const held = useRef(nothingHeld);

  /** Whether something was done with what was pressed. */
  const press = useCallback(
    (control: Control): boolean => {
      if (asked) {
        onBind(control, asked);
        ask(undefined);
        return true;
      }
      const command = bound[control];
      const found = shortcuts.find((one) => one.command === command);
      if (!found) return false;
      found.act(new KeyboardEvent('keydown'));
      return true;
    },
    [asked, bound, shortcuts, onBind],
  );
  const receive = useCallback(
    (message: readonly number[]) => {
      const now = pressedBy(held.current, message);
      held.current = now.held;
      if (now.pressed !== undefined) press(now.pressed);
    },
    [press],
  );

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (asked && event.key === 'Escape') {
        ask(undefined);
        return;
      }
      if (event.repeat || isTyping(event.target)) return;
      const control = controlOf(event);
      if (control === undefined || !press(control)) return;
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [asked, press]);

  const latest = useRef(receive);
  useEffect(() => {
    latest.current = receive;
  }, [receive]);
  useEffect(() => {
    if (midi !== 'connected') return undefined;
    let isOver = false;
    let stop = () => {};
    connectedMidi((message) => latest.current(message)).then(
      (source) => {
        if (isOver) source.stop();
        else ({ stop } = source);
        setTrouble('');
      },
      (error: unknown) => setTrouble(error instanceof Error ? error.message : ''),
    );
    return () => {
      isOver = true;
      stop();
    };
  }, [midi]);
  return useMemo(() => ({ asked, ask, receive, trouble }), [asked, receive, trouble]);
}
