import type { ScoreBar } from './score';

/** More bars than this nobody sings in one piece: the signs lead round in a circle. */
const mostSung = 20_000;

/** The last ending of the group a bar's endings belong to: groups stand side by side. */
function lastEndings(bars: readonly ScoreBar[]): number[] {
  const last: number[] = bars.map(() => 0);
  let from = 0;
  const close = (to: number) => {
    const most = Math.max(0, ...bars.slice(from, to).flatMap(({ endings }) => endings ?? []));
    last.fill(most, from, to);
  };
  bars.forEach(({ endings }, i) => {
    const before = bars[i - 1]?.endings;
    // A group ends where no ending follows, or where a first one begins anew.
    const isNew = endings?.includes(1) === true && before !== undefined && !before.includes(1);
    if (i > 0 && (endings === undefined) !== (before === undefined)) {
      close(i);
      from = i;
    } else if (isNew) {
      close(i);
      from = i;
    }
  });
  close(bars.length);
  return last;
}

/** How often the section that ends with each backward repeat is sung: its sign, or its endings, or twice. */
function timesOf(bars: readonly ScoreBar[], lastEnding: readonly number[], at: number): number {
  const { repeatTo, endings } = bars[at]!;
  if (endings) return lastEnding[at]!;
  return repeatTo?.times ?? 2;
}

/**
 * The bars of a score in the order they are sung, by their places: repeats with their endings, da
 * capo and dal segno to the fine or the coda. After having gone back, repeats are not taken again
 * and the last ending is sung.
 * @throws RangeError when the signs lead round without end
 */
export function sungOrder(bars: readonly ScoreBar[]): number[] {
  const order: number[] = [];
  const lastEnding = lastEndings(bars);
  let at = 0;
  let from = 0;
  let pass = 1;
  let hasGoneBack = false;
  while (at < bars.length) {
    const bar = bars[at]!;
    if (bar.repeatFrom && from !== at) {
      from = at;
      pass = 1;
    }
    const wanted = hasGoneBack ? lastEnding[at]! : pass;
    if (bar.endings && !bar.endings.includes(wanted)) {
      at += 1;
      continue;
    }
    order.push(at);
    if (order.length > mostSung) {
      throw new RangeError(
        `The repeat signs lead to more than ${mostSung} bars; something in them goes round without end.`,
      );
    }
    if (hasGoneBack && bar.fine) break;
    if (hasGoneBack && bar.toCoda) {
      const coda = bars.findIndex((one) => one.coda);
      if (coda > at) {
        at = coda;
        continue;
      }
    }
    if (bar.repeatTo && !hasGoneBack && pass < timesOf(bars, lastEnding, at)) {
      pass += 1;
      at = from;
      continue;
    }
    if (bar.backTo && !hasGoneBack) {
      hasGoneBack = true;
      at =
        bar.backTo === 'segno'
          ? Math.max(
              0,
              bars.findIndex((one) => one.segno),
            )
          : 0;
      continue;
    }
    const leavesEndings = bar.endings !== undefined && bars[at + 1]?.endings === undefined;
    if (bar.repeatTo || leavesEndings) {
      from = at + 1;
      pass = 1;
    }
    at += 1;
  }
  return order;
}
