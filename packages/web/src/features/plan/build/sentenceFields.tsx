import { Box, Flex } from '@chakra-ui/react';
import type { BuildWish } from '@wide-fern/contract';
import { approaches, coolingDown, noteName, phases, purposes, type Purpose } from '@wide-fern/core';
import type { BuildRequest } from '@wide-fern/plan';
import {
  approachLedInWords,
  approachName,
  approachWhy,
  levelWords,
  lengthInFigures,
  phaseWords,
  wishWeights,
} from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { SelectField } from '../../../ui/SelectField';
import { Stepper } from '../../../ui/Stepper';
import { WordChoice } from '../../../ui/WordChoice';
import { Label, WordButton } from '../../../ui/words';
import { OwnApproach } from './OwnApproach';

/** What the fields behind a word of the sentence are given. */
interface FieldProps {
  readonly request: BuildRequest;
  readonly wish: BuildWish;
  readonly set: (changed: Partial<BuildWish>) => void;
}

/** How long it is to be. */
export function TimeFields({
  seconds,
  allotted,
  wish,
  set,
}: Pick<FieldProps, 'wish' | 'set'> & {
  readonly seconds: number;
  readonly allotted: number;
}) {
  return (
    <>
      <Stepper
        label="Minutes"
        value={Math.round((seconds / 60) * 100) / 100}
        limits={[1, 60]}
        disabled={false}
        onChange={(minutes) => set({ seconds: Math.round(minutes * 60) })}
      />
      {wish.seconds !== null && (
        <WordButton fontSize="13px" minH="28px" onClick={() => set({ seconds: null })}>
          all {lengthInFigures(allotted)} that are set aside
        </WordButton>
      )}
    </>
  );
}

/** How it is made: in which order, with what, and how hard exercises may be. */
export function ApproachFields({ request, wish, set }: FieldProps) {
  const { choir } = useHere();
  const all = [
    ...(request.approach.id === coolingDown.id ? [coolingDown.id] : []),
    ...choir.approaches.map(({ approach }) => approach.id),
    ...approaches.map(({ id }) => id),
  ];
  return (
    <Box maxW="900px">
      <Flex gap="16px" wrap="wrap" align="flex-end">
        <Box w="260px">
          <SelectField
            label="How it is made"
            value={request.approach.id}
            options={all.map((id) => ({
              value: id,
              word: `${approachName(id, choir.approaches)}${id === choir.approach ? ', as usual' : ''}`,
            }))}
            onChange={(event) => set({ approach: event.currentTarget.value })}
          />
        </Box>
        {wish.approach !== null && wish.approach !== choir.approach && (
          <WordButton fontSize="13px" minH="28px" onClick={() => set({ approach: null })}>
            as usual
          </WordButton>
        )}
      </Flex>
      <Box fontSize="13px" mt="4px">
        {approachWhy(request.approach.id)}
      </Box>
      <Label mt="2px">
        In this order:{' '}
        {request.approach.phases
          .map(({ phase, required, least, most }) => {
            const share = least > 0 ? `${least} to ${most}` : `up to ${most}`;
            return `${phaseWords[phase].toLowerCase()} ${share} %${required ? '' : ', if it fits'}`;
          })
          .join(' · ')}
        .
      </Label>
      <Label>Led so: {approachLedInWords(request.approach)}.</Label>
      <Box mt="6px">
        <WordChoice
          label="How hard exercises may be"
          options={levelWords}
          value={request.level as 1 | 2 | 3}
          onChange={(level) => set({ level })}
        />
      </Box>
      <OwnApproach
        key={request.approach.id}
        approach={request.approach}
        name={approachName(request.approach.id, choir.approaches)}
        onKept={(approach) => set({ approach })}
      />
    </Box>
  );
}

/** How far up a part is to be brought. */
export function TopFields({ request, wish, set }: FieldProps) {
  const { choir } = useHere();
  const { sections } = request.tonight;
  const part = wish.top?.part ?? sections[0]?.id ?? '';
  const section = sections.find(({ id }) => id === part) ?? sections[0];
  if (!section) return null;
  const [low, high] = section.comfort;
  const notes = Array.from({ length: high - low + 1 }, (_, i) => high - i);
  return (
    <Flex gap="12px" wrap="wrap" align="flex-end">
      <Box w="130px">
        <SelectField
          label="Bring the"
          value={part}
          options={sections.map(({ id, many }) => ({ value: id, word: many }))}
          onChange={(event) => {
            const id = event.currentTarget.value;
            const other = sections.find((one) => one.id === id)!;
            set({ top: { part: id, note: other.comfort[1] } });
          }}
        />
      </Box>
      <Box w="110px">
        <SelectField
          label="up to"
          value={String(wish.top?.note ?? '')}
          options={[
            { value: '', word: 'what is sung' },
            ...notes.map((note) => ({ value: String(note), word: noteName(note, choir.writing) })),
          ]}
          onChange={(event) => {
            const { value } = event.currentTarget;
            set({ top: value === '' ? null : { part, note: Number(value) } });
          }}
        />
      </Box>
      <Label>Never beyond what is comfortable tonight.</Label>
    </Flex>
  );
}

/** What it is to work on, and how much. */
export function WishFields({ request, wish, set }: FieldProps) {
  const weigh = (skill: Purpose, weight: number) =>
    set({ wishes: { ...wish.wishes, [skill]: weight } });
  return (
    <Box>
      <Box
        as="ul"
        listStyleType="none"
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: '1fr 1fr', xl: '1fr 1fr 1fr' }}
        columnGap="24px"
      >
        {purposes.map((skill) => (
          <Flex as="li" key={skill} gap="10px" align="center" fontSize="13px" wrap="wrap">
            <Box w="140px">{skill}</Box>
            <WordChoice
              label={`How much ${skill}`}
              options={wishWeights}
              value={(request.wishes[skill] ?? 0) as 0 | 1 | 2 | 3}
              onChange={(weight) => weigh(skill, weight)}
            />
          </Flex>
        ))}
      </Box>
      {Object.keys(wish.wishes).length > 0 && (
        <WordButton fontSize="13px" onClick={() => set({ wishes: {} })}>
          as the judgements of your pieces ask
        </WordButton>
      )}
    </Box>
  );
}

/** The least and the most time of each of its parts. */
export function PhaseFields({ request, wish, set }: FieldProps) {
  const inUse = new Set(request.approach.phases.map(({ phase }) => phase));
  const limit = (phase: (typeof phases)[number], changed: { least?: number; most?: number }) =>
    set({ limits: { ...wish.limits, [phase]: { ...wish.limits[phase], ...changed } } });
  return (
    <Box display="grid" gap="2px">
      {phases
        .filter((phase) => inUse.has(phase) || wish.limits[phase])
        .map((phase) => {
          const shares = request.approach.phases.find((one) => one.phase === phase);
          const least = wish.limits[phase]?.least ?? ((shares?.least ?? 0) * request.seconds) / 100;
          const most = wish.limits[phase]?.most ?? ((shares?.most ?? 100) * request.seconds) / 100;
          const minutes = (seconds: number) => Math.round((seconds / 60) * 10) / 10;
          return (
            <Flex key={phase} gap="14px" align="center" wrap="wrap">
              <Box w="110px" fontSize="13px">
                {phaseWords[phase]}
              </Box>
              <Stepper
                label="at least"
                name={`${phaseWords[phase]}, at least`}
                labelWidth="auto"
                value={minutes(least)}
                limits={[0, minutes(most)]}
                step={0.5}
                unit="min"
                disabled={false}
                onChange={(value) => limit(phase, { least: Math.round(value * 60) })}
              />
              <Stepper
                label="at most"
                name={`${phaseWords[phase]}, at most`}
                labelWidth="auto"
                value={minutes(most)}
                limits={[minutes(least), 60]}
                step={0.5}
                unit="min"
                disabled={false}
                onChange={(value) => limit(phase, { most: Math.round(value * 60) })}
              />
            </Flex>
          );
        })}
      {Object.keys(wish.limits).length > 0 && (
        <WordButton fontSize="13px" justifySelf="start" onClick={() => set({ limits: {} })}>
          as this way of warming up has them
        </WordButton>
      )}
    </Box>
  );
}
