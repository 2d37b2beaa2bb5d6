import { Box, Flex } from '@chakra-ui/react';
import type { Evening, Exercise } from '@wide-fern/contract';
import { lengthInFigures } from '@wide-fern/core';
import { lazy, Suspense, useMemo, useRef, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../app/session';
import { MainButton } from '../../ui/MainButton';
import { Loading } from '../../ui/states';
import { Hidden, Label, Name, WordButton, WordLink } from '../../ui/words';
import { Bench, type BenchActions } from './Bench';
import { ClashPanel } from './ClashPanel';
import { planLayout } from './drawing/layout';
import { usePageHeight, useWidth } from './drawing/useSize';
import { Weave } from './drawing/Weave';
import { addSegment, choose, leaveOut, moveSegment } from './model/edits';
import { evaluate } from './model/evaluate';
import type { PlanStore } from './model/planStore';
import { clockIn, dayName, endInWords, leftInWords } from './model/words';
import { newId } from './model/windows';
import { PartSwitch } from './PartSwitch';
import { SegmentStrip } from './SegmentStrip';
import { ShortcutList } from './ShortcutList';
import { letter, lettersOn, setLettersOn, useShortcuts, type Shortcut } from './useShortcuts';

/** The shelf brings the catalogue along; it is fetched when it is first opened. */
const Shelf = lazy(() => import('./Shelf'));

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
  const { accidentals, timeZone } = choir;
  const { document, chosen, saving } = useStore(store);
  const { edit, undo, redo, choose: chooseSegment, settle } = store.getState();
  const [open, setOpen] = useState<'bench' | 'shelf' | 'keys'>('bench');
  const [part, setPart] = useState(0);
  const [letters, setLetters] = useState(lettersOn);
  const [said, setSaid] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const pageHeight = usePageHeight();

  const agenda = evening.agenda.find(({ id }) => id === item);
  const allotted = (agenda?.minutes ?? 0) * 60;
  const plan = useMemo(() => evaluate(document, allotted), [document, allotted]);
  const clock = useMemo(() => clockIn(timeZone), [timeZone]);
  const before = evening.agenda.slice(
    0,
    evening.agenda.findIndex(({ id }) => id === item),
  );
  const start =
    Date.parse(evening.startsAt) + before.reduce((sum, { minutes }) => sum + minutes, 0) * 60_000;

  const narrow = width < narrowBelow;
  const { bands } = document.tonight;
  const parts = narrow ? [bands[Math.min(part, bands.length - 1)]!.id] : bands.map(({ id }) => id);
  const layout = planLayout({
    width,
    pageHeight,
    narrow,
    seconds: Math.max(allotted, plan.total),
    reaches: bands.filter(({ id }) => parts.includes(id)).map(({ reach }) => reach),
  });

  const ids = document.segments.map(({ id }) => id);
  const at = ids.indexOf(chosen ?? '');
  const evaluated = plan.segments[at];
  const focusChosen = () => {
    requestAnimationFrame(() => {
      frame.current?.querySelector<HTMLElement>('[data-segment][aria-current]')?.focus();
    });
  };
  const go = (to: number) => {
    const id = ids[Math.min(ids.length - 1, Math.max(0, to))];
    if (id) chooseSegment(id);
    setOpen('bench');
    focusChosen();
  };
  const move = (id: string, to: number) => {
    edit(moveSegment(id, to));
    const place = Math.min(ids.length, Math.max(1, to + 1));
    const name = document.segments.find((one) => one.id === id)?.exercise.name ?? '';
    setSaid(`${name} is now ${place} of ${ids.length}.`);
  };
  const actions: BenchActions = {
    choose: (changed, label) => {
      if (chosen) edit(choose(chosen, changed), label);
    },
    moveBy: (places) => {
      if (chosen) move(chosen, at + places);
    },
    leaveOut: () => {
      if (!chosen) return;
      setSaid(`${evaluated?.segment.exercise.name ?? ''} is left out; undo brings it back.`);
      edit(leaveOut(chosen));
    },
  };
  const take = (exercise: Exercise) => {
    edit(addSegment(exercise, newId()));
    setSaid(`${exercise.name} is in the plan.`);
    setOpen('bench');
    focusChosen();
  };
  const startBy = (semitones: number) => {
    const keys = evaluated?.computed.keys;
    if (!keys || keys.kind === 'none' || !keys.best || keys.best.kind === 'infeasible') return;
    const now = evaluated.segment.choices.start ?? keys.best.start;
    const to = now + semitones;
    actions.choose({ start: to === keys.best.start ? null : to }, `${chosen} start`);
  };
  const keysBy = (count: number) => {
    if (!evaluated) return;
    const { repetitions } = evaluated.segment.choices;
    actions.choose({ repetitions: repetitions + count }, `${chosen} repetitions`);
  };

  const editing: Shortcut[] = [
    { keys: '[', words: 'start a semitone down', match: letter('['), act: () => startBy(-1) },
    { keys: ']', words: 'start a semitone up', match: letter(']'), act: () => startBy(1) },
    { keys: '-', words: 'one key or round fewer', match: letter('-'), act: () => keysBy(-1) },
    { keys: '+', words: 'one key or round more', match: letter('+'), act: () => keysBy(1) },
    {
      keys: 'Shift and arrows',
      words: 'move the segment earlier or later',
      match: ({ key, shiftKey }) => shiftKey && (key === 'ArrowLeft' || key === 'ArrowUp'),
      act: () => actions.moveBy(-1),
    },
    {
      keys: 'u',
      words: 'undo (the platform’s own key too)',
      match: (event) =>
        letter('u')(event) ||
        ((event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z'),
      act: undo,
    },
    {
      keys: 'Shift and u',
      words: 'again what was undone',
      match: (event) =>
        letter('U')(event) ||
        ((event.ctrlKey || event.metaKey) && event.shiftKey && event.key.toLowerCase() === 'z'),
      act: redo,
    },
    { keys: '/', words: 'shelf', match: letter('/'), act: () => setOpen('shelf') },
  ];
  const later: Shortcut = {
    ...editing[4]!,
    match: ({ key, shiftKey }) => shiftKey && (key === 'ArrowRight' || key === 'ArrowDown'),
    act: () => actions.moveBy(1),
  };
  const looking: Shortcut[] = [
    { keys: 'n', words: 'next segment', match: letter('n'), act: () => go(at + 1) },
    { keys: 'p', words: 'previous segment', match: letter('p'), act: () => go(at - 1) },
    {
      keys: '?',
      words: 'this list',
      match: letter('?'),
      act: () => setOpen(open === 'keys' ? 'bench' : 'keys'),
    },
  ];
  const listed = mayEdit ? [...looking, ...editing] : looking;
  useShortcuts(mayEdit ? [...listed, later] : listed, letters);

  const freeWidth = layout.axis.right - layout.axis.x(plan.total);
  const isShelf = open === 'shelf' && mayEdit;
  return (
    <Box ref={frame} flex="1" display="flex" flexDirection="column" minH={0}>
      <TitleLine
        date={dayName(evening.startsAt, timeZone)}
        place={evening.place}
        figure={`${lengthInFigures(plan.total)} of ${lengthInFigures(allotted)}`}
        tooLong={plan.left < -0.5}
        sentence={endInWords(plan, start, clock)}
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
        <ClashPanel
          mine={document}
          theirs={saving.theirs}
          allotted={allotted}
          clock={clock}
          ownName={account.name}
          onSettle={settle}
        />
      )}
      {saving.kind === 'refused' && (
        <Box role="alert" px="24px" pb="8px" color="brick">
          Not saved: {saving.message} Your changes are kept on this device.
        </Box>
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
        onMove={move}
        free={
          freeWidth > 70 && (
            <>
              <Box fontWeight={700} whiteSpace="nowrap">
                {leftInWords(plan)}
              </Box>
              {mayEdit && freeWidth > 112 && (
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
          bands={bands}
          part={part}
          onPart={setPart}
          segment={evaluated ? `${at + 1} of ${ids.length}` : ''}
          onSegment={(by) => go(at + by)}
        />
      )}
      <Box flex="1" bg="sheet" borderTopWidth={narrow ? '1px' : '2px'} borderTopColor="fern">
        {open === 'keys' && (
          <ShortcutList
            shortcuts={listed}
            letters={letters}
            onLetters={(on) => {
              setLettersOn(on);
              setLetters(on);
            }}
            onClose={() => setOpen('bench')}
          />
        )}
        {isShelf && (
          <Suspense fallback={<Loading what="the shelf" />}>
            <Shelf
              tonight={document.tonight}
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
              mayEdit={mayEdit}
              width={width}
              actions={actions}
            />
          ) : (
            <NothingPlanned
              mayEdit={mayEdit}
              minutes={agenda?.minutes ?? 0}
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

function TitleLine({
  date,
  place,
  figure,
  tooLong,
  sentence,
  children,
}: {
  readonly date: string;
  readonly place: string;
  readonly figure: string;
  readonly tooLong: boolean;
  readonly sentence: string;
  readonly children: ReactNode;
}) {
  return (
    <Flex
      minH="48px"
      align="center"
      px={{ base: '16px', md: '24px' }}
      py={{ base: '8px', md: 0 }}
      columnGap="16px"
      rowGap="2px"
      wrap="wrap"
    >
      <Name as="h1" fontSize="24px">
        {date}
      </Name>
      <Label as="span" fontSize="13px" hideBelow="xl">
        {place}
      </Label>
      <Flex
        ml={{ base: 0, lg: 'auto' }}
        align="baseline"
        columnGap="10px"
        wrap="wrap"
        role="status"
        aria-label="Length"
      >
        <Box fontSize="18px" fontWeight={700} color={tooLong ? 'brick' : 'ink'}>
          {figure}
        </Box>
        <Label as="span">{sentence}</Label>
      </Flex>
      <Flex gap="16px" align="center" ml={{ base: 0, md: 'auto', lg: 0 }}>
        {children}
      </Flex>
    </Flex>
  );
}

function NothingPlanned({
  mayEdit,
  minutes,
  onShelf,
}: {
  readonly mayEdit: boolean;
  readonly minutes: number;
  readonly onShelf: () => void;
}) {
  return (
    <Box px="24px" py="24px">
      <Name as="h2" fontSize="18px">
        {minutes} minutes are set aside, and nothing is planned in them.
      </Name>
      {mayEdit ? (
        <Box mt="8px">
          Begin with something for the body or the breath.{' '}
          <WordButton onClick={onShelf}>open the shelf</WordButton>
        </Box>
      ) : (
        <Box mt="8px">A director or deputy plans it.</Box>
      )}
    </Box>
  );
}
