import { refuse } from '../common/found';

const startsWith = (bytes: Uint8Array, ...head: readonly number[]): boolean =>
  head.every((byte, i) => bytes[i] === byte);
const lettersAt = (bytes: Uint8Array, at: number, letters: string): boolean =>
  [...letters].every((letter, i) => bytes[at + i] === letter.charCodeAt(0));

const asMusicXml = 'Export it as MusicXML from the program that wrote it, and choose that file.';

/**
 * Tells kindly what a file is that holds no notes a program can read.
 * @throws UnreadableFile for a PDF, a picture, a recording or the own file of some program
 */
export function refuseForeign(bytes: Uint8Array): void {
  if (lettersAt(bytes, 0, '%PDF')) {
    refuse(`This is a PDF: a picture of the notes, not the notes. ${asMusicXml}`);
  }
  const isPicture =
    startsWith(bytes, 0x89, 0x50, 0x4e, 0x47) ||
    startsWith(bytes, 0xff, 0xd8, 0xff) ||
    lettersAt(bytes, 0, 'GIF8') ||
    lettersAt(bytes, 8, 'WEBP') ||
    startsWith(bytes, 0x49, 0x49, 0x2a, 0) ||
    startsWith(bytes, 0x4d, 0x4d, 0, 0x2a);
  if (isPicture) refuse(`This is a picture of the notes, not the notes. ${asMusicXml}`);
  const isRecording =
    lettersAt(bytes, 8, 'WAVE') ||
    lettersAt(bytes, 0, 'ID3') ||
    lettersAt(bytes, 0, 'OggS') ||
    lettersAt(bytes, 0, 'fLaC') ||
    lettersAt(bytes, 4, 'ftyp') ||
    startsWith(bytes, 0xff, 0xfb);
  if (isRecording) refuse(`This is a recording, not notes. ${asMusicXml}`);
  // Control characters among the first bytes: no text, and none of the kinds that are known.
  const head = bytes.subarray(0, 64);
  const isMidi = lettersAt(bytes, 0, 'MThd') || lettersAt(bytes, 0, 'RIFF');
  const isArchive = startsWith(bytes, 0x50, 0x4b);
  const odd = head.filter((byte) => byte < 9 || (byte > 13 && byte < 32 && byte !== 27)).length;
  if (!isMidi && !isArchive && !looksWide(head) && odd > 2) {
    refuse(`This looks like the own file of another program. ${asMusicXml}`);
  }
}

/** Text in two bytes a letter, with or without a mark. */
function looksWide(head: Uint8Array): boolean {
  if (startsWith(head, 0xff, 0xfe) || startsWith(head, 0xfe, 0xff)) return true;
  return startsWith(head, 0x3c, 0, 0x3f, 0) || startsWith(head, 0, 0x3c, 0, 0x3f);
}

/** The MIDI file inside a RIFF file that holds one; all other bytes as they are. */
export function midiInside(bytes: Uint8Array): Uint8Array {
  if (!lettersAt(bytes, 0, 'RIFF') || !lettersAt(bytes, 8, 'RMID')) return bytes;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    if (lettersAt(bytes, at, 'data')) return bytes.subarray(at + 8, at + 8 + size);
    // Parts of odd length are followed by one empty byte.
    at += 8 + size + (size % 2);
  }
  return bytes;
}
