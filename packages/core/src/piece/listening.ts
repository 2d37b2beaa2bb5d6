import type { Programme, Sounded } from '../playing/programme';
import type { Seconds } from '../units';
import {
  metreOf,
  quartersOfPulse,
  sungNotesOf,
  usualTempo,
  type PerformanceOrder,
  type PartMusic,
} from './music';
import { inForce, type PieceScore } from './score/score';

/** A stretch of a piece to be heard. */
export interface PieceListening {
  readonly score: PieceScore;
  readonly parts: readonly PartMusic[];
  readonly order: PerformanceOrder;
  readonly pace: number;
  /** The first and last place of the order. */
  readonly from: number;
  readonly to: number;
  /** Whether a bar is counted before it begins. */
  readonly countIn: boolean;
}

/** What is heard of a piece, and when each place of its order begins. */
export interface PieceProgramme extends Programme {
  /** For each place from the first on, when it begins. */
  readonly places: readonly Seconds[];
}

const countNote = 96;
const loudness = 0.6;

/** A stretch of a piece as it sounds, from its first bar to its last, with a bar counted in. */
export function pieceProgramme(listening: PieceListening): PieceProgramme {
  const { score, parts, order, pace, from, to, countIn } = listening;
  const first = order.bars[from]!;
  const sounded: Sounded[] = [];
  let begins: Seconds = 0;
  if (countIn) {
    const metre = metreOf(score, first.bar);
    const pulse = quartersOfPulse({ metre });
    const beats = Math.max(1, Math.round((metre.beats * 4) / metre.unit / pulse));
    const tempo = inForce(score.tempos, first.bar)?.tempo ?? usualTempo;
    const beat = (pulse * 60) / (tempo * pace);
    for (let count = 0; count < beats; count += 1) {
      sounded.push({
        at: count * beat,
        seconds: 0.05,
        voice: 'count',
        midi: countNote,
        loudness: count === 0 ? 0.6 : 0.4,
      });
    }
    begins = beats * beat;
  }
  const last = order.bars[to];
  const end = last
    ? last.starts + order.within(last.bar, score.bars[last.bar]!.quarters)
    : order.seconds;
  for (const music of parts) {
    for (const note of sungNotesOf(music, order)) {
      // A note that is held over into the stretch is sung from its beginning on.
      const starts = Math.max(note.starts, first.starts);
      const ends = Math.min(note.ends, end);
      if (ends - starts < 1e-6) continue;
      sounded.push({
        at: begins + starts - first.starts,
        seconds: ends - starts,
        voice: music.part,
        midi: note.midi,
        loudness,
      });
    }
  }
  sounded.sort((a, b) => a.at - b.at);
  return {
    seconds: begins + end - first.starts,
    sounded,
    keys: [begins],
    places: order.bars.slice(from, to + 1).map(({ starts }) => begins + starts - first.starts),
  };
}
