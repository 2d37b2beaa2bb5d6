import type { Section } from '@wide-fern/core';
import { toldMove, type Evaluated } from '@wide-fern/plan';
import { color, hueOf } from '../../ui/color';
import type { Lane, TimeAxis } from './geometry';
import { SignShapes } from './SignShapes';
import { gapsOf, signScale, signsOf } from './signs';

/** Whether what a part does in a key was chosen by hand: the start, or what it was told there. */
const isByHand = ({ choices }: Evaluated['segment'], part: string, key: number): boolean =>
  (choices.start !== null && key === 0) || toldMove(choices, part, key) !== undefined;

/** What a part sings in a segment, key by key, in its lane; where it rests its band is left out. */
export function SegmentInLane({
  evaluated: { segment, computed },
  band,
  place,
  lane,
  axis,
}: {
  readonly evaluated: Evaluated;
  readonly band: Section;
  /** The part's place among all, from the highest. */
  readonly place: number;
  readonly lane: Lane;
  readonly axis: TimeAxis;
}) {
  const { repetitions, placed } = computed;
  const { comfort, reach } = band;
  // Inside the lines of the band.
  const [top, bottom] = [lane.y(comfort[1]) + 0.5, lane.y(comfort[0]) - 0.5];
  const gaps = gapsOf(repetitions, band.id, placed.from, placed.to, axis);
  const signs = repetitions.flatMap((repetition, i) => {
    const sounding = repetition.parts.find(({ part }) => part === band.id);
    if (!sounding) return [];
    const told = isByHand(segment, band.id, i);
    const where = { axis, lane, comfort, reach };
    return signsOf(sounding, repetition, segment.exercise.music, placed.from, told, where);
  });
  return (
    <>
      {gaps.length > 0 && (
        <path
          d={gaps.map(({ from, to }) => `M${from} ${top} H${to} V${bottom} H${from} Z`).join(' ')}
          fill={color('paper')}
        />
      )}
      <SignShapes signs={signs} hue={hueOf(band.id, place)} scale={signScale(repetitions, axis)} />
    </>
  );
}
