import type { NoteWriting, Section } from '@wide-fern/core';
import type { Evaluated } from '@wide-fern/plan';
import { keyPath, lengthInFigures, strideInWords, wordingFor } from '@wide-fern/words';
import type { TimeAxis } from '../../music/lanes/geometry';
import { GutterLine } from '../../music/lanes/GutterLine';
import { color } from '../../ui/color';
import { SvgText } from '../../ui/SvgText';
import { nameLines } from './nameLines';

/** A segment of the opened warm-up: its name, its keys and its length, as far as they fit. */
export function SegmentNames({
  evaluated,
  sections,
  writing,
  axis,
  top,
  bottom,
  middle,
}: {
  readonly evaluated: Evaluated;
  readonly sections: readonly Section[];
  readonly writing: NoteWriting;
  readonly axis: TimeAxis;
  readonly top: number;
  readonly bottom: number;
  /** Where a segment without notes is drawn. */
  readonly middle: number;
}) {
  const { segment, computed } = evaluated;
  const from = axis.x(computed.placed.from);
  const to = axis.x(computed.placed.to);
  const room = to - from;
  const { name } = segment.exercise;
  const wording = wordingFor(sections, segment, writing);
  const path = keyPath(computed.keys, wording) || strideInWords(segment);
  const length = lengthInFigures(computed.placed.shown);
  const { size, lines } = nameLines(name, room);
  // Two lines of name leave one for the length.
  const foot = top + (lines.length > 1 ? 42 : 38);
  return (
    <g>
      <title>{`${name}, ${length}`}</title>
      <line x1={to} x2={to} y1={top} y2={bottom} stroke={color('line')} />
      {lines.map((line, i) => (
        <SvgText
          key={line}
          x={from + 7}
          y={top + (lines.length > 1 ? 14 + i * 14 : 20)}
          size={size}
          isName
          ink="ink"
        >
          {line}
        </SvgText>
      ))}
      {lines.length < 2 && room > path.length * 6 + length.length * 6 + 20 ? (
        <>
          <SvgText x={from + 7} y={foot}>
            {path}
          </SvgText>
          <SvgText x={to - 7} y={foot} textAnchor="end">
            {length}
          </SvgText>
        </>
      ) : (
        room > 34 && (
          <SvgText x={from + 7} y={foot}>
            {length}
          </SvgText>
        )
      )}
      <GutterLine evaluated={evaluated} axis={axis} y={middle} />
    </g>
  );
}
