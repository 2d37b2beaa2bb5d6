import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { FoundScore } from '@wide-fern/core';
import { largestScoreFile } from '@wide-fern/contract';
import { useEffect, useRef, useState, type DragEvent } from 'react';
import { useSearchParams } from 'react-router';
import { messageOf, voicesQuery, callFile, pieceQuery } from '@wide-fern/client';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Empty, Failed, Loading } from '../../../ui/states';
import { Label, Name, WordButton, WordLink } from '../../../ui/words';
import { ScoreRefused, ScoreWorker } from '../score/scoreWorker';
import { MapScore } from './MapScore';

const accepted = '.musicxml,.xml,.mxl,.mid,.midi';

type State =
  | { readonly kind: 'none' }
  | { readonly kind: 'reading'; readonly share: number }
  | { readonly kind: 'refused'; readonly message: string }
  | {
      readonly kind: 'read';
      readonly found: FoundScore;
      readonly worker: ScoreWorker;
      /** A new file, or the one that is kept already. */
      readonly file: File | undefined;
    };

/** Reading a score: choose the file, see what was found in it, say who sings what, keep it. */
export default function ReadScorePage() {
  const { choir, mayEdit } = useHere();
  const [params] = useSearchParams();
  const id = params.get('piece') ?? undefined;
  const piece = useQuery({ ...pieceQuery(choir.id, id ?? ''), enabled: id !== undefined });
  const voices = useQuery(voicesQuery(choir.id));
  const [name, setName] = useState('');
  const [state, setState] = useState<State>({ kind: 'none' });
  const worker = useRef<ScoreWorker>(undefined);
  const input = useRef<HTMLInputElement>(null);
  // A worker stands ready before a file is chosen: fetching it takes time too.
  const spare = useRef<ScoreWorker>(undefined);
  useEffect(() => {
    spare.current = new ScoreWorker();
    return () => {
      worker.current?.end();
      spare.current?.end();
    };
  }, []);

  const open = async (
    called: string,
    bytesOf: () => Promise<Uint8Array>,
    file: File | undefined,
  ) => {
    worker.current?.end();
    const mine = spare.current ?? new ScoreWorker();
    spare.current = undefined;
    worker.current = mine;
    setName(called);
    setState({ kind: 'reading', share: 0 });
    try {
      const found = await mine.open(await bytesOf(), (share) => {
        if (worker.current === mine) setState({ kind: 'reading', share });
      });
      if (worker.current === mine) setState({ kind: 'read', found, worker: mine, file });
    } catch (error) {
      if (worker.current !== mine) return;
      const message = error instanceof ScoreRefused ? error.message : messageOf(error);
      setState({ kind: 'refused', message });
    }
  };
  const read = (file: File | undefined) => {
    if (!file) return;
    if (file.size > largestScoreFile) {
      setName(file.name);
      const size = Math.ceil(file.size / 1_000_000);
      setState({
        kind: 'refused',
        message: `This file has ${size} MB; scores up to ${largestScoreFile / 1_000_000} MB are read. Save it as compressed MusicXML.`,
      });
      return;
    }
    void open(file.name, async () => new Uint8Array(await file.arrayBuffer()), file);
  };
  const cancel = () => {
    worker.current?.end();
    worker.current = undefined;
    setState({ kind: 'none' });
  };
  if (!mayEdit) {
    return (
      <Frame place="Pieces">
        <Empty title="Scores are read in by those who lead">
          <WordLink to="/pieces">Look at the pieces</WordLink>
        </Empty>
      </Frame>
    );
  }
  const error = voices.error ?? piece.error;
  if (!voices.data || (id !== undefined && !piece.data)) {
    return (
      <Frame place="Pieces">
        {error ? (
          <Failed
            message={messageOf(error)}
            onRetry={() => {
              void voices.refetch();
              void piece.refetch();
            }}
          />
        ) : (
          <Loading what="the parts" />
        )}
      </Frame>
    );
  }
  const kept = piece.data?.piece.score;
  return (
    <Frame place="Pieces">
      <Box px={{ base: '16px', md: '40px' }} pt="14px" pb="32px" maxW="1280px">
        <Flex align="baseline" gap="16px" mb="8px" wrap="wrap">
          <Name as="h1" fontSize="24px">
            {piece.data ? `A score for “${piece.data.piece.title}”` : 'Read a score'}
          </Name>
          <WordLink to={id ? `/pieces/${id}` : '/pieces'} fontSize="13px">
            {id ? 'back to the piece' : 'all pieces'}
          </WordLink>
        </Flex>
        {state.kind !== 'read' && (
          <Box maxW="68ch" mb="12px">
            A choir score as MusicXML, plain or compressed, or as a MIDI file: four staves, two
            staves that parts share, with or without accompaniment. You then say which line is which
            part. Files up to {largestScoreFile / 1_000_000} MB; the file itself is kept.
          </Box>
        )}
        <Flex
          borderWidth="1px"
          borderStyle="dashed"
          borderColor="inkSoft"
          bg="sheet"
          p={state.kind === 'read' ? '8px 20px' : '20px'}
          gap="14px"
          align="center"
          wrap="wrap"
          onDragOver={(event: DragEvent) => event.preventDefault()}
          onDrop={(event: DragEvent) => {
            event.preventDefault();
            read(event.dataTransfer.files[0]);
          }}
        >
          <MainButton size="sm" onClick={() => input.current?.click()}>
            {state.kind === 'read' ? 'Choose another file' : 'Choose a file'}
          </MainButton>
          <Label as="span">or drop one here</Label>
          {kept && state.kind === 'none' && (
            <WordButton
              onClick={() =>
                void open(
                  kept.name,
                  () =>
                    callFile('showScoreFile', {
                      params: { choir: choir.id, piece: piece.data!.id },
                    }),
                  undefined,
                )
              }
            >
              or say anew who sings what in {kept.name}
            </WordButton>
          )}
          <input
            ref={input}
            type="file"
            aria-label="Score to read"
            accept={accepted}
            style={{ display: 'none' }}
            onChange={(event) => {
              read(event.currentTarget.files?.[0]);
              event.currentTarget.value = '';
            }}
          />
        </Flex>
        <Box mt="14px" aria-live="polite">
          {state.kind === 'reading' && (
            <Flex gap="14px" align="center">
              <Label as="span">
                Reading {name} … {Math.round(state.share * 100)} %
              </Label>
              <progress value={state.share} max={1} aria-label={`Reading ${name}`} />
              <WordButton fontSize="13px" onClick={cancel}>
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
        {state.kind === 'read' && (
          <MapScore
            key={name}
            name={name}
            file={state.file}
            found={state.found}
            worker={state.worker}
            sections={voices.data.sections}
            piece={piece.data}
          />
        )}
      </Box>
    </Frame>
  );
}
