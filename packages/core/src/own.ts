/**
 * What a record has under a name that somebody chose, such as a part's letters; undefined where it has
 * none. Every object also answers to «toString» and «constructor»: they are nobody's part.
 * @example own({ S: 1 }, 'toString') // undefined
 */
export const own = <T>(
  record: Readonly<Record<string, T>> | undefined,
  name: string,
): T | undefined => (record && Object.hasOwn(record, name) ? record[name] : undefined);
