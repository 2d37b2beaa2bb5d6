import { secretSchema } from './account';
import { line, midiNote, uuid } from './common';
import { partId } from './piece';
import { z } from './zod';

/** What a singer may say of an exercise, in one touch. */
export const exerciseAnswers = [
  'it helped',
  'it was hard',
  'too high',
  'too low',
  'I did not understand it',
  'it hurt',
] as const;
export type ExerciseAnswer = (typeof exerciseAnswers)[number];

/** What a singer sends from the page to practise from: of an exercise without a name, or what was easy for them. */
export const saidAtHomeSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('exercise'),
    exercise: z.string().regex(/^[a-z0-9-]{1,60}$/, 'Choose an exercise.'),
    words: z.enum(exerciseAnswers),
  }),
  z
    .object({
      kind: z.literal('range'),
      /** The singer's own, so that whoever leads knows whose it is. */
      name: line(80),
      low: midiNote,
      high: midiNote,
    })
    .refine(({ low, high }) => low < high, {
      path: ['high'],
      message: 'Choose a highest note above the lowest.',
    }),
]);
export type SaidAtHome = z.infer<typeof saidAtHomeSchema>;

/** Sent from that page, by its secret; sent again under the same id it takes the place of what was sent before. */
export const sendAnswerSchema = z.object({
  ...secretSchema.shape,
  /** The part whose page it is, or that was chosen on it. */
  part: partId.nullable(),
  said: saidAtHomeSchema,
});
export type SendAnswer = z.infer<typeof sendAnswerSchema>;

/** What singers sent from home, as whoever leads reads it. */
export const answerSchema = z.object({
  id: uuid,
  part: partId.nullable(),
  said: saidAtHomeSchema,
  sentAt: z.iso.datetime(),
});
export type Answer = z.infer<typeof answerSchema>;
