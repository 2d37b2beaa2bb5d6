import { Box, Flex } from '@chakra-ui/react';
import type { OwnApproach } from '@wide-fern/contract';
import { phases, shapes, type Approach, type ApproachPhase, type Phase } from '@wide-fern/core';
import { phaseWords, shapeWords } from '@wide-fern/words';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { TickWord } from '../../../ui/Sentence';
import { Stepper } from '../../../ui/Stepper';
import { WordChoice } from '../../../ui/WordChoice';
import { Label, WordButton } from '../../../ui/words';
import { LeadingFields } from '../led/LeadingFields';

/** The parts of a way of warming up in their order, and how it is led. */
export function ApproachEditor({
  draft: { name, approach },
  onChange,
  onKeep,
  onLeave,
}: {
  readonly draft: OwnApproach;
  readonly onChange: (draft: OwnApproach) => void;
  readonly onKeep: () => void;
  readonly onLeave: () => void;
}) {
  const set = (changed: Partial<Approach>) =>
    onChange({ name, approach: { ...approach, ...changed } });
  const setPhases = (all: Approach['phases']) => set({ phases: all });
  const change = (at: number, changed: Partial<Approach['phases'][number]>) =>
    setPhases(approach.phases.map((one, i) => (i === at ? { ...one, ...changed } : one)));
  const earlier = (at: number) => {
    const all = [...approach.phases];
    const [one] = all.splice(at, 1);
    if (one) all.splice(at - 1, 0, one);
    setPhases(all);
  };
  const { shape, keys, talk } = approach;
  return (
    <Box role="group" aria-label="A way of your own" borderWidth="1px" bg="sheet" p="12px" mt="6px">
      <Box maxW="260px">
        <FormField
          label="What it is called"
          size="sm"
          value={name}
          onChange={(event) => onChange({ name: event.currentTarget.value, approach })}
        />
      </Box>
      <Box as="ol" listStyleType="none" mt="6px">
        {approach.phases.map((one, i) => (
          <PhaseRow
            key={`${one.phase} ${i}`}
            phase={one}
            number={i + 1}
            onChange={(changed) => change(i, changed)}
            onEarlier={() => earlier(i)}
            onOut={() => setPhases(approach.phases.filter((_, at) => at !== i))}
          />
        ))}
      </Box>
      <Flex gap="16px" wrap="wrap" align="flex-end" mt="6px">
        <Box w="170px">
          <SelectField
            label="One part more at the end"
            value=""
            options={[
              { value: '', word: 'choose' },
              ...phases.map((phase) => ({ value: phase, word: phaseWords[phase] })),
            ]}
            onChange={(event) => {
              const phase = event.currentTarget.value as Phase | '';
              if (phase === '') return;
              setPhases([...approach.phases, { phase, required: false, least: 0, most: 20 }]);
            }}
          />
        </Box>
        <Box w="190px">
          <SelectField
            label="Keys move"
            value={shape ?? ''}
            options={[
              { value: '', word: 'as each exercise says' },
              ...shapes.map((one) => ({ value: one, word: shapeWords[one] })),
            ]}
            onChange={(event) => {
              const chosen = shapes[event.currentTarget.selectedIndex - 1];
              const { shape: _, ...rest } = approach;
              onChange({ name, approach: chosen ? { ...rest, shape: chosen } : rest });
            }}
          />
        </Box>
        <Stepper
          label="Keys, at least"
          labelWidth="auto"
          value={keys?.[0] ?? 3}
          limits={[1, keys?.[1] ?? 24]}
          disabled={false}
          onChange={(least) => set({ keys: [Math.round(least), keys?.[1] ?? 12] })}
        />
        <Stepper
          label="at most"
          name="Keys, at most"
          labelWidth="auto"
          value={keys?.[1] ?? 12}
          limits={[keys?.[0] ?? 1, 24]}
          disabled={false}
          onChange={(most) => set({ keys: [keys?.[0] ?? 3, Math.round(most)] })}
        />
        <Stepper
          label="Talk before each"
          labelWidth="auto"
          value={talk ?? 0}
          limits={[0, 120]}
          step={5}
          unit={talk ? 's' : 's: as each exercise says'}
          disabled={false}
          onChange={(seconds) => {
            const { talk: _, ...rest } = approach;
            onChange({ name, approach: seconds > 0 ? { ...rest, talk: seconds } : rest });
          }}
        />
      </Flex>
      <Flex gap="6px 20px" wrap="wrap" mt="6px" align="center">
        <WordChoice
          label="What comes again"
          options={[
            ['vary', 'what was not led lately first'],
            ['keep', 'what is known first'],
          ]}
          value={approach.habit}
          onChange={(habit) => set({ habit })}
        />
        <TickWord checked={approach.rise} onChange={(rise) => set({ rise })}>
          nothing rises by more than a fourth at once
        </TickWord>
      </Flex>
      <Box mt="6px">
        <LeadingFields
          value={approach}
          inKeys
          disabled={false}
          onChange={(field, value) => set({ [field]: value })}
        />
      </Box>
      <Flex gap="16px" mt="8px">
        <WordButton onClick={onKeep}>keep it</WordButton>
        <WordButton onClick={onLeave}>leave it</WordButton>
        <Label>Everybody in your choir can choose it then.</Label>
      </Flex>
    </Box>
  );
}

/** One part: its share of the time, and whether it is always there. */
function PhaseRow({
  phase: { phase, least, most, required },
  number,
  onChange,
  onEarlier,
  onOut,
}: {
  readonly phase: ApproachPhase;
  readonly number: number;
  readonly onChange: (changed: Partial<ApproachPhase>) => void;
  readonly onEarlier: () => void;
  readonly onOut: () => void;
}) {
  const called = phaseWords[phase];
  return (
    <Flex as="li" gap="12px" align="center" wrap="wrap">
      <Box w="104px">
        {number}. {called}
      </Box>
      <Stepper
        label="from"
        name={`${called} ${number}, from`}
        labelWidth="auto"
        value={least}
        limits={[0, most]}
        disabled={false}
        onChange={(share) => onChange({ least: Math.round(share) })}
      />
      <Stepper
        label="to"
        name={`${called} ${number}, to`}
        labelWidth="auto"
        value={most}
        limits={[least, 100]}
        unit="% of the time"
        disabled={false}
        onChange={(share) => onChange({ most: Math.round(share) })}
      />
      <TickWord checked={required} onChange={(always) => onChange({ required: always })}>
        always
      </TickWord>
      <WordButton fontSize="13px" disabled={number === 1} onClick={onEarlier}>
        earlier
      </WordButton>
      <WordButton fontSize="13px" aria-label={`take ${called} ${number} out`} onClick={onOut}>
        out
      </WordButton>
    </Flex>
  );
}
