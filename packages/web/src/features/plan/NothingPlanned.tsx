import { Box } from '@chakra-ui/react';
import { Name, WordButton } from '../../ui/words';

/** The bench of an empty plan. */
export function NothingPlanned({
  mayEdit,
  minutes,
  onShelf,
}: {
  readonly mayEdit: boolean;
  readonly minutes: number;
  readonly onShelf: () => void;
}) {
  return (
    <Box px="24px" py="24px">
      <Name as="h2" fontSize="18px">
        {minutes} minutes are set aside, and nothing is planned in them.
      </Name>
      {mayEdit ? (
        <Box mt="8px">
          Begin with something for the body or the breath.{' '}
          <WordButton onClick={onShelf}>open the shelf</WordButton>
        </Box>
      ) : (
        <Box mt="8px">A director or deputy plans it.</Box>
      )}
    </Box>
  );
}
