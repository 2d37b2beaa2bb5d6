import { Box } from '@chakra-ui/react';
import { lazy, Suspense, useState, type ComponentProps } from 'react';
import { Weave } from './drawing/Weave';
import type { Behind } from './model/useBehind';

/** What is drawn over the weave comes right behind the page. */
const Over = lazy(() => import('./drawing/Over'));
const MomentMark = lazy(() =>
  import('./drawing/MomentMark').then((it) => ({ default: it.MomentMark })),
);

/** Everything that happens when, with what is drawn over it and the moment that is pointed at. */
export function Woven({
  behind,
  ...weave
}: Omit<ComponentProps<typeof Weave>, 'moment' | 'onMoment' | 'children'> & {
  readonly behind: Behind | undefined;
}) {
  const [moment, setMoment] = useState<number>();
  const { plan, layout, parts, start, clock, writing } = weave;
  return (
    <Box position="relative">
      <Weave {...weave} moment={moment} onMoment={setMoment}>
        <Suspense fallback={null}>
          <Over {...{ plan, layout, parts }} load={behind?.load} unsure={behind?.unsure ?? []} />
        </Suspense>
      </Weave>
      <Suspense fallback={null}>
        <MomentMark {...{ plan, layout, start, clock, writing, moment }} onMoment={setMoment} />
      </Suspense>
    </Box>
  );
}
