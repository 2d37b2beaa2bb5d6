import { Box, Flex } from '@chakra-ui/react';
import { givings } from '@wide-fern/core';
import { answerWords, givingWords, withKeyWords } from '@wide-fern/words';
import { WordChoice } from '../../../ui/WordChoice';
import { WordButton } from '../../../ui/words';
import { OnTop } from '../stand/OnTop';
import {
  answers,
  countings,
  loudnesses,
  movings,
  withKeys,
  type StandSettings,
} from '../stand/standSettings';
import type { Sounds } from './useSounds';

const optionsOf = <T extends string>(all: readonly T[], words: Readonly<Record<T, string>>) =>
  all.map((one) => [one, words[one]] as const);
const countingOptions = countings.map((one) => [one, one] as const);
const movingOptions = movings.map((one) => [one, one] as const);
const loudnessOptions = loudnesses.map((one) => [one, one] as const);

/** What can be heard of the present key, and what sounds by itself. */
export default function SoundPanel({
  sounds: { give, lasting },
  settings,
  isPitched,
  onChange,
  onClose,
}: {
  readonly sounds: Sounds;
  readonly settings: StandSettings;
  /** Whether the open exercise has keys. */
  readonly isPitched: boolean;
  readonly onChange: (more: Partial<StandSettings>) => void;
  readonly onClose: () => void;
}) {
  const touch = { fontSize: '20px', minH: '44px', px: '6px' } as const;
  return (
    <OnTop label="Sound">
      <Flex wrap="wrap" columnGap="20px" align="center">
        {givings.map((how) => (
          <WordButton
            key={how}
            {...touch}
            disabled={!isPitched && how !== 'pulse' && how !== 'count-in'}
            aria-pressed={lasting === how}
            onClick={() => give(how)}
          >
            {lasting === how ? `stop the ${givingWords[how]}` : givingWords[how]}
          </WordButton>
        ))}
        <WordButton {...touch} ml="auto" onClick={onClose}>
          close
        </WordButton>
      </Flex>
      <Flex wrap="wrap" gap="4px 40px">
        <Asked label="With every key">
          <WordChoice
            isLarge
            label="With every key"
            options={optionsOf(withKeys, withKeyWords)}
            value={settings.withKey}
            onChange={(withKey) => onChange({ withKey })}
          />
        </Asked>
        <Asked label="How loud">
          <WordChoice
            isLarge
            label="How loud"
            options={loudnessOptions}
            value={settings.loudness}
            onChange={(loudness) => onChange({ loudness })}
          />
        </Asked>
        <Asked label="What counts itself">
          <WordChoice
            isLarge
            label="What counts itself"
            options={countingOptions}
            value={settings.counting}
            onChange={(counting) => onChange({ counting })}
          />
        </Asked>
        <Asked label="From movement to movement">
          <WordChoice
            isLarge
            label="From movement to movement"
            options={movingOptions}
            value={settings.moving}
            onChange={(moving) => onChange({ moving })}
          />
        </Asked>
        <Asked label="A touch is answered by">
          <WordChoice
            isLarge
            label="A touch is answered by"
            options={optionsOf(answers, answerWords)}
            value={settings.answer}
            onChange={(answer) => onChange({ answer })}
          />
        </Asked>
      </Flex>
    </OnTop>
  );
}

function Asked({
  label,
  children,
}: {
  readonly label: string;
  readonly children: React.ReactNode;
}) {
  return (
    <Box>
      <Box color="inkSoft" fontSize="13px" aria-hidden>
        {label}
      </Box>
      {children}
    </Box>
  );
}
