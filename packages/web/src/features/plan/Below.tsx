import { Box } from '@chakra-ui/react';
import type { PlanStore } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import type { Evaluated, EvaluatedPlan } from '@wide-fern/plan';
import type { Clock } from '@wide-fern/words';
import type { ComponentProps, RefObject } from 'react';
import type { Dropping } from './drawing/Dragging';
import type { BenchActions } from './bench/actions';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { early, lazily, missing } from '../../ui/lazily';
import { Loading } from '../../ui/states';
import { setLettersOn } from '../../ui/useShortcuts';
import type { Opened, PlanDoing } from './model/usePlanActs';
import type { Behind } from './model/useBehind';
import { Away } from './Away';

const Learned = lazily(() => import('./bench/Learned'));
const IntoOther = lazily(() => import('./bench/IntoOther'));
/** The bench comes right behind the page: what is drawn to scale stands first. */
const bench = early(() => import('./bench/Bench'));
const Bench = lazily(() => bench().then((it) => ({ default: it.Bench })), {
  room: <Box minH="280px" />,
  absent: missing('What belongs to this segment', true),
});
const NothingPlanned = lazily(() =>
  import('./NothingPlanned').then((it) => ({ default: it.NothingPlanned })),
);
const ShortcutList = lazily(
  () => import('./ShortcutList').then((it) => ({ default: it.ShortcutList })),
  { room: <Loading what="the list of keys" />, absent: Away },
);
/** The shelf brings the catalogue along; it is fetched when it is first opened. */
const Shelf = lazily(() => import('./Shelf'), { room: <Loading what="the shelf" />, absent: Away });

/** What fits the plan to its time is fetched when it is asked for. */
const FitToTime = lazily(
  () => import('./fit/FitToTime').then((it) => ({ default: it.FitToTime })),
  { room: <Loading what="what loses least" />, absent: Away },
);

const Instead = lazily(() => import('./instead/Instead').then((it) => ({ default: it.Instead })), {
  room: <Loading what="what could stand there" />,
  absent: Away,
});
const WhatWasDone = lazily(
  () => import('./history/WhatWasDone').then((it) => ({ default: it.WhatWasDone })),
  { room: <Loading what="what was done" />, absent: Away },
);

const AsTable = lazily(() => import('./drawing/AsTable').then((it) => ({ default: it.AsTable })), {
  room: <Loading what="the table" />,
  absent: Away,
});

/** What the bench can do: the acts on the chosen segment, and what opens beside it. */
const benchActions = (
  actions: Omit<BenchActions, 'instead' | 'elseAfter'>,
  setOpen: (open: 'instead' | 'shelf') => void,
): BenchActions => ({
  ...actions,
  instead: () => setOpen('instead'),
  elseAfter: (keys) => {
    actions.split(keys);
    setOpen('shelf');
  },
});

/** What is chosen: one, or several together. */
const chosenIds = (one: Evaluated, together: readonly Evaluated[]): readonly string[] =>
  (together.length > 1 ? together : [one]).map(({ segment }) => segment.id);

/** What the bench says of several that are chosen at once. */
const chosenTogether = (together: readonly Evaluated[], store: PlanStore) =>
  together.length > 1
    ? {
        count: together.length,
        seconds: together.reduce((sum, one) => sum + one.computed.seconds, 0),
        onOnlyOne: store.getState().chooseOnlyOne,
      }
    : undefined;

/** What goes into another warm-up is left out here, and that is said where everything is. */
function ToOther({
  acts: { actions, focusChosen, setSaid },
  ...of
}: Omit<ComponentProps<typeof IntoOther>, 'onGone'> & { readonly acts: PlanDoing }) {
  return (
    <IntoOther
      {...of}
      onGone={(ids, words) => {
        actions.takeOutThese(ids);
        focusChosen();
        setSaid(words);
      }}
    />
  );
}

/** Below the strip: the chosen segment, the shelf, or the list of keys. */
export function Below({
  dropping,
  open,
  acts,
  store,
  evening,
  item,
  plan,
  evaluated,
  behind,
  width,
  start,
  clock,
  onBuild,
  borderTopWidth,
}: {
  readonly dropping: RefObject<Dropping | undefined>;
  readonly open: Opened | undefined;
  readonly acts: PlanDoing;
  readonly store: PlanStore;
  readonly evening: Evening;
  readonly item: string;
  readonly plan: EvaluatedPlan;
  readonly evaluated: Evaluated | undefined;
  readonly behind: Behind | undefined;
  readonly width: number;
  readonly start: number;
  readonly clock: Clock;
  readonly onBuild: () => void;
  readonly borderTopWidth: string;
}) {
  const { setOpen, focusChosen, shortcuts, letters, setLetters, hearing, actions, take } = acts;
  const { choir, mayEdit } = useHere();
  const { writing, phraseSeconds } = choir;
  // Of the store only what is chosen: what it becomes is told from above.
  const chosen = useStore(store, (it) => it.chosen);
  const also = useStore(store, (it) => it.also);
  const together = plan.segments.filter(
    ({ segment: { id } }) => id === chosen || also.includes(id),
  );
  const toBench = () => {
    setOpen('bench');
    focusChosen();
  };
  return (
    <Box flex="1" bg="sheet" borderTopWidth={borderTopWidth} borderTopColor="fern">
      {open === 'keys' && (
        <ShortcutList
          shortcuts={shortcuts}
          letters={letters}
          onLetters={(on) => {
            setLettersOn(on);
            setLetters(on);
          }}
          onClose={() => setOpen('bench')}
        />
      )}
      {open === 'shelf' && (
        <Shelf
          plan={plan}
          chosen={evaluated?.segment}
          wishes={evening.wishes}
          forbids={evening.forbids}
          writing={writing}
          dropping={dropping}
          onTake={take}
          onClose={toBench}
        />
      )}
      {open === 'fit' && (
        <FitToTime {...{ evening, item, store }} onTake={store.getState().edit} onClose={toBench} />
      )}
      {open === 'instead' && evaluated && (
        <Instead
          {...{ evening, item }}
          document={plan.document}
          segment={evaluated.segment}
          onTake={acts.putInstead}
          onClose={toBench}
        />
      )}
      {open === 'table' && <AsTable {...{ plan, start, clock, writing }} onClose={toBench} />}
      {open === 'done' && <WhatWasDone {...{ store, evening, item }} onClose={toBench} />}
      {open === 'bench' &&
        (evaluated ? (
          <Bench
            key={evaluated.segment.id}
            evaluated={evaluated}
            plan={plan}
            behind={behind}
            forbids={evening.forbids}
            writing={writing}
            phraseSeconds={phraseSeconds}
            mayEdit={mayEdit}
            width={width}
            hearing={hearing}
            learned={
              <Learned
                segment={evaluated.segment}
                tonight={plan.document.tonight}
                choose={mayEdit ? actions.choose : undefined}
              />
            }
            elsewhere={
              <ToOther
                {...{ acts, evening, item }}
                document={plan.document}
                chosen={chosenIds(evaluated, together)}
              />
            }
            actions={benchActions(actions, setOpen)}
            together={chosenTogether(together, store)}
            proposal={acts.proposal}
            onLeave={acts.leaveProposal}
          />
        ) : (
          <NothingPlanned
            {...{ evening, item }}
            document={plan.document}
            mayEdit={mayEdit}
            minutes={plan.allotted / 60}
            onBuild={onBuild}
            onShelf={() => setOpen('shelf')}
            onKept={() => setOpen('done')}
          />
        ))}
    </Box>
  );
}
