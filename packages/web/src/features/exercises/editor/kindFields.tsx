import { Box, Flex } from '@chakra-ui/react';
import { holders } from '@wide-fern/core';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { WordButton } from '../../../ui/words';
import { Tick } from '../../../ui/Tick';
import { LineEditor } from './LineEditor';
import { withFields, type Further } from './model/further';
import { Figure, Text, type DraftProps } from './musicParts';

const holderWords: Readonly<Record<(typeof holders)[number], string>> = {
  lowest: 'the lowest part holds',
  'lower half': 'the lower half holds',
  'upper half': 'the upper half holds',
  all: 'all hold and chant',
};

function SungOn({ draft, errors, set }: DraftProps) {
  return (
    <FormField
      label="Sung on"
      value={draft.syllable}
      error={errors.syllable}
      onChange={(event) => set({ syllable: event.currentTarget.value })}
    />
  );
}

/** One line, which all sing. */
export function OneLine({ draft, errors, set }: DraftProps) {
  return (
    <LineEditor
      label="Line"
      text={draft.line}
      mode={draft.mode}
      metre={draft.metre}
      error={errors.line}
      onText={(text) => set({ line: text })}
    />
  );
}

/** A line, and how its entries follow one another. */
export function RoundFields(props: DraftProps) {
  const { draft, set } = props;
  return (
    <Box display="grid" gap="10px">
      <OneLine {...props} />
      <Flex gap="24px" wrap="wrap">
        <Figure
          label="Entries"
          value={draft.entries}
          limits={[2, 8]}
          onChange={(entries) => set({ entries: Math.round(entries) })}
        />
        <Figure
          label="From one to the next"
          value={draft.apart}
          limits={[0.5, 64]}
          unit="beats"
          onChange={(apart) => set({ apart })}
        />
      </Flex>
    </Box>
  );
}

/** Several lines, from the highest. */
export function LinesFields(props: DraftProps) {
  const { draft, errors, set } = props;
  return (
    <Box display="grid" gap="14px">
      {draft.lines.map((text, i) => (
        <Box key={i}>
          <LineEditor
            label={`Line ${i + 1}${i === 0 ? ', the highest' : ''}`}
            text={text}
            mode={draft.mode}
            metre={draft.metre}
            error={errors[`lines.${i}`]}
            onText={(next) => set({ lines: draft.lines.map((one, at) => (at === i ? next : one)) })}
          />
          {draft.lines.length > 1 && (
            <WordButton
              fontSize="13px"
              onClick={() => set({ lines: draft.lines.filter((_, at) => at !== i) })}
            >
              take line {i + 1} away
            </WordButton>
          )}
        </Box>
      ))}
      {draft.lines.length < 8 && (
        <WordButton
          fontSize="13px"
          justifySelf="start"
          onClick={() => set({ lines: [...draft.lines, draft.lines.at(-1) ?? '1'] })}
        >
          another line below
        </WordButton>
      )}
    </Box>
  );
}

/** What is held and by whom, and what moves over it. */
export function DroneFields(props: DraftProps) {
  const { draft, errors, set } = props;
  return (
    <Box display="grid" gap="10px">
      <Flex gap="16px" wrap="wrap" align="flex-end">
        <Box w="120px">
          <FormField
            label="Held step"
            value={draft.held}
            error={errors.held}
            onChange={(event) => set({ held: event.currentTarget.value })}
          />
        </Box>
        <Box w="200px">
          <SelectField
            label="Who holds"
            error={errors.holders}
            value={draft.holders}
            options={holders.map((one) => ({ value: one, word: holderWords[one] }))}
            onChange={(event) => set({ holders: holders[event.currentTarget.selectedIndex]! })}
          />
        </Box>
        <Box w="160px">
          <SungOn {...props} />
        </Box>
        <Flex as="label" gap="6px" align="center" fontSize="13px" pb="8px">
          <input
            type="checkbox"
            checked={draft.overText}
            onChange={(event) => set({ overText: event.currentTarget.checked })}
          />
          a text on one pitch over it
        </Flex>
      </Flex>
      {draft.overText ? (
        <>
          <Text {...props} what="The text, a line each" />
          <TextMoves {...props} />
        </>
      ) : (
        <OneLine {...props} />
      )}
    </Box>
  );
}

/** Where a text moves over the drone: the steps it is sung on in turn, and the canon at last. */
function TextMoves({ draft, errors, set }: DraftProps) {
  return (
    <Flex gap="16px" wrap="wrap" align="flex-end">
      <Box w="220px">
        <FormField
          label="Sung on these steps, once each"
          value={draft.textOn}
          error={errors.textOn}
          onChange={(event) => set({ textOn: event.currentTarget.value })}
        />
      </Box>
      <Figure
        label="At last in canon of"
        value={draft.canonEntries}
        limits={[0, 8]}
        unit={draft.canonEntries < 2 ? 'entries: none' : 'entries'}
        onChange={(entries) => {
          // One entry is no canon.
          const isUp = entries > draft.canonEntries;
          set({ canonEntries: entries === 1 ? (isUp ? 2 : 0) : Math.round(entries) });
        }}
      />
      {draft.canonEntries > 1 && (
        <Figure
          label="From one to the next"
          value={draft.canonApart}
          limits={[0.5, 64]}
          unit="beats"
          onChange={(canonApart) => set({ canonApart })}
        />
      )}
    </Flex>
  );
}

/** A voice that slides. */
export function GlideFields(props: DraftProps) {
  const { draft, errors, set } = props;
  return (
    <Box display="grid" gap="10px">
      <FormField
        label="The slide: where it begins, then each step with the beats to get there"
        help="1 5:3 1:3 slides up a fifth in three beats and back in three; 8:0 leaps"
        value={draft.slide}
        error={errors.slide}
        onChange={(event) => set({ slide: event.currentTarget.value })}
      />
      <Box maxW="200px">
        <SungOn {...props} />
      </Box>
      <OwnPitch {...props} />
    </Box>
  );
}

/** One note, held on its syllables. */
export function HoldFields(props: DraftProps) {
  const { draft, errors, set } = props;
  return (
    <Flex gap="16px" wrap="wrap" align="flex-end">
      <Box flex="1 1 260px">
        <FormField
          label="Syllables, one after the other on the same note"
          value={draft.syllables}
          error={errors.syllables}
          onChange={(event) => set({ syllables: event.currentTarget.value })}
        />
      </Box>
      <Figure
        label="Held for"
        value={draft.beats}
        limits={[1, 128]}
        unit="beats"
        onChange={(beats) => set({ beats })}
      />
      <OwnPitch {...props} />
    </Flex>
  );
}

/** A chord built from its tones. */
export function ChordFields(props: DraftProps) {
  const { draft, errors, set } = props;
  return (
    <Flex gap="16px" wrap="wrap" align="flex-end">
      <Box flex="1 1 200px">
        <FormField
          label="Tones of the chord, as steps from its root"
          help="1 3 5; every part gets its own note for it"
          value={draft.tones}
          error={errors.tones}
          onChange={(event) => set({ tones: event.currentTarget.value })}
        />
      </Box>
      <Box w="160px">
        <SungOn {...props} />
      </Box>
      <Figure
        label="Held for"
        value={draft.beats}
        limits={[1, 128]}
        unit="beats"
        onChange={(beats) => set({ beats })}
      />
      <Figure
        label="Parts enter"
        value={draft.enterApart}
        limits={[0, 32]}
        unit="beats apart, the lowest first"
        onChange={(enterApart) => set({ enterApart })}
      />
      <Tick
        checked={draft.further.music.distinct ?? false}
        onChange={(on) =>
          set({
            further: {
              ...draft.further,
              music: withFields(draft.further.music, { distinct: on ? true : undefined }),
            },
          })
        }
      >
        no two parts on one note
      </Tick>
    </Flex>
  );
}

/** Each at a note of one's own instead of over a tonic, and the seconds of rest between two. */
function OwnPitch({ draft, set }: DraftProps) {
  const { further } = draft;
  const { ownPitch } = further.music;
  const change = (next: Further['music']['ownPitch'] | undefined) =>
    set({ further: { ...further, music: withFields(further.music, { ownPitch: next }) } });
  return (
    <Flex gap="16px" wrap="wrap" align="center">
      <Tick
        checked={ownPitch !== undefined}
        onChange={(on) => change(on ? { recovery: 3 } : undefined)}
      >
        each on a note of one’s own
      </Tick>
      {ownPitch && (
        <Figure
          label="Rest between"
          value={ownPitch.recovery}
          limits={[0, 60]}
          unit="s"
          onChange={(recovery) => change({ recovery })}
        />
      )}
    </Flex>
  );
}
