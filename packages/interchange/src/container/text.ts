import { refuse } from '../common/found';

/** The encodings a file can name that are read as something else than UTF-8. */
const known: Readonly<Record<string, string>> = {
  'utf-16': 'utf-16le',
  'utf-16le': 'utf-16le',
  'utf-16be': 'utf-16be',
  'iso-8859-1': 'windows-1252',
  'latin-1': 'windows-1252',
  'windows-1252': 'windows-1252',
};

function namedEncoding(bytes: Uint8Array): string | undefined {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const head = String.fromCharCode(...bytes.slice(0, 200));
  const named = /^<\?xml[^>]*encoding=["']([\w-]+)["']/.exec(head)?.[1]?.toLowerCase();
  return named === undefined ? undefined : known[named];
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
