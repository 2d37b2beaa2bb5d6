import { Box, Flex } from '@chakra-ui/react';
import { phasesAsked } from '@wide-fern/core';
import type { Proposal } from '@wide-fern/plan';
import { buildStateInWords, givenUp, whenInWords } from '@wide-fern/words';
import { useMemo, useRef, type ReactNode } from 'react';
import { MinuteScale } from '../../../music/lanes/MinuteScale';
import { useHere } from '../../../here/session';
import { Loading } from '../../../ui/states';
import { Hidden, Label, Name, WordButton } from '../../../ui/words';
import { useWidth } from '../../../ui/useSize';
import { Ahead } from './Ahead';
import { Answers } from './Answers';
import { BuildSentence } from './BuildSentence';
import { ConflictView } from './ConflictView';
import { rowsLayout } from './drawing/rowLayout';
import { useBrings } from './model/useBrings';
import type { DrawnRow } from './model/useDrawn';
import { useProposals, type BuildPlace, type Proposing } from './model/useProposals';
import { BuiltRow, PresentRow } from './rows';
import { ReasonsOf } from './ReasonsOf';
import { WhyNotThis } from './WhyNotThis';

const rowNames = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

/** What was built, beside the present plan and on the same clock. */
export function Proposals(place: BuildPlace) {
  const { evening, exercises, makeBuilder, onLeave } = place;
  const { writing } = useHere().choir;
  const proposing = useProposals(place);
  const { document, building, present, drawn, request, wish, start, clock } = proposing;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const layout = rowsLayout(
    width,
    Math.max(
      proposing.allotted,
      request.seconds,
      present.total,
      ...drawn.map(({ evaluated }) => evaluated.total),
    ),
  );
  const openedRow = drawn[Math.min(proposing.opened, drawn.length - 1)];
  const names = useMemo(
    () => new Map([...exercises].map(([id, { name }]) => [id, name] as const)),
    [exercises],
  );
  const isPlanned = document.segments.length > 0;
  const reasonsOf = (row: string, plan: Proposal, ids: readonly string[]): ReactNode => (
    <ReasonsOf {...{ row, plan, ids, exercises, proposing }} wishes={evening.wishes} />
  );
  return (
    <Box ref={frame} flex="1" display="flex" flexDirection="column" pb="24px">
      <Head {...{ evening, proposing, onLeave }} />
      <BuildSentence
        {...{ evening, request, wish, start, clock, names }}
        allotted={proposing.allotted}
        onChange={proposing.change}
      />
      {building.state === 'conflict' ? (
        <Conflict {...{ place, proposing }} />
      ) : (
        <svg width={width} height={24} aria-hidden="true" style={{ display: 'block' }}>
          <MinuteScale axis={layout.axis} y={12} start={start} clock={clock} ends={undefined} />
        </svg>
      )}
      <NothingYet {...{ building, drawn }} />
      {drawn.map((one, i) => {
        const label = rowNames[i]!;
        return (
          <Box key={label}>
            <BuiltRow
              {...{ label, layout, proposing }}
              drawn={one}
              isOpen={one === openedRow}
              onOpen={() => proposing.setOpened(i)}
            />
            {reasonsOf(
              label,
              one.row.plan,
              one.evaluated.segments.map(({ segment }) => segment.id),
            )}
          </Box>
        );
      })}
      {isPlanned && (
        <>
          <PresentRow {...{ layout, proposing, onLeave }} />
          {building.present &&
            reasonsOf(
              'now',
              building.present,
              document.segments.map(({ id }) => id),
            )}
        </>
      )}
      {openedRow && (
        <>
          <Answers
            {...{ request, wish, writing }}
            opened={openedRow.row.plan}
            columns={[
              ...(building.present && isPlanned
                ? [{ label: 'now', plan: building.present, isOpened: false }]
                : []),
              ...drawn.map((one, i) => ({
                label: rowNames[i]!,
                plan: one.row.plan,
                isOpened: one === openedRow,
              })),
            ]}
            onWish={proposing.change}
          />
          <WhyNotThis
            {...{ request, exercises, makeBuilder }}
            plan={openedRow.row.plan}
            onAskFor={proposing.askFor}
          />
          <Ahead {...{ place, wish }} plan={openedRow.row.plan} />
        </>
      )}
      <Hidden>
        <span role="status">{proposing.said}</span>
      </Hidden>
    </Box>
  );
}

/** What is built, where it has got to, and the ways out. */
function Head({
  evening,
  proposing: { building, stop, again },
  onLeave,
}: Pick<BuildPlace, 'evening' | 'onLeave'> & { readonly proposing: Proposing }) {
  const { timeZone } = useHere().choir;
  const best = building.rows[0]?.plan;
  return (
    <>
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
          {buildStateInWords(building.state, {
            ways: building.rows.length,
            isProven: best !== undefined && best.bound <= best.points,
            seconds: building.seconds,
          })}
        </Label>
        {building.state === 'working' && building.rows.length > 0 && (
          <WordButton fontSize="13px" onClick={stop}>
            that is good enough
          </WordButton>
        )}
      </Flex>
      {building.state === 'failed' && (
        <Box role="alert" px="24px" color="brick">
          {building.message} Your plan is as it was.{' '}
          <WordButton onClick={again}>try again</WordButton>
        </Box>
      )}
    </>
  );
}

/** Before there is a first plan, and where none was found. */
function NothingYet({
  building,
  drawn,
}: Pick<Proposing, 'building'> & { readonly drawn: readonly DrawnRow[] }) {
  if (drawn.length > 0) return null;
  if (building.state === 'working') {
    return (
      <Box px="24px" py="24px">
        <Loading what="a first warm-up" />
      </Box>
    );
  }
  return building.state === 'unknown' ? (
    <Box px="24px" py="24px">
      No warm-up was found in ten seconds. Ask for less, or give it more time.
    </Box>
  ) : null;
}

function Conflict({
  place: { known },
  proposing: { builder, building, document, request, wish, nameOf, change, pin },
}: {
  readonly place: BuildPlace;
  readonly proposing: Proposing;
}) {
  const phases = phasesAsked(request);
  const ways = building.conflict.map((one) =>
    givenUp(one, wish, {
      nameOf,
      seconds: request.seconds,
      timeOf: (id) =>
        phases.find((phase) => phase.id === id) ?? { least: 0, most: request.seconds },
      segmentName: (id) =>
        document.segments.find((segment) => segment.id === id)?.exercise.name ?? id,
    }),
  );
  const brings = useBrings(ways, known, wish, builder);
  return (
    <ConflictView
      {...{ ways, brings }}
      onWish={change}
      onUnpin={(segment) => pin(segment, false)}
    />
  );
}
