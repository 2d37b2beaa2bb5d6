import { clefOfPart, type Score, type ScoreSection } from '../notation';
import { transposed } from './analysis';
import { trebleTonic } from './excerpt';
import { metreOf, usualTempo, type PartMusic } from './music';
import { inForce, type PieceScore } from './score/score';
import { eventsOf, lineOfBars, writtenOrder } from './writtenBars';

/**
 * Some written bars of a piece as a score to be engraved: each part its own line with its words, in
 * the key that is in force there.
 * @param places of the first and last bar in the score
 */
export function barsScore(
  score: PieceScore,
  musics: readonly PartMusic[],
  sections: readonly ScoreSection[],
  [from, to]: readonly [from: number, to: number],
  transpose = 0,
): Score {
  const order = writtenOrder(score, from, to);
  const { fifths, mode } = inForce(score.keys, from) ?? { fifths: 0, mode: 'major' as const };
  const metre = metreOf(score, from);
  const tonic = trebleTonic(fifths, mode) + transpose;
  const sung = musics.flatMap((music) => {
    const section = sections.find(({ id }) => id === music.part);
    return section ? [{ section, music: transposed(music, transpose) }] : [];
  });
  return {
    title: score.title,
    tempo: inForce(score.tempos, from)?.tempo ?? usualTempo,
    mode,
    metre,
    parts: sung.map(({ section }) => ({
      id: section.id,
      name: section.many,
      clef: clefOfPart(section),
    })),
    keys: [
      {
        tonic,
        lines: sung.map(({ section, music }) => ({
          part: section.id,
          events: eventsOf(
            { octave: 0, notes: lineOfBars(music, order) },
            {
              tonic: 0,
              length: order.seconds,
              beatsInQuarter: metre.unit / 4,
              words: { kind: 'own' },
            },
          ).map((event) =>
            'offset' in event
              ? {
                  midi: event.offset,
                  beats: event.beats,
                  syllable: event.syllable,
                  slur: event.slur,
                }
              : { midi: null, beats: event.beats },
          ),
        })),
      },
    ],
    between: 0,
  };
}
