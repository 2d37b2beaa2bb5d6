/** The ids whose order among those in both differs: the fewest to move. */
export function moved(mine: readonly string[], theirs: readonly string[]): Set<string> {
  // Longest common subsequence; what is not in it was moved.
  const lengths = Array.from({ length: mine.length + 1 }, () =>
    new Array<number>(theirs.length + 1).fill(0),
  );
  for (let i = mine.length - 1; i >= 0; i -= 1) {
    for (let j = theirs.length - 1; j >= 0; j -= 1) {
      lengths[i]![j] =
        mine[i] === theirs[j]
          ? 1 + lengths[i + 1]![j + 1]!
          : Math.max(lengths[i + 1]![j]!, lengths[i]![j + 1]!);
    }
  }
  const kept = new Set<string>();
  for (let i = 0, j = 0; i < mine.length && j < theirs.length;) {
    if (mine[i] === theirs[j]) {
      kept.add(mine[i]!);
      i += 1;
      j += 1;
    } else if (lengths[i + 1]![j]! >= lengths[i]![j + 1]!) i += 1;
    else j += 1;
  }
  return new Set(mine.filter((id) => !kept.has(id)));
}
