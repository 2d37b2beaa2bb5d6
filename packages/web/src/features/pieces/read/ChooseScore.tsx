import { Box, Flex } from '@chakra-ui/react';
import { useRef, type DragEvent, type ReactNode } from 'react';
import { MainButton } from '../../../ui/MainButton';
import { Label, WordButton } from '../../../ui/words';
import type { Opening } from './useOpenScore';

const accepted = '.musicxml,.xml,.mxl,.mid,.midi';

/** Where a file is chosen or dropped. */
export function ChooseScore({
  isRead,
  onFile,
  children,
}: {
  /** A score is read already; this one would be another. */
  readonly isRead: boolean;
  readonly onFile: (file: File | undefined) => void;
  readonly children: ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <Flex
      borderWidth="1px"
      borderStyle="dashed"
      borderColor="inkSoft"
      bg="sheet"
      p={isRead ? '8px 20px' : '20px'}
      gap="14px"
      align="center"
      wrap="wrap"
      onDragOver={(event: DragEvent) => event.preventDefault()}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        onFile(event.dataTransfer.files[0]);
      }}
    >
      <MainButton size="sm" onClick={() => input.current?.click()}>
        {isRead ? 'Choose another file' : 'Choose a file'}
      </MainButton>
      <Label as="span">or drop one here</Label>
      {children}
      <input
        ref={input}
        type="file"
        aria-label="Score to read"
        accept={accepted}
        style={{ display: 'none' }}
        onChange={(event) => {
          onFile(event.currentTarget.files?.[0]);
          event.currentTarget.value = '';
        }}
      />
    </Flex>
  );
}

/** How far a file is read, or why it was not. */
export function OpeningState({
  name,
  state,
  onCancel,
}: {
  readonly name: string;
  readonly state: Opening;
  readonly onCancel: () => void;
}) {
  return (
    <Box mt="14px" aria-live="polite">
      {state.kind === 'reading' && (
        <Flex gap="14px" align="center">
          <Label as="span">
            Reading {name} … {Math.round(state.share * 100)} %
          </Label>
          <progress value={state.share} max={1} aria-label={`Reading ${name}`} />
          <WordButton fontSize="13px" onClick={onCancel}>
            stop
          </WordButton>
        </Flex>
      )}
      {state.kind === 'refused' && (
        <Box role="alert" maxW="68ch">
          <Box color="brick" fontWeight={650}>
            {name} was not read.
          </Box>
          {state.message} Nothing was changed.
        </Box>
      )}
    </Box>
  );
}
