import { problem } from '../http/problem';

/** Below this the estimate says that a patient guesser would find it: zxcvbn's second step of four. */
const leastScore = 2;

/** The dictionaries are large: they are read when the first password is chosen. */
const loaded = async () => {
  const [{ ZxcvbnFactory }, common, english] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
    import('@zxcvbn-ts/language-en'),
  ]);
  return new ZxcvbnFactory({
    dictionary: { ...common.dictionary, ...english.dictionary },
    graphs: common.adjacencyGraphs,
  });
};
let estimator: ReturnType<typeof loaded> | undefined;

/**
 * Refuses a password that is easily guessed, also from what is known of the person.
 * @throws Problem invalid, at the field that held it
 */
export async function refuseGuessable(
  password: string,
  { field, about }: { readonly field: string; readonly about: readonly string[] },
): Promise<void> {
  const { score } = (await (estimator ??= loaded())).check(password, [...about]);
  if (score >= leastScore) return;
  throw problem('invalid', { what: 'guessable', long: password.length >= 16 }).at(field);
}
