import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits, type Exercise } from '@wide-fern/contract';
import {
  ages,
  anchors,
  breathings,
  demonstrations,
  placeNeeds,
  phases,
  purposes,
  shapes,
  type Music,
} from '@wide-fern/core';
import {
  anchorWords,
  breathingWords,
  demonstrationInWords,
  phaseWords,
  shapeWords,
} from '@wide-fern/words';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { Stepper } from '../../../ui/Stepper';
import { Label, WordButton } from '../../../ui/words';
import { ManyOf, TextField } from './fields';
import type { DraftProps } from './musicParts';

const pitchedKinds: readonly Music['kind'][] = [
  'pattern',
  'lines',
  'round',
  'drone',
  'glide',
  'hold',
  'chord',
];

/** What is said about an exercise, and how it is usually led. */
export function WordFields({
  draft,
  errors,
  set,
  others,
}: DraftProps & { readonly others: readonly Pick<Exercise, 'id' | 'name'>[] }) {
  const text =
    (name: 'name' | 'figure' | 'purpose' | 'cue' | 'image' | 'relay' | 'vowels') =>
    (event: { currentTarget: { value: string } }) =>
      set({ [name]: event.currentTarget.value });
  const figure = (
    label: string,
    name:
      | 'tempo'
      | 'repetitions'
      | 'verses'
      | 'talk'
      | 'countIn'
      | 'breathBeats'
      | 'keyChangeBeats'
      | 'step'
      | 'tempoStep'
      | 'coach'
      | 'after'
      | 'effort'
      | 'difficulty',
    limits: readonly [number, number],
    unit?: string,
  ) => (
    <Stepper
      label={label}
      labelWidth="92px"
      value={draft[name]}
      limits={limits}
      step={name === 'tempo' ? 2 : name === 'talk' ? 5 : 1}
      {...(unit === undefined ? {} : { unit })}
      disabled={false}
      onChange={(value) => set({ [name]: name === 'tempo' ? value : Math.round(value) })}
    />
  );
  const pitched = pitchedKinds.includes(draft.kind);
  const counted = pitched || draft.kind === 'spoken';
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr 260px' }}
      gap={{ base: '16px', lg: '28px' }}
    >
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
      </Box>
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
        {pitched && (
          <FormField
            label="Vowels by turns, parted by blanks (none, or two and more)"
            value={draft.vowels}
            error={errors.vowels}
            onChange={text('vowels')}
          />
        )}
      </Box>
      <Box display="grid" gap="4px" alignContent="start">
        <SelectField
          label="Phase"
          value={draft.phase}
          options={phases.map((phase) => ({ value: phase, word: phaseWords[phase] }))}
          onChange={(event) => set({ phase: phases[event.currentTarget.selectedIndex]! })}
        />
        {pitched && (
          <SelectField
            label="On the voice"
            value={draft.anchor}
            options={anchors.map((anchor) => ({ value: anchor, word: anchorWords[anchor] }))}
            onChange={(event) => set({ anchor: anchors[event.currentTarget.selectedIndex]! })}
          />
        )}
        {figure('Effort', 'effort', [1, 5], 'of 5')}
        {figure('Difficulty', 'difficulty', [1, 3], 'of 3')}
        {draft.kind !== 'body' && figure('Tempo', 'tempo', choiceLimits.tempo, 'a minute')}
        {figure(
          pitched ? 'Keys' : draft.kind === 'breath' ? 'Rounds' : 'Times',
          'repetitions',
          choiceLimits.repetitions,
        )}
        {pitched &&
          figure(
            'In each key',
            'verses',
            choiceLimits.verses,
            draft.verses === 1 ? 'time' : 'times',
          )}
        {pitched && (
          <SelectField
            label="Keys move"
            value={draft.shape}
            options={shapes.map((shape) => ({ value: shape, word: shapeWords[shape] }))}
            onChange={(event) => set({ shape: shapes[event.currentTarget.selectedIndex]! })}
          />
        )}
        {pitched &&
          figure(
            'By',
            'step',
            choiceLimits.step,
            `${draft.bySteps ? 'step' : 'semitone'}${draft.step === 1 ? '' : 's'}`,
          )}
        {pitched && (
          <label>
            <input
              type="checkbox"
              checked={draft.bySteps}
              onChange={(event) => set({ bySteps: event.currentTarget.checked })}
            />{' '}
            by steps of its scale
          </label>
        )}
        {counted && figure('Quicker by', 'tempoStep', choiceLimits.tempoStep, 'each time')}
        {counted && (
          <SelectField
            label="Shown"
            value={draft.demonstration}
            options={demonstrations.map((one) => ({ value: one, word: demonstrationInWords(one) }))}
            onChange={(event) =>
              set({ demonstration: demonstrations[event.currentTarget.selectedIndex]! })
            }
          />
        )}
        {figure('Talk', 'talk', choiceLimits.talk, 's')}
        {pitched && figure('Between keys', 'coach', choiceLimits.talk, 's of talk')}
        {figure('At the end', 'after', choiceLimits.talk, 's of talk')}
        {pitched && (
          <SelectField
            label="Breath"
            value={draft.breathing}
            options={breathings.map((one) => ({ value: one, word: breathingWords[one] }))}
            onChange={(event) => set({ breathing: breathings[event.currentTarget.selectedIndex]! })}
          />
        )}
        {counted && figure('Count in', 'countIn', [0, 16], 'beats')}
        {counted && figure('Breathe', 'breathBeats', [0, 16], 'beats after it')}
        {pitched && figure('Change key', 'keyChangeBeats', [0, 16], 'beats')}
      </Box>
    </Box>
  );
}

/** What to do when it does not work. */
function Substitutes({
  draft,
  errors,
  set,
  others,
}: DraftProps & { readonly others: readonly Pick<Exercise, 'id' | 'name'>[] }) {
  const { substitutes } = draft;
  const change = (at: number, changed: Partial<(typeof substitutes)[number]>) =>
    set({ substitutes: substitutes.map((one, i) => (i === at ? { ...one, ...changed } : one)) });
  return (
    <Box>
      <Label>If it fails</Label>
      {substitutes.map(({ when, exercise }, i) => (
        <Flex key={i} gap="8px" align="flex-end" mb="4px">
          <Box flex="1">
            <FormField
              label="when"
              size="sm"
              value={when}
              onChange={(event) => change(i, { when: event.currentTarget.value })}
            />
          </Box>
          <Box flex="1">
            <SelectField
              label="do instead"
              value={exercise}
              options={others.map(({ id, name }) => ({ value: id, word: name }))}
              onChange={(event) => change(i, { exercise: event.currentTarget.value })}
            />
          </Box>
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
