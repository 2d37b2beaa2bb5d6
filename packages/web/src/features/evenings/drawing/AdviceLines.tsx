import { Box } from '@chakra-ui/react';
import type { AgendaItem, Evening, StoreEvening } from '@wide-fern/contract';
import { eveningAdvice, type EveningAdvice } from '@wide-fern/core';
import { adviceInWords, clockInWords, partName } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { WordButton } from '../../../ui/words';
import { advised, agendaMinutes, clockAfter } from '../model/typed';

/** What would spare the voices tonight, a line each with its one act, never more than two. */
export default function AdviceLines({
  evening: { agenda, start },
  pieces,
  sections,
  onTake,
}: {
  readonly evening: StoreEvening;
  readonly pieces: Evening['pieces'];
  readonly sections: Evening['tonight']['sections'];
  readonly onTake: (agenda: AgendaItem[], advice: EveningAdvice) => void;
}) {
  const items = agenda.map(({ id, kind, minutes, piece }) => ({
    ...{ id, kind, minutes, ranges: pieces.find((one) => one.id === piece)?.ranges },
  }));
  const at = (id: string) => agenda.findIndex((one) => one.id === id);
  const { clock: kind } = useHere().choir;
  const clock = (before: number) =>
    clockInWords(clockAfter(start, agendaMinutes(agenda.slice(0, before))), kind);
  const words = (one: EveningAdvice) =>
    adviceInWords(one, {
      title: (id) => agenda[at(id)]?.title ?? '',
      many: (id) => (sections.find((section) => section.id === id) ?? partName(id)).many,
      times: (from, to) => `${clock(at(from))} to ${clock(at(to) + 1)}`,
    });
  return eveningAdvice(items, sections).map((one) => {
    const { why, act } = words(one);
    return (
      <Box key={`${one.code} ${one.item}`} mt="8px" role="status">
        {why} <WordButton onClick={() => onTake(advised(agenda, one), one)}>{act}</WordButton>
      </Box>
    );
  });
}
