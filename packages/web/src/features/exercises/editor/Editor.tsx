import { Box, Flex } from '@chakra-ui/react';
import { MainButton } from '../../../ui/MainButton';
import { Label, Name, WordButton, WordLink } from '../../../ui/words';
import type { Listed } from '../model/listed';
import type { ReadyExercises } from '../model/useExercises';
import { FoundOut } from './FoundOut';
import { HeadFields } from './HeadFields';
import { useExerciseDraft } from './model/useExerciseDraft';
import { MusicFields } from './MusicFields';
import { PassFields } from './PassFields';
import { WordFields } from './WordFields';

/** Where an exercise is made: its music on top, what is said of it below. */
export function Editor({
  from,
  begun,
  data,
}: {
  readonly from: string;
  readonly begun: Listed | undefined;
  readonly data: ReadyExercises;
}) {
  const {
    draft,
    set,
    isOwn,
    wasKept,
    isChanged,
    beginAgain,
    errors,
    missing,
    music,
    saving,
    store,
  } = useExerciseDraft(from, begun);
  const others = data.all
    .map(({ exercise }) => exercise)
    .filter((one) => one.id !== begun?.exercise.id);
  return (
    <Box px={{ base: '16px', md: '24px' }} pt="14px" pb="32px">
      <Flex align="baseline" gap="16px" wrap="wrap" mb="8px">
        <Name as="h1" fontSize="24px">
          {isOwn ? 'Change an exercise' : begun ? 'Copy and change' : 'Make an exercise'}
        </Name>
        <WordLink to={begun ? `/exercises/${begun.exercise.id}` : '/exercises'} fontSize="13px">
          go back
        </WordLink>
        <Label as="span" role="status" fontSize="12px">
          {wasKept ? 'Taken up where you left it. ' : ''}What you type is kept on this device.
        </Label>
        {isChanged && (
          <WordButton fontSize="13px" onClick={beginAgain}>
            begin again
          </WordButton>
        )}
      </Flex>
      <HeadFields draft={draft} errors={errors} set={set} />
      <Box bg="sheet" borderWidth="1px" px="16px" py="12px" mb="12px">
        <MusicFields draft={draft} errors={errors} set={set} />
        <FoundOut exercise={music} data={data} />
      </Box>
      <PassFields draft={draft} errors={errors} set={set} />
      <WordFields draft={draft} errors={errors} set={set} others={others} />
      <Flex mt="20px" gap="16px" align="center" wrap="wrap">
        <MainButton size="sm" disabled={saving.kind === 'busy'} onClick={() => void store(false)}>
          {isOwn ? 'Keep as a new version' : 'Keep it'}
        </MainButton>
        {missing && (
          <Box role="alert" color="brick" fontSize="13px">
            Not kept yet: {missing}
          </Box>
        )}
        {saving.kind === 'failed' && (
          <Box role="alert" color="brick" fontSize="13px">
            {saving.message}
          </Box>
        )}
        {saving.kind === 'clash' && (
          <Flex role="alert" gap="12px" fontSize="13px" color="brick" align="baseline" wrap="wrap">
            Someone else changed this exercise meanwhile. Yours is still here.
            <WordButton fontSize="13px" onClick={() => void store(true)}>
              keep mine as one of its own
            </WordButton>
          </Flex>
        )}
      </Flex>
    </Box>
  );
}
