import { Box, Flex } from '@chakra-ui/react';
import { type Exercise } from '@wide-fern/contract';
import {
  idFromName,
  kinds,
  modeNames,
  plainScore,
  segmentSeconds,
  sharedKeys,
  type Metre,
} from '@wide-fern/core';
import { kindWords, lengthInFigures, breathAdviceFor } from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError, messageOf, changeExercise, storeExercises } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Label, Name, WordButton, WordLink } from '../../../ui/words';
import { Hear } from '../../../music/hearing/Hear';
import type { Listed } from '../model/listed';
import type { ReadyExercises } from '../model/useExercises';
import { draftOf, emptyDraft, type ExerciseDraft } from './model/draft';
import { keepDraft, readKept } from './model/kept';
import { exerciseOf } from './model/make';
import { MusicFields } from './MusicFields';
import { WordFields } from './WordFields';

const metres: readonly (readonly [string, Metre | null])[] = [
  ['without bars', null],
  ['2/4', { beats: 2, unit: 4 }],
  ['3/4', { beats: 3, unit: 4 }],
  ['4/4', { beats: 4, unit: 4 }],
  ['3/8', { beats: 3, unit: 8 }],
  ['6/8', { beats: 6, unit: 8 }],
  ['2/2', { beats: 2, unit: 2 }],
  ['3/2', { beats: 3, unit: 2 }],
];
const metreWord = (metre: Metre | null): string =>
  metre ? `${metre.beats}/${metre.unit}` : 'without bars';
const withMetre: readonly ExerciseDraft['kind'][] = ['pattern', 'lines', 'round', 'drone'];
const withMode: readonly ExerciseDraft['kind'][] = [...withMetre, 'glide', 'chord'];

/** Where an exercise is made: its music on top, what is said of it below. */
export function Editor({
  from,
  begun,
  data,
}: {
  readonly from: string;
  readonly begun: Listed | undefined;
  readonly data: ReadyExercises;
}) {
  const { choir, account } = useHere();
  const navigate = useNavigate();
  const isOwn = begun?.own ?? false;
  const first = useMemo((): ExerciseDraft => {
    if (!begun) return emptyDraft;
    const draft = draftOf(begun.exercise);
    return isOwn ? draft : { ...draft, name: `${draft.name}, ours` };
  }, [begun, isOwn]);
  const [kept] = useState(() => readKept(account.id, choir.id, from));
  const [draft, setDraft] = useState(kept ?? first);
  const [asked, setAsked] = useState(false);
  const [saving, setSaving] = useState<
    { kind: 'no' } | { kind: 'busy' } | { kind: 'clash' } | { kind: 'failed'; message: string }
  >({ kind: 'no' });
  const set = (changed: Partial<ExerciseDraft>) => {
    const next = { ...draft, ...changed };
    setDraft(next);
    keepDraft(account.id, choir.id, from, next);
  };
  const id = isOwn && begun ? begun.exercise.id : idFromName(draft.name);
  const version = isOwn && begun ? begun.exercise.version : 1;
  const made = useMemo(() => exerciseOf(draft, id, version), [draft, id, version]);
  // Before the first try only what cannot be read is said; then all that is missing.
  const errors = asked && made.kind === 'wrong' ? made.fields : {};
  const music = useMemo(() => {
    const whole = exerciseOf(
      { ...draft, name: 'x', purpose: 'x', cue: 'x', purposes: ['legato'] },
      'x',
      1,
    );
    return whole.kind === 'made' ? whole.made : undefined;
  }, [draft]);
  const done = (stored: Exercise) => {
    keepDraft(account.id, choir.id, from, undefined);
    void navigate(`/exercises/${stored.id}`);
  };
  const store = async (asCopy: boolean) => {
    setAsked(true);
    if (made.kind === 'wrong') return;
    setSaving({ kind: 'busy' });
    try {
      if (isOwn && !asCopy) done(await changeExercise(choir.id, made.made, version));
      else {
        const { stored, alike } = await storeExercises(choir.id, [
          { ...made.made, id: idFromName(draft.name) },
        ]);
        if (stored[0]) done(stored[0]);
        else {
          const message = `“${alike[0] ?? draft.name}” is here already, exactly like this. Change something, or go back.`;
          setSaving({ kind: 'failed', message });
        }
      }
    } catch (error) {
      const clash = error instanceof ApiError && error.status === 409 && isOwn;
      setSaving(clash ? { kind: 'clash' } : { kind: 'failed', message: messageOf(error) });
    }
  };
  const others = data.all
    .map(({ exercise }) => exercise)
    .filter((one) => one.id !== begun?.exercise.id);
  return (
    <Box px={{ base: '16px', md: '24px' }} pt="14px" pb="32px">
      <Flex align="baseline" gap="16px" wrap="wrap" mb="8px">
        <Name as="h1" fontSize="24px">
          {isOwn ? 'Change an exercise' : begun ? 'Copy and change' : 'Make an exercise'}
        </Name>
        <WordLink to={begun ? `/exercises/${begun.exercise.id}` : '/exercises'} fontSize="13px">
          go back
        </WordLink>
        <Label as="span" role="status" fontSize="12px">
          {kept ? 'Taken up where you left it. ' : ''}What you type is kept on this device.
        </Label>
        {(kept ?? draft !== first) && (
          <WordButton
            fontSize="13px"
            onClick={() => {
              setDraft(first);
              keepDraft(account.id, choir.id, from, undefined);
            }}
          >
            begin again
          </WordButton>
        )}
      </Flex>
      <Flex gap="16px" wrap="wrap" align="flex-start" mb="12px">
        <Box flex="1 1 240px" maxW="340px">
          <FormField
            label="Name"
            value={draft.name}
            error={errors.name}
            onChange={(event) => set({ name: event.currentTarget.value })}
          />
        </Box>
        <Box w="180px">
          <SelectField
            label="Kind"
            value={draft.kind}
            options={kinds.map((kind) => ({ value: kind, word: kindWords[kind] }))}
            onChange={(event) => set({ kind: kinds[event.currentTarget.selectedIndex]! })}
          />
        </Box>
        {withMode.includes(draft.kind) && (
          <Box w="140px">
            <SelectField
              label="Mode"
              value={draft.mode}
              options={modeNames.map((mode) => ({ value: mode, word: mode }))}
              onChange={(event) => set({ mode: modeNames[event.currentTarget.selectedIndex]! })}
            />
          </Box>
        )}
        {withMetre.includes(draft.kind) && (
          <Box w="130px">
            <SelectField
              label="Bars"
              value={metreWord(draft.metre)}
              options={[
                ...metres.map(([word]) => ({ value: word, word })),
                ...(metres.some(([word]) => word === metreWord(draft.metre))
                  ? []
                  : [{ value: metreWord(draft.metre), word: metreWord(draft.metre) }]),
              ]}
              onChange={(event) => {
                const chosen = metres.find(([word]) => word === event.currentTarget.value);
                if (chosen) set({ metre: chosen[1] });
              }}
            />
          </Box>
        )}
      </Flex>
      <Box bg="sheet" borderWidth="1px" px="16px" py="12px" mb="12px">
        <MusicFields draft={draft} errors={errors} set={set} />
        <Found exercise={music} data={data} />
      </Box>
      <WordFields draft={draft} errors={errors} set={set} others={others} />
      <Flex mt="20px" gap="16px" align="center" wrap="wrap">
        <MainButton size="sm" disabled={saving.kind === 'busy'} onClick={() => void store(false)}>
          {isOwn ? 'Keep as a new version' : 'Keep it'}
        </MainButton>
        {asked && made.kind === 'wrong' && (
          <Box role="alert" color="brick" fontSize="13px">
            Not kept yet: {Object.values(made.fields)[0]}
          </Box>
        )}
        {saving.kind === 'failed' && (
          <Box role="alert" color="brick" fontSize="13px">
            {saving.message}
          </Box>
        )}
        {saving.kind === 'clash' && (
          <Flex role="alert" gap="12px" fontSize="13px" color="brick" align="baseline" wrap="wrap">
            Someone else changed this exercise meanwhile. Yours is still here.
            <WordButton fontSize="13px" onClick={() => void store(true)}>
              keep mine as one of its own
            </WordButton>
          </Flex>
        )}
      </Flex>
    </Box>
  );
}

/** What is found out about the music while it is made: length, breath, keys tonight, and how it sounds. */
function Found({
  exercise,
  data,
}: {
  readonly exercise: Exercise | undefined;
  readonly data: ReadyExercises;
}) {
  const { choir } = useHere();
  const score = useMemo(
    () => exercise && plainScore(exercise, exercise.usual.tempo, [60]),
    [exercise],
  );
  const listening = useMemo(
    () =>
      exercise &&
      score && {
        score,
        countIn: exercise.countIn,
        verses: 1,
        breathBeats: exercise.breathBeats,
        keyChangeBeats: exercise.keyChangeBeats,
      },
    [exercise, score],
  );
  if (!exercise) return null;
  const keys = sharedKeys(exercise.music, data.tonight.sections);
  const advice = breathAdviceFor(exercise, exercise.usual, choir.phraseSeconds);
  const length = lengthInFigures(segmentSeconds(exercise, { ...exercise.usual, start: null }));
  return (
    <Box mt="10px" fontSize="13px">
      <Box role="status">
        {length} with its keys and its talk.{' '}
        {keys &&
          (keys.length === 0
            ? 'No key suits every part tonight; the ladder lets parts rest or move an octave.'
            : `${keys.length} ${keys.length === 1 ? 'key suits' : 'keys suit'} every part tonight.`)}{' '}
        {advice}
      </Box>
      {exercise.cautions.length > 0 && (
        <Label mt="2px">Caution: {exercise.cautions.join(' ')}</Label>
      )}
      {listening && (
        <Box mt="6px">
          <Hear
            key={listening.score.tempo}
            listening={listening}
            parts={listening.score.parts}
            name="exercise"
          />
        </Box>
      )}
    </Box>
  );
}
