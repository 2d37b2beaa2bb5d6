import { Box, Flex } from '@chakra-ui/react';
import type { Exercise } from '@wide-fern/contract';
import {
  type Section,
  choirScore,
  hasKeys,
  plainScore,
  type ComputedSegment,
} from '@wide-fern/core';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { saveFile } from '../../../ui/saveFile';
import { Label, WordButton } from '../../../ui/words';

/** What a file can hold of an exercise. */
type Wanted = 'musicxml' | 'mxl' | 'midi' | 'abc' | 'json';

/** An exercise as a file in an open format. */
export function Files({
  exercise,
  computed,
  sections,
}: {
  readonly exercise: Exercise;
  readonly computed: ComputedSegment;
  readonly sections: readonly Section[];
}) {
  const { choir } = useHere();
  const [whole, setWhole] = useState(false);
  const [failed, setFailed] = useState(false);
  const pitched = hasKeys(exercise.music);
  const write = async (wanted: Wanted) => {
    setFailed(false);
    try {
      const files = await import('@wide-fern/interchange');
      const { tempo } = exercise.usual;
      const first = computed.repetitions[0]?.tonic ?? 60;
      const ladder = choirScore(exercise, tempo, sections, computed.repetitions);
      const score =
        whole && ladder && ladder.keys.length > 0 ? ladder : plainScore(exercise, tempo, [first]);
      const name = exercise.id;
      if (wanted === 'json')
        saveFile(`${name}.json`, 'application/json', files.writeJson([exercise]));
      else if (!score) return;
      else if (wanted === 'midi') {
        saveFile(`${name}.mid`, 'audio/midi', new Uint8Array(files.writeMidi(score)));
      } else if (wanted === 'abc') {
        saveFile(
          `${name}.abc`,
          'text/vnd.abc;charset=utf-8',
          files.writeAbc(score, choir.accidentals),
        );
      } else {
        const xml = files.writeMusicXml(score, choir.accidentals);
        if (wanted === 'musicxml') {
          saveFile(`${name}.musicxml`, 'application/vnd.recordare.musicxml+xml', xml);
        } else {
          const type = 'application/vnd.recordare.musicxml';
          saveFile(`${name}.mxl`, type, new Uint8Array(files.compress(xml)));
        }
      }
    } catch {
      setFailed(true);
    }
  };
  const word = (wanted: Wanted, words: string) => (
    <WordButton fontSize="13px" onClick={() => void write(wanted)}>
      {words}
    </WordButton>
  );
  return (
    <Box mt="14px" fontSize="13px">
      <Flex gap="14px" wrap="wrap" align="center" role="group" aria-label="As a file">
        <Label as="span" fontSize="12px">
          As a file
        </Label>
        {pitched && word('musicxml', 'MusicXML')}
        {pitched && word('mxl', 'compressed MusicXML')}
        {pitched && word('midi', 'MIDI')}
        {pitched && word('abc', 'ABC')}
        {word('json', 'all that is said of it (JSON)')}
        {pitched && (
          <Flex as="label" gap="5px" align="center">
            <input
              type="checkbox"
              checked={whole}
              onChange={(event) => setWhole(event.currentTarget.checked)}
            />
            all parts in all keys
          </Flex>
        )}
      </Flex>
      {failed && (
        <Box role="alert" color="brick">
          The file could not be written. Load the page again; nothing is lost.
        </Box>
      )}
    </Box>
  );
}
