import { Box, Flex } from '@chakra-ui/react';
import { momentOfYear } from '@wide-fern/words';
import { useQuery } from '@tanstack/react-query';
import type { Exercise } from '@wide-fern/contract';
import { useState } from 'react';
import { messageOf, exerciseVersionsQuery, changeExercise } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { Label, WordButton } from '../../../ui/words';

/** The versions an exercise has had; an old one can be made the present one again. */
export function Versions({ exercise }: { readonly exercise: Exercise }) {
  const { choir, mayEdit } = useHere();
  const [open, setOpen] = useState(false);
  const [failed, setFailed] = useState<string>();
  const versions = useQuery({ ...exerciseVersionsQuery(choir.id, exercise.id), enabled: open });
  const bringBack = (old: Exercise) => {
    setFailed(undefined);
    changeExercise(choir.id, { ...old, version: exercise.version }, exercise.version).catch(
      (error: unknown) => setFailed(messageOf(error)),
    );
  };
  return (
    <Box mt="12px" fontSize="13px">
      <WordButton fontSize="13px" aria-expanded={open} onClick={() => setOpen(!open)}>
        version {exercise.version}; {open ? 'close the older ones' : 'older ones'}
      </WordButton>
      {open && versions.error && (
        <Box role="alert" color="brick">
          {messageOf(versions.error)}
        </Box>
      )}
      {open && versions.isPending && <Label>Fetching the versions …</Label>}
      {open &&
        versions.data?.map((one) => (
          <Flex key={one.version} gap="12px" align="baseline">
            <Box w="70px">version {one.version}</Box>
            <Label as="span">
              {momentOfYear(one.savedAt, choir.timeZone, choir.clock)}
              {one.savedBy && `, ${one.savedBy}`}
            </Label>
            {one.version !== exercise.version && mayEdit && (
              <WordButton fontSize="13px" onClick={() => bringBack(one.exercise)}>
                make it the present one
              </WordButton>
            )}
          </Flex>
        ))}
      {failed && (
        <Box role="alert" color="brick">
          {failed}
        </Box>
      )}
    </Box>
  );
}
