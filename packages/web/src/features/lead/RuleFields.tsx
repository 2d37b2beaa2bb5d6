import { Box, Flex } from '@chakra-ui/react';
import { whenFew } from '@wide-fern/plan';
import { whenFewWords } from '@wide-fern/words';
import { WordChoice } from '../../ui/WordChoice';
import type { StandSettings } from './stand/standSettings';

const countOptions = [0, 1, 2, 4].map(
  (counts) => [counts, counts === 0 ? 'not' : `by ${counts}`] as const,
);
const fewOptions = whenFew.map((one) => [one, whenFewWords[one]] as const);

/** What comes by itself of «all managed» and «few managed»: nothing, until something is wished. */
export default function RuleFields({
  settings: { counts, few },
  onChange,
}: {
  readonly settings: StandSettings;
  readonly onChange: (more: Partial<StandSettings>) => void;
}) {
  return (
    <Flex wrap="wrap" gap="0 40px" mt="8px">
      <Box>
        <Box color="inkSoft" fontSize="17px">
          Rounds of breath: longer when all managed, shorter when few did
        </Box>
        <WordChoice
          isLarge
          label="Counts of breath"
          options={countOptions}
          value={counts}
          onChange={(now) => onChange({ counts: now })}
        />
      </Box>
      <Box>
        <Box color="inkSoft" fontSize="17px">
          When few managed a key
        </Box>
        <WordChoice
          isLarge
          label="When few managed a key"
          options={fewOptions}
          value={few}
          onChange={(now) => onChange({ few: now })}
        />
      </Box>
    </Flex>
  );
}
