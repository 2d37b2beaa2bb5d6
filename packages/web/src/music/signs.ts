import type { SignWord } from '../ui/Signs';

/** The signs of each view, fetched when they are explained. */
export const signsOf = {
  plan: async (): Promise<readonly SignWord[]> => {
    const { laneSigns, keySigns } = await import('./lanes/signWords');
    return [...laneSigns, ...keySigns];
  },
  tonight: async (): Promise<readonly SignWord[]> => {
    const [{ laneSigns }, { askedSigns }] = await Promise.all([
      import('./lanes/signWords'),
      import('./figures/signWords'),
    ]);
    return [...laneSigns, ...askedSigns];
  },
  exercises: async (): Promise<readonly SignWord[]> =>
    (await import('./figures/signWords')).exerciseSigns,
  pieces: async (): Promise<readonly SignWord[]> =>
    (await import('./figures/signWords')).askedSigns,
  piece: async (): Promise<readonly SignWord[]> => (await import('./figures/signWords')).pieceSigns,
} as const;
