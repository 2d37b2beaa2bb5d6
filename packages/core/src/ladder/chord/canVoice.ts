import type { MidiNote } from '../../units';
import type { ChordSetting } from './problem';
import { candidateNotes } from './voicings';
import { pitchClass } from './pitchClass';

/**
 * Whether a chord on a root has any voicing at all: every part inside its reach, none crossing,
 * every tone present, the root lowest. Much quicker than finding the best one.
 */
export function canVoice(setting: Omit<ChordSetting, 'fraction'>, root: MidiNote): boolean {
  const wanted = setting.tones
    .slice(0, setting.sections.length)
    .map((tone) => pitchClass(root + tone));
  const all = 2 ** wanted.length - 1;
  const toneOf = (note: MidiNote): number => {
    let mask = 0;
    wanted.forEach((tone, i) => {
      if (tone === pitchClass(note)) mask |= 2 ** i;
    });
    return mask;
  };
  /** For each set of tones sung so far, the highest note that the part above can have taken: a higher one leaves more below it. */
  let highest = new Map<number, MidiNote>([[0, Infinity]]);
  for (const notes of candidateNotes(setting, root)) {
    const next = new Map<number, MidiNote>();
    for (const [mask, above] of highest) {
      for (const note of notes) {
        if (setting.distinct ? note >= above : note > above) continue;
        const sung = mask | toneOf(note);
        if (note > (next.get(sung) ?? -Infinity)) next.set(sung, note);
      }
    }
    highest = next;
  }
  return highest.has(all);
}
