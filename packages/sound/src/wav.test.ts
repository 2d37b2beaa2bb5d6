import { readWav, writeWav } from './wav';

const wav = (change: (view: DataView) => void = () => undefined, samples = [0, 0.5, -0.5, 1]) => {
  const bytes = writeWav({ sampleRate: 44_100, samples: Float32Array.from(samples) });
  change(new DataView(bytes.buffer));
  return bytes;
};

describe('WAV files', () => {
  it('are read as they were written, to a sixteen-bit step', () => {
    const { sampleRate, samples } = readWav(wav());
    expect(sampleRate).toBe(44_100);
    [0, 0.5, -0.5, 1].forEach((value, i) => expect(samples[i]).toBeCloseTo(value, 3));
  });
  it('of two channels are mixed', () => {
    const stereo = wav((view) => view.setUint16(22, 2, true), [0.5, 0.1, -0.4, 0.4]);
    const { samples } = readWav(stereo);
    expect(samples).toHaveLength(2);
    expect(samples[0]).toBeCloseTo(0.3, 3);
    expect(samples[1]).toBeCloseTo(0, 3);
  });
  it('with other chunks before the samples, or cut off in the middle, are read as far as they go', () => {
    const plain = wav();
    const longer = new Uint8Array(plain.length + 12);
    longer.set(plain.subarray(0, 36));
    longer.set([0x4c, 0x49, 0x53, 0x54, 3, 0, 0, 0, 1, 2, 3, 0], 36);
    longer.set(plain.subarray(36), 48);
    expect(readWav(longer).samples).toHaveLength(4);
    expect(readWav(plain.subarray(0, 49)).samples).toHaveLength(2);
  });
  it('that are something else are refused in words', () => {
    expect(() => readWav(new Uint8Array(4))).toThrow('no WAV file');
    expect(() => readWav(wav().subarray(0, 20))).toThrow('damaged');
    expect(() => readWav(wav((view) => view.setUint16(34, 24, true)))).toThrow('16 bits');
    expect(() => readWav(wav((view) => view.setUint16(22, 3, true)))).toThrow('3 channels');
    expect(() => readWav(wav((view) => view.setUint32(24, 8000, true)))).toThrow('8000 samples');
  });
});
