import { parseMidi, type MidiData } from 'midi-file';
import { refuse } from '../common/found';

const damaged = 'This MIDI file breaks off or is damaged. Save it again and try once more.';

/** The chunks of a file that hold music, each whole; others belong to programs. */
function musicChunks(bytes: Uint8Array): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const parts: Uint8Array[] = [];
  let tracks = 0;
  let at = 0;
  while (at + 8 <= bytes.length) {
    const name = String.fromCharCode(...bytes.subarray(at, at + 4));
    const end = at + 8 + view.getUint32(at + 4);
    const isMusic = name === 'MThd' || name === 'MTrk';
    if (end > bytes.length) {
      if (isMusic) refuse(damaged);
      break;
    }
    if (isMusic) parts.push(bytes.subarray(at, end));
    if (name === 'MTrk') tracks += 1;
    at = end;
  }
  if (parts.length === 0 || tracks < view.getUint16(10)) refuse(damaged);
  const music = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let place = 0;
  for (const part of parts) {
    music.set(part, place);
    place += part.length;
  }
  return music;
}

/**
 * The tracks of a MIDI file, whatever stands between them.
 * @throws UnreadableFile where it breaks off
 */
export function openMidi(bytes: Uint8Array): MidiData {
  try {
    return parseMidi(musicChunks(bytes));
  } catch {
    return refuse(damaged);
  }
}
