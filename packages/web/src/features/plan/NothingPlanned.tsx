import { Box, Flex } from '@chakra-ui/react';
import { MainButton } from '../../ui/MainButton';
import { Name, WordButton } from '../../ui/words';

/** The bench of an empty plan. */
export function NothingPlanned({
  mayEdit,
  minutes,
  onBuild,
  onShelf,
  onKept,
}: {
  readonly mayEdit: boolean;
  readonly minutes: number;
  readonly onBuild: () => void;
  readonly onShelf: () => void;
  readonly onKept: () => void;
}) {
  return (
    <Box px="24px" py="24px">
      <Name as="h2" fontSize="18px">
        {minutes} minutes are set aside, and nothing is planned in them.
      </Name>
      {mayEdit ? (
        <Flex mt="10px" gap="16px" align="baseline" wrap="wrap">
          <MainButton size="sm" onClick={onBuild}>
            Build the warm-up
          </MainButton>
          <Box>
            or begin by hand, with something for the body or the breath:{' '}
            <WordButton onClick={onShelf}>open the shelf</WordButton>, or{' '}
            <WordButton onClick={onKept}>begin from a plan that is kept</WordButton>
          </Box>
        </Flex>
      ) : (
        <Box mt="8px">A director or deputy plans it.</Box>
      )}
    </Box>
  );
}
