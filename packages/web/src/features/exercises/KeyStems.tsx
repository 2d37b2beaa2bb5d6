import { tonicName, type NoteWriting, type MidiNote } from '@wide-fern/core';
import { color } from '../../ui/color';

/** The tonics a row shows: from A below middle C to A an octave above it. */
const shown = { from: 55, count: 22, step: 3.4 } as const;

/** The keys that work tonight, as small stems by semitone; a taller tick marks middle C. */
export function KeyStems({
  keys,
  writing,
}: {
  readonly keys: readonly MidiNote[];
  readonly writing: NoteWriting;
}) {
  const x = (note: MidiNote) => 1 + (note - shown.from) * shown.step;
  const width = x(shown.from + shown.count) + 2;
  const inside = keys.filter((key) => key >= shown.from && key <= shown.from + shown.count);
  const first = keys[0];
  const last = keys[keys.length - 1];
  const words =
    first === undefined || last === undefined
      ? 'No key suits every part tonight'
      : `${keys.length} ${keys.length === 1 ? 'key suits' : 'keys suit'} every part tonight: ${tonicName(first, 'major', writing)} to ${tonicName(last, 'major', writing)}`;
  return (
    <svg width={width} height={16} role="img" aria-label={words} style={{ display: 'block' }}>
      <line x1={0} x2={width} y1={13.5} y2={13.5} stroke={color('line')} />
      <line x1={x(60)} x2={x(60)} y1={13.5} y2={16} stroke={color('inkSoft')} />
      {inside.map((key) => (
        <line
          key={key}
          x1={x(key)}
          x2={x(key)}
          y1={3}
          y2={13}
          stroke={color('fern')}
          strokeWidth={1.8}
        />
      ))}
      {keys.length === 0 && (
        <circle cx={width / 2} cy={8} r={3} fill="none" stroke={color('inkSoft')} />
      )}
    </svg>
  );
}
