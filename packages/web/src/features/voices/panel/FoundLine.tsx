import { noteName, type NoteWriting, type CheckFound, type MidiNote } from '@wide-fern/core';
import { color } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { pitchAxis } from '../drawing/geometry';

/** What a check has found so far: a line that grows from where it began to the present note. */
export function FoundLine({
  found,
  changes,
  start,
  now,
  around,
  width,
  writing,
}: {
  readonly found: CheckFound | undefined;
  /** Where the voice was heard to change its register. */
  readonly changes: readonly MidiNote[];
  readonly start: MidiNote;
  readonly now: MidiNote | undefined;
  /** The part's reach, so that the axis stays while the line grows. */
  readonly around: readonly [MidiNote, MidiNote];
  readonly width: number;
  readonly writing: NoteWriting;
}) {
  const axis = pitchAxis([around, [now ?? start, now ?? start], ...(found ? [found.reach] : [])], {
    left: 8,
    right: width - 8,
  });
  const name = (note: MidiNote) => noteName(note, writing);
  const y = 14;
  const words = found
    ? `Found so far: easy ${name(found.comfort[0])} to ${name(found.comfort[1])}, reach ${name(found.reach[0])} to ${name(found.reach[1])}.`
    : 'Nothing is found yet.';
  return (
    <svg width={width} height={40} role="img" aria-label={words} style={{ display: 'block' }}>
      <line x1={axis.left} x2={axis.right} y1={y} y2={y} stroke={color('line')} />
      {found && (
        <>
          <rect
            x={axis.x(found.reach[0])}
            width={axis.x(found.reach[1] + 1) - axis.x(found.reach[0])}
            y={y - 0.5}
            height={1}
            fill={color('fern')}
          />
          <rect
            x={axis.x(found.comfort[0])}
            width={axis.x(found.comfort[1] + 1) - axis.x(found.comfort[0])}
            y={y - 3}
            height={6}
            fill={color('fern')}
          />
        </>
      )}
      {changes.map((note) => (
        <path
          key={note}
          d={`M${axis.x(note)} ${y + 10} v4 H${axis.x(note + 1)} v-4`}
          fill="none"
          stroke={color('ink')}
        />
      ))}
      <line
        x1={axis.middle(start)}
        x2={axis.middle(start)}
        y1={y - 8}
        y2={y + 8}
        stroke={color('ink')}
      />
      <SvgText x={axis.middle(start)} y={36} textAnchor="middle">
        {`began ${name(start)}`}
      </SvgText>
      {now !== undefined && (
        <>
          <circle
            cx={axis.middle(now)}
            cy={y}
            r={5}
            fill={color('paper')}
            stroke={color('fern')}
            strokeWidth={1.5}
          />
          {Math.abs(axis.middle(now) - axis.middle(start)) > 56 && (
            <SvgText
              x={axis.middle(now)}
              y={36}
              textAnchor="middle"
              weight={650}
              ink="fern"
            >{`${name(now)}?`}</SvgText>
          )}
        </>
      )}
    </svg>
  );
}
