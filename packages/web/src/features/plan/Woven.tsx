import { lazy, Suspense, useRef, useState, type ComponentProps, type RefObject } from 'react';
import type { TimeView } from '../../music/lanes/geometry';
import type { Looking } from './drawing/Zoom';
import { Weave } from './drawing/Weave';
import type { Behind } from './model/useBehind';

/** What is drawn over the weave comes right behind the page. */
const Over = lazy(() => import('./drawing/Over'));
const MomentMark = lazy(() =>
  import('./drawing/MomentMark').then((it) => ({ default: it.MomentMark })),
);

const Zoom = lazy(() => import('./drawing/Zoom').then((it) => ({ default: it.Zoom })));

/** Everything that happens when, with what is drawn over it and the moment that is pointed at. */
export function Woven({
  behind,
  view,
  looking,
  onView,
  ...weave
}: Omit<ComponentProps<typeof Weave>, 'moment' | 'onMoment' | 'children'> & {
  readonly behind: Behind | undefined;
  readonly view: TimeView | undefined;
  readonly looking: RefObject<Looking | undefined>;
  readonly onView: (view: TimeView | undefined) => void;
}) {
  const [moment, setMoment] = useState<number>();
  const { plan, layout, parts, start, clock, writing, chosen } = weave;
  const frame = useRef<HTMLDivElement>(null);
  const { axis } = layout;
  return (
    <div ref={frame} style={{ position: 'relative' }}>
      <Weave {...weave} moment={moment} onMoment={setMoment}>
        <Suspense fallback={null}>
          <Over {...{ plan, layout, parts }} load={behind?.load} unsure={behind?.unsure ?? []} />
        </Suspense>
      </Weave>
      <Suspense fallback={null}>
        <Zoom {...{ frame, looking, plan, axis, view, chosen, moment, onView }} />
        <MomentMark {...{ plan, layout, start, clock, writing, moment }} onMoment={setMoment} />
      </Suspense>
    </div>
  );
}
