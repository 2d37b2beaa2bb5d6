/** Hears pitches away from the page's own thread: samples in, frames out. */
import { createListener, type Listener } from '@wide-fern/sound';

export type ToPitchWorker =
  | { readonly kind: 'begin'; readonly sampleRate: number }
  | { readonly kind: 'samples'; readonly samples: Float32Array };

let listener: Listener | undefined;
addEventListener('message', ({ data }: MessageEvent<ToPitchWorker>) => {
  if (data.kind === 'begin') listener = createListener(data.sampleRate);
  else if (listener) postMessage(listener.push(data.samples));
});
