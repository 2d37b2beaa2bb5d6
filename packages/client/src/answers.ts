import {
  exerciseAnswers,
  uuid,
  z,
  type Answer,
  type ExerciseAnswer,
  type SaidAtHome,
} from '@wide-fern/contract';
import { ApiError, call } from './call/call';
import { bySchema, keptOnDevice } from './device/store';
import { newUuid } from './device/windows';
import { answersQuery, queryClient } from './queries';

const sentSchema = z.object({ id: uuid, words: z.enum(exerciseAnswers) });
// What was said of an exercise can be said otherwise: it is remembered on the device under which id it was sent.
const sent = keptOnDevice('answer', bySchema(sentSchema));

/** Which page's exercise it is: of which choir, on which evening, for which part. */
export interface AnswerPlace {
  readonly choir: string;
  /** When the warm-up begins. */
  readonly startsAt: string;
  readonly part: string | null;
  readonly exercise: string;
}
/** Ids stand between colons on the device. */
const idsOf = ({ choir, startsAt, part, exercise }: AnswerPlace) =>
  [choir, startsAt, part ?? '', exercise].map((id) => id.replaceAll(':', ''));

/** What was said of an exercise from this device. */
export const saidBefore = (place: AnswerPlace): ExerciseAnswer | undefined =>
  sent.read(...idsOf(place))?.words;

/** From where something is sent. */
export interface Sender {
  readonly secret: string;
  readonly part: string | null;
}

const send = (id: string, { secret, part }: Sender, said: SaidAtHome) =>
  call('sendAnswer', { params: { answer: id }, body: { secret, part, said } });

/** Says how an exercise was, in place of what was said of it before from this device. */
export async function sayOfExercise(
  sender: Sender,
  place: AnswerPlace,
  words: ExerciseAnswer,
): Promise<void> {
  const id = sent.read(...idsOf(place))?.id ?? newUuid();
  await send(id, sender, { kind: 'exercise', exercise: place.exercise, words });
  sent.keep(idsOf(place), { id, words });
}

const draftSchema = z.object({ name: z.string(), low: z.string(), high: z.string() });
/** What was easy, as it stands in the form. */
export type EasyDraft = z.infer<typeof draftSchema>;
const drafts = keptOnDevice('easy', bySchema(draftSchema));
/** Of one page and part: its beginning says which evening it is. */
const draftIds = ({ choir, startsAt, part }: Omit<AnswerPlace, 'exercise'>) =>
  idsOf({ choir, startsAt, part, exercise: '' });

/** What was not sent yet from this device. */
export const easyBefore = (place: Omit<AnswerPlace, 'exercise'>): EasyDraft | undefined =>
  drafts.read(...draftIds(place));

/** Keeps what stands in the form; undefined once it was sent. */
export const keepEasy = (place: Omit<AnswerPlace, 'exercise'>, draft: EasyDraft | undefined) =>
  void drafts.keep(draftIds(place), draft);

/** Under which id somebody's range was sent from this page: sent again, it is not there twice. */
const easyIds = new Map<string, string>();

/** Sends what was easy, in place of what was sent under that name before from this page. */
export function sendEasy(sender: Sender, said: Extract<SaidAtHome, { kind: 'range' }>) {
  const whose = `${sender.secret} ${said.name}`;
  const id = easyIds.get(whose) ?? newUuid();
  easyIds.set(whose, id);
  return send(id, sender, said);
}

/** Throws away what singers sent; what is gone already is no harm. */
export async function dropAnswers(choir: string, ids: readonly Answer['id'][]): Promise<void> {
  try {
    for (const answer of ids) {
      await call('dropAnswer', { params: { choir, answer } }).catch((error: unknown) => {
        if (!(error instanceof ApiError && error.code === 'not_found')) throw error;
      });
    }
  } finally {
    await queryClient.invalidateQueries({ queryKey: answersQuery(choir).queryKey });
  }
}
