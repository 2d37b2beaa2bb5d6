import { type Section, noteName, type NoteWriting, type PartAnalysis } from '@wide-fern/core';
import { color, hueOf } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { partFacts } from '@wide-fern/words';
import { lane, pitchesShown, pitchScale } from './geometry';

/** One part's histogram of sounding time by pitch, bottom to top, over the section's band. */
export function PartLane({
  part,
  band,
  place,
  longest,
  writing,
  note,
}: {
  readonly part: PartAnalysis;
  readonly band: Section;
  readonly place: number;
  /** The longest time on one pitch over all parts: the scale of every lane. */
  readonly longest: number;
  readonly writing: NoteWriting;
  readonly note: (midi: number) => string;
}) {
  const { figures } = part;
  const shown = pitchesShown(band.comfort, [figures.lowest, figures.highest]);
  const { step, y } = pitchScale(shown);
  const hue = hueOf(part.part, place);
  const left = lane.names;
  const right = lane.names + lane.histogram;
  const [low, high] = band.comfort;
  const pitches = Object.entries(figures.histogram).map(([midi, seconds]) => ({
    midi: Number(midi),
    seconds,
  }));
  const own = Math.max(...pitches.map(({ seconds }) => seconds));
  const middle = Math.round((low + high) / 2 / 12) * 12;
  const named = [low, high, ...(middle > low + 3 && middle < high - 3 ? [middle] : [])];
  const words = partFacts(part, note)
    .map((fact) => fact.words)
    .join('; ');
  return (
    <svg
      width={right + 4}
      height={lane.height}
      role="img"
      aria-label={`${band.many}: ${words}`}
      style={{ display: 'block', flexShrink: 0, overflow: 'visible' }}
    >
      <rect
        x={left}
        y={y(high) - step / 2}
        width={lane.histogram}
        height={(high - low + 1) * step}
        fill={hue}
        opacity={0.085}
      />
      {[y(high) - step / 2, y(low) + step / 2].map((at) => (
        <line key={at} x1={left} x2={right} y1={at} y2={at} stroke={hue} strokeWidth={1} />
      ))}
      {named.map((midi) => (
        <SvgText key={midi} x={left - 7} y={y(midi) + 4} textAnchor="end">
          {noteName(midi, writing)}
        </SvgText>
      ))}
      {pitches.map(({ midi, seconds }) => {
        const isOutside = midi < low || midi > high;
        const length = Math.max(2, (seconds / longest) * (lane.histogram - 4));
        const height = Math.max(2, Math.min(9, step - 1));
        return (
          <rect
            key={midi}
            x={left}
            y={y(midi) - height / 2}
            width={length}
            height={height}
            fill={isOutside ? color('sheet') : hue}
            stroke={hue}
            strokeWidth={isOutside ? 1.2 : 0}
          />
        );
      })}
      {pitches
        .filter(({ seconds }) => seconds === own && seconds >= 1)
        .slice(0, 1)
        .map(({ midi, seconds }) => {
          const length = (seconds / longest) * (lane.histogram - 4);
          const isFull = length > lane.histogram - 34;
          return (
            <SvgText
              key={midi}
              x={isFull ? right - 4 : left + length + 5}
              y={y(midi) + (isFull ? -step / 2 - 4 : 4)}
              textAnchor={isFull ? 'end' : 'start'}
              hue={hue}
              weight={650}
            >
              {`${Math.round(seconds)} s`}
            </SvgText>
          );
        })}
      <line x1={left} x2={left} y1={0} y2={lane.height} stroke={color('ink')} />
    </svg>
  );
}
