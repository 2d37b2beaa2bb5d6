import { Box, Flex } from '@chakra-ui/react';
import type { StandSettings } from '../stand/standSettings';
import { WordChoice } from '../../../ui/WordChoice';
import { WordButton } from '../../../ui/words';
import { OnTop } from '../stand/OnTop';
import type { StandShortcut } from '../stand/touches';
import { SimulatedDevice } from './SimulatedDevice';
import type { Controls } from './useControls';

const midiOptions = [
  ['none', 'no MIDI devices'],
  ['connected', 'those that are connected'],
  ['simulated', 'a simulated pedal and keyboard'],
] as const;

/** Every command with the keys it has, and with the key, pedal or note that somebody puts it on. */
export default function ControlsPanel({
  shortcuts,
  settings: { bound, midi },
  controls: { asked, ask, receive, trouble },
  onChange,
  onClose,
}: {
  readonly shortcuts: readonly StandShortcut[];
  readonly settings: StandSettings;
  readonly controls: Controls;
  readonly onChange: (more: Partial<StandSettings>) => void;
  readonly onClose: () => void;
}) {
  const takeAway = (control: string) => {
    const { [control]: _, ...rest } = bound;
    onChange({ bound: rest });
  };
  return (
    <OnTop label="Keys and pedals">
      <Flex wrap="wrap" gap="4px 24px" align="center">
        <Box color="inkSoft">MIDI devices:</Box>
        <WordChoice
          isLarge
          label="MIDI devices"
          options={midiOptions}
          value={midi}
          onChange={(now) => onChange({ midi: now })}
        />
        {trouble && midi === 'connected' && (
          <Box role="alert" color="sporeText">
            {trouble}
          </Box>
        )}
        <WordButton fontSize="20px" minH="44px" ml="auto" onClick={onClose}>
          close
        </WordButton>
      </Flex>
      {midi === 'simulated' && <SimulatedDevice receive={receive} />}
      <Box role="status" minH="24px" fontSize="17px">
        {asked ? 'Press a key, a pedal or a note now. Escape leaves it as it is.' : ''}
      </Box>
      <Box
        as="ul"
        listStyleType="none"
        p={0}
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}
        columnGap="40px"
      >
        {shortcuts.map(({ command, keys, words }) => {
          const own = Object.keys(bound).filter((control) => bound[control] === command);
          return (
            <Flex
              as="li"
              key={command}
              align="center"
              gap="12px"
              borderBottomWidth="1px"
              minH="36px"
            >
              <Box flex="1" minW={0}>
                {words}
              </Box>
              <Box color="inkSoft">{keys}</Box>
              {own.map((control) => (
                <WordButton
                  key={control}
                  fontSize="15px"
                  aria-label={`Take ${control} away from ${words}`}
                  onClick={() => takeAway(control)}
                >
                  {control} ×
                </WordButton>
              ))}
              <WordButton
                fontSize="15px"
                minH="36px"
                aria-pressed={asked === command}
                aria-label={`Set a key for ${words}`}
                onClick={() => ask(asked === command ? undefined : command)}
              >
                set
              </WordButton>
            </Flex>
          );
        })}
      </Box>
    </OnTop>
  );
}
