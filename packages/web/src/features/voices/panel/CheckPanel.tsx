import { Box, Flex } from '@chakra-ui/react';
import {
  noteName,
  reachOfAll,
  startElsewhere,
  type CheckWay,
  type SingerState,
} from '@wide-fern/core';
import { rangeInWords } from '@wide-fern/words';
import { useRef } from 'react';
import type { ChoirPart, Singer } from '@wide-fern/contract';
import { useHere } from '../../../here/session';
import { lazily } from '../../../ui/lazily';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { letter, lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import { useWidth } from '../../../ui/useSize';
import { Label, Name, WordButton } from '../../../ui/words';
import { useCheck } from '../model/useCheck';
import { Answers, answers } from './Answers';
import { CheckHow } from './CheckHow';
import { FoundLine } from './FoundLine';
import { Listen } from './Listen';
import { PanelHead } from './PanelHead';

/** Engraving comes along when a check is opened. */
const NoteStaff = lazily(() => import('../../../music/notation/NoteStaff'));

const wayWords: Readonly<Record<CheckWay, string>> = {
  up: 'going up',
  down: 'going down',
  light: 'the light register, going up',
};

/** What to watch for on each way. */
const signs: Readonly<Record<CheckWay, string>> = {
  up: 'Too high shows as strain, loudness, a jaw that juts. Then it is not easy any more.',
  down: 'Too low shows as a tucked chin and a tone that thins out. Then it is not easy any more.',
  light: 'Lightly, without pressing. It may be breathy.',
};

/** The clef a part reads: by its octave and where it lies. */
const clefOf = (part: ChoirPart | undefined) =>
  !part || part.octave === 0 ? 'treble' : part.comfort[0] < 48 ? 'bass' : 'tenor';

/** A range check of one singer, step by step: by hand, by key, or by the microphone. */
export function CheckPanel({
  singer,
  states,
  parts,
  onDone,
}: {
  readonly singer: Singer;
  /** What the roster says and, on an evening, what was said of tonight. */
  readonly states: readonly SingerState[];
  readonly parts: readonly ChoirPart[];
  /** It was kept, or is paused on this device. */
  readonly onDone: () => void;
}) {
  const { writing } = useHere().choir;
  const part = parts.find(({ id }) => id === singer.part);
  const checking = useCheck(singer, part, onDone);
  const { check, now, note, onStaff, found, change, answer, undo } = checking;
  const { hear, sounding, listening, keep } = checking;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  useShortcuts(
    [
      ...answers.map(({ answer: one, key, words }) => ({
        keys: key,
        words,
        match: letter(key),
        act: () => answer(one),
      })),
      { keys: 'r', words: 'the voice changes', match: letter('r'), act: checking.noteChange },
      { keys: 'h', words: 'hear the note', match: letter('h'), act: () => void hear() },
      { keys: 'u', words: 'undo a step', match: letter('u'), act: undo },
    ],
    lettersOn(),
  );

  return (
    <Box ref={frame}>
      <PanelHead title={singer.name} onClose={onDone} close="pause" />
      {now.kind === 'ask' && (
        <>
          <Box as="h3" fontWeight={650}>
            Range check, {wayWords[now.way]}
          </Box>
          <Flex align="center" justify="space-between" gap="0" minH="114px">
            <Name fontSize="56px" lineHeight="1" role="status" aria-live="polite">
              {noteName(now.note, writing)}
            </Name>
            <NoteStaff notes={onStaff} clef={clefOf(part)} writing={writing} />
          </Flex>
        </>
      )}
      {now.kind === 'done' && (
        <Box as="h3" fontWeight={650} role="status" my="8px">
          The check is done
          {found ? `: easy ${rangeInWords(found.comfort, writing)}.` : '.'}
        </Box>
      )}
      {now.kind === 'other-start' && (
        <Box my="8px" role="status">
          {noteName(now.tried, writing)} is not easy to begin on. Take a note that is.
          <Flex gap="8px" mt="8px">
            <QuietButton onClick={() => change(startElsewhere(check, now.tried - 4))}>
              Begin lower
            </QuietButton>
            <QuietButton onClick={() => change(startElsewhere(check, now.tried + 4))}>
              Begin higher
            </QuietButton>
          </Flex>
        </Box>
      )}
      <FoundLine
        found={found}
        changes={check.changes}
        start={check.start}
        now={note}
        around={part?.reach ?? reachOfAll(parts)}
        width={Math.max(200, width)}
        writing={writing}
      />
      {now.kind === 'ask' && (
        <>
          <Answers onAnswer={answer} />
          <Flex gap="16px" wrap="wrap">
            <WordButton disabled={sounding} onClick={() => void hear()}>
              hear {noteName(now.note, writing)} (h)
            </WordButton>
            <WordButton disabled={check.steps.length === 0} onClick={undo}>
              undo a step (u)
            </WordButton>
            <WordButton
              aria-pressed={check.changes.includes(now.note)}
              onClick={checking.noteChange}
            >
              the voice changes here (r)
            </WordButton>
          </Flex>
          <Box mt="12px">{signs[now.way]}</Box>
          <Label mt="4px">
            A short open syllable, “ah”, in an easy loudness. Stop when anything hurts; hoarseness
            that lasts is for a doctor.
            {states.includes('changing') ? ' A changing voice is never pushed at an end.' : ''}
          </Label>
        </>
      )}
      <CheckHow check={check} larger={checking.larger} writing={writing} onChange={change} />
      <Flex gap="16px" align="center" wrap="wrap" mt="12px">
        {found && (
          <MainButton disabled={keep.isBusy} onClick={keep.found}>
            Keep what is found
          </MainButton>
        )}
        {check.steps.length > 0 && (
          <WordButton onClick={checking.beginAgain}>begin again</WordButton>
        )}
      </Flex>
      {found && now.kind !== 'done' && (
        <Label mt="4px">What is not asked yet counts as not easy.</Label>
      )}
      {keep.failed && (
        <Box role="alert" color="brick" fontSize="13px" mt="8px">
          {keep.failed}
        </Box>
      )}
      <Listen
        state={listening.state}
        byItself={checking.itself}
        writing={writing}
        onStart={(open) => void listening.start(open)}
        onStop={listening.stop}
        onByItself={checking.setItself}
      />
    </Box>
  );
}
