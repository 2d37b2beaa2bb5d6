import { Box, Flex } from '@chakra-ui/react';
import type { JudgingCard } from '@wide-fern/contract';
import type { Purpose } from '@wide-fern/core';
import { useState } from 'react';
import { MainButton } from '../../../ui/MainButton';
import { useKeptDraft } from '../../../ui/useKeptDraft';
import { Label, WordButton } from '../../../ui/words';
import { scoresOf, ScoreRows, TargetChoice, type ScoreRow } from '../panel/ScoreRows';

/** The rows of a card: what was said already, and the other skills. */
const rowsOf = (skills: readonly Purpose[], said: JudgingCard | undefined): ScoreRow[] =>
  skills.map((skill) => {
    const one = said?.scores.find((score) => score.skill === skill);
    return { skill, score: one?.score, note: one?.note ?? '' };
  });

/** A card to fill in: each skill from 1 to 5, and the next target. */
export function CardForm({
  label,
  draftKey,
  skills,
  begun,
  act,
  busy,
  error,
  onSend,
  onLeave,
}: {
  readonly label: string;
  /** Under which it waits on the device until it is sent. */
  readonly draftKey: string;
  readonly skills: readonly Purpose[];
  readonly begun?: JudgingCard | undefined;
  readonly act: string;
  readonly busy: boolean;
  readonly error: string | undefined;
  /** Answers once it is kept. */
  readonly onSend: (card: JudgingCard, sent: () => void) => void;
  readonly onLeave?: (() => void) | undefined;
}) {
  const [{ rows, target }, set, forget] = useKeptDraft<{
    readonly rows: readonly ScoreRow[];
    readonly target: Purpose | '';
  }>(draftKey, { rows: rowsOf(skills, begun), target: begun?.target ?? '' });
  const [isMissing, setMissing] = useState(false);
  const send = () => {
    const card: JudgingCard = { scores: scoresOf(rows), target: target || null };
    const missing = card.scores.length === 0 && card.target === null;
    setMissing(missing);
    if (!missing) onSend(card, forget);
  };
  return (
    <Box role="group" aria-label={label}>
      <Flex gap="12px" wrap="wrap" mb="4px" align="baseline">
        <Box fontWeight={650}>{label}</Box>
        <Label as="span">1 needs much, 5 needs nothing</Label>
      </Flex>
      <ScoreRows rows={rows} onChange={(next) => set({ rows: next, target })} />
      <Flex gap="12px" align="center" wrap="wrap" mt="6px">
        <TargetChoice value={target} onChange={(next) => set({ rows, target: next })} />
      </Flex>
      <Flex gap="12px" mt="8px" align="center">
        <MainButton size="sm" disabled={busy} onClick={send}>
          {act}
        </MainButton>
        {onLeave && (
          <WordButton
            fontSize="13px"
            onClick={() => {
              forget();
              onLeave();
            }}
          >
            leave it
          </WordButton>
        )}
      </Flex>
      {(isMissing || error) && (
        <Box role="alert" color="brick" mt="4px">
          {isMissing ? 'Judge at least one skill, or name the next target.' : error}
        </Box>
      )}
    </Box>
  );
}
