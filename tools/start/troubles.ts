import { Trouble } from '../setup/say.mjs';

/** What is wrong with the folder the data lies in, and what to do. */
export function folderTrouble(folder: string, error: unknown): Trouble {
  const code = (error as { code?: string }).code ?? '';
  const what =
    code === 'EROFS'
      ? 'lies on a disk that can only be read'
      : code === 'EACCES' || code === 'EPERM'
        ? 'belongs to another user of this machine'
        : code === 'ENOSPC'
          ? 'lies on a disk that is full'
          : code === 'ENOTDIR' || code === 'EEXIST'
            ? 'is a file, or lies below one'
            : `cannot be written (${code || String(error)})`;
  return new Trouble(
    `The folder for the data, ${folder}, ${what}. ` +
      'Choose another one, as in DATA_DIR=/path/of/yours npm start. Nothing was changed.',
  );
}

/** Why the database does not start, by what it said. */
export function databaseTrouble(folder: string, said: string): Trouble {
  if (/No space left/i.test(said)) {
    return new Trouble(
      'The database cannot start: the disk is full. Free some space and start again.',
    );
  }
  if (/incompatible with server/i.test(said)) {
    const [, version = 'another version'] = /PostgreSQL version (\d+)/i.exec(said) ?? [];
    return new Trouble(
      `The data in ${folder} was written by PostgreSQL ${version}, and another version is installed. ` +
        'Install that version, or name its folder as PG_BIN. Nothing was changed.',
    );
  }
  if (/wrong ownership|invalid permissions|Permission denied|EACCES/i.test(said)) {
    return new Trouble(
      `The data in ${folder} belongs to another user of this machine. ` +
        'Start as that user, or choose another DATA_DIR. Nothing was changed.',
    );
  }
  return new Trouble(`The database cannot start. It said:\n${said.slice(-2000)}`);
}

/** How many proxies stand in front, as it was set. */
export function trustedProxies(set: string | undefined): number {
  const count = Number(set ?? 0);
  if (Number.isInteger(count) && count >= 0 && count <= 10) return count;
  throw new Trouble(
    `TRUSTED_PROXIES is “${set}”; it is the number of proxies in front of Wide Fern, from 0 to 10. ` +
      'Without one leave it away.',
  );
}
