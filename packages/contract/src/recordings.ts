/** How the sound files that are known begin: from which byte, with which letters or bytes, and what they are. */
const beginnings: readonly {
  readonly at: number;
  readonly bytes: readonly number[];
  readonly type: string;
}[] = [
  { at: 8, bytes: letters('WAVE'), type: 'audio/wav' },
  { at: 0, bytes: letters('OggS'), type: 'audio/ogg' },
  { at: 0, bytes: letters('fLaC'), type: 'audio/flac' },
  { at: 0, bytes: letters('ID3'), type: 'audio/mpeg' },
  { at: 4, bytes: letters('ftyp'), type: 'audio/mp4' },
  { at: 0, bytes: [0x1a, 0x45, 0xdf, 0xa3], type: 'audio/webm' },
];

function letters(word: string): readonly number[] {
  return [...word].map((letter) => letter.charCodeAt(0));
}

/** A frame of MPEG sound without anything before it: eleven bits set, and a layer that is one. */
const isMpegFrame = ([first, second = 0]: Uint8Array): boolean =>
  first === 0xff && (second & 0xe0) === 0xe0 && (second & 0x06) !== 0;

/** What kind of sound file this is, by how it begins: «audio/wav»; undefined where it is none that is known. */
export function recordingType(bytes: Uint8Array): string | undefined {
  const known = beginnings.find((one) => one.bytes.every((byte, i) => bytes[one.at + i] === byte));
  return known?.type ?? (isMpegFrame(bytes) ? 'audio/mpeg' : undefined);
}
