import { NoSound, type OpenSource } from './source';

const why: Readonly<Record<string, string>> = {
  NotAllowedError:
    'The microphone may not be used here. Allow it in the browser’s settings for this page, or answer by hand.',
  NotFoundError: 'There is no microphone. Plug one in and try again, or answer by hand.',
  NotReadableError:
    'Another program holds the microphone. Close it and try again, or answer by hand.',
};
const otherwise = 'The microphone cannot be used here. Answer by hand.';

/** The device's own microphone, with nothing that would polish the voice. */
export const openMicrophone: OpenSource = async (onSamples) => {
  let stream: MediaStream;
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
  } catch (error) {
    throw new NoSound((error instanceof Error && why[error.name]) || otherwise);
  }
  const context = new AudioContext();
  const stop = () => {
    for (const track of stream.getTracks()) track.stop();
    void context.close();
  };
  try {
    await context.audioWorklet.addModule('/capture.worklet.js');
    await context.resume();
  } catch {
    stop();
    throw new NoSound(otherwise);
  }
  const capture = new AudioWorkletNode(context, 'capture', { numberOfOutputs: 0 });
  capture.port.onmessage = ({ data }: MessageEvent<Float32Array>) => onSamples(data);
  context.createMediaStreamSource(stream).connect(capture);
  return { sampleRate: context.sampleRate, want: () => undefined, stop };
};
