import { Box, Flex } from '@chakra-ui/react';
import { messageOf, newId, type PlanStore } from '@wide-fern/client';
import type { BuildWish, Evening, Exercise } from '@wide-fern/contract';
import { phasesAsked } from '@wide-fern/core';
import {
  choose as chooseFor,
  evaluate,
  itemTime,
  nothingAsked,
  requestOf,
  segmentsOf,
  takeAcross,
  takeWhole,
  type Known,
  type Proposal,
} from '@wide-fern/plan';
import {
  chanceInWords,
  clockIn,
  countInWords,
  formFor,
  givenUp,
  planRows,
  whenInWords,
} from '@wide-fern/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { MinuteScale } from '../../../music/lanes/MinuteScale';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Failed, Loading } from '../../../ui/states';
import { Hidden, Label, Name, WordButton } from '../../../ui/words';
import { useWidth } from '../../../ui/useSize';
import { Answers } from './Answers';
import { BuildSentence } from './BuildSentence';
import { ConflictView } from './ConflictView';
import { rowsLayout } from './drawing/rowLayout';
import { workerBuilder, type Builder } from './model/builder';
import { keepWish, readWish } from './model/keptWish';
import { useBuilding, type Building, type Row } from './model/useBuilding';
import { useKnown } from './model/useKnown';
import { ProposalRow } from './ProposalRow';
import { SegmentWhy, Worth } from './SegmentWhy';
import { WhyNotThis } from './WhyNotThis';

/** Which warm-up, and why this one? In the place of the plan's drawing, on the same clock. */
export function BuildView({
  evening,
  item,
  store,
  onLeave,
  makeBuilder = workerBuilder,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly store: PlanStore;
  /** Back to the plan. */
  readonly onLeave: () => void;
  readonly makeBuilder?: () => Builder;
}) {
  const { document } = useStore(store);
  const { allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const state = useKnown(evening, document, allotted);
  if (state.kind === 'loading') return <Loading what="your exercises" />;
  if (state.kind === 'failed') {
    return <Failed message={messageOf(state.error)} onRetry={state.retry} />;
  }
  return (
    <Proposals
      {...{ evening, item, store, onLeave, makeBuilder }}
      known={state.known}
      exercises={state.exercises}
    />
  );
}

const rowNames = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

function Proposals({
  evening,
  item,
  store,
  known,
  exercises,
  onLeave,
  makeBuilder,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly store: PlanStore;
  readonly known: Known;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly onLeave: () => void;
  readonly makeBuilder: () => Builder;
}) {
  const { choir, account } = useHere();
  const { writing, timeZone } = choir;
  const { document } = useStore(store);
  const { edit } = store.getState();
  const { start, allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const clock = useMemo(() => clockIn(timeZone, choir.clock), [timeZone, choir.clock]);
  const place = [account.id, choir.id, evening.id, item];
  const [wish, setWish] = useState<BuildWish>(() => readWish(...place) ?? nothingAsked);
  const change = (next: BuildWish) => {
    setWish(next);
    keepWish(place, next);
    setOpened(0);
    setChosen(undefined);
  };
  const request = useMemo(() => requestOf(known, wish), [known, wish]);
  const [builder] = useState(makeBuilder);
  useEffect(() => builder.end, [builder]);
  const { building, stop } = useBuilding(builder, request);
  const [opened, setOpened] = useState(0);
  /** The row and the segment whose reasons are open. */
  const [chosen, setChosen] = useState<{ readonly row: string; readonly segment: string }>();
  const [said, setSaid] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const seconds = Math.max(allotted, request.seconds);
  const present = useMemo(() => evaluate(document, seconds), [document, seconds]);
  const drawn = useDrawn(building.rows, exercises, document, request.seconds);
  const layout = rowsLayout(
    width,
    Math.max(seconds, present.total, ...drawn.map(({ evaluated }) => evaluated.total)),
  );
  const pinned = new Set(
    document.segments.flatMap(({ id, choices }) => (choices.pinned ? [id] : [])),
  );
  const openedRow = drawn[Math.min(opened, drawn.length - 1)];
  const nameOf = (id: string) => exercises.get(id)?.name ?? id;
  const names = useMemo(
    () => new Map([...exercises].map(([id, { name }]) => [id, name] as const)),
    [exercises],
  );
  const pin = (segment: string, is: boolean) => {
    edit(chooseFor(segment, { pinned: is }));
  };
  const whole = (plan: Proposal) => {
    edit(takeWhole(document, segmentsOf(plan, exercises, document.segments, newId)));
    onLeave();
  };
  const across = (plan: Proposal, exercise: string) => {
    const segments = segmentsOf(plan, exercises, [], newId);
    const segment = segments.find((one) => one.exercise.id === exercise);
    if (!segment) return;
    const order = plan.segments.map((one) => one.exercise);
    edit(takeAcross(document, segment, order));
    setSaid(`${nameOf(exercise)} is in your plan now; undo takes it out again.`);
  };
  const inPlan = new Set(document.segments.map((one) => one.exercise.id));
  const context = {
    tonight: request.tonight,
    wishes: evening.wishes,
    ledAgo: request.ledAgo,
    writing,
  };
  const columns = [
    ...(building.present && document.segments.length > 0
      ? [{ label: 'now', plan: building.present, isOpened: false }]
      : []),
    ...drawn.map(({ row }, i) => ({
      label: rowNames[i]!,
      plan: row.plan,
      isOpened: row === openedRow?.row,
    })),
  ];
  const whyOf = (row: string, plan: Proposal, idOf: (place: number) => string | undefined) => {
    if (chosen?.row !== row) return null;
    const at = plan.segments.findIndex((_, i) => idOf(i) === chosen.segment);
    const segment = plan.segments[at];
    const exercise = segment && exercises.get(segment.exercise);
    if (!segment || !exercise) return null;
    const { id, name, cue } = exercise;
    return (
      <SegmentWhy
        segment={segment}
        name={name}
        cue={cue}
        context={context}
        onClose={() => setChosen(undefined)}
      >
        {segment.segment !== null ? (
          <WordButton
            fontSize="13px"
            onClick={() => pin(segment.segment!, !pinned.has(segment.segment!))}
          >
            {pinned.has(segment.segment) ? 'let it be changed' : 'it stays as it is'}
          </WordButton>
        ) : (
          !inPlan.has(id) && (
            <WordButton fontSize="13px" onClick={() => across(plan, id)}>
              take only this into the plan
            </WordButton>
          )
        )}
        <WordButton
          fontSize="13px"
          onClick={() =>
            change({
              ...wish,
              excluded: [...wish.excluded.filter((one) => one !== id), id],
              included: wish.included.filter((one) => one !== id),
            })
          }
        >
          not tonight
        </WordButton>
      </SegmentWhy>
    );
  };
  return (
    <Box ref={frame} flex="1" display="flex" flexDirection="column" pb="24px">
      <Flex
        px={{ base: '16px', md: '24px' }}
        pt="10px"
        align="baseline"
        columnGap="16px"
        wrap="wrap"
      >
        <Name as="h1" fontSize="24px">
          Build {whenInWords(evening.startsAt, Date.now(), timeZone)}’s warm-up
        </Name>
        <WordButton fontSize="13px" onClick={onLeave}>
          back to the plan
        </WordButton>
        <Label as="span" role="status" ml={{ base: 0, md: 'auto' }}>
          {stateInWords(building)}
        </Label>
        {building.state === 'working' && building.rows.length > 0 && (
          <WordButton fontSize="13px" onClick={stop}>
            that is good enough
          </WordButton>
        )}
      </Flex>
      <BuildSentence
        {...{ evening, request, wish, allotted, start, clock, names }}
        onChange={change}
      />
      {building.state === 'failed' && (
        <Box role="alert" px="24px" color="brick">
          {building.message} Your plan is as it was.
        </Box>
      )}
      {building.state === 'conflict' ? (
        <ConflictView
          ways={building.conflict.map((one) =>
            givenUp(one, wish, {
              nameOf,
              seconds: request.seconds,
              timeOf: (id) =>
                phasesAsked(request).find((phase) => phase.id === id) ?? {
                  least: 0,
                  most: request.seconds,
                },
              segmentName: (id) =>
                document.segments.find((segment) => segment.id === id)?.exercise.name ?? id,
            }),
          )}
          onWish={change}
          onUnpin={(segment) => pin(segment, false)}
        />
      ) : (
        <svg width={width} height={24} aria-hidden="true" style={{ display: 'block' }}>
          <MinuteScale axis={layout.axis} y={12} start={start} clock={clock} ends={undefined} />
        </svg>
      )}
      {building.state !== 'conflict' && drawn.length === 0 && (
        <Box px="24px" py="24px">
          {building.state === 'working' ? (
            <Loading what="a first warm-up" />
          ) : (
            building.state === 'unknown' &&
            'No warm-up was found in ten seconds. Ask for less, or give it more time.'
          )}
        </Box>
      )}
      {drawn.map(({ row, evaluated }, i) => {
        const label = rowNames[i]!;
        const isOpen = row === openedRow?.row;
        const ends = clock.drawn.second(start + Math.round(evaluated.total) * 1000);
        return (
          <Box key={label}>
            <ProposalRow
              {...{ label, layout, isOpen, writing }}
              plan={evaluated}
              chosen={chosen?.row === label ? chosen.segment : undefined}
              pinned={pinned}
              onChoose={(segment) => {
                setOpened(i);
                setChosen(
                  chosen?.row === label && chosen.segment === segment
                    ? undefined
                    : { row: label, segment },
                );
              }}
              under={<RowState row={row} isStopped={building.state === 'stopped'} />}
              beside={
                <>
                  <Box fontWeight={650}>ends {ends}</Box>
                  <Label mb="4px">{chanceInWords(evaluated.chanceOnTime)}</Label>
                  {isOpen ? (
                    <>
                      <MainButton size="sm" onClick={() => whole(row.plan)}>
                        Take it whole
                      </MainButton>
                      <Box mt="6px">
                        <Worth
                          rows={planRows(row.plan)}
                          sum={row.plan.points}
                          label={`What the ${label} is worth`}
                        />
                      </Box>
                    </>
                  ) : (
                    <WordButton fontSize="13px" onClick={() => setOpened(i)}>
                      open it
                    </WordButton>
                  )}
                </>
              }
            />
            {whyOf(label, row.plan, (at) => evaluated.segments[at]?.segment.id)}
          </Box>
        );
      })}
      {document.segments.length > 0 && (
        <>
          <ProposalRow
            label="now"
            {...{ layout, writing }}
            isOpen={false}
            plan={present}
            chosen={chosen?.row === 'now' ? chosen.segment : undefined}
            pinned={pinned}
            onChoose={(segment) =>
              setChosen(
                chosen?.row === 'now' && chosen.segment === segment
                  ? undefined
                  : { row: 'now', segment },
              )
            }
            under={building.present && <Label as="span">worth {building.present.points}</Label>}
            beside={
              <>
                <Box fontWeight={650}>
                  ends {clock.drawn.second(start + Math.round(present.total) * 1000)}
                </Box>
                <Label>
                  {pinned.size === 0
                    ? 'Nothing of it stays yet; choose what shall.'
                    : `${countInWords(pinned.size)} ${formFor(pinned.size, 'stays', 'stay')}, in green`}
                </Label>
                <WordButton fontSize="13px" onClick={onLeave}>
                  keep it
                </WordButton>
              </>
            }
          />
          {building.present && whyOf('now', building.present, (at) => document.segments[at]?.id)}
        </>
      )}
      {openedRow && (
        <>
          <Answers
            request={request}
            opened={openedRow.row.plan}
            columns={columns}
            wish={wish}
            writing={writing}
            onWish={change}
          />
          <WhyNotThis
            request={request}
            plan={openedRow.row.plan}
            exercises={exercises}
            makeBuilder={makeBuilder}
            onAskFor={(id) =>
              change({
                ...wish,
                included: [...wish.included.filter((one) => one !== id), id],
                excluded: wish.excluded.filter((one) => one !== id),
              })
            }
          />
        </>
      )}
      <Hidden>
        <span role="status">{said}</span>
      </Hidden>
    </Box>
  );
}

/** The rows computed as plans, each as long as its proposal stays the same. */
function useDrawn(
  rows: readonly Row[],
  exercises: ReadonlyMap<string, Exercise>,
  document: Known['document'],
  seconds: number,
) {
  const known = useRef(new WeakMap<Proposal, ReturnType<typeof evaluate>>());
  return rows.map((row) => {
    const found = known.current.get(row.plan);
    if (found && found.document.tonight === document.tonight) return { row, evaluated: found };
    let count = 0;
    const segments = segmentsOf(row.plan, exercises, document.segments, () => {
      count += 1;
      return `proposed-${count}`;
    });
    const evaluated = evaluate({ ...document, segments }, seconds);
    known.current.set(row.plan, evaluated);
    return { row, evaluated };
  });
}

/** What a row is worth, and how sure it is that there is no better one. */
function RowState({ row, isStopped }: { readonly row: Row; readonly isStopped: boolean }) {
  const { plan, bound, isFinal } = row;
  const more = (bound ?? plan.bound) - plan.points;
  const words = isFinal
    ? plan.bound <= plan.points
      ? 'proven best'
      : `at most ${plan.bound - plan.points} more`
    : isStopped
      ? 'good; not proven best'
      : more > 0 && bound !== undefined
        ? `at most ${more} more`
        : 'looking for better';
  return (
    <>
      <Box fontWeight={650}>worth {plan.points}</Box>
      <Label as="span" fontSize="12px">
        {words}
      </Label>
    </>
  );
}

/** Where building has got to, as the page's line says it. */
function stateInWords({ state, rows, seconds }: Building): string {
  const took = seconds === undefined ? '' : ` in ${seconds.toFixed(1)} s`;
  const [best] = rows;
  const isProven = best !== undefined && best.plan.bound <= best.plan.points;
  const ways = `${countInWords(rows.length)} ${formFor(rows.length, 'way', 'ways')}`;
  switch (state) {
    case 'working':
      if (rows.length === 0) return 'building a first one';
      return seconds === undefined
        ? 'a first one stands; looking for better ones'
        : `${isProven ? 'proven best' : 'best found'}${took} · looking for different ones`;
    case 'done':
      return `${isProven ? 'proven best' : 'best found'}${took} · ${ways}`;
    case 'stopped':
      return `the best so far · ${ways}`;
    case 'conflict':
      return 'these wishes do not fit together';
    case 'unknown':
      return 'nothing found in time';
    case 'failed':
      return 'building broke off';
  }
}
