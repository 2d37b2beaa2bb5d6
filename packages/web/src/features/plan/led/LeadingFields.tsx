import { Box } from '@chakra-ui/react';
import type { Choices } from '@wide-fern/contract';
import { lowVoiceOrders, tooHighOrders, voiceOrders } from '@wide-fern/core';
import {
  lowVoiceWords,
  purposeTimeWords,
  tooHighWords,
  untilRightWords,
  voiceOrderWords,
} from '@wide-fern/words';

/** How an exercise or a whole warm-up is led, in place of what exercises say themselves. */
export type LedAs = Pick<
  Choices,
  'voices' | 'lowVoices' | 'tooHigh' | 'purposeSaid' | 'untilRight'
>;

const style = {
  background: 'var(--chakra-colors-sheet)',
  border: '1px solid var(--chakra-colors-line)',
  borderRadius: 3,
  padding: '2px',
  width: '100%',
  minHeight: 26,
  fontSize: 13,
} as const;

function OneOf<T extends string>({
  label,
  unsaid,
  words,
  all,
  value,
  disabled,
  onChange,
}: {
  readonly label: string;
  /** What holds where nothing is chosen. */
  readonly unsaid: string;
  readonly words: Readonly<Record<T, string>>;
  readonly all: readonly T[];
  readonly value: T | undefined;
  readonly disabled: boolean;
  readonly onChange: (value: T | undefined) => void;
}) {
  return (
    <Box as="label" display="grid" gridTemplateColumns="92px minmax(0, 1fr)" fontSize="13px">
      <Box as="span" color="inkSoft" alignSelf="center">
        {label}
      </Box>
      <select
        style={style}
        value={value ?? ''}
        disabled={disabled}
        onChange={(event) => onChange(all[event.currentTarget.selectedIndex - 1])}
      >
        <option value="">{unsaid}</option>
        {all.map((one) => (
          <option key={one} value={one}>
            {words[one]}
          </option>
        ))}
      </select>
    </Box>
  );
}

/** Who sings when and where, what happens with what is too high, and how it is taught. */
export function LeadingFields({
  value: { voices, lowVoices, tooHigh, purposeSaid, untilRight },
  inKeys,
  disabled,
  onChange,
}: {
  readonly value: LedAs;
  /** Whether there are keys; without, only how it is taught can be said. */
  readonly inKeys: boolean;
  readonly disabled: boolean;
  /** One of them changed; undefined where nothing is said of it any more. */
  readonly onChange: <K extends keyof LedAs>(name: K, value: LedAs[K]) => void;
}) {
  return (
    <Box display="grid" gap="3px" maxW="420px">
      {inKeys && (
        <>
          <OneOf
            label="Voices"
            unsaid="as the exercise says"
            words={voiceOrderWords}
            all={voiceOrders}
            value={voices}
            disabled={disabled}
            onChange={(one) => onChange('voices', one)}
          />
          <OneOf
            label="Low voices"
            unsaid="where they lie best"
            words={lowVoiceWords}
            all={lowVoiceOrders}
            value={lowVoices}
            disabled={disabled}
            onChange={(one) => onChange('lowVoices', one)}
          />
          <OneOf
            label="Too high"
            unsaid="as the exercise says"
            words={tooHighWords}
            all={tooHighOrders}
            value={tooHigh}
            disabled={disabled}
            onChange={(one) => onChange('tooHigh', one)}
          />
        </>
      )}
      <OneOf
        label="Its purpose"
        unsaid={purposeTimeWords.before}
        words={purposeTimeWords}
        all={['after']}
        value={purposeSaid === 'after' ? purposeSaid : undefined}
        disabled={disabled}
        onChange={(one) => onChange('purposeSaid', one)}
      />
      <OneOf
        label="How often"
        unsaid={untilRightWords(false)}
        words={{ right: untilRightWords(true) }}
        all={['right']}
        value={untilRight ? 'right' : undefined}
        disabled={disabled}
        onChange={(one) => onChange('untilRight', one ? true : undefined)}
      />
    </Box>
  );
}
