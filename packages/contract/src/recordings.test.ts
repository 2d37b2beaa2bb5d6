import { recordingType } from './recordings';

const file = (...parts: (string | number[])[]): Uint8Array =>
  Uint8Array.from(
    parts.flatMap((part) =>
      typeof part === 'string' ? [...part].map((letter) => letter.charCodeAt(0)) : part,
    ),
  );

describe('a sound file', () => {
  it.each([
    ['audio/wav', file('RIFF', [1, 2, 3, 4], 'WAVEfmt ')],
    ['audio/ogg', file('OggS', [0, 2])],
    ['audio/flac', file('fLaC', [0])],
    ['audio/mpeg', file('ID3', [4, 0])],
    ['audio/mpeg', file([0xff, 0xfb, 0x90, 0x64])],
    ['audio/mp4', file([0, 0, 0, 32], 'ftypM4A ')],
    ['audio/webm', file([0x1a, 0x45, 0xdf, 0xa3, 1])],
  ])('is known by how it begins: %s', (type, bytes) => {
    expect(recordingType(bytes)).toBe(type);
    // Cut short, or with one sign before it, it is none.
    expect(recordingType(Uint8Array.of(7, ...bytes))).toBeUndefined();
  });
  it('is not a picture, a page, a score, or nothing', () => {
    for (const bytes of [
      file([]),
      file([0xff]),
      file([0xff, 0xd8, 0xff, 0xe0]),
      file('<html>'),
      file('PK', [3, 4]),
      file('RIFF', [1, 2, 3, 4], 'AVI LIST'),
    ]) {
      expect(recordingType(bytes)).toBeUndefined();
    }
  });
});
