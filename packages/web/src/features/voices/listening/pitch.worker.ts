/** Hears pitches away from the page's own thread: samples in, frames out. */
import { createListener, type Listener, type PitchFrame } from '@wide-fern/sound';
import { expose } from 'comlink';

let listener: Listener | undefined;
const api = {
  begin: (sampleRate: number): void => {
    listener = createListener(sampleRate);
  },
  push: (samples: Float32Array): readonly PitchFrame[] => listener?.push(samples) ?? [],
};
export type PitchApi = typeof api;
expose(api);
