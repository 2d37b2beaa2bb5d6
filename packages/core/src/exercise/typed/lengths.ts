import type { Beats } from '../../units';

/** The finest parts of a beat that are written as a fraction. */
const mostParts = 96;

/** «2», «1/2», «3/2», «1/3»: a length as it is typed; one that is no small fraction as a decimal. */
export function writeLength(beats: Beats): string {
  for (let parts = 1; parts <= mostParts; parts += 1) {
    const whole = Math.round(beats * parts);
    if (whole / parts === beats) return parts === 1 ? String(whole) : `${whole}/${parts}`;
  }
  return String(beats);
}

const written = /^(\d{1,5})(?:\/(\d{1,2})|(\.\d{1,17}))?/;

/** Reads a length at the beginning of a text: its beats and how many characters it has; undefined when there is none. */
export function readLength(text: string): { beats: Beats; characters: number } | undefined {
  const found = written.exec(text) ?? /^()()(\.\d{1,17})/.exec(text);
  if (!found) return undefined;
  const [all, whole = '', parts, decimals = ''] = found;
  const beats = parts ? Number(whole) / Number(parts) : Number(`${whole || '0'}${decimals}`);
  return { beats, characters: all.length };
}
