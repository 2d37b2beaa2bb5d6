import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits } from '@wide-fern/contract';
import { type Listening, type ScorePart } from '@wide-fern/core';
import { useEffect, useMemo, useState } from 'react';
import { QuietButton } from '../../ui/MainButton';
import { PlainSelect } from '../../ui/PlainSelect';
import { Stepper } from '../../ui/Stepper';
import { letter, lettersOn, useShortcuts } from '../../ui/useShortcuts';
import { WordButton } from '../../ui/words';
import { useHearing } from './useHearing';
import { useWavFile } from './useWavFile';

/** Hearing an exercise: on and off, how fast, which part louder, and as a file. */
export default function Hear({
  listening,
  parts,
  name,
  onKey,
}: {
  readonly listening: Listening;
  readonly parts: readonly ScorePart[];
  /** For the file. */
  readonly name: string;
  /** The key that sounds, while something does. */
  readonly onKey?: (key: number) => void;
}) {
  const [tempo, setTempo] = useState(listening.score.tempo);
  const [loud, setLoud] = useState<string | null>(null);
  const wav = useWavFile(name);
  const { state, begin, stop } = useHearing(listening, tempo, loud);
  const isOn = state.kind === 'playing' || state.kind === 'opening';
  const toggle = () => (isOn ? stop() : void begin());
  useShortcuts(
    useMemo(
      () => [{ keys: 'h', words: 'hear', match: letter('h'), act: () => toggle() }],
      // The toggle follows what is on.
      // eslint-disable-next-line react-hooks/exhaustive-deps
      [isOn, begin, stop],
    ),
    lettersOn(),
  );
  const key = state.kind === 'playing' ? state.key : undefined;
  useEffect(() => {
    if (key !== undefined) onKey?.(key);
  }, [key, onKey]);
  return (
    <Box>
      <Flex gap="12px" align="center" wrap="wrap" fontSize="13px">
        <QuietButton size="xs" fontSize="13px" onClick={toggle} aria-pressed={isOn}>
          {isOn ? 'Be silent' : 'Hear it'}
        </QuietButton>
        <Stepper
          label="Tempo"
          name="Tempo while hearing"
          labelWidth="auto"
          value={tempo}
          limits={choiceLimits.tempo}
          step={4}
          unit="a minute"
          disabled={false}
          onChange={setTempo}
        />
        {parts.length > 1 && (
          <Flex as="label" gap="5px" align="center">
            <Box as="span" color="inkSoft">
              louder
            </Box>
            <PlainSelect
              label="Which part is louder"
              value={loud ?? ''}
              onChange={(part) => setLoud(part || null)}
              options={[
                { value: '', word: 'all alike' },
                ...parts.map(({ id, name: word }) => ({ value: id, word })),
              ]}
            />
          </Flex>
        )}
        <WordButton
          fontSize="13px"
          disabled={wav.state === 'writing'}
          onClick={() => void wav.write(listening, tempo, loud)}
        >
          {wav.state === 'writing' ? 'writing the sound …' : 'as a WAV file'}
        </WordButton>
      </Flex>
      {state.kind === 'failed' && (
        <Box role="alert" color="brick" fontSize="13px">
          {state.message} The notes above are as good.
        </Box>
      )}
      {wav.state === 'failed' && (
        <Box role="alert" color="brick" fontSize="13px">
          The sound could not be written on this device. Take the MIDI file instead.
        </Box>
      )}
    </Box>
  );
}
