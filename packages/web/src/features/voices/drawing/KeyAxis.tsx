import { noteName, type NoteWriting, type PitchRange } from '@wide-fern/core';
import { color } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { isBlack, namedNotes, notesOf, type PitchAxis } from './geometry';

const keyHeight = 36;
const spanHeight = 19;

/** A piece as the keys measure it for one part. */
/** As much of a title as there is room for. */
const shortened = (title: string, most: number): string =>
  title.length > most ? `${title.slice(0, most - 2).trimEnd()}…` : title;

export interface PieceSpan {
  readonly title: string;
  readonly range: PitchRange;
}

/** The part of a span that leaves the band below, or above; undefined where it does not. */
function beyond(range: PitchRange, band: PitchRange): readonly ('low' | 'high')[] {
  return [
    ...(range[0] < band[0] ? (['low'] as const) : []),
    ...(range[1] > band[1] ? (['high'] as const) : []),
  ];
}

/** One piece on the axis: a line from its lowest to its highest note, hollow wedges where it leaves the band. */
function Span({
  span,
  axis,
  band,
  hue,
  y,
  writing,
}: {
  readonly span: PieceSpan;
  readonly axis: PitchAxis;
  readonly band: PitchRange;
  readonly hue: string;
  readonly y: number;
  readonly writing: NoteWriting;
}) {
  const { title, range } = span;
  const ends = beyond(range, band);
  const [low, high] = [axis.x(range[0]), axis.x(range[1] + 1)];
  const from = ends.includes('low') ? Math.min(axis.x(band[0]), high) : low;
  const to = ends.includes('high') ? Math.max(axis.x(band[1] + 1), low) : high;
  const wedge = (tip: number, base: number) => (
    <path
      d={`M ${tip} ${y} L ${base} ${y - 4} L ${base} ${y + 4} Z`}
      fill={color('paper')}
      stroke={hue}
      strokeWidth={1.2}
    />
  );
  const narrow = axis.left < 150;
  return (
    <g>
      <SvgText x={0} y={y + 4} size={13} isName ink="ink">
        {shortened(title, narrow ? 13 : 28)}
      </SvgText>
      <line x1={from} x2={to} y1={y} y2={y} stroke={color('inkSoft')} strokeWidth={1.2} />
      {ends.includes('low') ? (
        wedge(low, from)
      ) : (
        <line x1={low} x2={low} y1={y - 4} y2={y + 4} stroke={color('ink')} strokeWidth={2} />
      )}
      {ends.includes('high') ? (
        wedge(high, to)
      ) : (
        <line x1={high} x2={high} y1={y - 4} y2={y + 4} stroke={color('ink')} strokeWidth={2} />
      )}
      <SvgText
        x={low - 6}
        y={y + 4}
        textAnchor="end"
        weight={ends.includes('low') ? 650 : 400}
        ink={ends.includes('low') ? 'ink' : 'inkSoft'}
      >
        {noteName(range[0], writing)}
      </SvgText>
      <SvgText
        x={high + 6}
        y={y + 4}
        weight={ends.includes('high') ? 650 : 400}
        ink={ends.includes('high') ? 'ink' : 'inkSoft'}
      >
        {noteName(range[1], writing)}
      </SvgText>
    </g>
  );
}

/** The keys that the section's axis follows, and beneath them what tonight's pieces ask. */
export function KeyAxis({
  axis,
  band,
  pieces,
  width,
  hue,
  writing,
}: {
  readonly axis: PitchAxis;
  readonly band: PitchRange;
  readonly pieces: readonly PieceSpan[];
  readonly width: number;
  readonly hue: string;
  readonly writing: NoteWriting;
}) {
  const notes = notesOf(axis);
  const height = 60 + pieces.length * spanHeight;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={[
        `Keys from ${noteName(axis.lowest, writing)} to ${noteName(axis.highest, writing)}.`,
        ...pieces.map(
          ({ title, range }) =>
            `${title}: ${noteName(range[0], writing)} to ${noteName(range[1], writing)}${beyond(range, band).length > 0 ? ', beyond the band' : ''}.`,
        ),
      ].join(' ')}
      style={{ display: 'block' }}
    >
      {notes.map((note) => (
        <rect
          key={note}
          x={axis.x(note)}
          y={4}
          width={axis.step}
          height={keyHeight}
          fill={color('sheet')}
        />
      ))}
      <rect
        x={axis.x(band[0])}
        y={4}
        width={axis.x(band[1] + 1) - axis.x(band[0])}
        height={keyHeight}
        fill={hue}
        opacity={0.1}
      />
      {notes.filter(isBlack).map((note) => (
        <g key={note}>
          <rect
            x={axis.x(note) + 1}
            y={4}
            width={axis.step - 2}
            height={keyHeight * 0.65}
            fill={color('ink')}
            opacity={0.85}
          />
          <line
            x1={axis.middle(note)}
            x2={axis.middle(note)}
            y1={4 + keyHeight * 0.65}
            y2={4 + keyHeight}
            stroke={color('line')}
          />
        </g>
      ))}
      {notes
        .filter((note) => !isBlack(note) && !isBlack(note + 1))
        .map((note) => (
          <line
            key={note}
            x1={axis.x(note + 1)}
            x2={axis.x(note + 1)}
            y1={4}
            y2={4 + keyHeight}
            stroke={color('line')}
          />
        ))}
      <rect
        x={axis.left}
        y={4}
        width={axis.right - axis.left}
        height={keyHeight}
        fill="none"
        stroke={color('line')}
      />
      {namedNotes(axis, band).map((note) => (
        <SvgText key={note} x={axis.middle(note)} y={54} textAnchor="middle">
          {noteName(note, writing)}
        </SvgText>
      ))}
      {band
        .filter((note, i) => i === 0 || note !== band[0])
        .map((note) => (
          <SvgText
            key={note}
            x={axis.middle(note)}
            y={54}
            textAnchor="middle"
            weight={650}
            size={13}
            hue={hue}
          >
            {noteName(note, writing)}
          </SvgText>
        ))}
      {pieces.map((span, i) => (
        <Span
          key={`${span.title}-${i}`}
          span={span}
          axis={axis}
          band={band}
          hue={hue}
          y={70 + i * spanHeight}
          writing={writing}
        />
      ))}
      {[axis.x(band[0]), axis.x(band[1] + 1)].map((x) => (
        <line key={x} x1={x} x2={x} y1={0} y2={4 + keyHeight} stroke={hue} strokeWidth={1.5} />
      ))}
    </svg>
  );
}
