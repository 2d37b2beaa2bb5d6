import { Box } from '@chakra-ui/react';
import { type Section, noteInKey, tonicName, type ComputedSegment } from '@wide-fern/core';
import { type Wording } from '@wide-fern/words';
import { Label } from '../../ui/words';

/** A chord's notes for each part, key by key. */
export function ChordKeys({
  computed,
  sections,
  wording,
}: {
  readonly computed: ComputedSegment;
  readonly sections: readonly Section[];
  readonly wording: Wording;
}) {
  const { keys } = computed;
  if (keys.kind !== 'chord') return null;
  if (!keys.sung) return <Box color="brick">No chord can be voiced inside everyone’s reach.</Box>;
  const { tonics, voicings } = keys.sung;
  return (
    <Box
      as="table"
      fontSize="15px"
      mt="4px"
      css={{ '& th, & td': { padding: '2px 14px 2px 0', textAlign: 'left' } }}
    >
      <thead>
        <tr>
          <th>
            <Label as="span">Key</Label>
          </th>
          {tonics.map((tonic, i) => (
            <th key={i} scope="col">
              {tonicName(tonic, wording.mode, wording.writing)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sections.map((band, part) => (
          <tr key={band.id}>
            <th scope="row">{band.id}</th>
            {voicings.map((notes, i) => (
              <td key={i}>{noteInKey(notes[part]!, tonics[i]!, wording.mode, wording.writing)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
