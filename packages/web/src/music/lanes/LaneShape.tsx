import {
  noteName,
  type NoteWriting,
  type PartNeed,
  type Repetition,
  type Section,
} from '@wide-fern/core';
import { memo } from 'react';
import { color, hueOf } from '../../ui/color';
import { toldMove, type Evaluated } from '@wide-fern/plan';
import { Chain } from './Chain';
import { namedNotes, timeAxis, type Lane, type TimeAxis } from './geometry';
import { gapsOf, signScale, signsOf } from './signs';
import { SignShapes } from './SignShapes';
import { SvgText } from '../../ui/SvgText';

/** A gutter narrower than this has no room for letter and names beside each other, in px. */
const narrowGutter = 80;

/** «L» for «Lanterns over Slate»; an article is passed over. */
const initialOf = (title: string): string => title.replace(/^(the|a|an) /i, '').charAt(0);

/** Whether what a part does in a key was chosen by hand: the start, or what it was told there. */
const isByHand = ({ choices }: Evaluated['segment'], part: string, key: number): boolean =>
  (choices.start !== null && key === 0) || toldMove(choices, part, key) !== undefined;

/** One part's lane: its axis, its band and reach, and what it sings in every repetition. */
export function LaneShape({
  band,
  place,
  lane,
  axis,
  segments,
  need,
  writing,
  labelX,
  clip,
}: {
  readonly band: Section;
  readonly place: number;
  readonly lane: Lane;
  readonly axis: TimeAxis;
  readonly segments: readonly Evaluated[];
  readonly need: PartNeed | undefined;
  readonly writing: NoteWriting;
  readonly labelX: number;
  /** What keeps what is sung inside the axis, where only a stretch of it is seen. */
  readonly clip?: string;
}) {
  const hue = hueOf(band.id, place);
  const name = (note: number) => noteName(note, writing);
  const [low, high] = band.comfort;
  const [reachLow, reachHigh] = band.reach;
  const top = lane.y(high);
  const bottom = lane.y(low);
  const width = axis.right - axis.left;
  const { view } = axis;
  const perSecond = width / Math.max(1e-9, view.to - view.from);
  const at = (share: number) => top + share * (bottom - top);
  // Where the gutter is narrow, the letter stands between the axis's names, not over them.
  const labelY =
    axis.left < narrowGutter
      ? { name: at(0.25) + 8, count: at(0.75) + 4 }
      : { name: at(0.5) + 3, count: at(0.5) + 20 };
  const gaps = segments.flatMap(({ computed }) =>
    gapsOf(computed.repetitions, band.id, computed.placed.from, computed.placed.to, axis),
  );
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
        opacity={0.04}
      />
      <rect x={axis.left} y={top} width={width} height={bottom - top} fill={hue} opacity={0.085} />
      <g clipPath={clip}>
        {gaps.length > 0 && (
          <path
            d={gaps
              .map(({ from, to }) => `M${from} ${top - 1} H${to} V${bottom + 1} H${from} Z`)
              .join(' ')}
            fill={color('paper')}
          />
        )}
      </g>
      {[top, bottom].map((y) => (
        <line key={y} x1={axis.left} x2={axis.right} y1={y} y2={y} stroke={hue} opacity={0.42} />
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
      <g clipPath={clip}>
        <Chain segments={segments} axis={axis}>
          {({ segment, computed: { placed, repetitions } }) =>
            placed.to > view.from &&
            placed.from < view.to && (
              <SegmentSigns {...{ segment, repetitions, band, lane, perSecond, hue }} />
            )
          }
        </Chain>
      </g>
    </g>
  );
}

/** What one segment's signs in a lane are drawn from; they stand from the segment's own beginning. */
interface OfSegment {
  readonly segment: Evaluated['segment'];
  readonly repetitions: readonly Repetition[];
  readonly band: Section;
  readonly lane: Lane;
  readonly perSecond: number;
  readonly hue: string;
}

const isSameLane = (one: Lane, other: Lane): boolean =>
  one.top === other.top && one.height === other.height && one.perSemitone === other.perSemitone;

/** Drawn again only when something of this very segment changes: those behind one that grows only move. */
const SegmentSigns = memo(
  ({ segment, repetitions, band, lane, perSecond, hue }: OfSegment) => {
    // A second is as wide as on the plan's axis; how far it goes does not matter.
    const axis = timeAxis(0, perSecond, 1);
    const scale = signScale(repetitions, axis);
    const signs = repetitions.flatMap((repetition, i) => {
      const sounding = repetition.parts.find(({ part }) => part === band.id);
      if (!sounding) return [];
      const { music } = segment.exercise;
      const place = { axis, lane, comfort: band.comfort, reach: band.reach };
      return signsOf(sounding, repetition, music, 0, isByHand(segment, band.id, i), place);
    });
    return <SignShapes {...{ signs, hue, scale }} />;
  },
  (one, other) =>
    one.segment === other.segment &&
    one.repetitions === other.repetitions &&
    one.band === other.band &&
    one.perSecond === other.perSecond &&
    one.hue === other.hue &&
    isSameLane(one.lane, other.lane),
);
