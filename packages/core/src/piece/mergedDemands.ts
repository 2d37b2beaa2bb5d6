import type { Demand } from './skills';

/** How hard the bars of each part are, by their place among the printed numbers. */
interface HardBars {
  readonly parts: readonly {
    readonly part: string;
    readonly difficulty: readonly { readonly points: number }[];
  }[];
  readonly bars: readonly { readonly number: number }[];
}

/** The points of the hardest of some bars for a part; bars are printed numbers. */
const hardest = (
  { parts, bars }: HardBars,
  part: string,
  fromBar: number,
  toBar: number,
): number => {
  const difficulty = parts.find((one) => one.part === part)?.difficulty ?? [];
  const points = bars.map(({ number }, place) =>
    number >= fromBar && number <= toBar ? (difficulty[place]?.points ?? 0) : 0,
  );
  return Math.max(0, ...points);
};

const meets = (a: Demand, b: Demand): boolean =>
  a.kind === b.kind && a.fromBar <= b.toBar && b.fromBar <= a.toBar;

/**
 * Demands of one kind that meet in their bars as one, for all the parts they are made on, with the
 * strongest figure; the hardest bars first (docs/model.md, section 9), of equal ones the earlier.
 */
export function mergedDemands(demands: readonly Demand[], analysis: HardBars): Demand[] {
  const merged: Demand[] = [];
  for (const demand of demands) {
    let joined = demand;
    for (let at = merged.findIndex((one) => meets(one, joined)); at >= 0;) {
      const [other] = merged.splice(at, 1);
      joined = {
        ...joined,
        parts: [...new Set([...other!.parts, ...joined.parts])],
        fromBar: Math.min(other!.fromBar, joined.fromBar),
        toBar: Math.max(other!.toBar, joined.toBar),
        figure: Math.max(other!.figure, joined.figure),
      };
      at = merged.findIndex((one) => meets(one, joined));
    }
    merged.push(joined);
  }
  const hard = new Map(
    merged.map((one) => [
      one,
      Math.max(...one.parts.map((part) => hardest(analysis, part, one.fromBar, one.toBar))),
    ]),
  );
  return merged.sort((a, b) => hard.get(b)! - hard.get(a)! || a.fromBar - b.fromBar);
}
