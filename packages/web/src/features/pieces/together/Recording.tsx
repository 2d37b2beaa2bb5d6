import { Box, Flex } from '@chakra-ui/react';
import { ApiError, callFile, messageOf } from '@wide-fern/client';
import {
  largestRecording,
  recordingType,
  usualRecordingDays,
  type Judging,
} from '@wide-fern/contract';
import { dayOfYear, recordingTooLarge } from '@wide-fern/words';
import { useEffect, useRef, useState } from 'react';
import { useHere } from '../../../here/session';
import { PlainSelect } from '../../../ui/PlainSelect';
import { Label, WordButton } from '../../../ui/words';
import { useRecording } from './useTogether';

const days = [3, 7, usualRecordingDays, 30, 60];

/** The sound of a run: attached for a while, heard, thrown away. */
export function Recording({
  piece,
  judging,
}: {
  readonly piece: string;
  readonly judging: Judging;
}) {
  const { choir, mayEdit } = useHere();
  const { keep, remove } = useRecording(choir.id, piece, judging.id);
  const [kept, setKept] = useState(String(usualRecordingDays));
  const [trouble, setTrouble] = useState<string>();
  const field = useRef<HTMLInputElement>(null);
  const { recording } = judging;
  const attach = (file: File) => {
    setTrouble(file.size > largestRecording ? recordingTooLarge : undefined);
    if (file.size <= largestRecording) keep.mutate({ file, days: kept });
  };
  // What is refused for good is chosen anew.
  const mayArrive = keep.error instanceof ApiError && keep.error.mayPass && !trouble;
  const sendAgain = mayArrive ? keep.variables : undefined;
  const error =
    trouble ?? ((keep.error ?? remove.error) ? messageOf(keep.error ?? remove.error) : '');
  return (
    <Box mt="8px">
      {recording && (
        <>
          <Heard piece={piece} judging={judging.id} name={recording.name} />
          <Flex gap="4px 12px" wrap="wrap" align="baseline" mt="2px">
            <Label as="span">
              {recording.name}, {Math.max(1, Math.round(recording.size / 1000))} kB, deleted by
              itself on {dayOfYear(recording.until, choir.timeZone)}
            </Label>
            {mayEdit && (
              <WordButton
                fontSize="13px"
                disabled={remove.isPending}
                onClick={() => remove.mutate()}
              >
                throw the recording away
              </WordButton>
            )}
          </Flex>
        </>
      )}
      {mayEdit && !recording && (
        <>
          <Flex gap="4px 10px" wrap="wrap" align="center">
            <WordButton
              fontSize="13px"
              disabled={keep.isPending}
              onClick={() => field.current?.click()}
            >
              {keep.isPending ? 'sending the recording …' : 'attach a recording'}
            </WordButton>
            <Label as="span">kept for</Label>
            <PlainSelect
              label="For how many days the recording is kept"
              value={kept}
              options={days.map((one) => ({ value: String(one), word: `${one} days` }))}
              onChange={setKept}
            />
          </Flex>
          <Label>
            Ask everybody who is heard first, and keep to your local rules. All who belong to this
            choir here can hear it; it is no part of the choir’s file.
          </Label>
          <input
            ref={field}
            type="file"
            accept="audio/*,.wav,.mp3,.m4a,.ogg,.flac,.webm"
            aria-label="A recording of this run"
            hidden
            onChange={(event) => {
              const [file] = event.currentTarget.files ?? [];
              if (file) attach(file);
              event.currentTarget.value = '';
            }}
          />
        </>
      )}
      {error && (
        <Box role="alert" color="brick">
          {error}{' '}
          {sendAgain && (
            <WordButton fontSize="13px" onClick={() => keep.mutate(sendAgain)}>
              send it again
            </WordButton>
          )}
        </Box>
      )}
    </Box>
  );
}

/** The recording itself, fetched when it is wanted. */
function Heard({
  piece,
  judging,
  name,
}: {
  readonly piece: string;
  readonly judging: string;
  readonly name: string;
}) {
  const { choir } = useHere();
  const [url, setUrl] = useState<string>();
  const [state, setState] = useState<'ready' | 'fetching' | 'failed'>('ready');
  const [trouble, setTrouble] = useState('');
  useEffect(() => () => void (url && URL.revokeObjectURL(url)), [url]);
  const fetchIt = async () => {
    setState('fetching');
    try {
      const bytes = await callFile('showRecording', {
        params: { choir: choir.id, piece, judging },
      });
      const type = recordingType(bytes) ?? 'application/octet-stream';
      setUrl(URL.createObjectURL(new Blob([bytes], { type })));
      setState('ready');
    } catch (error) {
      setTrouble(messageOf(error));
      setState('failed');
    }
  };
  if (url) {
    return (
      <audio
        controls
        autoPlay
        src={url}
        aria-label={`Recording ${name}`}
        style={{ width: '100%', maxWidth: 420, height: 36 }}
        onError={() => {
          setUrl(undefined);
          setTrouble('This browser cannot play this kind of recording.');
          setState('failed');
        }}
      />
    );
  }
  return (
    <Box>
      <WordButton fontSize="13px" disabled={state === 'fetching'} onClick={() => void fetchIt()}>
        {state === 'fetching' ? 'fetching the recording …' : 'hear the recording'}
      </WordButton>
      {state === 'failed' && (
        <Box role="alert" color="brick">
          {trouble}
        </Box>
      )}
    </Box>
  );
}
