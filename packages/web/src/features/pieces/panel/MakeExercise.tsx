import { Box, Flex, Input } from '@chakra-ui/react';
import type { Band, Exercise, Piece } from '@wide-fern/contract';
import {
  beatsOf,
  excerptForms,
  lengthInFigures,
  sharedKeys,
  tonicName,
  type Excerpt,
  type ExcerptForm,
} from '@wide-fern/core';
import { useMemo, useState, type ReactNode } from 'react';
import { messageOf } from '../../../api/client';
import { useHere } from '../../../app/session';
import { MainButton } from '../../../ui/MainButton';
import { PlainSelect } from '../../../ui/PlainSelect';
import { Stepper } from '../../../ui/Stepper';
import { Label, WordButton, WordLink } from '../../../ui/words';
import { storeExercises } from '../../exercises/model/changes';
import { KeyLetters } from '../drawing/KeyLetters';
import type { ChosenBars } from '../model/bars';
import { exerciseOf, wordsOf, type Making } from '../model/exercise';
import { barsInWords } from '../model/words';
import type { Asks } from '../score/messages';
import type { ScoreWorker } from '../score/scoreWorker';
import { useAsked } from '../score/useAsked';

const forms: Readonly<Record<ExcerptForm, string>> = {
  parts: 'all parts',
  line: 'one line for all',
  chords: 'chord by chord',
};

function Line({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Flex gap="8px" align="center" minH="28px" wrap="wrap">
      <Label as="span" w="60px">
        {label}
      </Label>
      {children}
    </Flex>
  );
}

/** Words to choose one of, in a row. */
function Words<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  readonly label: string;
  readonly options: readonly (readonly [value: T, word: string])[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}) {
  return (
    <Flex role="radiogroup" aria-label={label} gap="10px" wrap="wrap">
      {options.map(([one, word]) => (
        <WordButton
          key={one}
          type="button"
          role="radio"
          aria-checked={value === one}
          fontSize="13px"
          fontWeight={value === one ? 700 : 400}
          color={value === one ? 'ink' : 'fern'}
          onClick={() => onChange(one)}
        >
          {word}
        </WordButton>
      ))}
    </Flex>
  );
}

/** Makes an exercise of the chosen bars: whose line, on what, how fast; its keys for tonight are seen at once. */
export function MakeExercise({
  piece,
  worker,
  bands,
  chosen,
  places,
}: {
  readonly piece: Piece;
  readonly worker: ScoreWorker;
  readonly bands: readonly Band[];
  readonly chosen: ChosenBars;
  readonly places: readonly [from: number, to: number];
}) {
  const { title } = piece.piece;
  const short = title.split(/[\s,]+/)[0] ?? title;
  const [making, setMaking] = useState<Omit<Making, 'tempo'> & { tempo: number | undefined }>({
    form: 'parts',
    part: bands[0]?.id ?? '',
    words: 'own',
    text: '',
    tempo: undefined,
    name: `${short}, ${barsInWords(chosen.from, chosen.to)}`.slice(0, 60),
  });
  const set = (next: Partial<typeof making>) => setMaking({ ...making, ...next });
  const { form, part, words, text } = making;
  const mapping = piece.piece.score!.mapping;
  const asked = useMemo((): Asks['excerpt']['asked'] => {
    const wanted = form === 'line' ? bands.filter(({ id }) => id === part) : bands;
    return {
      mapping,
      from: places[0],
      to: places[1],
      form,
      parts: wanted.map(({ id, octave }) => ({ id, octave })),
      words: wordsOf({ words, text }),
    };
  }, [mapping, places, form, part, words, text, bands]);
  const { answer: excerpt, error } = useAsked(worker, 'excerpt', asked);
  return (
    <Box fontSize="13px">
      <Line label="Sung by">
        <Words
          label="Sung by"
          value={form}
          options={excerptForms.map((one) => [one, forms[one]] as const)}
          onChange={(one) => set({ form: one })}
        />
        {form === 'line' && (
          <PlainSelect
            label="Whose line"
            value={part}
            options={bands.map(({ id, many }) => ({ value: id, word: `the ${many}’ line` }))}
            onChange={(one) => set({ part: one })}
          />
        )}
      </Line>
      <Line label="On">
        <Words
          label="On"
          value={words}
          options={[
            ['own', 'its own words'],
            ['noo', 'noo'],
            ['lip trill', 'lip trill'],
            ['text', 'other words'],
          ]}
          onChange={(one) => set({ words: one })}
        />
        {words === 'text' && (
          <Input
            size="xs"
            aria-label="Other words, syllables parted by hyphens"
            placeholder="syl- la- bles, like this"
            value={text}
            maxLength={400}
            bg="sheet"
            onChange={(event) => set({ text: event.currentTarget.value })}
          />
        )}
      </Line>
      {error && <Box role="alert">{error}</Box>}
      {excerpt === null && (
        <Box role="alert">Nothing is sung there by whom you chose. Choose other bars or parts.</Box>
      )}
      {excerpt && (
        <MakingDetails
          excerpt={excerpt}
          making={{ ...making, tempo: making.tempo ?? slower(excerpt) }}
          onChange={set}
          piece={piece}
          bands={bands}
          chosen={chosen}
        />
      )}
    </Box>
  );
}

/** A few beats slower than the piece, to begin with. */
const slower = ({ tempo }: Excerpt): number => Math.min(240, Math.max(20, Math.round(tempo * 0.9)));

/** What of it can only be said once the bars are here: pace, keys, name, and the act. */
function MakingDetails({
  excerpt,
  making,
  onChange,
  piece,
  bands,
  chosen,
}: {
  readonly excerpt: Excerpt;
  readonly making: Making;
  readonly onChange: (next: Partial<Making>) => void;
  readonly piece: Piece;
  readonly bands: readonly Band[];
  readonly chosen: ChosenBars;
}) {
  const { choir } = useHere();
  const [made, setMade] = useState<Exercise>();
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const exercise = useMemo(
    () =>
      exerciseOf(excerpt, making, {
        piece: piece.id,
        title: piece.piece.title,
        from: chosen.from,
        to: chosen.to,
        marks: piece.marks,
        bands,
      }),
    [excerpt, making, piece, bands, chosen],
  );
  const keys = useMemo(() => sharedKeys(exercise.music, bands) ?? [], [exercise, bands]);
  const beats = beatsOf(exercise.music);
  const seconds = (beats * 60) / making.tempo;
  const store = async () => {
    setStoring(true);
    setTrouble(undefined);
    try {
      const { stored } = await storeExercises(choir.id, [exercise]);
      if (stored[0]) setMade(stored[0]);
      else setTrouble('An exercise exactly like this is here already.');
    } catch (error) {
      setTrouble(messageOf(error));
    } finally {
      setStoring(false);
    }
  };
  const wrongName = making.name.trim() === '';
  return (
    <>
      <Line label="Pace">
        <Stepper
          label=""
          labelWidth="0"
          name="Pace in beats a minute"
          value={making.tempo}
          limits={[20, 240]}
          step={2}
          disabled={false}
          onChange={(tempo) => onChange({ tempo })}
        />
        <Label as="span">
          {Math.round(excerpt.tempo)} in the piece · {Math.round(beats * 10) / 10} beats,{' '}
          {Math.round(seconds)} s
        </Label>
      </Line>
      <Line label="Breath">
        <span>
          {excerpt.breathBeats === 1 ? 'a beat' : `${excerpt.breathBeats} beats`} before it begins
          again
        </span>
      </Line>
      <Line label="Name">
        <Input
          size="xs"
          aria-label="Name of the exercise"
          aria-invalid={wrongName}
          value={making.name}
          maxLength={60}
          bg="sheet"
          w="260px"
          onChange={(event) => onChange({ name: event.currentTarget.value })}
        />
        {wrongName && (
          <Box role="alert" color="brick">
            Give it a name.
          </Box>
        )}
      </Line>
      <Flex gap="8px" mt="4px">
        <Label as="span" w="60px">
          Keys
        </Label>
        <KeyLetters
          music={exercise.music}
          bands={bands}
          own={excerpt.tonic}
          accidentals={choir.accidentals}
        />
      </Flex>
      {made ? (
        <Box role="status" mt="8px">
          “{made.name}” is on the shelf.{' '}
          <WordLink to={`/exercises/${made.id}`}>look at it and hear it</WordLink>
        </Box>
      ) : (
        <Flex gap="14px" align="center" mt="8px">
          <MainButton size="sm" disabled={storing || wrongName} onClick={() => void store()}>
            Make the exercise
          </MainButton>
          <Label as="span">
            {keys.length === 0
              ? 'no key suits every part; some rest or move'
              : `${keys.length} ${keys.length === 1 ? 'key suits' : 'keys suit'} every part: ${tonicName(keys[0]!, 'major', choir.accidentals)} to ${tonicName(keys.at(-1)!, 'major', choir.accidentals)}`}
            , {lengthInFigures(seconds)} a key
          </Label>
        </Flex>
      )}
      {trouble && (
        <Box role="alert" color="brick" mt="4px">
          {trouble}
        </Box>
      )}
    </>
  );
}
