/** MIDI texts are bytes; ours are UTF-8 in them, one character a byte. */
export const toBytes = (words: string): string =>
  String.fromCharCode(...new TextEncoder().encode(words));

/** Reads such a text: as UTF-8 where it is, else as it stands. */
export function fromBytes(text: string): string {
  const bytes = Uint8Array.from(text, (letter) => letter.charCodeAt(0));
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return text;
  }
}
