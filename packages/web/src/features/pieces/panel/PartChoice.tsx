import { Box, Flex } from '@chakra-ui/react';
import type { Section } from '@wide-fern/core';
import { hueOf } from '../../../ui/color';
import { Label, WordButton } from '../../../ui/words';

/** Which parts something is for: a letter for each, pressed or not; none pressed has a word of its own. */
export function PartChoice({
  sections,
  chosen,
  onChange,
  nobody,
  label = 'Whose',
}: {
  readonly sections: readonly Pick<Section, 'id' | 'many'>[];
  readonly chosen: readonly string[];
  readonly onChange: (parts: readonly string[]) => void;
  /** What it means when no letter is pressed. */
  readonly nobody: string;
  readonly label?: string;
}) {
  return (
    <Flex gap="4px" align="center" role="group" aria-label={label} wrap="wrap">
      {sections.map(({ id, many }, place) => {
        const isOn = chosen.includes(id);
        return (
          <WordButton
            key={id}
            type="button"
            aria-label={many}
            aria-pressed={isOn}
            fontSize="13px"
            fontWeight={700}
            px="8px"
            minH="26px"
            borderWidth="1px"
            borderColor={isOn ? 'ink' : 'line'}
            bg={isOn ? 'sheet' : 'transparent'}
            style={{ color: isOn ? hueOf(id, place) : undefined }}
            color="inkSoft"
            onClick={() =>
              onChange(
                isOn
                  ? chosen.filter((part) => part !== id)
                  : sections
                      .map((band) => band.id)
                      .filter((part) => part === id || chosen.includes(part)),
              )
            }
          >
            {id}
          </WordButton>
        );
      })}
      {chosen.length === 0 && (
        <Label as="span" ml="6px">
          {nobody}
        </Label>
      )}
      <Box as="span" />
    </Flex>
  );
}
