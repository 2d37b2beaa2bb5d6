import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits } from '@wide-fern/contract';
import { articulations, dynamics, playedWays, type Pass, type SingleKey } from '@wide-fern/core';
import { articulationWords, dynamicWords, playedWords } from '@wide-fern/words';
import { SelectField } from '../../../ui/SelectField';
import { Stepper } from '../../../ui/Stepper';
import { TakenField } from './TakenField';

const wordsOf = (text: string): string[] => text.split(/\s+/).filter((word) => word !== '');

const oneOf = <T extends string>(
  unsaid: string,
  all: readonly T[],
  words: Readonly<Record<T, string>>,
) => [{ value: '', word: unsaid }, ...all.map((value) => ({ value, word: words[value] }))];

/** How one key, or one time in each key, is sung: what is left empty is as in the rest. */
export function WayFields({
  way = {},
  disabled,
  onChange,
}: {
  readonly way: Pass | undefined;
  readonly disabled: boolean;
  readonly onChange: (way: Pass) => void;
}) {
  return (
    <Flex gap="8px" wrap="wrap" align="flex-end">
      <Box flex="1 1 120px">
        <TakenField
          label="sung on, parted by blanks"
          value={way.sounds?.join(' ') ?? ''}
          most={40}
          {...{ wordsOf, disabled }}
          onTake={(text) => onChange({ ...way, sounds: wordsOf(text) })}
        />
      </Box>
      <Box w="118px">
        <SelectField
          label="how loud"
          value={way.dynamic ?? ''}
          disabled={disabled}
          options={oneOf('as the rest', dynamics, dynamicWords)}
          onChange={(event) =>
            onChange({ ...way, dynamic: dynamics[event.currentTarget.selectedIndex - 1] })
          }
        />
      </Box>
      <Box w="118px">
        <SelectField
          label="touch"
          value={way.articulation ?? ''}
          disabled={disabled}
          options={oneOf('as the rest', articulations, articulationWords)}
          onChange={(event) =>
            onChange({ ...way, articulation: articulations[event.currentTarget.selectedIndex - 1] })
          }
        />
      </Box>
      <Box flex="2 1 160px">
        <TakenField
          label="said for it"
          value={way.cue ?? ''}
          most={90}
          disabled={disabled}
          onTake={(cue) => onChange({ ...way, cue })}
        />
      </Box>
    </Flex>
  );
}

/** What the instrument does in one key, and what follows it. */
export function KeyFields({
  single,
  isLast,
  disabled,
  onChange,
}: {
  readonly single: SingleKey;
  /** Nothing is paused after the last key. */
  readonly isLast: boolean;
  readonly disabled: boolean;
  readonly onChange: (changed: SingleKey) => void;
}) {
  const { pause, played } = single;
  return (
    <Flex gap="8px 16px" wrap="wrap" align="flex-end" mt="4px">
      <Box w="190px">
        <SelectField
          label="the instrument"
          value={played ?? ''}
          disabled={disabled}
          options={oneOf('as in the rest', playedWays, playedWords)}
          onChange={(event) =>
            onChange({ played: playedWays[event.currentTarget.selectedIndex - 1] })
          }
        />
      </Box>
      {!isLast && (
        <Box w="200px" pb="2px">
          <Stepper
            label="Pause"
            name="Pause after it in seconds"
            value={pause?.seconds ?? 0}
            limits={[0, choiceLimits.pause[1]]}
            step={5}
            unit="s after it"
            disabled={disabled}
            onChange={(seconds) =>
              onChange({ pause: seconds > 0 ? { ...pause, seconds } : undefined })
            }
          />
        </Box>
      )}
      {!isLast && pause && (
        <Box flex="1 1 140px">
          <TakenField
            label="what is done in it"
            value={pause.does ?? ''}
            most={60}
            disabled={disabled}
            onTake={(does) =>
              onChange({ pause: { seconds: pause.seconds, ...(does === '' ? {} : { does }) } })
            }
          />
        </Box>
      )}
    </Flex>
  );
}
