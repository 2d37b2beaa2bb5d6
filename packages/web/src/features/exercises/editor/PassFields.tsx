import { Box, Flex } from '@chakra-ui/react';
import { articulations, dynamics, purposes } from '@wide-fern/core';
import { articulationWords, dynamicWords } from '@wide-fern/words';
import type { ReactNode } from 'react';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import { isPitchedDraft } from './Led';
import type { ExerciseDraft } from './model/draft';
import { emptyPass, isVoiced, type PassDraft } from './model/passes';
import type { DraftProps } from './musicParts';

/** What changes from pass to pass, and what the instrument plays meanwhile. */
export function PassFields(props: DraftProps) {
  const { draft, errors, set } = props;
  const { passes } = draft;
  const change = (at: number, changed: Partial<PassDraft>) =>
    set({ passes: passes.map((one, i) => (i === at ? { ...one, ...changed } : one)) });
  const add = () =>
    set({ passes: passes.length === 0 ? [emptyPass, emptyPass] : [...passes, emptyPass] });
  return (
    <Box as="section" aria-label="From pass to pass" mb="14px">
      <Flex gap="16px" wrap="wrap" align="flex-end">
        {isPitchedDraft(draft) && <Played {...props} />}
        {passes.length > 0 && (
          <>
            {isVoiced(draft) && (
              <Box w="220px">
                <SelectField
                  label="The ways below take turns"
                  value={draft.passesOver}
                  options={[
                    { value: 'keys', word: 'from key to key' },
                    { value: 'verses', word: 'each time it is sung' },
                  ]}
                  onChange={(event) =>
                    set({ passesOver: event.currentTarget.selectedIndex === 0 ? 'keys' : 'verses' })
                  }
                />
              </Box>
            )}
            <Box flex="1 1 240px" maxW="420px">
              <FormField
                label="Asked after the last of them, if you wish"
                value={draft.ask}
                error={errors.ask}
                onChange={(event) => set({ ask: event.currentTarget.value })}
              />
            </Box>
          </>
        )}
      </Flex>
      {passes.map((pass, i) => (
        <PassRow
          key={i}
          pass={pass}
          number={i + 1}
          hasVoice={isVoiced(draft)}
          onChange={(changed) => change(i, changed)}
          away={
            <WordButton
              fontSize="13px"
              pb="8px"
              onClick={() =>
                set({ passes: passes.length > 2 ? passes.filter((_, at) => at !== i) : [] })
              }
            >
              away
            </WordButton>
          }
        />
      ))}
      {errors.passes && (
        <Box role="alert" color="brick" fontSize="13px">
          {errors.passes}
        </Box>
      )}
      {passes.length < 12 && (
        <WordButton fontSize="13px" onClick={add}>
          {passes.length > 0 ? 'one way more' : beginWords(draft)}
        </WordButton>
      )}
    </Box>
  );
}

const beginWords = (draft: ExerciseDraft): string =>
  isVoiced(draft)
    ? 'change something from pass to pass: sounds, loudness, touch'
    : `compare two ways, ${draft.kind === 'body' ? 'movement by movement' : 'round by round'}`;

/** One way of doing it. */
function PassRow({
  pass,
  number,
  hasVoice,
  onChange,
  away,
}: {
  readonly pass: PassDraft;
  readonly number: number;
  readonly hasVoice: boolean;
  readonly onChange: (changed: Partial<PassDraft>) => void;
  readonly away: ReactNode;
}) {
  const chosen = <T extends string>(all: readonly T[], index: number): T | '' =>
    all[index - 1] ?? '';
  return (
    <Flex role="group" aria-label={`Way ${number}`} gap="8px" align="flex-end" wrap="wrap" mb="4px">
      <Label as="span" pb="8px" w="16px">
        {number}
      </Label>
      {hasVoice && (
        <>
          <Box flex="1 1 140px">
            <FormField
              label="sounds, parted by blanks"
              size="sm"
              value={pass.sounds}
              onChange={(event) => onChange({ sounds: event.currentTarget.value })}
            />
          </Box>
          <Box w="130px">
            <SelectField
              label="how loud"
              value={pass.dynamic}
              options={[
                { value: '', word: 'as written' },
                ...dynamics.map((value) => ({ value, word: dynamicWords[value] })),
              ]}
              onChange={(event) =>
                onChange({ dynamic: chosen(dynamics, event.currentTarget.selectedIndex) })
              }
            />
          </Box>
          <Box w="150px">
            <SelectField
              label="touch"
              value={pass.articulation}
              options={[
                { value: '', word: 'as written' },
                ...articulations.map((value) => ({ value, word: articulationWords[value] })),
              ]}
              onChange={(event) =>
                onChange({ articulation: chosen(articulations, event.currentTarget.selectedIndex) })
              }
            />
          </Box>
        </>
      )}
      <Box w="150px">
        <SelectField
          label="for"
          value={pass.serves}
          options={[
            { value: '', word: 'what all serve' },
            ...purposes.map((value) => ({ value, word: value })),
          ]}
          onChange={(event) =>
            onChange({ serves: chosen(purposes, event.currentTarget.selectedIndex) })
          }
        />
      </Box>
      <Box flex="2 1 180px">
        <FormField
          label="said for it"
          size="sm"
          value={pass.cue}
          onChange={(event) => onChange({ cue: event.currentTarget.value })}
        />
      </Box>
      {away}
    </Flex>
  );
}

const playedWays = ['nothing', 'drone', 'chords'] as const;
const playedWords: Readonly<Record<(typeof playedWays)[number], string>> = {
  nothing: 'nothing',
  drone: 'notes it holds',
  chords: 'chords in turn',
};

/** What the instrument plays under each key. */
function Played({ draft, errors, set }: DraftProps) {
  return (
    <>
      <Box w="220px">
        <SelectField
          label="The instrument plays under it"
          value={draft.played}
          options={playedWays.map((value) => ({ value, word: playedWords[value] }))}
          onChange={(event) => set({ played: playedWays[event.currentTarget.selectedIndex]! })}
        />
      </Box>
      {draft.played === 'drone' && (
        <Box w="160px">
          <FormField
            label="Held, as steps of the key"
            value={draft.playedTones}
            error={errors.playedTones}
            onChange={(event) => set({ playedTones: event.currentTarget.value })}
          />
        </Box>
      )}
      {draft.played === 'chords' && (
        <Box flex="1 1 300px" maxW="460px">
          <FormField
            label="Chords: steps of the key, a colon, beats; a stroke between two"
            value={draft.playedChords}
            error={errors.playedChords}
            onChange={(event) => set({ playedChords: event.currentTarget.value })}
          />
        </Box>
      )}
    </>
  );
}
