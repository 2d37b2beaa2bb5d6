import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits } from '@wide-fern/contract';
import { practising, type Listening } from '@wide-fern/core';
import type { PracticeKey } from '@wide-fern/words';
import { useEffect, useMemo, useState } from 'react';
import { useHearing } from '../../music/hearing/useHearing';
import { useWavFile } from '../../music/hearing/useWavFile';
import { QuietButton } from '../../ui/MainButton';
import { PlainSelect } from '../../ui/PlainSelect';
import { saveFile } from '../../ui/saveFile';
import { Stepper } from '../../ui/Stepper';
import { WordChoice } from '../../ui/WordChoice';
import { Label, WordButton } from '../../ui/words';

const withOthers = [
  ['soft', 'with the others softly'],
  ['alone', 'alone'],
] as const;

/** How an exercise is heard at home: in which key, how fast, the own part above the others or alone; and as a file. */
export function PracticeHearing({
  name,
  keys,
  listening,
  part,
  chosen,
  isHeard,
  onKey,
  onHeard,
}: {
  readonly name: string;
  readonly keys: readonly PracticeKey[];
  readonly listening: Listening;
  readonly part: string | undefined;
  /** The key that is practised; all of them where none is. */
  readonly chosen: number | null;
  readonly isHeard: boolean;
  readonly onKey: (key: number | null) => void;
  readonly onHeard: (on: boolean) => void;
}) {
  const [tempo, setTempo] = useState(listening.score.tempo);
  const [others, setOthers] = useState<'soft' | 'alone'>('soft');
  const [isFailed, setFailed] = useState(false);
  const alone = part !== undefined && others === 'alone' ? part : null;
  const practised = useMemo(
    () => practising(listening, { key: chosen, alone }),
    [listening, chosen, alone],
  );
  const loud = part ?? null;
  const { state, begin, stop } = useHearing(practised, tempo, loud);
  const wav = useWavFile(name);
  const isOn = state.kind === 'playing' || state.kind === 'opening';
  useEffect(() => {
    if (!isHeard) stop();
  }, [isHeard, stop]);
  const toggle = () => {
    onHeard(!isOn);
    if (isOn) stop();
    else void begin();
  };
  const writeMidi = async () => {
    setFailed(false);
    try {
      const files = await import('@wide-fern/interchange');
      const score = { ...practised.score, tempo };
      saveFile(`${name}.mid`, 'audio/midi', new Uint8Array(files.writeMidi(score)));
    } catch {
      setFailed(true);
    }
  };
  return (
    <Box role="group" aria-label={`Hearing ${name}`} mt="4px">
      <Flex gap="8px 14px" align="center" wrap="wrap" fontSize="14px">
        <QuietButton size="md" minH="44px" onClick={toggle} aria-pressed={isOn}>
          {isOn ? 'Be silent' : 'Hear it'}
        </QuietButton>
        {keys.length > 1 && (
          <Flex as="label" gap="6px" align="center" minH="44px">
            <Label as="span">in</Label>
            <PlainSelect
              label="In which key"
              value={chosen === null ? '' : String(chosen)}
              onChange={(key) => onKey(key === '' ? null : Number(key))}
              options={[
                { value: '', word: 'all its keys' },
                ...keys.map(({ name: word, sings }, i) => ({
                  value: String(i),
                  word: sings ? word : `${word} (rests)`,
                })),
              ]}
            />
          </Flex>
        )}
        <Stepper
          label="Tempo"
          name={`Tempo of ${name}`}
          labelWidth="auto"
          value={tempo}
          limits={choiceLimits.tempo}
          step={4}
          unit="a minute"
          disabled={false}
          onChange={setTempo}
        />
        {part !== undefined && (
          <WordChoice
            label={`Who is heard in ${name}`}
            options={withOthers}
            value={others}
            onChange={setOthers}
          />
        )}
      </Flex>
      <Flex gap="0 16px" wrap="wrap" align="center">
        <Label as="span">To take along</Label>
        <WordButton
          fontSize="14px"
          minH="36px"
          disabled={wav.state === 'writing'}
          onClick={() => void wav.write(practised, tempo, loud)}
        >
          {wav.state === 'writing' ? 'writing the sound …' : 'sound (WAV)'}
        </WordButton>
        <WordButton fontSize="14px" minH="36px" onClick={() => void writeMidi()}>
          MIDI
        </WordButton>
      </Flex>
      {state.kind === 'failed' && (
        <Box role="alert" color="brick" fontSize="14px">
          {state.message} The notes above are as good.
        </Box>
      )}
      {(wav.state === 'failed' || isFailed) && (
        <Box role="alert" color="brick" fontSize="14px">
          The file could not be written on this device. Try again when there is a connection.
        </Box>
      )}
    </Box>
  );
}
