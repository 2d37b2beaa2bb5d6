import { Box, Flex, Input } from '@chakra-ui/react';
import type { JudgingCard } from '@wide-fern/contract';
import { purposes, type Purpose } from '@wide-fern/core';
import { PlainSelect } from '../../../ui/PlainSelect';
import { Label, WordButton } from '../../../ui/words';

/** A skill while it is judged. */
export interface ScoreRow {
  readonly skill: Purpose;
  readonly score: number | undefined;
  readonly note: string;
}

export const emptyRows = (skills: readonly Purpose[]): ScoreRow[] =>
  skills.map((skill) => ({ skill, score: undefined, note: '' }));

/** What was judged of it. */
export const scoresOf = (rows: readonly ScoreRow[]): JudgingCard['scores'] =>
  rows.flatMap(({ skill, score, note }) => (score === undefined ? [] : [{ skill, score, note }]));

/** Each skill from 1 to 5 with a word about it; the same figure again takes it away. */
export function ScoreRows({
  rows,
  onChange,
}: {
  readonly rows: readonly ScoreRow[];
  readonly onChange: (rows: readonly ScoreRow[]) => void;
}) {
  const change = (at: number, next: Partial<ScoreRow>) =>
    onChange(rows.map((row, i) => (i === at ? { ...row, ...next } : row)));
  return rows.map(({ skill, score, note }, i) => (
    <Flex key={skill} gap="8px" align="center" mb="4px" wrap="wrap">
      <Box w="128px">{skill}</Box>
      <Flex role="radiogroup" aria-label={`How ${skill} was`} gap="2px">
        {[1, 2, 3, 4, 5].map((points) => (
          <WordButton
            key={points}
            type="button"
            role="radio"
            aria-checked={score === points}
            w="28px"
            minH="28px"
            fontSize="13px"
            fontWeight={score === points ? 700 : 400}
            bg={score === points ? 'fern' : 'transparent'}
            color={score === points ? 'onFern' : 'ink'}
            borderWidth="1px"
            borderColor={score === points ? 'fern' : 'line'}
            onClick={() => change(i, { score: score === points ? undefined : points })}
          >
            {points}
          </WordButton>
        ))}
      </Flex>
      <Input
        size="xs"
        flex="1 1 140px"
        aria-label={`A word about ${skill}`}
        placeholder="a word about it"
        maxLength={400}
        value={note}
        bg="sheet"
        onChange={(event) => change(i, { note: event.currentTarget.value })}
      />
    </Flex>
  ));
}

/** The skill that would help most next, or none. */
export function TargetChoice({
  value,
  onChange,
}: {
  readonly value: Purpose | '';
  readonly onChange: (skill: Purpose | '') => void;
}) {
  return (
    <>
      <Label as="span">next target</Label>
      <PlainSelect
        label="Next target"
        value={value}
        options={[
          { value: '', word: 'none' },
          ...purposes.map((skill) => ({ value: skill, word: skill })),
        ]}
        onChange={(skill) => onChange(skill as Purpose | '')}
      />
    </>
  );
}
