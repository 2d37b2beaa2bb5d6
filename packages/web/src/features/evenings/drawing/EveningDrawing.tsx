import { Box, Flex } from '@chakra-ui/react';
import {
  agendaKinds,
  mostAgendaItems,
  type AgendaItem,
  type Evening,
  type PieceSummary,
} from '@wide-fern/contract';
import { clockInWords } from '@wide-fern/words';
import { useRef, useState } from 'react';
import { useHere } from '../../../here/session';
import { lazily, missing } from '../../../ui/lazily';
import { useWidth } from '../../../ui/useSize';
import { Label, WordButton } from '../../../ui/words';
import { agendaMinutes, clockAfter, moved, usualItems, withItem, withNew } from '../model/typed';
import type { EveningSaving } from '../model/useEveningSaving';
import { EveningClock } from './EveningClock';
import { eveningScale } from './scale';

/** Beneath the clock, which does not wait for them. */
const AdviceLines = lazily(() => import('./AdviceLines'));
const AskedLanes = lazily(() => import('./AskedLanes').then((it) => ({ default: it.AskedLanes })));

/** Right behind what is drawn. */
const ItemPanel = lazily(() => import('./ItemPanel').then((it) => ({ default: it.ItemPanel })), {
  room: <Box minH="120px" />,
  absent: missing('This item'),
});

const shortWarmUp = 3;

/** The agenda as a drawing: the clock, what the pieces ask, what can be added, and the chosen item. */
export function EveningDrawing({
  evening,
  pieces,
  saving: { draft, errors, change },
}: {
  readonly evening: Evening;
  readonly pieces: readonly PieceSummary[];
  readonly saving: EveningSaving;
}) {
  const { writing, clock } = useHere().choir;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const { agenda } = draft;
  const [chosenId, setChosen] = useState(agenda[0]?.id);
  const place = agenda.findIndex(({ id }) => id === chosenId);
  const chosen = agenda[place];
  const scale = eveningScale(draft, width, width < 700 ? 20 : 48);
  const set = (next: AgendaItem[], label: string) => change({ ...draft, agenda: next }, label);
  const focusItem = (id: string | undefined) =>
    requestAnimationFrame(() =>
      frame.current?.querySelector<HTMLElement>(`[data-item="${id ?? ''}"]`)?.focus(),
    );
  const add = (kind: AgendaItem['kind'], at: number, minutes?: number) => {
    const made = withNew(agenda, kind, at, minutes);
    set(made.agenda, `add ${made.id}`);
    setChosen(made.id);
    focusItem(made.id);
  };
  const move = (from: number, to: number) => {
    if (to < 0 || to >= agenda.length || from === to) return;
    set(moved(agenda, from, to), `move ${agenda[from]!.id} ${to}`);
    focusItem(agenda[from]!.id);
  };
  const takeOut = () => {
    if (!chosen) return;
    set(
      agenda.filter(({ id }) => id !== chosen.id),
      `take out ${chosen.id}`,
    );
    const next = agenda[place + 1] ?? agenda[place - 1];
    setChosen(next?.id);
    focusItem(next?.id);
  };
  const begins = agendaMinutes(agenda.slice(0, Math.max(0, place)));
  const at = (minutes: number) => clockInWords(clockAfter(draft.start, minutes), clock);
  const isFull = agenda.length >= mostAgendaItems;
  return (
    <Box ref={frame}>
      {width > 0 && (
        <>
          <EveningClock
            evening={draft}
            scale={scale}
            chosen={chosenId}
            onChoose={setChosen}
            onMove={move}
            onMinutes={(id, minutes) => set(withItem(agenda, id, { minutes }), `minutes ${id}`)}
          />
          <AskedLanes
            evening={draft}
            pieces={evening.pieces}
            sections={evening.tonight.sections}
            scale={scale}
            writing={writing}
          />
          {!isFull && (
            <AdviceLines
              evening={draft}
              pieces={evening.pieces}
              sections={evening.tonight.sections}
              onTake={(next, { code, item }) => set(next, `${code} ${item}`)}
            />
          )}
        </>
      )}
      {errors.agenda && (
        <Box role="alert" color="brick" fontSize="13px" mt="6px">
          {errors.agenda}
        </Box>
      )}
      {isFull ? (
        <Label mt="8px">An evening has at most {mostAgendaItems} items.</Label>
      ) : (
        <Flex gap="16px" wrap="wrap" mt="10px" fontSize="13px" align="center">
          <Label as="span">Add behind the chosen one</Label>
          {agendaKinds.map((kind) => (
            <WordButton
              key={kind}
              fontSize="13px"
              onClick={() => add(kind, place < 0 ? agenda.length : place + 1)}
            >
              {usualItems[kind].title.toLowerCase()}
            </WordButton>
          ))}
        </Flex>
      )}
      {chosen && (
        <Box borderTopWidth="2px" borderColor="fern" mt="12px" pt="12px">
          <ItemPanel
            item={chosen}
            times={`${at(begins)} to ${at(begins + chosen.minutes)}`}
            isFirst={place === 0}
            isLast={place === agenda.length - 1}
            pieces={pieces}
            planLink={`/evenings/${evening.id}/plan/${chosen.id}`}
            onChange={(next) =>
              set(
                withItem(agenda, chosen.id, next),
                `${Object.keys(next).sort().join()} ${chosen.id}`,
              )
            }
            onMove={(by) => move(place, place + by)}
            onRemove={takeOut}
            onWarmUpBefore={isFull ? undefined : () => add('warm-up', place, shortWarmUp)}
          />
        </Box>
      )}
    </Box>
  );
}
