import { Box, Flex } from '@chakra-ui/react';
import { ages, placeNeeds, purposes, substituting } from '@wide-fern/core';
import { substitutingWords } from '@wide-fern/words';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import { ManyOf, TextField } from './fields';
import { Kin, type Other } from './Kin';
import { Led } from './Led';
import { Figure, type DraftProps } from './musicParts';

/** What is said about an exercise, and how it is usually led. */
export function WordFields(props: WordProps) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr 260px' }}
      gap={{ base: '16px', lg: '28px' }}
    >
      <Said {...props} />
      <Watched {...props} />
      <Led {...props} />
    </Box>
  );
}

interface WordProps extends DraftProps {
  readonly others: readonly Other[];
}

/** The purpose, the cue, and what it serves. */
function Said({ draft, errors, set, others }: WordProps) {
  const text =
    (name: 'figure' | 'purpose' | 'cue' | 'image') =>
    (event: { currentTarget: { value: string } }) =>
      set({ [name]: event.currentTarget.value });
  return (
    <Box display="grid" gap="10px" alignContent="start">
      <FormField
        label="Purpose, said to the singers in a sentence, if you wish"
        value={draft.purpose}
        error={errors.purpose}
        onChange={text('purpose')}
      />
      <FormField
        label="Cue, one line to say while it goes on, if you wish"
        value={draft.cue}
        error={errors.cue}
        help={`${draft.cue.length} of 90 characters`}
        onChange={text('cue')}
      />
      <FormField
        label="A picture for the same, if you have one"
        value={draft.image}
        error={errors.image}
        onChange={text('image')}
      />
      <FormField
        label="What it is, in a few words"
        value={draft.figure}
        error={errors.figure}
        onChange={text('figure')}
      />
      <ManyOf
        label="It serves"
        all={purposes}
        chosen={draft.purposes}
        error={errors.purposes}
        onChange={(chosen) => set({ purposes: chosen })}
      />
      <Kin draft={draft} errors={errors} set={set} others={others} />
    </Box>
  );
}

/** How it is done, what to watch for, and who it suits. */
function Watched({ draft, errors, set, others }: WordProps) {
  return (
    <Box display="grid" gap="10px" alignContent="start">
      <TextField
        label="Steps, one a line"
        value={draft.steps}
        rows={2}
        error={errors.steps}
        onChange={(steps) => set({ steps })}
      />
      <TextField
        label="Watch for, one a line: what you see, a colon, what helps"
        value={draft.watchFor}
        rows={2}
        error={errors.watchFor}
        onChange={(watchFor) => set({ watchFor })}
      />
      <Substitutes draft={draft} errors={errors} set={set} others={others} />
      <ManyOf
        label="It needs"
        all={placeNeeds}
        chosen={draft.needs}
        onChange={(chosen) => set({ needs: chosen })}
      />
      <ManyOf
        label="Only for (nothing ticked: for all)"
        all={ages}
        chosen={draft.ages}
        onChange={(chosen) => set({ ages: chosen })}
      />
    </Box>
  );
}

/** What to do when it does not work. */
function Substitutes({
  draft,
  errors,
  set,
  others,
}: DraftProps & { readonly others: readonly Other[] }) {
  const { substitutes } = draft;
  const change = (at: number, changed: Partial<(typeof substitutes)[number]>) =>
    set({ substitutes: substitutes.map((one, i) => (i === at ? { ...one, ...changed } : one)) });
  return (
    <Box>
      <Label>If it fails</Label>
      {substitutes.map(({ when, exercise, who, teach }, i) => (
        <Flex key={i} gap="8px" align="flex-end" wrap="wrap" mb="4px">
          <Box flex="1 1 130px">
            <FormField
              label="when"
              size="sm"
              value={when}
              onChange={(event) => change(i, { when: event.currentTarget.value })}
            />
          </Box>
          <Box flex="1 1 130px">
            <SelectField
              label="do instead"
              value={exercise}
              options={others.map(({ id, name }) => ({ value: id, word: name }))}
              onChange={(event) => change(i, { exercise: event.currentTarget.value })}
            />
          </Box>
          <Box flex="1 1 130px">
            <SelectField
              label="by"
              value={who ?? ''}
              options={[
                { value: '', word: 'all' },
                ...substituting.map((value) => ({ value, word: substitutingWords[value] })),
              ]}
              onChange={(event) => {
                const chosen = substituting[event.currentTarget.selectedIndex - 1];
                change(i, { who: chosen });
              }}
            />
          </Box>
          <Figure
            label="taught in"
            value={teach ?? 0}
            limits={[0, 600]}
            step={10}
            unit={teach ? 's' : 's: not said'}
            onChange={(seconds) => change(i, { teach: seconds > 0 ? seconds : undefined })}
          />
          <WordButton
            fontSize="13px"
            pb="8px"
            onClick={() => set({ substitutes: substitutes.filter((_, at) => at !== i) })}
          >
            away
          </WordButton>
        </Flex>
      ))}
      {errors.substitutes && (
        <Box role="alert" color="brick" fontSize="13px">
          {errors.substitutes}
        </Box>
      )}
      {substitutes.length < 6 && others[0] && (
        <WordButton
          fontSize="13px"
          onClick={() =>
            set({ substitutes: [...substitutes, { when: '', exercise: others[0]!.id }] })
          }
        >
          add what to do instead
        </WordButton>
      )}
    </Box>
  );
}
