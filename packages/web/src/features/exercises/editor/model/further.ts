import type { Exercise } from '@wide-fern/contract';
import type { Kind, Music } from '@wide-fern/core';

type MusicOf<K extends Kind> = Extract<Music, { readonly kind: K }>;

/** What only music of some kinds has beside its notes and counts. */
type MusicFurther = Partial<
  Pick<MusicOf<'breath'>, 'least' | 'emptyFirst' | 'way' | 'arms'> &
    Pick<MusicOf<'hold'>, 'ownPitch'> &
    Pick<MusicOf<'chord'>, 'distinct'>
>;

/** What most exercises do without, in the shape an exercise has it: nothing where nothing is said. */
export interface Further {
  readonly exercise: Partial<Pick<Exercise, 'family' | 'easier' | 'harder' | 'strains' | 'held'>>;
  readonly usual: Partial<Pick<Exercise['usual'], 'reset' | 'countInEach'>>;
  readonly music: MusicFurther;
}

export const nothingFurther: Further = { exercise: {}, usual: {}, music: {} };

/** Which further fields music of a kind has. */
const musicFields: Partial<Readonly<Record<Kind, readonly (keyof MusicFurther)[]>>> = {
  breath: ['least', 'emptyFirst', 'way', 'arms'],
  glide: ['ownPitch'],
  hold: ['ownPitch'],
  chord: ['distinct'],
};

/** Without what is undefined, and without rows of which nothing is left. */
const said = <T extends object>(fields: T): T =>
  Object.fromEntries(
    Object.entries(fields as Record<string, unknown>).filter(([, value]) => value !== undefined),
  ) as T;

/** What of an exercise stands in its further fields. */
export function furtherOf({
  family,
  easier,
  harder,
  strains,
  held,
  usual,
  music,
}: Exercise): Further {
  const { reset, countInEach } = usual;
  return {
    exercise: said({ family, easier, harder, strains, held }),
    usual: said({ reset, countInEach }),
    music: ofKind(music.kind, music as unknown as MusicFurther),
  };
}

/** What further fields say of music of a kind. */
export function ofKind(kind: Kind, fields: MusicFurther): MusicFurther {
  const names = musicFields[kind] ?? [];
  return said(Object.fromEntries(names.map((name) => [name, fields[name]])));
}

export type Column = 'in' | 'hold' | 'out' | 'rest';

/** One value of a row of four changed; undefined and empty words are left out, and a row of nothing too. */
export function withColumn<T>(
  row: { readonly [C in Column]?: T | undefined } | undefined,
  column: Column,
  value: T | undefined,
): Partial<Record<Column, T>> | undefined {
  const next: Partial<Record<Column, T>> = said<object>({
    ...row,
    [column]: value === '' ? undefined : value,
  });
  return Object.keys(next).length > 0 ? next : undefined;
}

/** A group of fields with some of them changed; undefined takes one out. */
export const withFields = <T extends object>(
  fields: T,
  changed: { [K in keyof T]?: T[K] | undefined },
): T => said<object>({ ...fields, ...changed }) as T;
