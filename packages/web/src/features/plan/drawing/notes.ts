import { beatsToSeconds, segmentScore, type Seconds } from '@wide-fern/core';
import type { Evaluated, EvaluatedPlan } from '@wide-fern/plan';
import type { Lane, TimeAxis } from '../../../music/lanes/geometry';

/** A note from near: from its beginning to its end, at its pitch; one that slides ends at another. */
export interface NoteLine {
  readonly x1: number;
  readonly x2: number;
  readonly y1: number;
  readonly y2: number;
  /** Nothing where there is no room for it. */
  readonly syllable: string;
}

/** From so many px a second on, single notes are drawn. */
const leastPerSecond = 20;
/** What a letter of a syllable takes, in px. */
const perLetter = 7;

const perSecond = ({ left, right, view }: TimeAxis): number =>
  (right - left) / Math.max(1e-9, view.to - view.from);

const isInView = ({ computed: { placed } }: Evaluated, { view }: TimeAxis): boolean =>
  placed.to > view.from && placed.from < view.to;

/**
 * The single notes of one part in what is looked at from near; nothing from further away.
 */
export function notesFromNear(
  { segments, document }: EvaluatedPlan,
  part: string,
  axis: TimeAxis,
  lane: Lane,
): NoteLine[] {
  if (perSecond(axis) < leastPerSecond) return [];
  return segments
    .filter((one) => isInView(one, axis))
    .flatMap(({ segment, computed: { placed, repetitions } }) => {
      const { exercise } = segment;
      const { tempo, verses } = segment.choices;
      const score = segmentScore(segment, document.tonight.sections, repetitions);
      const seconds = (beats: number): Seconds => beatsToSeconds(beats, tempo);
      const keyed = repetitions.filter(
        ({ tonic, parts }) => tonic !== undefined && parts.length > 0,
      );
      return (score?.keys ?? []).flatMap(({ lines, verses: ways }, key) => {
        let at = placed.from + keyed[key]!.at;
        const found: NoteLine[] = [];
        for (let verse = 0; verse < verses; verse += 1) {
          const events = (ways?.[verse % ways.length] ?? lines).find(
            (line) => line.part === part,
          )?.events;
          for (const { midi, beats, glideTo = midi, syllable = '' } of events ?? []) {
            const [x1, x2] = [axis.x(at), axis.x(at + seconds(beats))];
            at += seconds(beats);
            if (midi === null || glideTo === null || x2 < axis.left || x1 > axis.right) continue;
            const hasRoom = syllable.length * perLetter < x2 - x1;
            found.push({
              ...{ x1, x2, y1: lane.y(midi), y2: lane.y(glideTo) },
              syllable: hasRoom ? syllable : '',
            });
          }
          at += seconds(exercise.breathBeats);
        }
        return found;
      });
    });
}
