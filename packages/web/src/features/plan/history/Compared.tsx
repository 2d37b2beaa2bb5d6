import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { messageOf, planVersionQuery, type PlanPlace, type PlanStore } from '@wide-fern/client';
import type { Evening, PlanDocument } from '@wide-fern/contract';
import {
  compare,
  evaluate,
  figuresOf,
  itemTime,
  takeBackPart,
  takeBackWhole,
  type Difference,
  type EvaluatedPlan,
} from '@wide-fern/plan';
import { differenceInWords, lengthInFigures } from '@wide-fern/words';
import { useMemo, useRef } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Failed, Loading } from '../../../ui/states';
import { useWidth } from '../../../ui/useSize';
import { Label, Name, WordButton } from '../../../ui/words';
import { rowsLayout } from '../build/drawing/rowLayout';
import { ProposalRow } from '../build/ProposalRow';

interface Both {
  readonly store: PlanStore;
  readonly evening: Evening;
  readonly place: PlanPlace;
}

/** A plan as it was beside the plan as it is: drawn, in figures, and segment by segment; taken back whole or in part. */
export function Compared({ version, ...both }: Both & { readonly version: number }) {
  const then = useQuery(planVersionQuery(both.place, version));
  if (then.error) {
    return <Failed message={messageOf(then.error)} onRetry={() => void then.refetch()} />;
  }
  if (!then.data) return <Loading what="the plan as it was" />;
  return <Beside {...both} then={then.data.document} />;
}

/** Two plans beside each other: how it was and is, or a kept one and this. */
export function Beside({
  store,
  evening,
  place: { item },
  then,
  isKept = false,
}: Both & {
  readonly then: PlanDocument;
  /** Whether it is one that is kept, not how this one was. */
  readonly isKept?: boolean;
}) {
  const { mayEdit } = useHere();
  const { document: now } = useStore(store);
  const { edit } = store.getState();
  const { allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const before = useMemo(() => evaluate(then, allotted), [then, allotted]);
  const present = useMemo(() => evaluate(now, allotted), [now, allotted]);
  const differences = compare(now, then).filter(({ kind }) => kind !== 'same');
  return (
    <Box bg="paper" borderWidth="1px" my="4px" pb="10px">
      <Drawn {...{ before, present, allotted, isKept }} />
      <Flex gap="12px 40px" wrap="wrap" px="16px" mt="8px" align="flex-start">
        <Figures {...{ before, present, isKept }} />
        <Box flex="1" minW="280px">
          {differences.length === 0 ? (
            <Box>Both have the same segments with the same choices.</Box>
          ) : (
            <Box as="ul" listStyleType="none" aria-label="What is different">
              {differences.map((one) => (
                <Box
                  as="li"
                  key={one.id}
                  display="grid"
                  gridTemplateColumns="1fr auto"
                  columnGap="12px"
                  alignItems="baseline"
                  maxW="620px"
                  minH="24px"
                >
                  <Box>
                    <Name as="span" fontSize="15px">
                      {one.name}
                    </Name>{' '}
                    {differenceOf(one, isKept)}
                  </Box>
                  {mayEdit && (
                    <WordButton
                      fontSize="13px"
                      aria-label={`${one.name}: ${(isKept ? keptWords : backWords)[one.kind]}`}
                      onClick={() => {
                        const part = takeBackPart(now, then, one.id);
                        if (part) edit(part);
                      }}
                    >
                      {(isKept ? keptWords : backWords)[one.kind]}
                    </WordButton>
                  )}
                </Box>
              ))}
            </Box>
          )}
          {mayEdit && differences.length > 0 && (
            <Flex gap="14px" align="baseline" mt="8px" wrap="wrap">
              <MainButton size="xs" onClick={() => edit(takeBackWhole(now, then))}>
                {isKept ? 'Take it whole' : 'Take it back whole'}
              </MainButton>
              <Label as="span">Undo brings the plan of now back.</Label>
            </Flex>
          )}
        </Box>
      </Flex>
    </Box>
  );
}

/** What taking a segment back does. */
const backWords: Readonly<Record<Difference['kind'], string>> = {
  same: '',
  changed: 'as it was',
  'only mine': 'leave out again',
  'only theirs': 'bring back',
};

/** What taking a segment of a kept plan does. */
const keptWords: Readonly<Record<Difference['kind'], string>> = {
  same: '',
  changed: 'as kept',
  'only mine': 'leave out',
  'only theirs': 'take it',
};

/** How a segment was, and how it is. */
function differenceOf({ kind, mine, theirs }: Difference, isKept: boolean): string {
  if (kind === 'only mine') return isKept ? 'only here' : 'was not in it';
  if (kind === 'only theirs') return isKept ? 'only in the kept one' : 'was in it';
  return `${theirs.map(differenceInWords).join(', ')}; now ${mine.map(differenceInWords).join(', ')}`;
}

const noneChosen = new Set<string>();

/** Both on the same clock. */
function Drawn({
  before,
  present,
  allotted,
  isKept,
}: {
  readonly before: EvaluatedPlan;
  readonly present: EvaluatedPlan;
  readonly allotted: number;
  readonly isKept: boolean;
}) {
  const { writing } = useHere().choir;
  const frame = useRef<HTMLDivElement>(null);
  const layout = rowsLayout(useWidth(frame), Math.max(allotted, before.total, present.total));
  const row = { layout, writing, isOpen: false, chosen: undefined, pinned: noneChosen };
  return (
    <Box ref={frame} overflow="hidden">
      {(
        [
          [isKept ? 'kept' : 'then', before],
          ['now', present],
        ] as const
      ).map(([label, plan]) => (
        <ProposalRow
          key={label}
          {...row}
          label={label}
          plan={plan}
          onChoose={() => undefined}
          under={null}
          beside={<Box fontWeight={650}>{lengthInFigures(plan.total)}</Box>}
        />
      ))}
    </Box>
  );
}

/** Both in figures: time, comfort, effort. */
function Figures({
  before,
  present,
  isKept,
}: {
  readonly before: EvaluatedPlan;
  readonly present: EvaluatedPlan;
  readonly isKept: boolean;
}) {
  const [then, now] = [figuresOf(before), figuresOf(present)];
  const rows = [
    ['length', lengthInFigures(then.seconds), lengthInFigures(now.seconds)],
    ['segments', then.segments, now.segments],
    ['keys at an edge', then.edges, now.edges],
    ['keys a part rests', then.rests, now.rests],
    ['sung strongly', lengthInFigures(then.strong), lengthInFigures(now.strong)],
  ] as const;
  return (
    <Box
      as="table"
      aria-label={isKept ? 'The kept plan and this one in figures' : 'Then and now in figures'}
      css={{ '& th, & td': { textAlign: 'right', padding: '1px 0 1px 18px' } }}
    >
      <thead>
        <tr>
          <td />
          <th scope="col">{isKept ? 'kept' : 'then'}</th>
          <th scope="col">now</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, was, is]) => (
          <tr key={name}>
            <th scope="row" style={{ fontWeight: 400, textAlign: 'left', paddingLeft: 0 }}>
              {name}
            </th>
            <td>{was}</td>
            <td style={{ fontWeight: was === is ? 400 : 650 }}>{is}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
