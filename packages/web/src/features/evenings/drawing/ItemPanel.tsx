import { Box, Flex, Input } from '@chakra-ui/react';
import type { AgendaItem, PieceSummary } from '@wide-fern/contract';
import { useState } from 'react';
import { PlainSelect } from '../../../ui/PlainSelect';
import { Stepper } from '../../../ui/Stepper';
import { Label, Name, WordButton, WordLink } from '../../../ui/words';
import { usualItems } from '../model/typed';

/** The chosen item: its name, minutes, bars, what is done, and its acts. */
export function ItemPanel({
  item,
  times,
  isFirst,
  isLast,
  pieces,
  planLink,
  onChange,
  onMove,
  onRemove,
  onWarmUpBefore,
}: {
  readonly item: AgendaItem;
  /** «19:45 to 20:05» */
  readonly times: string;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  readonly pieces: readonly PieceSummary[];
  readonly planLink: string;
  readonly onChange: (next: Partial<AgendaItem>) => void;
  readonly onMove: (by: number) => void;
  readonly onRemove: () => void;
  /** Undefined where no more items fit. */
  readonly onWarmUpBefore: (() => void) | undefined;
}) {
  const { kind, title, minutes, piece, note = '' } = item;
  const isPlanned = kind === 'warm-up' || kind === 'cool-down';
  return (
    <Box as="section" aria-label={`Item: ${title}`} fontSize="13px">
      <Flex align="baseline" gap="12px" wrap="wrap" mb="8px">
        <Name as="h2" fontSize="18px">
          {title}
        </Name>
        <Label as="span">{times}</Label>
      </Flex>
      <Box
        display="grid"
        gridTemplateColumns="110px minmax(0, 320px)"
        gap="6px 8px"
        alignItems="center"
      >
        <Label>{kind === 'piece' ? 'Piece' : 'Name'}</Label>
        {kind === 'piece' ? (
          <PlainSelect
            label="Piece"
            value={piece ?? ''}
            options={[
              { value: '', word: title === usualItems.piece.title ? 'choose a piece' : title },
              ...pieces.map(({ id, title: word }) => ({ value: id, word })),
            ]}
            onChange={(id) => {
              const chosen = pieces.find((one) => one.id === id);
              onChange({ piece: chosen?.id ?? null, title: chosen?.title ?? title, bars: null });
            }}
          />
        ) : (
          <Input
            size="xs"
            bg="sheet"
            aria-label="Name"
            value={title}
            maxLength={120}
            onChange={(event) => onChange({ title: event.currentTarget.value })}
          />
        )}
        <Label>Minutes</Label>
        <Stepper
          label=""
          labelWidth="0"
          name={`Minutes of ${title}`}
          value={minutes}
          limits={[0, 600]}
          disabled={false}
          onChange={(value) => onChange({ minutes: Math.round(value) })}
        />
        {kind === 'piece' && piece && (
          <>
            <Label>Bars</Label>
            <BarsField bars={item.bars ?? null} onChange={(bars) => onChange({ bars })} />
          </>
        )}
        <Label>What is done</Label>
        <Input
          size="xs"
          bg="sheet"
          aria-label={`What is done in ${title}`}
          value={note}
          maxLength={200}
          onChange={(event) => onChange({ note: event.currentTarget.value })}
        />
      </Box>
      <Flex gap="16px" wrap="wrap" mt="10px">
        {isPlanned && <WordLink to={planLink}>plan it</WordLink>}
        {!isPlanned && onWarmUpBefore && (
          <WordButton fontSize="13px" onClick={onWarmUpBefore}>
            a short warm-up straight before it
          </WordButton>
        )}
        <WordButton fontSize="13px" disabled={isFirst} onClick={() => onMove(-1)}>
          earlier
        </WordButton>
        <WordButton fontSize="13px" disabled={isLast} onClick={() => onMove(1)}>
          later
        </WordButton>
        <WordButton fontSize="13px" onClick={onRemove}>
          take out
        </WordButton>
      </Flex>
    </Box>
  );
}

/** «17-40» as bars; null for all, undefined for what is none. */
function readBars(text: string): [number, number] | null | undefined {
  if (text.trim() === '') return null;
  const [, from, to] = /^\s*(\d{1,5})\s*(?:[-–]|to)?\s*(\d{1,5})?\s*$/.exec(text) ?? [];
  if (from === undefined) return undefined;
  const [a, b] = [Number(from), Number(to ?? from)];
  return a <= b ? [a, b] : undefined;
}

/** Which bars of a piece are sung: «17-40», or all of it. */
function BarsField({
  bars,
  onChange,
}: {
  readonly bars: readonly [number, number] | null;
  readonly onChange: (bars: [number, number] | null) => void;
}) {
  const written = bars ? `${bars[0]}–${bars[1]}` : '';
  const [typed, setTyped] = useState<string>();
  const wrong = typed !== undefined && readBars(typed) === undefined;
  const take = () => {
    if (typed === undefined) return;
    const now = readBars(typed);
    if (now !== undefined) onChange(now);
    setTyped(undefined);
  };
  return (
    <Flex gap="8px" align="center" wrap="wrap">
      <Input
        size="xs"
        w="84px"
        bg="sheet"
        aria-label="Bars that are sung"
        aria-invalid={wrong}
        placeholder="all"
        value={typed ?? written}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
        }}
      />
      {wrong && (
        <Box role="alert" color="brick">
          Bars like 17-40, or nothing for all.
        </Box>
      )}
    </Flex>
  );
}
