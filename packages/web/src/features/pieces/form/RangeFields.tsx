import { Box, Input } from '@chakra-ui/react';
import { noteName, own, type Section } from '@wide-fern/core';
import { useHere } from '../../../here/session';
import { hueOf } from '../../../ui/color';
import { Label } from '../../../ui/words';
import type { DraftErrors, PieceDraft } from './pieceDraft';

/** The lowest and the highest note of each part, for a piece without a score. */
export function RangeFields({
  draft,
  sections,
  errors,
  onChange,
}: {
  readonly draft: PieceDraft;
  readonly sections: readonly Section[];
  readonly errors: DraftErrors;
  readonly onChange: (next: Partial<PieceDraft>) => void;
}) {
  const { choir } = useHere();
  return (
    <Box>
      <Label mb="4px">Lowest and highest note of each part, like E♭4 and F5; middle C is C4</Label>
      <Box display="grid" gridTemplateColumns="40px 100px 100px 1fr" gap="6px" alignItems="center">
        {sections.map(({ id, many, comfort }, place) => {
          const [low, high] = own(draft.ranges, id) ?? ['', ''];
          const change = (range: readonly [string, string]) =>
            onChange({ ranges: { ...draft.ranges, [id]: range } });
          return (
            <Box key={id} display="contents">
              <Box fontWeight={700} style={{ color: hueOf(id, place) }}>
                {id}
              </Box>
              <Input
                size="sm"
                bg="sheet"
                aria-label={`${many}, lowest note`}
                aria-invalid={own(errors, id) !== undefined}
                placeholder={noteName(comfort[0], choir.writing)}
                value={low}
                maxLength={8}
                onChange={(event) => change([event.currentTarget.value, high])}
              />
              <Input
                size="sm"
                bg="sheet"
                aria-label={`${many}, highest note`}
                aria-invalid={own(errors, id) !== undefined}
                placeholder={noteName(comfort[1], choir.writing)}
                value={high}
                maxLength={8}
                onChange={(event) => change([low, event.currentTarget.value])}
              />
              <Box color="brick" fontSize="13px" role={own(errors, id) ? 'alert' : undefined}>
                {own(errors, id)}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
