import type { LineEvent, PartLine } from './partLines';
import type { Articulation, Dynamic, Purpose } from './vocabulary';

/** What one pass through a line is sung with, where it differs from the line as written. */
export interface Pass {
  /** Sounds or syllables in place of the line's, one after the other; the last one goes on. */
  readonly sounds?: readonly string[] | undefined;
  readonly articulation?: Articulation | undefined;
  readonly dynamic?: Dynamic | undefined;
  /** What this pass serves, where not every pass serves the same. */
  readonly serves?: Purpose | undefined;
  /** What is said for it. */
  readonly cue?: string | undefined;
}

/** What changes from pass to pass, over the keys or over the times in each key (docs/model.md, section 3). */
export interface Passes {
  readonly over: 'keys' | 'verses';
  /** They take turns: behind the last one comes the first again. */
  readonly each: readonly Pass[];
  /** Asked after the last of them, where ways are compared. */
  readonly ask?: string | undefined;
}

/** The place of the pass that is sung in a key, for the so manieth time there. */
export const turnOf = ({ over, each }: Passes, key: number, verse: number): number =>
  (over === 'keys' ? key : verse) % each.length;

/** Whether a note begins a syllable: it has one, and is not bound to the note before. */
const begins = ({ midi, syllable }: LineEvent): boolean => midi !== null && syllable !== undefined;

/**
 * The sounds of a pass under a line: one for each note that has a syllable, and where none has one, one
 * under the first note. One sound for a line of several stands once, and goes on.
 */
function onSounds(events: readonly LineEvent[], sounds: readonly string[]): LineEvent[] {
  const first = events.findIndex(({ midi }) => midi !== null);
  let place = 0;
  return events.map((event, i) => {
    if (!begins(event) && i !== first) return event;
    const sound = sounds[Math.min(place, sounds.length - 1)]!;
    place += 1;
    return { ...event, syllable: sound };
  });
}

/** A line as it is sung in one pass. */
export function lineInPass(line: PartLine, pass: Pass | undefined): PartLine {
  if (!pass) return line;
  const { sounds, dynamic, articulation } = pass;
  const first = line.events.findIndex(({ midi }) => midi !== null);
  const words = sounds?.length ? onSounds(line.events, sounds) : line.events;
  return {
    part: line.part,
    events: words.map((event, i) =>
      event.midi === null
        ? event
        : {
            ...event,
            ...(dynamic && i === first ? { dynamic } : {}),
            ...(articulation ? { articulation } : {}),
          },
    ),
  };
}

/** A line with the syllables of its further passes under those of the first. */
export function withFurther(line: PartLine, further: readonly PartLine[]): PartLine {
  if (further.length === 0) return line;
  return {
    part: line.part,
    events: line.events.map((event, i) => {
      const others = further.map(({ events }) => events[i]?.syllable ?? '');
      const isNew = others.some((syllable) => syllable !== (event.syllable ?? ''));
      return event.midi !== null && isNew ? { ...event, further: others } : event;
    }),
  };
}

/** The vowels or words that any pass puts in the mouth, each once. */
export const soundsOfPasses = (passes: Passes | undefined): readonly string[] => [
  ...new Set(passes?.each.flatMap(({ sounds }) => sounds ?? []) ?? []),
];
