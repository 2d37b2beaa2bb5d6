import { useRef, useState, type ComponentProps, type RefObject } from 'react';
import type { EvaluatedPlan } from '@wide-fern/plan';
import type { TimeView } from '../../music/lanes/geometry';
import type { Looking } from './drawing/Zoom';
import { Weave } from './drawing/Weave';
import type { Behind } from './model/useBehind';
import { lazily } from '../../ui/lazily';

/** What is drawn over the weave comes right behind the page. */
const Over = lazily(() => import('./drawing/Over'));
const MomentMark = lazily(() =>
  import('./drawing/MomentMark').then((it) => ({ default: it.MomentMark })),
);

const Zoom = lazily(() => import('./drawing/Zoom').then((it) => ({ default: it.Zoom })));

/** Everything that happens when, with what is drawn over it and the moment that is pointed at. */
export function Woven({
  behind,
  view,
  looking,
  onView,
  still,
  ...weave
}: Omit<ComponentProps<typeof Weave>, 'moment' | 'onMoment' | 'children'> & {
  readonly behind: Behind | undefined;
  readonly view: TimeView | undefined;
  readonly looking: RefObject<Looking | undefined>;
  readonly onView: (view: TimeView | undefined) => void;
  /** The plan, and while its segments are pulled what it was before. */
  readonly still: EvaluatedPlan;
}) {
  const [moment, setMoment] = useState<number>();
  const { plan, layout, parts, start, clock, writing, chosen } = weave;
  const frame = useRef<HTMLDivElement>(null);
  const { axis } = layout;
  return (
    <div ref={frame} style={{ position: 'relative' }}>
      <Weave {...weave} moment={moment} onMoment={setMoment}>
        <Over {...{ plan, layout, parts }} load={behind?.load} unsure={behind?.unsure ?? []} />
      </Weave>
      <Zoom {...{ frame, looking, axis, view, chosen, moment, onView }} plan={still} />
      <MomentMark
        {...{ layout, start, clock, writing, moment }}
        plan={still}
        onMoment={setMoment}
      />
    </div>
  );
}
