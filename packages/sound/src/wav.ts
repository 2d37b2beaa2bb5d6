/** A recording as samples from −1 to 1, one channel. */
export interface Recording {
  readonly sampleRate: number;
  readonly samples: Float32Array;
}

/** The sampling rates that are read, in samples a second. */
const sampleRates = { lowest: 16_000, highest: 48_000 } as const;

const fourLetters = (view: DataView, at: number): string =>
  String.fromCharCode(...[0, 1, 2, 3].map((i) => view.getUint8(at + i)));

/** Where the chunks of a RIFF file lie; a last one that was cut off ends with the file. */
function chunksOf(view: DataView): Map<string, { at: number; length: number }> {
  const chunks = new Map<string, { at: number; length: number }>();
  for (let at = 12; at + 8 <= view.byteLength;) {
    const length = view.getUint32(at + 4, true);
    const name = fourLetters(view, at);
    if (!chunks.has(name)) {
      chunks.set(name, { at: at + 8, length: Math.min(length, view.byteLength - at - 8) });
    }
    at += 8 + length + (length % 2);
  }
  return chunks;
}

const pcm = 1;
/** A header that names its coding in an extension, as some recorders write it. */
const extensible = 0xfffe;

/**
 * Reads a WAV file of 16 bits a sample, one or two channels, 16 to 48 kHz; two channels are mixed.
 * @throws Error with words for a person when the file is something else.
 */
export function readWav(bytes: Uint8Array): Recording {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.byteLength < 12 || fourLetters(view, 0) !== 'RIFF' || fourLetters(view, 8) !== 'WAVE') {
    throw new Error('This is no WAV file.');
  }
  const chunks = chunksOf(view);
  const format = chunks.get('fmt ');
  const data = chunks.get('data');
  if (!format || format.length < 16 || !data) {
    throw new Error('This WAV file is damaged: its header or its samples are missing.');
  }
  const coding = view.getUint16(format.at, true);
  const channels = view.getUint16(format.at + 2, true);
  const sampleRate = view.getUint32(format.at + 4, true);
  const bits = view.getUint16(format.at + 14, true);
  const isPcm =
    coding === pcm ||
    (coding === extensible && format.length >= 26 && view.getUint16(format.at + 24, true) === pcm);
  if (!isPcm || bits !== 16) {
    throw new Error('This WAV file is not of 16 bits a sample; save it as 16 bit PCM.');
  }
  if (channels < 1 || channels > 2) {
    throw new Error(`This WAV file has ${channels} channels; one or two can be read.`);
  }
  if (sampleRate < sampleRates.lowest || sampleRate > sampleRates.highest) {
    throw new Error(
      `This WAV file has ${sampleRate} samples a second; 16 000 to 48 000 can be read.`,
    );
  }
  const length = Math.floor(data.length / (2 * channels));
  const samples = new Float32Array(length);
  for (let i = 0; i < length; i += 1) {
    let sum = 0;
    for (let channel = 0; channel < channels; channel += 1) {
      sum += view.getInt16(data.at + 2 * (i * channels + channel), true);
    }
    samples[i] = sum / channels / 32_768;
  }
  return { sampleRate, samples };
}

/** Writes a recording as a WAV file of 16 bits, one channel; what is louder than full scale is cut. */
export function writeWav({ sampleRate, samples }: Recording): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(44 + samples.length * 2);
  const view = new DataView(bytes.buffer);
  const letters = (at: number, text: string) => {
    for (let i = 0; i < text.length; i += 1) bytes[at + i] = text.charCodeAt(i);
  };
  letters(0, 'RIFF');
  view.setUint32(4, 36 + samples.length * 2, true);
  letters(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, pcm, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, sampleRate, true);
  view.setUint32(28, sampleRate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  letters(36, 'data');
  view.setUint32(40, samples.length * 2, true);
  samples.forEach((sample, i) => {
    const full = Math.round(Math.max(-1, Math.min(1, sample)) * 32_767);
    view.setInt16(44 + 2 * i, full, true);
  });
  return bytes;
}
