import { Box } from '@chakra-ui/react';
import { scoreOfPart, type NoteWriting } from '@wide-fern/core';
import type { Line, PracticeEntry } from '@wide-fern/words';
import { useMemo, useState, type ReactNode } from 'react';
import { lazily, missing } from '../../ui/lazily';
import { Label, Name } from '../../ui/words';
import { PracticeHearing } from './PracticeHearing';

/** The engraver comes when there is something to engrave. */
const ScoreStaff = lazily(() => import('../../music/notation/ScoreStaff'), {
  absent: missing('The notes'),
});

const Words = ({ line }: { readonly line: Line }) => (
  <Box mt="4px">
    {line.map(({ text, strong }, i) => (
      <Box as="span" key={i} fontWeight={strong ? 650 : undefined}>
        {text}
      </Box>
    ))}
  </Box>
);

/** One exercise to practise: what to do, the own notes, how it sounds, and what to mind. */
export function PracticeExercise({
  entry,
  part,
  writing,
  isHeard,
  onHeard,
  children,
}: {
  readonly entry: PracticeEntry;
  /** Whose page it is; everybody's without. */
  readonly part: string | undefined;
  readonly writing: NoteWriting;
  /** Whether this one may sound. */
  readonly isHeard: boolean;
  readonly onHeard: (entry: string | undefined) => void;
  /** What is asked of it. */
  readonly children?: ReactNode;
}) {
  const { id, name, figure, first, lines, cautions, keys, listening } = entry;
  const [key, setKey] = useState<number | null>(null);
  const sung = keys.findIndex(({ sings }) => sings);
  const shown = key ?? sung;
  const sings = keys[shown]?.sings ?? false;
  const score = useMemo(
    () => listening && (part === undefined ? listening.score : scoreOfPart(listening.score, part)),
    [listening, part],
  );
  return (
    <Box as="li" py="16px" borderTopWidth="1px" mt="12px" aria-label={name}>
      <Name as="h2" fontSize={{ base: '21px', md: '24px' }} lineHeight="1.25">
        {name}
      </Name>
      <Label>{figure}</Label>
      {first.length > 0 && <Words line={first} />}
      {score && sung < 0 && <Box mt="8px">Your part rests in this one, and listens.</Box>}
      {score && listening && sung >= 0 && (
        <>
          <Box mt="8px" overflowX="auto">
            <ScoreStaff score={score} keyIndex={sings ? shown : sung} writing={writing} />
          </Box>
          {!sings && (
            <Box>
              Your part rests in {keys[shown]!.name}, and the others are heard. Above stands what it
              sings in {keys[sung]!.name}.
            </Box>
          )}
          <PracticeHearing
            {...{ name, keys, listening, part, isHeard }}
            chosen={key}
            onKey={setKey}
            onHeard={(on) => onHeard(on ? id : undefined)}
          />
        </>
      )}
      {lines.map((line, i) => (
        <Words key={i} line={line} />
      ))}
      {cautions.map((caution) => (
        <Box key={caution} mt="4px" fontSize="15px" color="sporeText">
          {caution}
        </Box>
      ))}
      {children}
    </Box>
  );
}
