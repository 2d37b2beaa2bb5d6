/** Names as short as they can be told apart: the first word, or all of it where another begins with it too. */
export function shortNames(names: readonly string[]): readonly string[] {
  const first = (name: string) => name.split(' ')[0]!;
  return names.map((name, i) => {
    if (name === '') return 'somebody';
    const isShared = names.some((other, j) => j !== i && first(other) === first(name));
    return isShared ? name : first(name);
  });
}
