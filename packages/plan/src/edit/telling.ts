import type { Choices, Segment } from '@wide-fern/contract';
import type { ToldMove } from '@wide-fern/core';

type Told = NonNullable<Choices['told']>;

/** In how many keys parts were told what to do. */
export const toldCells = (told: Choices['told'] = {}): number =>
  Object.values(told).reduce((sum, moves) => sum + Object.keys(moves).length, 0);

/** What a part was told to do in a key; undefined where the best is found. */
export const toldMove = (
  { told = {} }: Pick<Choices, 'told'>,
  part: string,
  place: number,
): ToldMove | undefined => (Object.hasOwn(told, part) ? told[part]![String(place)] : undefined);

/** What is told once a part is told to do something in a key, or, with null, to do what is best there. */
export function tellPart(
  { choices: { told = {} } }: Pick<Segment, 'choices'>,
  part: string,
  place: number,
  move: ToldMove | null,
): Pick<Choices, 'told'> {
  const { [String(place)]: _, ...others } = (Object.hasOwn(told, part) ? told[part] : {}) ?? {};
  const own = move === null ? others : { ...others, [String(place)]: move };
  return { told: withoutNothing({ ...told, [part]: own }) };
}

/** What is told once a part, or with null every part, does what is best again. */
export function untellPart(
  { choices: { told = {} } }: Pick<Segment, 'choices'>,
  part: string | null,
): Pick<Choices, 'told'> {
  if (part === null) return { told: {} };
  return { told: withoutNothing({ ...told, [part]: {} }) };
}

const withoutNothing = (told: Told): Told =>
  Object.fromEntries(Object.entries(told).filter(([, moves]) => Object.keys(moves).length > 0));
