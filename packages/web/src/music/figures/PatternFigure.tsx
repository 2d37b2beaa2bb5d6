import { figureOf, type Music } from '@wide-fern/core';
import { color } from '../../ui/color';

/** The pattern's own notes to scale: beats from left to right, semitones from bottom to top. */
export function PatternFigure({
  music,
  width,
  height,
  small = false,
}: {
  readonly music: Music;
  readonly width: number;
  readonly height: number;
  /** In a line of text: thinner, and without the line of the tonic. */
  readonly small?: boolean;
}) {
  const dashes = figureOf(music);
  if (dashes.length === 0) return null;
  const offsets = dashes.flatMap(({ offset, endOffset }) => [offset, endOffset]);
  const beats = Math.max(...dashes.map(({ to }) => to));
  const low = Math.min(...offsets);
  const high = Math.max(...offsets);
  const x = (beat: number) => 2 + (beat / Math.max(1, beats)) * (width - 4);
  const perSemitone = Math.min(small ? 3 : 6, (height - 8) / Math.max(1, high - low));
  const y = (offset: number) => height / 2 + ((low + high) / 2 - offset) * perSemitone;
  return (
    <svg width={width} height={height} aria-hidden="true" style={{ display: 'block' }}>
      {!small && (
        <line x1={0} x2={width} y1={y(0)} y2={y(0)} stroke={color('line')} strokeDasharray="2 3" />
      )}
      {dashes.map(({ from, to, offset, endOffset, held }, i) => (
        <line
          key={i}
          x1={x(from) + 1}
          x2={Math.max(x(from) + 2, x(to) - 1)}
          y1={y(offset)}
          y2={y(endOffset)}
          stroke={color('ink')}
          strokeWidth={(small ? 1.8 : 3) * (held ? 0.5 : 1)}
        />
      ))}
    </svg>
  );
}
