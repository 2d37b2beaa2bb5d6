import { allInWords, rangeInFigures } from '@wide-fern/words';
import {
  noteName,
  wantedForEdge,
  type NoteWriting,
  type RegisterZone,
  type SectionPicture,
  type SingerRange,
} from '@wide-fern/core';
import { useId, type KeyboardEvent } from 'react';
import { color } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { aroundStep, aroundTop, curvePath, levelAfterKey, type PitchAxis } from './geometry';
import { Grip } from '../../../ui/Grip';
import { useDrag } from '../../../ui/useDrag';

const curveBox = { top: 26, bottom: 138, height: 158 } as const;

/** How many are comfortable on each note, the level that is wanted, and the band that it makes. */
export function ShareCurve({
  picture,
  here,
  axis,
  width,
  hue,
  register: { zone },
  writing,
  onWanted,
}: {
  readonly picture: SectionPicture;
  /** The singers it is made of, for moving an edge of the band. */
  readonly here: readonly SingerRange[];
  readonly axis: PitchAxis;
  readonly width: number;
  readonly hue: string;
  /** Where its voices change their register. */
  readonly register: RegisterZone;
  readonly writing: NoteWriting;
  readonly onWanted: (wanted: number) => void;
}) {
  const dots = useId();
  const { top, bottom } = curveBox;
  const { singers, wanted, comfort, easy } = picture;
  const y = (count: number): number => bottom - (count / singers) * (bottom - top);
  const want = (count: number) => onWanted(Math.min(singers, Math.max(1, count)));
  const count = (at: number) => Math.round(((bottom - at) / (bottom - top)) * singers);
  const lowEdge = useDrag(({ x, isFirst }) => {
    if (!isFirst) want(wantedForEdge(here, 'low', axis.note(x)));
  });
  const highEdge = useDrag(({ x, isFirst }) => {
    if (!isFirst) want(wantedForEdge(here, 'high', axis.note(x - 1)));
  });
  const [from, to] = [axis.x(comfort[0]), axis.x(comfort[1] + 1)];
  const narrow = axis.left < 150;
  return (
    <svg width={width} height={curveBox.height} style={{ display: 'block' }}>
      <defs>
        <pattern id={dots} width="6" height="6" patternUnits="userSpaceOnUse">
          <circle cx="3" cy="3" r="1" fill={hue} opacity={0.75} />
        </pattern>
      </defs>
      <line x1={axis.left} x2={axis.right} y1={top} y2={top} stroke={color('line')} />
      <SvgText x={axis.right} y={top - 6} textAnchor="end">
        {allInWords(singers, 'singer')}
      </SvgText>
      <path d={curvePath(easy, singers, axis, { top, bottom })} fill={hue} fillOpacity={0.12} />
      <rect
        x={from}
        y={top}
        width={to - from}
        height={curveBox.height - top}
        fill={hue}
        opacity={0.085}
      />
      <path
        d={curvePath(easy, singers, axis, { top, bottom })}
        fill="none"
        stroke={hue}
        strokeWidth={1.2}
      />
      <rect
        x={axis.x(zone[0])}
        y={top}
        width={Math.max(0, axis.x(zone[1] + 1) - axis.x(zone[0]))}
        height={bottom - top}
        fill={`url(#${dots})`}
      />
      {[from, to].map((x) => (
        <line key={x} x1={x} x2={x} y1={top} y2={curveBox.height} stroke={hue} strokeWidth={1.5} />
      ))}
      <line x1={axis.left} x2={axis.right} y1={bottom} y2={bottom} stroke={hue} />
      {!narrow && (
        <SvgText x={axis.right} y={bottom - 5} textAnchor="end">
          nobody
        </SvgText>
      )}
      <Level
        picture={picture}
        axis={axis}
        narrow={narrow}
        writing={writing}
        y={y(wanted)}
        countAt={count}
        onWanted={want}
      />
      {[from, to].map((x) => (
        <circle key={x} cx={x} cy={y(wanted)} r={4} fill={color('fern')} />
      ))}
      {!narrow && (
        <Around
          picture={picture}
          right={axis.left - 12}
          top={aroundTop(y(wanted))}
          writing={writing}
          onWanted={want}
        />
      )}
      {(
        [
          ['low', from, lowEdge],
          ['high', to, highEdge],
        ] as const
      ).map(([end, x, drag]) => (
        <g key={end} {...drag} aria-hidden="true">
          <title>
            {`Move the ${end === 'low' ? 'lower' : 'upper'} edge, now ${noteName(end === 'low' ? comfort[0] : comfort[1], writing)}`}
          </title>
          <rect x={x - 12} y={bottom - 1} width={24} height={24} fill="transparent" />
          <Grip x={x} y={bottom + 10} />
        </g>
      ))}
    </svg>
  );
}

/** The level that is wanted, as a line that is dragged or moved by keys. */
function Level({
  picture: { singers, wanted, comfort },
  axis,
  narrow,
  writing,
  y,
  countAt,
  onWanted,
}: {
  readonly picture: SectionPicture;
  readonly axis: PitchAxis;
  readonly narrow: boolean;
  readonly writing: NoteWriting;
  readonly y: number;
  /** How many singers a height stands for. */
  readonly countAt: (y: number) => number;
  readonly onWanted: (wanted: number) => void;
}) {
  const drag = useDrag(({ y: at, isFirst }) => {
    if (!isFirst) onWanted(countAt(at));
  });
  const keys = (event: KeyboardEvent) => {
    const to = levelAfterKey(event.key, wanted, singers);
    if (to === undefined) return;
    event.preventDefault();
    onWanted(to);
  };
  return (
    <g
      {...drag}
      role="slider"
      tabIndex={0}
      aria-label="Singers for whom a note has to be easy"
      aria-valuemin={1}
      aria-valuemax={singers}
      aria-valuenow={wanted}
      aria-valuetext={`${wanted} of ${singers}; ${rangeInFigures(comfort, writing)}`}
      aria-orientation="vertical"
      onKeyDown={keys}
    >
      <rect x={0} y={y - 12} width={axis.right} height={24} fill="transparent" />
      <line x1={axis.left} x2={axis.right} y1={y} y2={y} stroke={color('fern')} strokeWidth={1.5} />
      <Grip x={axis.left - 6} y={y} lying />
      <SvgText x={axis.left - 20} y={y + 4} size={13} weight={650} ink="fern" textAnchor="end">
        {narrow ? `${wanted}/${singers}` : `wanted: ${wanted} of ${singers}`}
      </SvgText>
    </g>
  );
}

/** The bands that other levels make, beside the curve. */
function Around({
  picture: { around, wanted },
  right,
  top,
  writing,
  onWanted,
}: {
  readonly picture: SectionPicture;
  readonly right: number;
  /** Where the first of its lines stands. */
  readonly top: number;
  readonly writing: NoteWriting;
  readonly onWanted: (wanted: number) => void;
}) {
  return (
    <>
      {around.map(({ wanted: count, comfort: band, suits }, i) => (
        <g key={count} onClick={() => onWanted(count)} style={{ cursor: 'pointer' }}>
          <SvgText
            x={0}
            y={top + aroundStep * i}
            weight={count === wanted ? 650 : 400}
            ink={count === wanted ? 'ink' : 'inkSoft'}
          >
            {i === 0 ? `easy for ${count}:` : `for ${count}:`}
          </SvgText>
          <SvgText
            x={right}
            y={top + aroundStep * i}
            textAnchor="end"
            weight={count === wanted ? 650 : 400}
            ink={count === wanted ? 'ink' : 'inkSoft'}
          >
            {suits ? rangeInFigures(band, writing) : 'no note'}
          </SvgText>
        </g>
      ))}
    </>
  );
}
