import { Box, Flex } from '@chakra-ui/react';
import { WordButton } from '../../../ui/words';

/** What a pedal with two switches and a small keyboard send when they are pressed and let go. */
const pedals = [
  { name: 'left pedal', controller: 66 },
  { name: 'right pedal', controller: 64 },
] as const;
const notes = [60, 62, 64, 65, 67, 69, 71, 72] as const;

/** Stands in for a pedal and a keyboard where there are none: they send what such devices send. */
export function SimulatedDevice({
  receive,
}: {
  readonly receive: (message: readonly number[]) => void;
}) {
  const tap = (down: readonly number[], up: readonly number[]) => {
    receive(down);
    receive(up);
  };
  return (
    <Flex wrap="wrap" gap="8px 20px" align="center" aria-label="Simulated devices" role="group">
      <Box color="inkSoft" fontSize="15px">
        simulated:
      </Box>
      {pedals.map(({ name, controller }) => (
        <WordButton
          key={name}
          fontSize="18px"
          minH="44px"
          onClick={() => tap([0xb0, controller, 127], [0xb0, controller, 0])}
        >
          {name}
        </WordButton>
      ))}
      <Flex>
        {notes.map((note) => (
          <Box
            key={note}
            as="button"
            aria-label={`note ${note}`}
            w="32px"
            h="44px"
            borderWidth="1px"
            borderColor="inkSoft"
            onClick={() => tap([0x90, note, 80], [0x80, note, 0])}
          />
        ))}
      </Flex>
    </Flex>
  );
}
