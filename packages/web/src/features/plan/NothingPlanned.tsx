import { Box, Flex } from '@chakra-ui/react';
import type { Evening, PlanDocument } from '@wide-fern/contract';
import { useEffect } from 'react';
import { ReadyToBuild } from '../../here/building/ReadyToBuild';
import { MainButton } from '../../ui/MainButton';
import { whenIdle } from '../../ui/whenIdle';
import { Name, WordButton } from '../../ui/words';

/** The bench of an empty plan. */
export function NothingPlanned({
  mayEdit,
  minutes,
  onBuild,
  onShelf,
  onKept,
  ...place
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  readonly mayEdit: boolean;
  readonly minutes: number;
  readonly onBuild: () => void;
  readonly onShelf: () => void;
  readonly onKept: () => void;
}) {
  // Where building is not fetched ahead, it is when it is asked for.
  useEffect(
    () =>
      mayEdit ? whenIdle(() => void import('./build/BuildView').catch(() => undefined)) : undefined,
    [mayEdit],
  );
  return (
    <Box px="24px" py="24px">
      {mayEdit && <ReadyToBuild {...place} />}
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
