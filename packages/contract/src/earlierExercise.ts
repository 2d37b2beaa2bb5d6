// Exercises as they were stored before they had an anchor, or passes, brought up to the present shape.

type Stored = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Stored =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** Whether the leader sang it first was yes or no. */
export const upcastChoices = (stored: unknown): unknown =>
  isRecord(stored) && typeof stored.demonstrate === 'boolean'
    ? { ...stored, demonstrate: stored.demonstrate ? 'once' : 'no' }
    : stored;

/** Moves were sentences, all equally long. */
function upcastMusic(stored: unknown): unknown {
  if (!isRecord(stored) || stored.kind !== 'body') return stored;
  const { moves, seconds, ...rest } = stored;
  if (seconds === undefined) return stored;
  const movement = (text: unknown) => ({ text, sides: 1, times: 1, seconds, held: 0 });
  return { ...rest, moves: listOf(moves).map(movement) };
}

/**
 * Range and agility climbed to what the music needs, where all parts sang alike; everything else
 * kept to the middle.
 */
function anchorOf({ phase, music }: Stored): string {
  const kind = isRecord(music) ? music.kind : undefined;
  const alike = kind === 'pattern' || kind === 'round' || kind === 'glide' || kind === 'hold';
  return alike && (phase === 'range' || phase === 'agility') ? 'top' : 'middle';
}

/** An exercise from before it had an anchor. */
function withAnchor(stored: Stored): Stored {
  if ('anchor' in stored) return stored;
  const watchFor = listOf(stored.watchFor).map((see) =>
    typeof see === 'string' ? { see, help: '' } : see,
  );
  return {
    ...stored,
    anchor: anchorOf(stored),
    watchFor,
    music: upcastMusic(stored.music),
    usual: upcastChoices(stored.usual),
  };
}

/** Vowels that took turns from key to key were all that changed from pass to pass. */
function withPasses({ vowels, ...stored }: Stored): Stored {
  if (vowels === undefined || 'passes' in stored) return stored;
  const each = listOf(vowels).map((vowel) => ({ sounds: [vowel] }));
  return { ...stored, passes: { over: 'keys', each } };
}

/** An exercise of any shape that was ever stored in the present one; what is no exercise stays as it is. */
export const upcastExercise = (stored: unknown): unknown =>
  isRecord(stored) ? withPasses(withAnchor(stored)) : stored;
