import { useEffect, useState } from 'react';
import { giveNote } from '../../../music/hearing/giveNote';

/** A note given when it is asked for; never two at once. */
export function useGivenNote(note: number | undefined) {
  const [sounding, setSounding] = useState(false);
  const hear = async () => {
    if (note === undefined || sounding) return;
    setSounding(true);
    await giveNote(note);
    setSounding(false);
  };
  return { sounding, setSounding, hear };
}

/** While a check goes on by itself, every new note is given as soon as it is asked for. */
export function useGivenByItself(
  note: number | undefined,
  goesOn: boolean,
  onSounding: (sounding: boolean) => void,
): void {
  useEffect(() => {
    if (!goesOn || note === undefined) return undefined;
    let wanted = true;
    onSounding(true);
    void giveNote(note).then(() => {
      if (wanted) onSounding(false);
    });
    return () => {
      wanted = false;
      onSounding(false);
    };
  }, [goesOn, note, onSounding]);
}
