import { Box } from '@chakra-ui/react';
import { BreathFurther } from './BreathFurther';
import { TextField } from './fields';
import {
  ChordFields,
  DroneFields,
  GlideFields,
  HoldFields,
  LinesFields,
  OneLine,
  RoundFields,
} from './kindFields';
import { Counts, Figure, Text, type DraftProps } from './musicParts';

/** What is sung, breathed, said or done, in the fields its kind asks for. */
export function MusicFields(props: DraftProps) {
  const { draft, errors, set } = props;
  switch (draft.kind) {
    case 'pattern':
      return <OneLine {...props} />;
    case 'round':
      return <RoundFields {...props} />;
    case 'lines':
      return <LinesFields {...props} />;
    case 'drone':
      return <DroneFields {...props} />;
    case 'glide':
      return <GlideFields {...props} />;
    case 'hold':
      return <HoldFields {...props} />;
    case 'chord':
      return <ChordFields {...props} />;
    case 'breath':
      return (
        <>
          <Counts {...props} />
          <BreathFurther {...props} />
        </>
      );
    case 'spoken':
      return <Text {...props} what="What is said, a line each" />;
    case 'body':
      return (
        <Box display="grid" gap="10px">
          <TextField
            label="What is done, one move a line; in brackets, if need be: [both sides, 3 times, 4 s, held 2 s]"
            value={draft.moves}
            rows={5}
            error={errors.moves}
            onChange={(moves) => set({ moves })}
          />
          <Figure
            label="Each takes"
            value={draft.moveSeconds}
            limits={[1, 600]}
            unit="seconds"
            onChange={(moveSeconds) => set({ moveSeconds })}
          />
        </Box>
      );
  }
}
