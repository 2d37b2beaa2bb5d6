import { databaseTrouble, folderTrouble, trustedProxies } from './troubles';

describe('what can go wrong at the start', () => {
  it.each([
    ['EROFS', 'can only be read'],
    ['EACCES', 'another user'],
    ['ENOSPC', 'full'],
    ['ENOTDIR', 'is a file'],
    ['EIO', 'cannot be written (EIO)'],
  ])('with the data’s folder is said in words: %s', (code, words) => {
    const { message } = folderTrouble('/data', Object.assign(new Error('x'), { code }));
    expect(message).toContain('/data');
    expect(message).toContain(words);
    expect(message).toContain('DATA_DIR=');
  });

  it.each([
    ['FATAL: could not write: No space left on device', 'disk is full'],
    [
      'DETAIL: The data directory was initialized by PostgreSQL version 13, which is not compatible with this version 17. database files are incompatible with server',
      'PostgreSQL 13',
    ],
    ['FATAL: data directory "/data" has wrong ownership', 'another user'],
    ['FATAL: something new', 'FATAL: something new'],
  ])('with the database is said in words: %s', (said, words) => {
    expect(databaseTrouble('/data', said).message).toContain(words);
  });

  it('with the number of proxies is said before anything starts', () => {
    expect(trustedProxies(undefined)).toBe(0);
    expect(trustedProxies('2')).toBe(2);
    for (const wrong of ['yes', '-1', '1.5', '99']) {
      expect(() => trustedProxies(wrong)).toThrow(`“${wrong}”`);
    }
  });
});
