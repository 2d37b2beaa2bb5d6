import type { FieldValues, Path, UseFormSetError } from 'react-hook-form';
import { ApiError, messageOf } from '@wide-fern/client';

/** Puts what the server said about single fields at those fields; answers what concerns the whole form. */
export function showErrors<T extends FieldValues>(
  error: unknown,
  setError: UseFormSetError<T>,
  known: readonly Path<T>[],
): string | undefined {
  const fields = error instanceof ApiError ? error.fields : {};
  const mine = known.filter((name) => name in fields);
  for (const name of mine) setError(name, { message: fields[name]! });
  return mine.length > 0 ? undefined : messageOf(error);
}
