import { Box, Input } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import { type Section, excerptForms, type Excerpt, type ExcerptForm } from '@wide-fern/core';
import { useMemo, useState } from 'react';
import { PlainSelect } from '../../../ui/PlainSelect';
import type { ChosenBars } from '../model/bars';
import { wordsOf, type Making } from '../../../here/score/exercise';
import { barsInWords } from '@wide-fern/words';
import type { Asks } from '../../../here/score/messages';
import type { ScoreWorker } from '../../../here/score/scoreWorker';
import { useAsked } from '../score/useAsked';
import { WordChoice } from '../../../ui/WordChoice';
import { ChoiceRow } from './ChoiceRow';
import { MakingDetails } from './MakingDetails';

const forms: Readonly<Record<ExcerptForm, string>> = {
  parts: 'all parts',
  line: 'one line for all',
  chords: 'chord by chord',
};

/** Makes an exercise of the chosen bars: whose line, on what, how fast; its keys for tonight are seen at once. */
export function MakeExercise({
  piece,
  worker,
  sections,
  chosen,
  places,
  troubled,
  transpose,
}: {
  readonly piece: Piece;
  readonly worker: ScoreWorker;
  readonly sections: readonly Section[];
  readonly chosen: ChosenBars;
  readonly places: readonly [from: number, to: number];
  /** Who has the trouble in them. */
  readonly troubled: string | undefined;
  /** How much higher than written the piece is sung. */
  readonly transpose: number;
}) {
  const { title } = piece.piece;
  const short = title.split(/[\s,]+/)[0] ?? title;
  const [making, setMaking] = useState<Omit<Making, 'tempo'> & { tempo: number | undefined }>({
    form: 'parts',
    part: troubled ?? sections[0]?.id ?? '',
    words: 'own',
    text: '',
    tempo: undefined,
    name: `${short}, ${barsInWords(chosen.from, chosen.to)}`.slice(0, 60),
  });
  const set = (next: Partial<typeof making>) => setMaking({ ...making, ...next });
  const { form, part, words, text } = making;
  const mapping = piece.piece.score!.mapping;
  const asked = useMemo((): Asks['excerpt']['asked'] => {
    const wanted = form === 'line' ? sections.filter(({ id }) => id === part) : sections;
    return {
      mapping,
      from: places[0],
      to: places[1],
      form,
      parts: wanted.map(({ id, octave }) => ({ id, octave })),
      words: wordsOf({ words, text }),
    };
  }, [mapping, places, form, part, words, text, sections]);
  const { answer: excerpt, error } = useAsked(worker, 'excerpt', asked);
  return (
    <Box fontSize="13px">
      <ChoiceRow label="Sung by">
        <WordChoice
          label="Sung by"
          value={form}
          options={excerptForms.map((one) => [one, forms[one]] as const)}
          onChange={(one) => set({ form: one })}
        />
        {form === 'line' && (
          <PlainSelect
            label="Whose line"
            value={part}
            options={sections.map(({ id, many }) => ({ value: id, word: `the ${many}’ line` }))}
            onChange={(one) => set({ part: one })}
          />
        )}
      </ChoiceRow>
      <ChoiceRow label="On">
        <WordChoice
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
      </ChoiceRow>
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
          sections={sections}
          chosen={chosen}
          troubled={troubled}
          transpose={transpose}
        />
      )}
    </Box>
  );
}

/** A few beats slower than the piece, to begin with. */
const slower = ({ tempo }: Excerpt): number => Math.min(240, Math.max(20, Math.round(tempo * 0.9)));
