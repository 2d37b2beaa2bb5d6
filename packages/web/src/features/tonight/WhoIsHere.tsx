import { Box, Flex } from '@chakra-ui/react';
import type { Evening } from '@wide-fern/contract';
import { absenceInWords, conditionWords, statesInWords } from '@wide-fern/words';
import { type NoteWriting } from '@wide-fern/core';
import { hueOf } from '../../ui/color';
import { Label, WordLink } from '../../ui/words';

/** As many strokes as are drawn for one section; more are told in figures alone. */
const mostStrokes = 14;

/** Who is missing on an evening and what that changes: a stroke for each singer, hollow and last when away. */
export function WhoIsHere({
  evening,
  mayEdit,
  writing,
}: {
  readonly evening: Evening;
  readonly mayEdit: boolean;
  readonly writing: NoteWriting;
}) {
  const { tonight, withEveryone, asUsual } = evening;
  const { sections, condition = 'rested' } = tonight;
  const changes = sections.flatMap((band) => {
    const everyone = withEveryone.find(({ id }) => id === band.id);
    const usual = asUsual.find(({ id }) => id === band.id);
    if (!everyone || !usual) return [];
    const absent = absenceInWords(band, everyone.comfort, writing);
    const states = statesInWords(band.many, everyone.comfort, usual.comfort, writing);
    return [states, absent].flatMap((words) => (words ? [{ id: band.id + words, words }] : []));
  });
  return (
    <Box flex="1 1 240px">
      <Box as="h2" fontWeight={650} mb="4px">
        Who is here
      </Box>
      {sections.map(({ id, singers, away = 0, many }, place) => (
        <Flex key={id} align="center" gap="8px" h="20px" fontSize="13px">
          <Box w="24px" fontWeight={700} style={{ color: hueOf(id, place) }}>
            {id}
          </Box>
          <Flex gap="4px" aria-hidden="true" hideBelow="md">
            {Array.from({ length: Math.min(mostStrokes, singers + away) }, (_, i) => (
              <Box
                key={i}
                w="5px"
                h="14px"
                borderWidth="1px"
                style={{
                  borderColor: hueOf(id, place),
                  backgroundColor: i < singers ? hueOf(id, place) : 'transparent',
                }}
              />
            ))}
          </Flex>
          <Label as="span" fontSize="13px">
            {singers === 0 && away === 0
              ? `usual ${many}`
              : `${singers}${away > 0 ? `, ${away} away` : ''}`}
          </Label>
        </Flex>
      ))}
      {condition !== 'rested' && (
        <Box mt="4px">The choir comes {conditionWords[condition].replace('cold,', 'cold')}.</Box>
      )}
      {changes.map(({ id, words }) => (
        <Box key={id} mt="4px">
          {words.charAt(0).toUpperCase() + words.slice(1)}.
        </Box>
      ))}
      {mayEdit && <WordLink to="/voices?who">say who is here</WordLink>}
    </Box>
  );
}
