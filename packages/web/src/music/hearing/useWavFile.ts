import type { Listening } from '@wide-fern/core';
import { useState } from 'react';
import { saveFile } from '../../ui/saveFile';

/** Writes what is heard of an exercise as a WAV file, and says how that goes. */
export function useWavFile(name: string) {
  const [state, setState] = useState<'no' | 'writing' | 'failed'>('no');
  const write = async (listening: Listening, tempo: number, loud: string | null) => {
    setState('writing');
    try {
      const { programme, renderWav } = await import('./player');
      saveFile(`${name}.wav`, 'audio/wav', await renderWav(programme(listening, tempo), loud));
      setState('no');
    } catch {
      setState('failed');
    }
  };
  return { state, write };
}
