import { Box } from '@chakra-ui/react';
import type { Exercise } from '@wide-fern/contract';
import { type Tonight, type ComputedSegment, type MidiNote } from '@wide-fern/core';
import { asSentences, edgesOfKeys, movesOfKeys, ladderHeading, wordingFor } from '@wide-fern/words';
import { useRef, useState } from 'react';
import { useHere } from '../../../here/session';
import { useWidth } from '../../../ui/useSize';
import { Label } from '../../../ui/words';
import { ChordKeys } from '../../../music/keys/ChordKeys';
import { KeyStrip } from '../../../music/keys/KeyStrip';
import { StartWords } from '../../../music/keys/StartWords';

/** In which keys an exercise can be sung by tonight's sections: every tonic, every part, the best ladder. */
export function KeysTonight({
  exercise,
  computed,
  tonight,
  start,
  onStart,
}: {
  readonly exercise: Exercise;
  readonly computed: ComputedSegment;
  readonly tonight: Tonight;
  readonly start: MidiNote | null;
  readonly onStart: (start: MidiNote | null) => void;
}) {
  const { choir } = useHere();
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const [looked, setLooked] = useState<number>();
  const segment = { id: exercise.id, exercise, choices: { ...exercise.usual, start } };
  const wording = wordingFor(tonight.sections, segment, choir.writing);
  const { keys } = computed;
  if (keys.kind === 'none') return null;
  return (
    <Box ref={frame}>
      <Label fontSize="13px">
        {ladderHeading(segment)}
        {keys.kind === 'ladder' && '; open is room, filled is none'}
      </Label>
      {keys.kind === 'chord' ? (
        <ChordKeys computed={computed} sections={tonight.sections} wording={wording} />
      ) : (
        <KeyStrip
          keys={keys}
          sections={tonight.sections}
          wording={wording}
          width={width}
          mayEdit
          onLook={setLooked}
          onStart={(tonic) =>
            onStart(keys.best.kind === 'ladder' && tonic === keys.best.start ? null : tonic)
          }
        >
          <StartWords keys={keys} wording={wording} looked={looked} onBest={() => onStart(null)} />
          {keys.sung && (
            <Box fontSize="13px" mt="2px">
              {asSentences([...movesOfKeys(keys, wording), ...edgesOfKeys(keys, wording)]).join(
                ' ',
              )}
            </Box>
          )}
        </KeyStrip>
      )}
    </Box>
  );
}
