import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import { type Section, purposes, type PieceAnalysis, type Purpose } from '@wide-fern/core';
import { useState } from 'react';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { QuietButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import type { ChosenBars } from '../model/bars';
import { useMarks } from '../model/changes';
import { barsInWords } from '@wide-fern/words';
import { PartChoice } from './PartChoice';

const skills = purposes.map((value) => ({ value, word: value }));

/** Marking the chosen bars: which skill they ask for, of whom, and a word about it. */
export function MarkBars({
  piece,
  analysis,
  sections,
  chosen,
  onChoose,
}: {
  readonly piece: Piece;
  readonly analysis: PieceAnalysis;
  readonly sections: readonly Section[];
  readonly chosen: ChosenBars | undefined;
  readonly onChoose: (bars: ChosenBars) => void;
}) {
  const { choir } = useHere();
  const { add, remove } = useMarks(choir.id, piece.id);
  const offered = chosen
    ? analysis.demands.filter(({ fromBar, toBar }) => fromBar <= chosen.to && toBar >= chosen.from)
    : [];
  const [skill, setSkill] = useState<Purpose>();
  const [parts, setParts] = useState<readonly string[]>([]);
  const [note, setNote] = useState('');
  const chosenSkill = skill ?? offered[0]?.skill ?? 'legato';
  const error = add.error ?? remove.error;
  const mark = () => {
    if (!chosen) return;
    add.mutate(
      { fromBar: chosen.from, toBar: chosen.to, parts: [...parts], skill: chosenSkill, note },
      {
        onSuccess: () => {
          setNote('');
          setSkill(undefined);
        },
      },
    );
  };
  return (
    <Box fontSize="13px">
      {chosen ? (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            mark();
          }}
        >
          <Box display="grid" gap="8px">
            <SelectField
              label="Skill"
              options={skills}
              value={chosenSkill}
              onChange={(event) => setSkill(event.currentTarget.value as Purpose)}
            />
            {offered.length > 0 && (
              <Flex gap="10px" wrap="wrap" align="baseline">
                <Label as="span">the figures suggest</Label>
                {[...new Set(offered.map((one) => one.skill))].map((one) => (
                  <WordButton
                    key={one}
                    type="button"
                    fontSize="13px"
                    aria-pressed={chosenSkill === one}
                    onClick={() => setSkill(one)}
                  >
                    {one}
                  </WordButton>
                ))}
              </Flex>
            )}
            <PartChoice sections={sections} chosen={parts} onChange={setParts} nobody="everyone" />
            <FormField
              label="A word about it"
              size="sm"
              maxLength={200}
              value={note}
              onChange={(event) => setNote(event.currentTarget.value)}
            />
            <QuietButton type="submit" size="sm" disabled={add.isPending} alignSelf="start">
              Mark {barsInWords(chosen.from, chosen.to)}
            </QuietButton>
          </Box>
        </form>
      ) : (
        <Label>Choose the bars first, above.</Label>
      )}
      {error && (
        <Box role="alert" color="brick">
          {messageOf(error)}
        </Box>
      )}
      {piece.marks.length > 0 && (
        <Box
          as="ul"
          listStyleType="none"
          mt="10px"
          aria-label="Marks"
          maxH="200px"
          overflowY="auto"
        >
          {piece.marks.map(({ id, fromBar, toBar, parts: who, skill: what, note: words }) => (
            <Flex as="li" key={id} gap="10px" mb="2px">
              <Box flex="1">
                <WordButton fontSize="13px" onClick={() => onChoose({ from: fromBar, to: toBar })}>
                  {barsInWords(fromBar, toBar)}
                </WordButton>{' '}
                {who.length > 0 && <b>{who.join(' ')} </b>}
                {what}
                {words && <Box as="span" color="inkSoft">{` · ${words}`}</Box>}
              </Box>
              <WordButton
                fontSize="13px"
                disabled={remove.isPending}
                aria-label={`Take the mark at ${barsInWords(fromBar, toBar)} away`}
                onClick={() => remove.mutate(id)}
              >
                take away
              </WordButton>
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  );
}
