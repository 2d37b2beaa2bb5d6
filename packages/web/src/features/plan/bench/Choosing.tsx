import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits, type Choices } from '@wide-fern/contract';
import { demonstrations, hasKeys, shapes, type Demonstration, type Shape } from '@wide-fern/core';
import { shapeWords } from '@wide-fern/words';
import type { Evaluated } from '@wide-fern/plan';
import { Stepper } from '../../../ui/Stepper';
import type { BenchActions } from './actions';
import { Choice } from './Choice';
import { Further, HowLed } from './Seldom';
import { WhoseLines } from './WhoseLines';

const steps = [
  [1, 'a semitone'],
  [2, 'a tone'],
  [3, '3 semitones'],
  [4, '4 semitones'],
  [5, '5 semitones'],
  // Steps of the scale are told from semitones by their sign.
  [-1, 'a step of the scale'],
  [-2, 'two steps of the scale'],
] as const;

const shownWords = (one: Demonstration, pitched: boolean): string => {
  const verb = pitched ? 'sing' : 'say';
  return {
    no: `do not ${verb} it first`,
    once: `${verb} it first`,
    'each key': 'sing each key first',
  }[one];
};

const shortShapes: Readonly<Record<Shape, string>> = {
  ...shapeWords,
  outward: 'outward',
  'two-runs': 'up, then down',
};

/** What is chosen for the segment: tempo, how many, which way, how much talk. */
export function Choosing({
  evaluated,
  mayEdit,
  actions,
}: {
  readonly evaluated: Evaluated;
  readonly mayEdit: boolean;
  readonly actions: BenchActions;
}) {
  const { segment } = evaluated;
  const { choices, exercise } = segment;
  const { kind } = exercise.music;
  const pitched = hasKeys(exercise.music);
  const counted = pitched ? 'Keys' : kind === 'breath' ? 'Rounds' : 'Times';
  const disabled = !mayEdit;
  const set = (name: keyof Choices) => (value: number) =>
    actions.choose({ [name]: value }, `${segment.id} ${name}`);
  const { step, bySteps } = choices;
  const taken = bySteps ? -step : step;
  const stepOptions: readonly (readonly [number, string])[] = [
    ...steps,
    ...(steps.some(([known]) => known === taken)
      ? []
      : [[taken, bySteps ? `${step} steps of the scale` : `${step} semitones`] as const]),
  ];
  return (
    <Box display="grid" gap="3px" mt="4px">
      {kind !== 'body' && (
        <Stepper
          label="Tempo"
          value={choices.tempo}
          limits={choiceLimits.tempo}
          step={2}
          unit="a minute"
          disabled={disabled}
          onChange={set('tempo')}
        />
      )}
      <Flex columnGap="12px" wrap="wrap">
        <Stepper
          label={counted}
          value={choices.repetitions}
          limits={choiceLimits.repetitions}
          disabled={disabled}
          onChange={(value) => actions.keysBy(Math.round(value) - choices.repetitions)}
        />
        {pitched && (
          <Stepper
            label="sung"
            name="Times sung in each key"
            labelWidth="auto"
            value={choices.verses}
            limits={choiceLimits.verses}
            unit={choices.verses === 1 ? 'time' : 'times'}
            disabled={disabled}
            onChange={(value) => set('verses')(Math.round(value))}
          />
        )}
      </Flex>
      <WhoseLines evaluated={evaluated} disabled={disabled} choose={actions.choose} />
      {pitched && (
        <Flex gap="6px" fontSize="13px" align="center" wrap="wrap">
          <Box as="span" color="inkSoft" w="48px">
            Moving
          </Box>
          <Choice<Shape>
            label="Which way the keys move"
            value={choices.shape}
            options={shapes.map((shape) => [shape, shortShapes[shape]] as const)}
            disabled={disabled}
            onChange={(shape) => actions.choose({ shape }, `${segment.id} shape`)}
          />
          by
          <Choice<number>
            label="How far from key to key"
            value={taken}
            options={stepOptions}
            disabled={disabled}
            onChange={(chosen) =>
              actions.choose(
                {
                  step: Math.abs(chosen),
                  ...(chosen < 0 !== (bySteps ?? false) ? { bySteps: chosen < 0 } : {}),
                },
                `${segment.id} step`,
              )
            }
          />
        </Flex>
      )}
      <Flex columnGap="16px" wrap="wrap">
        <Stepper
          label="Talk"
          value={choices.talk}
          limits={choiceLimits.talk}
          step={5}
          unit="s"
          disabled={disabled}
          onChange={set('talk')}
        />
        {(pitched || kind === 'spoken') && (
          <Choice<Demonstration>
            label={pitched ? 'Whether it is sung first' : 'Whether it is said first'}
            value={choices.demonstrate}
            options={demonstrations
              .filter((one) => pitched || one !== 'each key')
              .map((one) => [one, shownWords(one, pitched)] as const)}
            disabled={disabled}
            onChange={(demonstrate) => actions.choose({ demonstrate }, `${segment.id} show`)}
          />
        )}
      </Flex>
      {(pitched || kind === 'spoken') && (
        <Further segment={segment} disabled={disabled} set={set} choose={actions.choose} />
      )}
      <HowLed segment={segment} disabled={disabled} choose={actions.choose} />
    </Box>
  );
}
