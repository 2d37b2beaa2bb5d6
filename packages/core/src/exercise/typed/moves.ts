import type { Movement } from '../../timing';
import type { Seconds } from '../../units';

/** What a line of movements says after its text, in brackets: «[both sides, 3 times, 4 s, held 2 s]». */
const figures = {
  sides: /^both sides$/,
  times: /^(\d{1,2}) times$/,
  seconds: /^(\d+(?:\.\d+)?) s$/,
  held: /^held (\d+(?:\.\d+)?) s$/,
} as const;

/** A movement as it is typed, or what cannot be understood in its brackets. */
export type ReadMovement =
  | { readonly kind: 'movement'; readonly movement: Movement }
  | { readonly kind: 'problem'; readonly word: string };

/**
 * Reads a movement from a line: its text, then, where they differ from once, on one side, not held and as
 * long as usual, its figures in brackets.
 * @param usual how long a movement takes that does not say so
 */
export function readMovement(line: string, usual: Seconds): ReadMovement {
  const [, text = '', inside] = /^(.*?)\s*(?:\[([^\]]*)\])?$/.exec(line.trim()) ?? [];
  let movement: Movement = { text, sides: 1, times: 1, seconds: usual, held: 0 };
  for (const word of (inside ?? '').split(',').map((one) => one.trim().toLowerCase())) {
    if (word === '') continue;
    const number = (of: RegExp) => Number(of.exec(word)![1]);
    if (figures.sides.test(word)) movement = { ...movement, sides: 2 };
    else if (figures.times.test(word)) movement = { ...movement, times: number(figures.times) };
    else if (figures.held.test(word)) movement = { ...movement, held: number(figures.held) };
    else if (figures.seconds.test(word)) {
      movement = { ...movement, seconds: number(figures.seconds) };
    } else return { kind: 'problem', word };
  }
  return { kind: 'movement', movement };
}

/** A movement as a line, so that reading it with the same usual length gives it back. */
export function writeMovement(
  { text, sides, times, seconds, held }: Movement,
  usual: Seconds,
): string {
  const said = [
    sides === 2 ? 'both sides' : '',
    times > 1 ? `${times} times` : '',
    seconds === usual ? '' : `${seconds} s`,
    held > 0 ? `held ${held} s` : '',
  ].filter((word) => word !== '');
  return said.length > 0 ? `${text} [${said.join(', ')}]` : text;
}
