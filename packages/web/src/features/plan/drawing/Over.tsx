import type { PlanLoad, UnsureKey } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { unsureInWords } from '@wide-fern/words';
import type { TimeAxis } from '../../../music/lanes/geometry';
import { SignShapes } from '../../../music/lanes/SignShapes';
import { signScale } from '../../../music/lanes/signs';
import { color, hueOf } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { Effort } from './Effort';
import { notesFromNear } from './notes';
import { viewClip, type PlanLayout } from './layout';

/** When it may end: from the end as planned up to the clock, where nine evenings in ten are over, and one. */
function EndFan({ plan, layout }: { readonly plan: EvaluatedPlan; readonly layout: PlanLayout }) {
  const { axis, weaveTop, weaveBottom } = layout;
  const { likely, total, segments } = plan;
  if (segments.length === 0) return null;
  const within = (seconds: number) => Math.min(axis.right, Math.max(axis.left, axis.x(seconds)));
  const [early, late] = [within(likely.early), within(likely.late)];
  const end = axis.x(total);
  return (
    <g>
      <path
        d={`M${early} ${weaveTop} H${late} L${end} ${weaveBottom} Z`}
        fill={color('fern')}
        fillOpacity={0.06}
      />
      <path
        d={`M${early} ${weaveTop - 6} V${weaveTop} L${end} ${weaveBottom} L${late} ${weaveTop} V${weaveTop - 6}`}
        stroke={color('fern')}
        fill="none"
        strokeOpacity={0.35}
      />
    </g>
  );
}

/** Where it is not sure that enough of a part are at ease: a broken line beside what it sings. */
function Unsure({
  plan,
  unsure,
  layout,
  parts,
}: {
  readonly plan: EvaluatedPlan;
  readonly unsure: readonly UnsureKey[];
  readonly layout: PlanLayout;
  readonly parts: readonly string[];
}) {
  const { sections } = plan.document.tonight;
  const segments = new Map(plan.segments.map(({ segment, computed }) => [segment.id, computed]));
  return unsure.map(({ segment, repetition, part, tooFew }) => {
    const computed = segments.get(segment);
    const sung = computed?.repetitions[repetition];
    const sounding = sung?.parts.find((one) => one.part === part);
    const lane = layout.lanes[parts.indexOf(part)];
    if (!computed || !sung || sounding?.does !== 'sing' || !lane) return null;
    const at = computed.placed.from + sung.at + sung.seconds / 2;
    const place = sections.findIndex(({ id }) => id === part);
    const inside = (y: number) => Math.min(lane.floor, Math.max(lane.top, y));
    return (
      <g key={`${segment} ${repetition} ${part}`} style={{ pointerEvents: 'auto' }}>
        <title>{unsureInWords(tooFew)}</title>
        <SignShapes
          signs={[
            {
              kind: 'unsure',
              x: layout.axis.x(at),
              top: inside(lane.y(sounding.fit.high) - 2),
              bottom: inside(lane.y(sounding.fit.low) + 2),
            },
          ]}
          hue={hueOf(part, place)}
          scale={signScale(computed.repetitions, layout.axis)}
        />
      </g>
    );
  });
}

/** Single notes with their syllables, where a stretch is looked at from near. */
function Near({
  plan,
  layout,
  parts,
}: {
  readonly plan: EvaluatedPlan;
  readonly layout: PlanLayout;
  readonly parts: readonly string[];
}) {
  const { sections } = plan.document.tonight;
  return parts.map((part, i) => {
    const lane = layout.lanes[i]!;
    const hue = hueOf(
      part,
      sections.findIndex(({ id }) => id === part),
    );
    return (
      <g key={part} data-near={part}>
        {notesFromNear(plan, part, layout.axis, lane).map(({ x1, x2, y1, y2, syllable }, at) => (
          <g key={at}>
            <line x1={x1 + 1} x2={x2 - 2} y1={y1} y2={y2} stroke={hue} strokeWidth={2.5} />
            {syllable && (
              <SvgText x={x1 + 1} y={y1 - 4} size={11} ink="ink">
                {syllable}
              </SvgText>
            )}
          </g>
        ))}
      </g>
    );
  });
}

/** What comes right behind the page and is drawn over the weave: effort, when it may end, where it is not sure. */
export default function Over({
  plan,
  load,
  unsure,
  layout,
  parts,
}: {
  readonly plan: EvaluatedPlan;
  /** Not there yet while what works it out is fetched. */
  readonly load: PlanLoad | undefined;
  readonly unsure: readonly UnsureKey[];
  readonly layout: PlanLayout;
  readonly parts: readonly string[];
}) {
  const axis: TimeAxis = layout.axis;
  return (
    <>
      <Effort plan={plan} load={load} axis={axis} {...layout.effort} labelX={layout.margin} />
      <g clipPath={`url(#${viewClip})`}>
        <Near plan={plan} layout={layout} parts={parts} />
        <EndFan plan={plan} layout={layout} />
        <Unsure plan={plan} unsure={unsure} layout={layout} parts={parts} />
      </g>
    </>
  );
}
