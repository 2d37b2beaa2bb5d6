import { Box, Flex } from '@chakra-ui/react';
import { figured, lengthInFigures } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { Label, Name } from '../../../ui/words';
import { rangesInWords, whoSings } from './mappingModel';
import { ScoreLines } from './ScoreLines';
import { useMapping, type MappingProps } from './useMapping';
import { WarningList } from './WarningList';

/** What was found in a score, and who sings which line: guessed, and put right by the director. */
export function MapScore(props: MappingProps) {
  const { name, found, sections, piece } = props;
  const { writing } = useHere().choir;
  const {
    draft,
    setDraft,
    title,
    setTitle,
    composer,
    setComposer,
    reading,
    trouble,
    storing,
    store,
  } = useMapping(props);
  const { nobody, asked } = whoSings(found, draft, sections);
  return (
    <Box>
      <Name as="h2" fontSize="18px" mb="4px">
        Found in {name}: {figured(found.staves.length, 'staff', 'staves')},{' '}
        {figured(found.bars, 'bar', 'bars')}, {lengthInFigures(found.seconds)}
      </Name>
      <Label mb="10px">
        Say who sings each line; a letter pressed is a part that sings it. A line that nobody sings
        is left out.
      </Label>
      <ScoreLines found={found} sections={sections} draft={draft} onDraft={setDraft} />
      <Box borderTopWidth="1px" pt="8px" mb="8px" role="status" fontSize="13px">
        {reading && rangesInWords(reading.ranges, sections, writing)}
        {nobody.length > 0 &&
          ` · nobody is asked to sing the ${nobody.map(({ many }) => many).join(' and ')}’ part`}
      </Box>
      <WarningList warnings={found.warnings} />
      <Flex gap="12px" maxW="640px" mt="10px">
        <FormField
          label="Title"
          value={title}
          maxLength={120}
          onChange={(event) => setTitle(event.currentTarget.value)}
        />
        <FormField
          label="Composer"
          value={composer}
          maxLength={120}
          onChange={(event) => setComposer(event.currentTarget.value)}
        />
      </Flex>
      {trouble && (
        <Box role="alert" color="brick" fontSize="13px" mt="6px">
          {trouble} What you chose is still here.
        </Box>
      )}
      <Flex gap="16px" align="center" mt="12px">
        <MainButton disabled={storing} onClick={() => void store()}>
          {piece ? 'Keep this score' : 'Keep the piece'}
        </MainButton>
        <Label as="span">
          {figured(asked, 'line', 'lines')}, {sections.length - nobody.length} of {sections.length}{' '}
          parts
        </Label>
      </Flex>
    </Box>
  );
}
