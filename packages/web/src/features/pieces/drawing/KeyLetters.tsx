import {
  type Section,
  spanOfPart,
  tonicName,
  type NoteWriting,
  type MidiNote,
  type Music,
} from '@wide-fern/core';
import { color, hueOf } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';

const step = 33;
const around = 4;

/** Keys around the piece's own: a stem where everyone is inside the comfort, otherwise who is not. */
export function KeyLetters({
  music,
  sections,
  own,
  writing,
}: {
  readonly music: Music;
  readonly sections: readonly Section[];
  /** The tonic as the piece has it. */
  readonly own: MidiNote;
  readonly writing: NoteWriting;
}) {
  const keys = Array.from({ length: 2 * around + 1 }, (_, i) => own - around + i);
  const outside = (tonic: MidiNote) =>
    sections.filter(({ comfort, octave }, place) => {
      const span = spanOfPart(music, place, sections.length);
      return (
        span &&
        (tonic + octave + span.lowest < comfort[0] || tonic + octave + span.highest > comfort[1])
      );
    });
  const said = keys
    .map((tonic) => {
      const who = outside(tonic);
      const name = tonicName(tonic, 'major', writing);
      return who.length === 0
        ? `${name}: everyone`
        : `${name}: not the ${who.map(({ many }) => many).join(', ')}`;
    })
    .join('; ');
  return (
    <svg width={step * keys.length} height={44} role="img" aria-label={`Keys. ${said}`}>
      {keys.map((tonic, i) => {
        const x = step * i + step / 2;
        const who = outside(tonic);
        const isOwn = tonic === own;
        return (
          <g key={tonic}>
            <SvgText
              x={x}
              y={13}
              textAnchor="middle"
              ink={isOwn ? 'fern' : 'ink'}
              size={13}
              weight={isOwn ? 700 : 400}
            >
              {tonicName(tonic, 'major', writing)}
            </SvgText>
            {who.length === 0 ? (
              <line
                x1={x}
                x2={x}
                y1={20}
                y2={36}
                stroke={color(isOwn ? 'fern' : 'ink')}
                strokeWidth={3}
              />
            ) : (
              who.map(({ id }, k) => (
                <SvgText
                  key={id}
                  x={x + (k - (who.length - 1) / 2) * 11}
                  y={33}
                  textAnchor="middle"
                  hue={hueOf(
                    id,
                    sections.findIndex((band) => band.id === id),
                  )}
                  weight={700}
                >
                  {id}
                </SvgText>
              ))
            )}
            {isOwn && (
              <line
                x1={x - 14}
                x2={x + 14}
                y1={42}
                y2={42}
                stroke={color('fern')}
                strokeWidth={3}
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}
