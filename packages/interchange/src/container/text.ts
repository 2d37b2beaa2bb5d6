import { refuse } from '../common/found';

/** Names of encodings that the platform knows by another one. */
const other: Readonly<Record<string, string>> = { 'latin-1': 'windows-1252' };

/** The name the platform knows an encoding by; undefined when it knows none. */
function platformName(named: string): string | undefined {
  try {
    return new TextDecoder(other[named] ?? named).encoding;
  } catch {
    return undefined;
  }
}

function namedEncoding(bytes: Uint8Array): string | undefined {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  // Without a mark the first letter of an XML text tells.
  if (a === 0x3c && b === 0) return 'utf-16le';
  if (a === 0 && b === 0x3c) return 'utf-16be';
  const head = String.fromCharCode(...bytes.slice(0, 200));
  const named = /^<\?xml[^>]*encoding=["']([\w-]+)["']/.exec(head)?.[1]?.toLowerCase();
  // What could be read so far is not written in two bytes a letter, whatever it says.
  return named === undefined || named.startsWith('utf-16') ? undefined : platformName(named);
}

/**
 * The text of a file: UTF-8, or the encoding its first bytes name.
 * @throws UnreadableFile when the bytes are no text in it
 */
export function textOfBytes(bytes: Uint8Array): string {
  const encoding = namedEncoding(bytes) ?? 'utf-8';
  try {
    const text = new TextDecoder(encoding, { fatal: true }).decode(bytes);
    if (!text.includes('\u0000')) return text;
  } catch {
    // Said below: both are the same to a person.
  }
  return refuse('The letters of this file cannot be read. Save it again as UTF-8.');
}
