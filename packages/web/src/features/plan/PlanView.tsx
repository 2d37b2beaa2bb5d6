import { Box, Flex } from '@chakra-ui/react';
import type { Evening, PlanEdit } from '@wide-fern/contract';
import { leftInWords } from '@wide-fern/words';
import {
  memo,
  type ReactNode,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { lazily } from '../../ui/lazily';
import { usePulling } from '../../ui/pulling';
import { useHeld, useRested } from '../../ui/useHeld';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { Hidden, Label, WordButton } from '../../ui/words';
import type { TimeView } from '../../music/lanes/geometry';
import type { Looking } from './drawing/Zoom';
import type { Dropping } from './drawing/Dragging';
import { Signs, SignsWord, useSigns, type SignsShown } from '../../ui/Signs';
import { useThumb, useWidth } from '../../ui/useSize';
import { signsOf } from '../../music/signs';
import { type PlanStore } from '@wide-fern/client';
import { Below } from './Below';
import { useLooked } from './model/useLooked';
import { usePlanActs, type Opened } from './model/usePlanActs';
import { useBehind } from './model/useBehind';
import { usePlanDrawing } from './model/usePlanDrawing';
import { PlanNotices } from './PlanNotices';
import { SegmentStrip } from './SegmentStrip';
import { FreePlace, PlanTitle } from './PlanTitle';
import { Woven } from './Woven';

/** Only a narrow page shows one part at a time. */
const PartSwitch = lazily(() => import('./PartSwitch').then((it) => ({ default: it.PartSwitch })), {
  room: <Box minH="52px" />,
});
/** What should be looked at is fetched where there is anything. */
const LookAt = lazily(() => import('./LookAt').then((it) => ({ default: it.LookAt })));

const onTonightNow = 'The plan rests on tonight’s sections now; undo brings the old keys back.';

/** Shows what was done, or puts it away again, each time that is asked. */
function useDoneAsked(asked: number, setOpen: (next: (shown: Opened) => Opened) => void): void {
  useEffect(() => {
    if (asked > 0) setOpen((shown) => (shown === 'done' ? 'bench' : 'done'));
  }, [asked, setOpen]);
}

/** A plan: what is sung when, in which keys, and whether it holds. */
export function PlanView({
  evening,
  item,
  store,
  doneAsked = 0,
  onBuild,
  onLead,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly store: PlanStore;
  /** How often it was asked what was done: each time that is shown, or put away again. */
  readonly doneAsked?: number;
  /** Leads to where warm-ups are built. */
  readonly onBuild: () => void;
  readonly onLead: () => void;
}) {
  const { choir, mayEdit } = useHere();
  const { writing } = choir;
  const { document, chosen, also } = useStore(store);
  const { edit, choose, chooseOnlyOne } = store.getState();
  const [part, setPart] = useState(0);
  const [view, setView] = useState<TimeView>();
  const looking = useRef<Looking>(undefined);
  const dropping = useRef<Dropping>(undefined);
  const signs = useSigns('plan');
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);

  const { start, allotted, plan, clock, narrow, sections, parts, layout } = usePlanDrawing({
    ...{ evening, item, document, part, width, view },
  });
  const { pulled } = usePulling();
  const isPulled = pulled !== undefined;
  // What lies behind a plan, and below it while something is pulled, is worked out when there is time; while
  // segments are pulled, which shows on the strip itself, when the hand rests.
  const settled = useDeferredValue(useRested(plan, pulled === 'strip'));
  const below = isPulled ? settled : plan;
  // What is pointed at, zoomed or dragged is not meanwhile.
  const still = useHeld(plan, pulled === 'strip');
  const behind = useBehind(evening, settled);
  const looked = useLooked(settled, behind, isPulled);
  const place = document.segments.findIndex(({ id }) => id === chosen) + 1;
  const evaluated = plan.segments[place - 1];
  const acts = usePlanActs(store, frame, evaluated, {
    ...{ build: onBuild, lead: onLead, looking, evening, plan },
  });
  const { open, setOpen, said, setSaid, actions, go } = acts;
  useDoneAsked(doneAsked, setOpen);
  const chooseSegment = (id: string, beside = false) => {
    if (!beside) chooseOnlyOne();
    choose(id, beside ? 'beside' : undefined);
    setOpen('bench');
  };
  const nearer = useCallback(() => looking.current?.nearer(), []);
  const all = useCallback(() => setView(undefined), []);
  const table = useCallback(() => setOpen('table'), [setOpen]);
  const onAll = view && all;
  const viewWords = useMemo(
    () => <ViewWords signs={signs} onNearer={nearer} onAll={onAll} onTable={table} />,
    [signs, nearer, onAll, table],
  );
  // Large enough for a thumb, the words have no room beside the strip.
  const wordsAbove = useThumb() || narrow;
  const stripLabel = useMemo(
    () =>
      !narrow && (
        <>
          Segments
          {!wordsAbove && viewWords}
        </>
      ),
    [narrow, wordsAbove, viewWords],
  );
  const freeWidth = layout.axis.right - layout.axis.x(plan.total);
  const shelf = useCallback(() => setOpen('shelf'), [setOpen]);
  const take = useCallback(
    (taken: PlanEdit) => {
      edit(taken);
      setSaid(onTonightNow);
    },
    [edit, setSaid],
  );
  const isShelf = open === 'shelf' && mayEdit;
  const toggleShelf = useCallback(() => setOpen(isShelf ? 'bench' : 'shelf'), [isShelf, setOpen]);
  const fit = useCallback(() => setOpen('fit'), [setOpen]);
  return (
    <div
      ref={frame}
      data-pulled={pulled}
      style={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0 }}
    >
      <PlanTitle
        {...{ evening, item, plan, start, clock, onBuild }}
        onShelf={toggleShelf}
        onFit={fit}
      />
      <PlanNotices {...{ store, allotted, clock }} tonight={evening.tonight} onTake={take} />
      {wordsAbove && <WordsAbove label={narrow && 'Evening'}>{viewWords}</WordsAbove>}
      <Woven
        {...{ plan, layout, parts, evening, item, start, clock, chosen, writing, behind }}
        {...{ view, looking, still }}
        onView={setView}
        onChoose={(id) => chooseSegment(id)}
      />
      <SegmentStrip
        {...{ frame, dropping, still }}
        plan={plan}
        axis={layout.axis}
        label={stripLabel}
        chosen={chosen}
        also={also}
        mayEdit={mayEdit}
        writing={writing}
        forbids={evening.forbids}
        onChoose={chooseSegment}
        onGo={go}
        onMove={actions.moveTo}
        onResize={actions.resize}
        onTalk={actions.talkFor}
        free={
          freeWidth > 70 && (
            <FreePlace words={leftInWords(plan)} onAdd={mayEdit && freeWidth > 102 && shelf} />
          )
        }
      />
      {narrow && (
        <PartSwitch
          sections={sections}
          part={part}
          onPart={setPart}
          segment={evaluated ? `${place} of ${document.segments.length}` : ''}
          onSegment={go}
        />
      )}
      <WhenThereIsTime drawn={isPulled ? below : undefined}>
        {looked && (
          <LookAt
            {...{ ...looked, evening, writing, mayEdit }}
            onShow={(id) => chooseSegment(id)}
            onRemedy={(remedy) => edit(remedy.edit)}
            onBring={acts.bring}
          />
        )}
        <Below
          open={isShelf ? 'shelf' : open === 'shelf' ? undefined : open}
          plan={below}
          evaluated={below.segments.find(({ segment }) => segment.id === chosen)}
          {...{ dropping, acts, store, evening, item, behind, width, start, clock, onBuild }}
          borderTopWidth={narrow ? '1px' : '2px'}
        />
      </WhenThereIsTime>
      <Foot signs={signs} said={said} />
    </div>
  );
}

/** What the signs mean, and for whoever listens what was done; not drawn anew while something is pulled. */
const Foot = memo(({ signs, said }: { readonly signs: SignsShown; readonly said: string }) => (
  <>
    <Box px={{ base: '16px', md: '24px' }} bg="paper">
      <Signs shown={signs} load={signsOf.plan} />
    </Box>
    <Hidden>
      <span role="status">{said}</span>
    </Hidden>
  </>
));

/** The words that change how a plan is looked at, above it: where they have no room beside the strip. */
const WordsAbove = ({
  label,
  children,
}: {
  readonly label: ReactNode;
  readonly children: ReactNode;
}) => (
  <Flex px={{ base: '16px', md: '24px' }} gap="0 16px" justify="space-between">
    <Label fontSize="12px">{label}</Label>
    <Flex gap="0 16px">{children}</Flex>
  </Flex>
);

/** The words that change how a plan is looked at. */
function ViewWords({
  signs,
  onNearer,
  onAll,
  onTable,
}: {
  readonly signs: SignsShown;
  readonly onNearer: () => void;
  /** Back to the whole warm-up, where only a stretch of it is seen. */
  readonly onAll: (() => void) | undefined;
  readonly onTable: () => void;
}) {
  const word = (words: string, onClick: () => void) => (
    <WordButton fontSize="12px" onClick={onClick}>
      {words}
    </WordButton>
  );
  return (
    <>
      <Flex gap={{ base: '16px', md: '8px' }} align="baseline">
        <SignsWord {...signs} />
        {word('table', onTable)}
      </Flex>
      <Flex gap={{ base: '16px', md: '8px' }} align="baseline">
        {word('nearer', onNearer)}
        {onAll && word('all', onAll)}
      </Flex>
    </>
  );
}

/** Keeps what is in it as it was drawn for something, until that is another; without it, never. */
function WhenThereIsTime({
  drawn,
  children,
}: {
  readonly drawn: object | undefined;
  readonly children: ReactNode;
}) {
  return useMemo(
    () => children,
    // While something is pulled, only when what lies below is to be drawn anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [drawn ?? children],
  );
}
