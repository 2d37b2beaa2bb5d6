import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { KeepChecks } from '@wide-fern/contract';
import {
  answerCheck,
  beginCheck,
  checkNow,
  foundBy,
  noteName,
  startElsewhere,
  undoCheck,
  usualStart,
  type CheckAnswer,
  type CheckWay,
  type CheckProgress,
} from '@wide-fern/core';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { messageOf, queryClient, call, choirQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { letter, lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import { useWidth } from '../../../ui/useSize';
import { Label, Name, WordButton } from '../../../ui/words';
import { useListening } from '../listening/useListening';
import { keptChecks } from '../model/keptOnDevice';
import type { Row } from '../model/section';
import { rangeInWords } from '@wide-fern/words';
import { giveNote } from '../tone/tone';
import { FoundLine } from './FoundLine';
import { Listen } from './Listen';
import type { PanelProps } from './props';
import { PanelHead } from './PanelHead';

/** Engraving comes along when a check is opened. */
const NoteStaff = lazy(() => import('../../../music/notation/NoteStaff'));

const answers: readonly { answer: CheckAnswer; words: string; key: string }[] = [
  { answer: 'easy', words: 'Easy', key: 'e' },
  { answer: 'came-out', words: 'It came out', key: 'c' },
  { answer: 'no', words: 'Not there', key: 'x' },
];

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
const clefOf = ({ octave, comfort }: PanelProps['section']['part']) =>
  octave === 0 ? 'treble' : comfort[0] < 48 ? 'bass' : 'tenor';

/** A range check of one singer, step by step: by hand, by key, or by the microphone. */
export function CheckPanel({ section, row, onOpen }: PanelProps & { readonly row: Row }) {
  const { choir, account } = useHere();
  const { accidentals } = choir;
  const { singer } = row;
  const { part } = section;
  const begin = () => beginCheck(usualStart(singer.comfort ?? part.comfort));
  const [check, setCheck] = useState<CheckProgress>(
    () => keptChecks.read(account.id, singer.id) ?? begin(),
  );
  const [byItself, setByItself] = useState(false);
  const [sounding, setSounding] = useState(false);
  const [heardAny, setHeardAny] = useState(false);
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const now = checkNow(check);
  const note = now.kind === 'ask' ? now.note : undefined;
  const found = foundBy(check);

  const change = (next: CheckProgress) => {
    setCheck(next);
    keptChecks.keep(account.id, singer.id, next.steps.length > 0 ? next : undefined);
  };
  const answer = (one: CheckAnswer) => change(answerCheck(check, one));
  const hearIt = async () => {
    if (note === undefined || sounding) return;
    setSounding(true);
    await giveNote(note);
    setSounding(false);
  };
  const listening = useListening({
    wanted: note,
    paused: sounding,
    onJudged: (judgedNote, verdict) => {
      // What does not come within eight seconds is only taken for an answer where nobody has a hand free.
      if (verdict !== 'easy' && !byItself) return;
      setHeardAny(true);
      setCheck((before) => {
        const asked = checkNow(before);
        if (asked.kind !== 'ask' || asked.note !== judgedNote) return before;
        const next = answerCheck(before, verdict);
        keptChecks.keep(account.id, singer.id, next);
        return next;
      });
    },
  });
  const isOn = listening.state.kind === 'on';
  const goesOn = byItself && isOn;
  useEffect(() => {
    if (!goesOn || note === undefined) return undefined;
    let wanted = true;
    setSounding(true);
    void giveNote(note).then(() => {
      if (wanted) setSounding(false);
    });
    return () => {
      wanted = false;
      setSounding(false);
    };
  }, [goesOn, note]);

  const keep = useMutation({
    mutationFn: (body: KeepChecks) => call('keepChecks', { params: { choir: choir.id }, body }),
    onSuccess: async () => {
      keptChecks.keep(account.id, singer.id, undefined);
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
      onOpen('singer');
    },
  });
  const keepFound = () => {
    if (!found) return;
    const means = heardAny ? 'microphone' : 'by-ear';
    keep.mutate({ checks: [{ singer: singer.id, ...found, means }] });
  };

  const undo = () => change(undoCheck(check));
  useShortcuts(
    [
      ...answers.map(({ answer: one, key, words }) => ({
        keys: key,
        words,
        match: letter(key),
        act: () => answer(one),
      })),
      { keys: 'h', words: 'hear the note', match: letter('h'), act: () => void hearIt() },
      { keys: 'u', words: 'undo a step', match: letter('u'), act: undo },
    ],
    lettersOn(),
  );

  const staffNotes = useMemo(() => {
    if (note === undefined) return [];
    const last = check.steps[check.steps.length - 1];
    return last && Math.abs(last.note - note) === 1 ? [last.note, note] : [note];
  }, [check.steps, note]);

  return (
    <Box ref={frame}>
      <PanelHead title={singer.name} onClose={() => onOpen('singer')} close="pause" />
      {now.kind === 'ask' && (
        <>
          <Box as="h3" fontWeight={650}>
            Range check, {wayWords[now.way]}
          </Box>
          <Flex align="center" justify="space-between" gap="0" minH="114px">
            <Name fontSize="56px" lineHeight="1" role="status" aria-live="polite">
              {noteName(now.note, accidentals)}
            </Name>
            <Suspense fallback={null}>
              <NoteStaff notes={staffNotes} clef={clefOf(part)} accidentals={accidentals} />
            </Suspense>
          </Flex>
        </>
      )}
      {now.kind === 'done' && (
        <Box as="h3" fontWeight={650} role="status" my="8px">
          The check is done
          {found ? `: easy ${rangeInWords(found.comfort, accidentals)}.` : '.'}
        </Box>
      )}
      {now.kind === 'other-start' && (
        <Box my="8px" role="status">
          {noteName(now.tried, accidentals)} is not easy to begin on. Take a note that is.
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
        start={check.start}
        now={note}
        around={part.reach}
        width={Math.max(200, width)}
        accidentals={accidentals}
      />
      {now.kind === 'ask' && (
        <>
          <Flex gap="4px" my="12px">
            {answers.map(({ answer: one, words, key }) => (
              <QuietButton
                key={one}
                flex="1"
                h="56px"
                px="4px"
                borderColor="fern"
                color="fern"
                fontWeight={650}
                aria-keyshortcuts={key}
                onClick={() => answer(one)}
              >
                <Box>
                  <Box>{words}</Box>
                  <Box fontSize="12px" fontWeight={400} color="inkSoft" aria-hidden="true">
                    {key}
                  </Box>
                </Box>
              </QuietButton>
            ))}
          </Flex>
          <Flex gap="16px" wrap="wrap">
            <WordButton disabled={sounding} onClick={() => void hearIt()}>
              hear {noteName(now.note, accidentals)} (h)
            </WordButton>
            <WordButton disabled={check.steps.length === 0} onClick={undo}>
              undo a step (u)
            </WordButton>
          </Flex>
          <Box mt="12px">{signs[now.way]}</Box>
          <Label mt="4px">
            A short open syllable, «ah», in an easy loudness. Stop when anything hurts; hoarseness
            that lasts is for a doctor.
            {row.states.includes('changing') ? ' A changing voice is never pushed at an end.' : ''}
          </Label>
        </>
      )}
      <Box asChild display="flex" gap="8px" mt="8px" fontSize="13px">
        <label>
          <input
            type="checkbox"
            checked={check.light}
            onChange={(event) => change({ ...check, light: event.currentTarget.checked })}
          />
          look for the light register too
        </label>
      </Box>
      <Flex gap="16px" align="center" wrap="wrap" mt="12px">
        {found && (
          <MainButton disabled={keep.isPending} onClick={keepFound}>
            Keep what is found
          </MainButton>
        )}
        {check.steps.length > 0 && (
          <WordButton onClick={() => change({ ...begin(), light: check.light })}>
            begin again
          </WordButton>
        )}
      </Flex>
      {found && now.kind !== 'done' && (
        <Label mt="4px">What is not asked yet counts as not easy.</Label>
      )}
      {keep.isError && (
        <Box role="alert" color="brick" fontSize="13px" mt="8px">
          {messageOf(keep.error)}
        </Box>
      )}
      <Listen
        state={listening.state}
        byItself={byItself}
        accidentals={accidentals}
        onStart={(open) => void listening.start(open)}
        onStop={listening.stop}
        onByItself={setByItself}
      />
    </Box>
  );
}
