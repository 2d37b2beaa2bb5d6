import type { AccidentalPreference, PieceScore, Score, Staff } from '@wide-fern/core';
import { pieceScoreOf } from '../exercise/toScore';

/** The same staff in every segment is one. */
function joined(
  parts: readonly { readonly score: PieceScore; readonly from: number }[],
  bars: number,
) {
  const staves = new Map<string, Staff>();
  for (const { score, from } of parts) {
    for (const staff of score.staves) {
      const known = staves.get(staff.name);
      const notes = staff.notes.map((note) => ({ ...note, bar: note.bar + from }));
      staves.set(staff.name, {
        ...(known ?? staff),
        id: known?.id ?? `P${staves.size + 1}.1`,
        notes: [...(known?.notes ?? []), ...notes],
        voices: Array.from({ length: bars }, () => ['1']),
      });
    }
  }
  return [...staves.values()];
}

/**
 * A whole warm-up as one score: its pitched segments one after the other, every part a staff, every key
 * written out, with rests where a part rests.
 */
export function warmUpScore(
  title: string,
  scores: readonly Score[],
  preference?: AccidentalPreference,
): PieceScore {
  let from = 0;
  let counted = 0;
  const parts = scores.map((score) => {
    const one = pieceScoreOf(score, preference);
    const last = one.bars.length - 1;
    const part = {
      score: {
        ...one,
        bars: one.bars.map((bar, i) => ({
          ...bar,
          number: bar.number + counted,
          ...(i === last ? { sectionEnd: true } : {}),
        })),
      },
      from,
    };
    from += one.bars.length;
    counted += one.bars.filter((bar) => bar.counted).length;
    return part;
  });
  const shifted = <M extends { readonly bar: number }>(of: (score: PieceScore) => readonly M[]) =>
    parts.flatMap((part) => of(part.score).map((mark) => ({ ...mark, bar: mark.bar + part.from })));
  return {
    ...{ title, composer: '', language: '', warnings: [] },
    bars: parts.flatMap(({ score }) => score.bars),
    staves: joined(parts, from),
    tempos: shifted(({ tempos }) => tempos),
    keys: shifted(({ keys }) => keys),
    metres: shifted(({ metres }) => metres),
  };
}
