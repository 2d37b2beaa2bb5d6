import { noteName, type NoteWriting, type PartNeed, type Section } from '@wide-fern/core';
import { color, hueOf } from '../../ui/color';
import { SvgText } from '../../ui/SvgText';
import { namedNotes, type Lane, type TimeAxis } from './geometry';

/** A gutter narrower than this has no room for letter and names beside each other, in px. */
const narrowGutter = 80;

/** «L» for «Lanterns over Slate»; an article is passed over. */
const initialOf = (title: string): string => title.replace(/^(the|a|an) /i, '').charAt(0);

/** One part's lane before anything is sung in it: its axis, its band and reach, and what the music asks for. */
export function LaneGround({
  band,
  place,
  lane,
  axis,
  need,
  writing,
  labelX,
}: {
  readonly band: Section;
  readonly place: number;
  readonly lane: Lane;
  readonly axis: TimeAxis;
  readonly need: PartNeed | undefined;
  readonly writing: NoteWriting;
  readonly labelX: number;
}) {
  const hue = hueOf(band.id, place);
  const name = (note: number) => noteName(note, writing);
  const [low, high] = band.comfort;
  const [reachLow, reachHigh] = band.reach;
  const top = lane.y(high);
  const bottom = lane.y(low);
  const width = axis.right - axis.left;
  const at = (share: number) => top + share * (bottom - top);
  // Where the gutter is narrow, the letter stands between the axis's names, not over them.
  const labelY =
    axis.left < narrowGutter
      ? { name: at(0.25) + 8, count: at(0.75) + 4 }
      : { name: at(0.5) + 3, count: at(0.5) + 20 };
  const needs = need
    ? [
        { note: need.highest, title: need.highestIn },
        { note: need.lowest, title: need.lowestIn },
      ]
    : [];
  return (
    <g>
      <rect
        x={axis.left}
        y={lane.y(reachHigh)}
        width={width}
        height={lane.y(reachLow) - lane.y(reachHigh)}
        fill={hue}
        fillOpacity={0.04}
      />
      <rect
        x={axis.left}
        y={top}
        width={width}
        height={bottom - top}
        fill={hue}
        fillOpacity={0.085}
      />
      {[top, bottom].map((y) => (
        <line
          key={y}
          x1={axis.left}
          x2={axis.right}
          y1={y}
          y2={y}
          stroke={hue}
          strokeOpacity={0.42}
        />
      ))}
      <SvgText x={labelX} y={labelY.name} size={22} weight={700} hue={hue}>
        {band.id}
      </SvgText>
      <SvgText x={labelX} y={labelY.count}>
        {band.singers > 0 ? `for ${band.singers}` : 'usual'}
      </SvgText>
      {namedNotes(band.comfort, lane).map((note) => (
        <g key={note}>
          <SvgText x={axis.left - 9} y={lane.y(note) + 4} textAnchor="end">
            {name(note)}
          </SvgText>
          <line
            x1={axis.left - 5}
            x2={axis.left}
            y1={lane.y(note)}
            y2={lane.y(note)}
            stroke={color('inkSoft')}
          />
        </g>
      ))}
      {needs.map(({ note, title }) => (
        <g key={note}>
          <title>{title}</title>
          <line
            x1={axis.right - 5}
            x2={axis.right + 5}
            y1={lane.y(note)}
            y2={lane.y(note)}
            stroke={color('ink')}
            strokeWidth={2}
          />
          <SvgText x={axis.right + 9} y={lane.y(note) + 4} ink="ink">
            {name(note)} {initialOf(title)}
          </SvgText>
        </g>
      ))}
    </g>
  );
}
