import { Box, Flex } from '@chakra-ui/react';
import type { Exercise } from '@wide-fern/contract';
import {
  type Section,
  choirScore,
  plainScore,
  scoreOfPart,
  tonicName,
  type ComputedSegment,
  type Listening,
  type PartName,
} from '@wide-fern/core';
import { useMemo, useState } from 'react';
import { useHere } from '../../../here/session';
import ScoreStaff from '../../../music/notation/ScoreStaff';
import { Label, WordButton } from '../../../ui/words';
import Hear from '../../../music/hearing/Hear';

/** An exercise's notes in any of its keys, for any part or all, and how it sounds. */
export default function Notation({
  exercise,
  computed,
  sections,
  parts,
}: {
  readonly exercise: Exercise;
  readonly computed: ComputedSegment;
  readonly sections: readonly Section[];
  readonly parts: (id: string) => PartName;
}) {
  const { choir } = useHere();
  const { music, usual } = exercise;
  const [wantedKey, setKey] = useState(0);
  const alike = music.kind === 'pattern' || music.kind === 'glide' || music.kind === 'hold';
  /** Where all sing alike the first part stands for all. */
  const sings = computed.repetitions[0]?.parts.find(({ does }) => does === 'sing')?.part;
  const [part, setPart] = useState<string>(alike ? (sings ?? sections[0]?.id ?? 'all') : 'all');
  const score = useMemo(() => {
    const choirs = choirScore(exercise, usual.tempo, sections, computed.repetitions);
    // Where no key works the notes are still shown, on middle C.
    return choirs && choirs.keys.length > 0 ? choirs : plainScore(exercise, usual.tempo, [60]);
  }, [exercise, usual.tempo, sections, computed]);
  const listening = useMemo(
    (): Listening | undefined =>
      score && {
        score,
        countIn: exercise.countIn,
        verses: usual.verses,
        breathBeats: exercise.breathBeats,
        keyChangeBeats: exercise.keyChangeBeats,
      },
    [score, exercise, usual.verses],
  );
  const shown = useMemo(
    () => score && (score.parts.some(({ id }) => id === part) ? scoreOfPart(score, part) : score),
    [score, part],
  );
  if (!score || !shown || !listening) return null;
  const count = score.keys.length;
  const keyIndex = Math.min(wantedKey, count - 1);
  const mode =
    music.kind !== 'chord' && 'mode' in music && music.mode !== 'chromatic' ? ` ${music.mode}` : '';
  const name = tonicName(score.keys[keyIndex]!.tonic, score.mode, choir.writing);
  const isSilent = shown.keys[keyIndex]!.lines.every(({ events }) =>
    events.every(({ midi }) => midi === null),
  );
  const choices = [...score.parts.map(({ id }) => id), ...(score.parts.length > 1 ? ['all'] : [])];
  return (
    <Box mt="8px">
      <Flex gap="14px" align="baseline" wrap="wrap" fontSize="13px" mb="2px">
        <Flex gap="4px" align="baseline" role="group" aria-label="Key">
          <WordButton
            fontSize="15px"
            px="6px"
            aria-label="Key before"
            disabled={keyIndex === 0}
            onClick={() => setKey(keyIndex - 1)}
          >
            ‹
          </WordButton>
          <Box fontWeight={650} aria-live="polite">
            {name}
            {mode}
          </Box>
          <WordButton
            fontSize="15px"
            px="6px"
            aria-label="Key after"
            disabled={keyIndex >= count - 1}
            onClick={() => setKey(keyIndex + 1)}
          >
            ›
          </WordButton>
          <Label as="span" fontSize="12px">
            key {keyIndex + 1} of {count}
          </Label>
        </Flex>
        <Flex gap="2px 10px" wrap="wrap" role="group" aria-label="Whose notes">
          {choices.length > 1 &&
            choices.map((id) => (
              <WordButton
                key={id}
                fontSize="13px"
                aria-pressed={part === id}
                fontWeight={part === id ? 700 : 400}
                textDecoration={part === id ? 'underline' : undefined}
                onClick={() => setPart(id)}
              >
                {id === 'all' ? 'all parts' : parts(id).many}
              </WordButton>
            ))}
        </Flex>
      </Flex>
      <ScoreStaff score={shown} keyIndex={keyIndex} writing={choir.writing} />
      {isSilent && <Label>The {parts(part).many} rest in this key.</Label>}
      <Hear listening={listening} parts={score.parts} name={exercise.id} onKey={setKey} />
    </Box>
  );
}
