import type { Section } from '@wide-fern/core';
import type { Evaluated } from '@wide-fern/plan';
import { memo } from 'react';
import type { TimeAxis } from '../../../music/lanes/geometry';
import { SegmentInLane } from '../../../music/lanes/SegmentInLane';
import { color } from '../../../ui/color';
import { lazily } from '../../../ui/lazily';
import type { PlanLayout } from './layout';

/** What has no pitch, and what joins the lanes, come right behind the page. */
const Between = lazily(() => import('./Between').then((it) => ({ default: it.Between })));

/** What the time of one segment through all lanes is drawn from. */
interface OfColumn {
  readonly evaluated: Evaluated;
  /** From the segment's beginning as far as it is in view. */
  readonly own: TimeAxis;
  readonly layout: PlanLayout;
  readonly sections: readonly Section[];
  /** The parts drawn, from the highest. */
  readonly parts: readonly string[];
  readonly isChosen: boolean;
  /** Chooses a segment by its id; the same whenever it is drawn. */
  readonly onChoose: (segment: string) => void;
}

/**
 * What one segment has all parts do; choosing it is clicking anywhere in it. Drawn again only when something
 * of this very segment changes: those behind one that grows only move.
 */
export const Column = memo(Drawn, (one, other) => {
  const { computed: was } = one.evaluated;
  const { computed: is } = other.evaluated;
  return (
    one.evaluated.segment === other.evaluated.segment &&
    was.repetitions === is.repetitions &&
    was.talk === is.talk &&
    was.seconds === is.seconds &&
    (['left', 'right'] as const).every((end) => one.own[end] === other.own[end]) &&
    (['layout', 'sections', 'parts', 'isChosen'] as const).every(
      (name) => one[name] === other[name],
    )
  );
});

function Drawn({ evaluated, own, layout, sections, parts, isChosen, onChoose }: OfColumn) {
  const { segment, computed } = evaluated;
  const { weaveTop, height, lanes } = layout;
  const width = Math.max(0, own.x(computed.placed.to));
  // Out of view there is nothing to draw.
  const isSeen = own.right > own.left;
  return (
    <svg
      width={width}
      height={height}
      style={{ position: 'absolute', overflow: 'visible', touchAction: 'pan-y' }}
    >
      {isSeen &&
        parts.map((part, i) => {
          const place = sections.findIndex(({ id }) => id === part);
          const band = sections[place]!;
          return (
            <SegmentInLane key={part} {...{ evaluated, band, place }} lane={lanes[i]!} axis={own} />
          );
        })}
      <line x1={width} x2={width} y1={weaveTop} y2={height} stroke={color('line')} />
      <rect
        y={weaveTop}
        width={width}
        height={height - weaveTop}
        fill={isChosen ? color('fern') : 'transparent'}
        fillOpacity={isChosen ? 0.06 : 1}
        onClick={() => onChoose(segment.id)}
        style={{ cursor: 'pointer', pointerEvents: 'all' }}
      />
      {isChosen && (
        <path
          d={`M0 ${height} V${weaveTop} M${width} ${weaveTop} V${height}`}
          stroke={color('fern')}
          strokeWidth={1.5}
          fill="none"
        />
      )}
      {isSeen && <Between {...{ evaluated, parts, lanes }} axis={own} y={layout.middle} />}
    </svg>
  );
}
