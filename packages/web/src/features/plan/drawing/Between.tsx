import type { Evaluated } from '@wide-fern/plan';
import { GutterLine } from '../../../music/lanes/GutterLine';
import type { Lane, TimeAxis } from '../../../music/lanes/geometry';
import { color } from '../../../ui/color';

/** What one segment has between the lanes: talk and what has no pitch, and the notes of a chord joined. */
export const Between = ({
  evaluated,
  axis,
  y,
  lanes,
  parts,
}: {
  readonly evaluated: Evaluated;
  readonly axis: TimeAxis;
  /** The middle between upper and lower parts. */
  readonly y: number;
  readonly lanes: readonly Lane[];
  readonly parts: readonly string[];
}) => (
  <g pointerEvents="none">
    <GutterLine {...{ evaluated, axis, y }} />
    <ChordLines {...{ evaluated, axis, lanes, parts }} />
  </g>
);

function ChordLines({
  evaluated: { segment, computed },
  axis,
  lanes,
  parts,
}: {
  readonly evaluated: Evaluated;
  readonly axis: TimeAxis;
  readonly lanes: readonly Lane[];
  readonly parts: readonly string[];
}) {
  if (segment.exercise.music.kind !== 'chord' || parts.length < 2) return null;
  return computed.repetitions.map(({ at, seconds, parts: sounding }) => {
    const x = axis.x(computed.placed.from + at + seconds / 2);
    const ys = sounding.flatMap((one) => {
      const lane = lanes[parts.indexOf(one.part)];
      return one.does === 'sing' && lane ? [lane.y(one.tonic)] : [];
    });
    if (ys.length < 2) return null;
    return (
      <line
        key={at}
        x1={x}
        x2={x}
        y1={Math.min(...ys)}
        y2={Math.max(...ys)}
        stroke={color('inkSoft')}
        strokeOpacity={0.75}
      />
    );
  });
}
