import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState, type DragEvent } from 'react';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Empty } from '../../../ui/states';
import { Label, Name, WordLink } from '../../../ui/words';
import { FoundExercises } from './FoundExercises';
import { FoundMusic } from './FoundMusic';
import type { FileReading } from './reading.worker';
import { readInWorker } from './readInWorker';

const accepted = '.musicxml,.xml,.mxl,.mid,.midi,.abc,.json,.csv';

/** Reading a file into exercises: choose it, see what is in it and what cannot be kept, take it. */
export default function ReadPage() {
  const { mayEdit } = useHere();
  const [name, setName] = useState('');
  const [state, setState] = useState<FileReading | 'none' | 'reading'>('none');
  const turn = useRef(0);
  const input = useRef<HTMLInputElement>(null);
  const read = async (file: File | undefined) => {
    if (!file) return;
    turn.current += 1;
    const mine = turn.current;
    setName(file.name);
    setState('reading');
    const answer = await readInWorker(file);
    if (mine === turn.current) setState(answer);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    void read(event.dataTransfer.files[0]);
  };
  if (!mayEdit) {
    return (
      <Frame place="Exercises">
        <Empty title="Exercises are read in by those who lead">
          <WordLink to="/exercises">Look at the exercises</WordLink>
        </Empty>
      </Frame>
    );
  }
  return (
    <Frame place="Exercises">
      <Box px={{ base: '16px', md: '24px' }} pt="14px" pb="32px" maxW="900px">
        <Flex align="baseline" gap="16px" mb="8px" wrap="wrap">
          <Name as="h1" fontSize="24px">
            Read a file
          </Name>
          <WordLink to="/exercises" fontSize="13px">
            all exercises
          </WordLink>
        </Flex>
        <Box maxW="68ch" mb="12px">
          A melody or up to four parts as MusicXML (plain or compressed), MIDI or ABC becomes one
          exercise. What was downloaded whole (JSON) comes back whole, a list (CSV) brings typed
          lines. Files up to 5 MB.
        </Box>
        <Box
          borderWidth="1px"
          borderStyle="dashed"
          borderColor="inkSoft"
          bg="sheet"
          p="20px"
          onDragOver={(event) => event.preventDefault()}
          onDrop={drop}
        >
          <Flex gap="14px" align="center" wrap="wrap">
            <MainButton size="sm" onClick={() => input.current?.click()}>
              Choose a file
            </MainButton>
            <Label as="span">or drop one here</Label>
            <input
              ref={input}
              type="file"
              aria-label="File to read"
              accept={accepted}
              style={{ display: 'none' }}
              onChange={(event) => {
                void read(event.currentTarget.files?.[0]);
                event.currentTarget.value = '';
              }}
            />
          </Flex>
        </Box>
        <Box mt="16px" aria-live="polite">
          {state === 'reading' && <Label>Reading {name} …</Label>}
          {typeof state === 'object' && state.kind === 'refused' && (
            <Box role="alert" maxW="68ch">
              <Box color="brick" fontWeight={650}>
                {name} was not read.
              </Box>
              {state.message} Nothing was changed.
            </Box>
          )}
          {typeof state === 'object' && state.kind === 'read' && state.read.kind === 'music' && (
            <FoundMusic key={name} file={name} found={state.read} />
          )}
          {typeof state === 'object' &&
            state.kind === 'read' &&
            state.read.kind === 'exercises' && (
              <FoundExercises key={name} file={name} found={state.read} />
            )}
        </Box>
      </Box>
    </Frame>
  );
}
