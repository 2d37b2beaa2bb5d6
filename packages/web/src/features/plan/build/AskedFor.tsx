import { Box, Flex } from '@chakra-ui/react';
import type { BuildWish } from '@wide-fern/contract';
import { useState } from 'react';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';

/** Exercises that have to be in it, and those that must not be tonight. */
export function AskedFor({
  wish,
  set,
  names,
}: {
  readonly wish: BuildWish;
  readonly set: (changed: Partial<BuildWish>) => void;
  readonly names: ReadonlyMap<string, string>;
}) {
  const sorted = [...names].sort(([, a], [, b]) => a.localeCompare(b));
  const [chosen, setChosen] = useState(sorted[0]?.[0] ?? '');
  const without = (list: readonly string[], id: string) => list.filter((one) => one !== id);
  const put = (name: 'included' | 'excluded', other: 'included' | 'excluded') =>
    set({
      [name]: [...without(wish[name], chosen), chosen],
      [other]: without(wish[other], chosen),
    });
  return (
    <Box>
      <Flex gap="12px" align="flex-end" wrap="wrap">
        <Box w="240px">
          <SelectField
            label="Exercise"
            value={chosen}
            options={sorted.map(([value, word]) => ({ value, word }))}
            onChange={(event) => setChosen(event.currentTarget.value)}
          />
        </Box>
        <WordButton fontSize="13px" minH="28px" onClick={() => put('included', 'excluded')}>
          it has to be in it
        </WordButton>
        <WordButton fontSize="13px" minH="28px" onClick={() => put('excluded', 'included')}>
          not tonight
        </WordButton>
      </Flex>
      {(['included', 'excluded'] as const).map(
        (name) =>
          wish[name].length > 0 && (
            <Flex key={name} gap="4px 14px" wrap="wrap" fontSize="13px" mt="4px">
              <Label as="span">{name === 'included' ? 'In it:' : 'Not tonight:'}</Label>
              {wish[name].map((id) => (
                <Flex key={id} gap="6px">
                  {names.get(id) ?? id}
                  <WordButton
                    fontSize="13px"
                    aria-label={`no word about ${names.get(id) ?? id}`}
                    onClick={() => set({ [name]: without(wish[name], id) })}
                  >
                    away
                  </WordButton>
                </Flex>
              ))}
            </Flex>
          ),
      )}
    </Box>
  );
}
