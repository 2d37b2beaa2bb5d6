import type { Recording } from './wav';

/** How loud a file leaves, as the root of its mean square, and the highest a sample may be. */
const wanted = { decibels: -18, ceiling: 0.97 } as const;
/** The pieces in which peaks are looked for, in seconds: shorter ones would bend a low tone. */
const piece = 0.01;
/** Quieter than this there is nothing to make louder. */
const silence = 1e-5;

/** The loudness of samples: the root of their mean square in decibels below full scale. */
export function loudnessOf(samples: Float32Array): number {
  const power = samples.reduce((sum, one) => sum + one * one, 0) / Math.max(1, samples.length);
  return power <= 0 ? -Infinity : 10 * Math.log10(power);
}

/** Takes back what would rise above the ceiling, a little before and after it too, so that nothing clicks. */
function limited(samples: Float32Array, size: number): Float32Array {
  const count = Math.ceil(samples.length / size) + 1;
  const gains = Array.from({ length: count }, (_, i) => {
    let peak = 0;
    for (let at = i * size; at < Math.min((i + 1) * size, samples.length); at += 1) {
      peak = Math.max(peak, Math.abs(samples[at]!));
    }
    return peak > wanted.ceiling ? wanted.ceiling / peak : 1;
  });
  // Each piece begins and ends with the lower of its own and its neighbour's gain.
  const edges = gains.map((gain, i) => Math.min(gain, gains[i - 1] ?? gain));
  return samples.map((sample, at) => {
    const i = Math.floor(at / size);
    const [from, to] = [edges[i]!, Math.min(gains[i]!, gains[i + 1] ?? 1)];
    const along = (at % size) / size;
    return sample * Math.min(gains[i]!, from + (to - from) * along);
  });
}

/**
 * A recording as loud as others are: −18 dB over its whole length, and no sample clipped. What is
 * silent stays so.
 */
export function atUsualLevel({ sampleRate, samples }: Recording): Recording {
  const size = Math.max(1, Math.round(piece * sampleRate));
  let level = samples;
  // What the limiter takes away is made up for; where peaks stand alone, a little remains.
  for (let i = 0; i < 6; i += 1) {
    const by = wanted.decibels - loudnessOf(level);
    if (!(loudnessOf(level) > 20 * Math.log10(silence)) || Math.abs(by) < 0.1) break;
    const gain = 10 ** (by / 20);
    level = limited(
      level.map((one) => one * gain),
      size,
    );
  }
  return { sampleRate, samples: level };
}

/** Recordings of one rate after one another, with so many silent samples between them. */
export function inARow(parts: readonly Float32Array[], between: number): Float32Array {
  const gap = Math.round(between);
  const gaps = gap * Math.max(0, parts.length - 1);
  const whole = new Float32Array(parts.reduce((sum, { length }) => sum + length, gaps));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length + gap;
  }
  return whole;
}
