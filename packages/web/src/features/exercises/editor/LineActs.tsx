import { Flex, Input } from '@chakra-ui/react';
import { dynamics, isNote, withLoudness, withSyllable, type Dynamic } from '@wide-fern/core';
import { WordButton } from '../../../ui/words';
import { lineActs } from './model/lineActs';
import type { Line } from './model/useLine';

/** What can be done to the chosen note, in words. */
export function LineActs({ line }: { readonly line: Line }) {
  const { at } = line;
  const event = at === undefined ? undefined : line.events[at];
  return (
    <Flex gap="4px 12px" wrap="wrap" align="center" mt="2px">
      {lineActs.map((act) => (
        <WordButton
          key={act.words}
          fontSize="13px"
          disabled={at === undefined}
          onClick={() => line.act(act)}
        >
          {act.words}
        </WordButton>
      ))}
      <WordButton fontSize="13px" disabled={!line.canGoBack} onClick={line.goBack}>
        step back
      </WordButton>
      {event && isNote(event) && at !== undefined && (
        <>
          <Input
            aria-label="Syllable"
            placeholder="syllable"
            size="xs"
            w="90px"
            fontSize="13px"
            bg="sheet"
            value={event.syllable ?? ''}
            onChange={(typed) => line.change(withSyllable(at, typed.currentTarget.value))}
          />
          <select
            aria-label="How loud from here on"
            value={event.dynamic ?? ''}
            style={{ fontSize: 13, background: 'var(--chakra-colors-sheet)' }}
            onChange={(chosen) => {
              const loudness = (chosen.currentTarget.value || undefined) as Dynamic | undefined;
              line.change(withLoudness(at, loudness));
            }}
          >
            <option value="">as before</option>
            {dynamics.map((dynamic) => (
              <option key={dynamic}>{dynamic}</option>
            ))}
          </select>
        </>
      )}
    </Flex>
  );
}
