import { Box } from '@chakra-ui/react';
import type { Evening, Exercise } from '@wide-fern/contract';
import {
  lengthInFigures,
  clockIn,
  dayName,
  endInWords,
  editSaid,
  isTooLong,
  leftInWords,
  madeForInWords,
} from '@wide-fern/words';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { MainButton } from '../../ui/MainButton';
import { Loading } from '../../ui/states';
import { Hidden, Label, WordButton, WordLink } from '../../ui/words';
import { Bench } from './bench/Bench';
import { planLayout } from './drawing/layout';
import { usePageHeight, useWidth } from '../../ui/useSize';
import { Weave } from './drawing/Weave';
import { evaluate, itemTime, sectionsChange, takeTonight } from '@wide-fern/plan';
import { planActs, type PlanStore } from '@wide-fern/client';
import { NothingPlanned } from './NothingPlanned';
import { ShelfAway } from './ShelfAway';
import { PartSwitch } from './PartSwitch';
import { planShortcuts } from './planShortcuts';
import { SegmentStrip } from './SegmentStrip';
import { TitleLine } from './TitleLine';
import { useSegmentHearing } from './model/useSegmentHearing';
import { lettersOn, setLettersOn, useShortcuts } from '../../ui/useShortcuts';

// What is rarely seen is fetched when it is.
const ClashPanel = lazy(() => import('./ClashPanel').then((it) => ({ default: it.ClashPanel })));
const SectionsChanged = lazy(() =>
  import('./SectionsChanged').then((it) => ({ default: it.SectionsChanged })),
);
const ShortcutList = lazy(() =>
  import('./ShortcutList').then((it) => ({ default: it.ShortcutList })),
);
/** The shelf brings the catalogue along; it is fetched when it is first opened. */
const Shelf = lazy(() => import('./Shelf').catch(() => ({ default: ShelfAway })));

/** Below this width one band is shown at a time. */
const narrowBelow = 700;

/** A plan: what is sung when, in which keys, and whether it holds. */
export function PlanView({
  evening,
  item,
  store,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly store: PlanStore;
}) {
  const { choir, account, mayEdit } = useHere();
  const { accidentals, timeZone, phraseSeconds } = choir;
  const { document, chosen, saving } = useStore(store);
  const { edit, undo, redo, choose: chooseSegment, settle } = store.getState();
  const [open, setOpen] = useState<'bench' | 'shelf' | 'keys'>('bench');
  const [part, setPart] = useState(0);
  const [letters, setLetters] = useState(lettersOn);
  const [said, setSaid] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const pageHeight = usePageHeight();

  const { start, allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const plan = useMemo(() => evaluate(document, allotted), [document, allotted]);
  const change = useMemo(
    () => sectionsChange(document, evening.tonight),
    [document, evening.tonight],
  );
  const clock = useMemo(() => clockIn(timeZone), [timeZone]);

  const narrow = width < narrowBelow;
  const { sections } = document.tonight;
  const parts = narrow
    ? [sections[Math.min(part, sections.length - 1)]!.id]
    : sections.map(({ id }) => id);
  const layout = planLayout({
    width,
    pageHeight,
    narrow,
    seconds: Math.max(allotted, plan.total),
    reaches: sections.filter(({ id }) => parts.includes(id)).map(({ reach }) => reach),
  });

  const ids = document.segments.map(({ id }) => id);
  const at = ids.indexOf(chosen ?? '');
  const evaluated = plan.segments[at];
  const hearing = useSegmentHearing(evaluated, sections);
  const focusChosen = () => {
    requestAnimationFrame(() => {
      frame.current?.querySelector<HTMLElement>('[data-segment][aria-current]')?.focus();
    });
  };
  const actions = useMemo(() => planActs(store, (fact) => setSaid(editSaid(fact) ?? '')), [store]);
  const go = (by: number) => {
    actions.goBy(by);
    setOpen('bench');
    focusChosen();
  };
  const take = (exercise: Exercise) => {
    actions.take(exercise);
    setOpen('bench');
    focusChosen();
  };

  const shortcuts = planShortcuts({
    mayEdit,
    go,
    startBy: actions.startBy,
    keysBy: actions.keysBy,
    moveBy: actions.moveBy,
    hear: hearing.toggle,
    undo,
    redo,
    openShelf: () => setOpen('shelf'),
    toggleKeys: () => setOpen(open === 'keys' ? 'bench' : 'keys'),
  });
  useShortcuts(shortcuts, letters);

  const freeWidth = layout.axis.right - layout.axis.x(plan.total);
  const isShelf = open === 'shelf' && mayEdit;
  return (
    <Box ref={frame} flex="1" display="flex" flexDirection="column" minH={0}>
      <TitleLine
        date={dayName(evening.startsAt, timeZone)}
        place={evening.place}
        figure={`${lengthInFigures(plan.total)} of ${lengthInFigures(allotted)}`}
        tooLong={isTooLong(plan)}
        sentence={endInWords(plan, start, clock)}
        madeFor={madeForInWords(document.tonight)}
      >
        <WordLink to={`/evenings/${evening.id}/sheet/${item}`} fontSize="13px">
          sheet for the stand
        </WordLink>
        {mayEdit && (
          <MainButton size="xs" onClick={() => setOpen(isShelf ? 'bench' : 'shelf')}>
            Add an exercise
          </MainButton>
        )}
      </TitleLine>
      {saving.kind === 'clash' && (
        <Suspense fallback={<Loading what="both versions" />}>
          <ClashPanel
            mine={document}
            theirs={saving.theirs}
            allotted={allotted}
            clock={clock}
            ownName={account.name}
            onSettle={settle}
          />
        </Suspense>
      )}
      {saving.kind === 'refused' && (
        <Box role="alert" px="24px" pb="8px" color="brick">
          Not saved: {saving.message} Your changes are kept on this device.
        </Box>
      )}
      {change && (
        <Suspense fallback={null}>
          <SectionsChanged
            change={change}
            mayEdit={mayEdit}
            accidentals={accidentals}
            onTake={() => {
              edit(takeTonight(document, change.tonight));
              setSaid('The plan rests on tonight’s sections now; undo brings the old keys back.');
            }}
          />
        </Suspense>
      )}
      {narrow && (
        <Label px="16px" fontSize="12px">
          Evening
        </Label>
      )}
      <Weave
        plan={plan}
        layout={layout}
        parts={parts}
        evening={evening}
        item={item}
        start={start}
        clock={clock}
        chosen={chosen}
        accidentals={accidentals}
        onChoose={(id) => {
          chooseSegment(id);
          setOpen('bench');
        }}
      />
      <SegmentStrip
        plan={plan}
        axis={layout.axis}
        label={narrow ? '' : 'Segments'}
        chosen={chosen}
        mayEdit={mayEdit}
        accidentals={accidentals}
        onChoose={(id) => {
          chooseSegment(id);
          setOpen('bench');
        }}
        onMove={actions.moveTo}
        free={
          freeWidth > 70 && (
            <>
              <Box fontWeight={700} whiteSpace="nowrap">
                {leftInWords(plan)}
              </Box>
              {mayEdit && freeWidth > 102 && (
                <WordButton fontSize="12px" onClick={() => setOpen('shelf')}>
                  add from the shelf
                </WordButton>
              )}
            </>
          )
        }
      />
      {narrow && (
        <PartSwitch
          sections={sections}
          part={part}
          onPart={setPart}
          segment={evaluated ? `${at + 1} of ${ids.length}` : ''}
          onSegment={go}
        />
      )}
      <Box flex="1" bg="sheet" borderTopWidth={narrow ? '1px' : '2px'} borderTopColor="fern">
        {open === 'keys' && (
          <Suspense fallback={<Loading what="the list of keys" />}>
            <ShortcutList
              shortcuts={shortcuts}
              letters={letters}
              onLetters={(on) => {
                setLettersOn(on);
                setLetters(on);
              }}
              onClose={() => setOpen('bench')}
            />
          </Suspense>
        )}
        {isShelf && (
          <Suspense fallback={<Loading what="the shelf" />}>
            <Shelf
              tonight={document.tonight}
              wishes={evening.wishes}
              accidentals={accidentals}
              onTake={take}
              onClose={() => {
                setOpen('bench');
                focusChosen();
              }}
            />
          </Suspense>
        )}
        {open === 'bench' &&
          (evaluated ? (
            <Bench
              key={evaluated.segment.id}
              evaluated={evaluated}
              plan={plan}
              accidentals={accidentals}
              phraseSeconds={phraseSeconds}
              mayEdit={mayEdit}
              width={width}
              hearing={hearing}
              actions={actions}
            />
          ) : (
            <NothingPlanned
              mayEdit={mayEdit}
              minutes={allotted / 60}
              onShelf={() => setOpen('shelf')}
            />
          ))}
      </Box>
      <Hidden>
        <span role="status">{said}</span>
      </Hidden>
    </Box>
  );
}
