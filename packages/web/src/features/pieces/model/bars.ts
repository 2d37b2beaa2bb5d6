/** The bars that are chosen, by their printed numbers. */
export interface ChosenBars {
  readonly from: number;
  readonly to: number;
}

/** Bars to choose, or how they follow from those chosen before: keys may come faster than the page is drawn. */
export type Choosing = ChosenBars | ((was: ChosenBars) => ChosenBars);

/** Bars as an address names them: «19-22», «7». */
export function readBars(words: string | null): ChosenBars | undefined {
  const [, from, to] = /^(\d{1,5})(?:-(\d{1,5}))?$/.exec(words ?? '') ?? [];
  if (from === undefined) return undefined;
  const [a, b] = [Number(from), Number(to ?? from)];
  return { from: Math.min(a, b), to: Math.max(a, b) };
}

export const writeBars = ({ from, to }: ChosenBars): string =>
  from === to ? String(from) : `${from}-${to}`;
