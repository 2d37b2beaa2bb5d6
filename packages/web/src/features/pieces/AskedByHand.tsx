import { Box } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import { type Section, noteName, own } from '@wide-fern/core';
import { semitonesInWords } from '@wide-fern/words';
import { useHere } from '../../here/session';
import { hueOf } from '../../ui/color';

/** What a piece asks by its typed notes: each part's lowest and highest, and where they leave tonight's band. */
export function AskedByHand({
  piece,
  sections,
}: {
  readonly piece: Piece;
  readonly sections: readonly Section[];
}) {
  const { choir } = useHere();
  const { ranges, transpose } = piece.piece;
  const asked = sections.flatMap((band, place) => {
    const range = own(ranges, band.id);
    if (!range) return [];
    const low = range[0] + transpose;
    const high = range[1] + transpose;
    const above = high - band.comfort[1];
    const below = band.comfort[0] - low;
    const outside = [
      above > 0 && `${semitonesInWords(above)} above tonight`,
      below > 0 && `${semitonesInWords(below)} below tonight`,
    ].filter((one) => one !== false);
    return [{ band, place, low, high, outside }];
  });
  if (asked.length === 0) return null;
  return (
    <Box as="ul" listStyleType="none" mt="12px" aria-label="What each part is asked">
      {asked.map(({ band, place, low, high, outside }) => (
        <Box as="li" key={band.id} mb="2px">
          <Box
            as="span"
            display="inline-block"
            w="32px"
            fontWeight={700}
            style={{ color: hueOf(band.id, place) }}
          >
            {band.id}
          </Box>
          {noteName(low, choir.writing)} to {noteName(high, choir.writing)}
          <Box as="span" color="inkSoft">
            {outside.length === 0 ? ', all inside tonight' : ''}
          </Box>
          {outside.length > 0 && <b>, {outside.join(', ')}</b>}
        </Box>
      ))}
    </Box>
  );
}
