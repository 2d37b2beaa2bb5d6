import { bySchema, keptOnDevice } from '@wide-fern/client';
import { mostLonger, z } from '@wide-fern/contract';
import { whenFew } from '@wide-fern/plan';
import { useCallback, useState } from 'react';
import { commands } from './touches';

/** What sounds by itself with every key. */
export const withKeys = ['nothing', 'chord', 'notes', 'count-in'] as const;
export const loudnesses = ['quiet', 'usual', 'loud'] as const;
/** How what leads itself is shown: with its counts and words, or as the shape alone, for silence. */
export const countings = ['with counts', 'the shape alone'] as const;
/** Whether the next movement of an exercise waits for a touch. */
export const movings = ['one touch each', 'by themselves'] as const;
/** How a touch is answered. */
export const answers = ['nothing', 'vibration', 'click'] as const;

/** How the stand is on this device: silent until something else is wished. */
const schema = z.object({
  withKey: z.enum(withKeys).default('nothing'),
  loudness: z.enum(loudnesses).default('usual'),
  answer: z.enum(answers).default('nothing'),
  counting: z.enum(countings).default('with counts'),
  moving: z.enum(movings).default('one touch each'),
  /** By how many counts rounds of breath change by how many managed, and what comes of few for a key. */
  counts: z.int().min(0).max(mostLonger).default(0),
  few: z.enum(whenFew).default('nothing'),
  /** What own keys, pedals and notes do: by their name, «key F9», «controller 64». */
  bound: z.record(z.string().max(40), z.enum(commands)).default({}),
  /** Whether MIDI devices are listened to: those that are connected, or the simulated ones. */
  midi: z.enum(['none', 'connected', 'simulated']).default('none'),
});
export type StandSettings = z.infer<typeof schema>;

const kept = keptOnDevice('stand', bySchema(schema));
const usual = schema.parse({});

export const shareOf: Readonly<Record<StandSettings['loudness'], number>> = {
  quiet: 0.4,
  usual: 1,
  loud: 1.7,
};

/** The settings of whoever leads, kept on the device. */
export function useStandSettings(
  account: string,
): readonly [StandSettings, (more: Partial<StandSettings>) => void] {
  const [settings, setSettings] = useState(() => kept.read(account) ?? usual);
  const change = useCallback(
    (more: Partial<StandSettings>) =>
      setSettings((was) => {
        const now = { ...was, ...more };
        kept.keep([account], now);
        return now;
      }),
    [account],
  );
  return [settings, change];
}
