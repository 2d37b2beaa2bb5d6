import type { FirstStep } from '@wide-fern/plan';

/** A first step as it is asked for, why, and how it is called once it is done. */
export const stepWords: Readonly<
  Record<FirstStep, { readonly act: string; readonly why: string; readonly done: string }>
> = {
  evening: {
    act: 'Say when you rehearse',
    why: 'so that the warm-up has a time to fit into',
    done: 'An evening is in',
  },
  singers: {
    act: 'Say who sings',
    why: 'so that the keys suit these voices instead of usual ones',
    done: 'Singers are on the roster',
  },
  music: {
    act: 'Add the music you sing',
    why: 'so that the warm-up prepares what it needs',
    done: 'Music is in',
  },
  plan: {
    act: 'Build a warm-up',
    why: 'in a moment and with reasons, or exercise by exercise',
    done: 'A warm-up is planned',
  },
};
