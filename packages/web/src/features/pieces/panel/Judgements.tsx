import { Box, Flex } from '@chakra-ui/react';
import type { Judgement, JudgementBody, Piece } from '@wide-fern/contract';
import { openTarget, purposes, type Purpose } from '@wide-fern/core';
import { DateField } from '../../../ui/TypedField';
import { dateInWords } from '@wide-fern/words';
import { useState } from 'react';
import { messageOf } from '@wide-fern/client';
import { dayIn, useJudging } from '../../../here/judging';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { PlainSelect } from '../../../ui/PlainSelect';
import { useKeptDraft } from '../../../ui/useKeptDraft';
import { Label, WordButton } from '../../../ui/words';

import { JudgedLine } from '../../../music/figures/JudgedLine';
import { skillsToJudge } from '../model/skills';
import { emptyRows, ScoreRows, scoresOf, TargetChoice, type ScoreRow } from './ScoreRows';

/** How runs of a piece were judged, skill by skill, and the judging of the next one. */
export function Judgements({ piece }: { readonly piece: Piece }) {
  const { choir, mayEdit } = useHere();
  const [judging, setJudging] = useState(false);
  const { remove } = useJudging(choir.id, piece.id);
  const inOrder = [...piece.judgements].reverse();
  const target = openTarget(inOrder);
  const skills = [
    ...new Set(piece.judgements.flatMap(({ scores }) => scores.map(({ skill }) => skill))),
  ];
  return (
    <Box>
      <Box as="h2" fontWeight={650} mb="4px">
        Runs judged
      </Box>
      {target ? (
        <Box mb="6px">
          Next target: <b>{target.skill}</b>, open since {dateInWords(target.since)}
          {target.last !== undefined && `, last judged ${target.last} of 5`}.
        </Box>
      ) : (
        piece.judgements.length > 0 && <Box mb="6px">No target is open.</Box>
      )}
      {skills.map((skill) => (
        <JudgedLine
          key={skill}
          skill={skill}
          runs={inOrder.map(({ judgedOn, scores }) => ({
            date: dateInWords(judgedOn),
            score: scores.find((one) => one.skill === skill)?.score,
          }))}
          isTarget={target?.skill === skill}
        />
      ))}
      {piece.judgements.length === 0 && <Label>No run of it has been judged yet.</Label>}
      {piece.judgements.length > 0 && (
        <Box as="ul" listStyleType="none" fontSize="13px" mt="6px" maxH="180px" overflowY="auto">
          {piece.judgements.map((one) => (
            <JudgementLine
              key={one.id}
              judgement={one}
              mayEdit={mayEdit}
              busy={remove.isPending}
              onRemove={() => remove.mutate(one.id)}
            />
          ))}
        </Box>
      )}
      {remove.error && (
        <Box role="alert" color="brick" fontSize="13px">
          {messageOf(remove.error)}
        </Box>
      )}
      {mayEdit &&
        (judging ? (
          <JudgeForm piece={piece} onDone={() => setJudging(false)} />
        ) : (
          <WordButton mt="6px" fontSize="13px" onClick={() => setJudging(true)}>
            judge a run
          </WordButton>
        ))}
    </Box>
  );
}

function JudgementLine({
  judgement,
  mayEdit,
  busy,
  onRemove,
}: {
  readonly judgement: Judgement;
  readonly mayEdit: boolean;
  readonly busy: boolean;
  readonly onRemove: () => void;
}) {
  const { judgedOn, by, scores, target } = judgement;
  const said = scores.map(
    ({ skill, score, note }) => `${skill} ${score}${note ? `, ${note}` : ''}`,
  );
  return (
    <Flex as="li" gap="10px" mb="2px">
      <Box as="span" w="52px" color="inkSoft" flexShrink={0}>
        {dateInWords(judgedOn)}
      </Box>
      <Box flex="1">
        {said.join(' · ')}
        {target && (
          <b>
            {said.length > 0 ? ' · ' : ''}next: {target}
          </b>
        )}
        <Box as="span" color="inkSoft">
          {by && ` (${by})`}
        </Box>
      </Box>
      {mayEdit && (
        <WordButton
          fontSize="13px"
          disabled={busy}
          aria-label={`Take the judgement of ${dateInWords(judgedOn)} away`}
          onClick={onRemove}
        >
          take away
        </WordButton>
      )}
    </Flex>
  );
}

/** A judgement while it is made. */
interface Judging {
  readonly rows: readonly ScoreRow[];
  readonly target: Purpose | '';
  readonly judgedOn: string;
}

/** Judging one run: each skill from 1 to 5 with a word about it, and the next target. */
function JudgeForm({ piece, onDone }: { readonly piece: Piece; readonly onDone: () => void }) {
  const { account, choir } = useHere();
  const { add } = useJudging(choir.id, piece.id);
  const [begun] = useState((): Judging => ({
    rows: emptyRows(skillsToJudge(piece)),
    target: '',
    judgedOn: dayIn(choir.timeZone),
  }));
  // A closed tab in the hall loses nothing.
  const [{ rows, target, judgedOn }, setDraft, forget] = useKeptDraft(
    `judging:${account.id}:${piece.id}`,
    begun,
  );
  const set = (next: Partial<Judging>) => setDraft({ rows, target, judgedOn, ...next });
  const setRows = (next: readonly ScoreRow[]) => set({ rows: next });
  const [missing, setMissing] = useState(false);
  const judged = scoresOf(rows);
  const more = purposes.filter((skill) => rows.every((row) => row.skill !== skill));
  const store = () => {
    const body: JudgementBody = { judgedOn, scores: judged, target: target || null };
    setMissing(judged.length === 0 && target === '');
    if (judged.length === 0 && target === '') return;
    add.mutate(body, {
      onSuccess: () => {
        forget();
        onDone();
      },
    });
  };
  return (
    <Box mt="8px" p="10px" bg="sheet" borderWidth="1px" fontSize="13px">
      <Flex gap="10px" align="center" mb="6px">
        <Box w="300px" maxW="100%">
          <DateField
            label="Judged on"
            size="xs"
            value={judgedOn}
            today={dayIn(choir.timeZone)}
            onChange={(next) => set({ judgedOn: next })}
          />
        </Box>
        <Label as="span">1 needs much, 5 needs nothing</Label>
      </Flex>
      <ScoreRows rows={rows} onChange={setRows} />
      <Flex gap="12px" align="center" wrap="wrap" mt="6px">
        {more.length > 0 && (
          <PlainSelect
            label="Judge another skill too"
            value=""
            options={[
              { value: '', word: 'another skill …' },
              ...more.map((skill) => ({ value: skill, word: skill })),
            ]}
            onChange={(skill) =>
              skill && setRows([...rows, { skill: skill as Purpose, score: undefined, note: '' }])
            }
          />
        )}
        <TargetChoice value={target} onChange={(skill) => set({ target: skill })} />
      </Flex>
      <Flex gap="12px" mt="8px" align="center">
        <MainButton size="sm" disabled={add.isPending} onClick={store}>
          Keep the judgement
        </MainButton>
        <WordButton
          fontSize="13px"
          onClick={() => {
            forget();
            onDone();
          }}
        >
          leave it
        </WordButton>
      </Flex>
      {missing && (
        <Box role="alert" color="brick" mt="4px">
          Judge at least one skill, or name the next target.
        </Box>
      )}
      {add.error && (
        <Box role="alert" color="brick" mt="4px">
          {messageOf(add.error)}
        </Box>
      )}
    </Box>
  );
}
