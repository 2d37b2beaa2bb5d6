import { Box } from '@chakra-ui/react';
import { hasKeys, type NoteWriting } from '@wide-fern/core';
import { lengthInFigures } from '@wide-fern/words';
import { Link } from 'react-router';
import { color } from '../../ui/color';
import { Attention } from '../../ui/Attention';
import { Name } from '../../ui/words';
import { PatternFigure } from '../../music/figures/PatternFigure';
import { KeyStems } from './KeyStems';
import type { Listed } from './model/listed';

/** One exercise in the list: its name, its notes to scale, what it is for, how long, in which keys. */
export function ExerciseRow({
  listed,
  writing,
  not,
  chosen,
  wide,
  within,
}: {
  readonly listed: Listed;
  readonly writing: NoteWriting;
  /** What of it tonight’s place does not allow, in words. */
  readonly not: string | undefined;
  readonly chosen: boolean;
  /** Whether there is room for the cue. */
  readonly wide: boolean;
  /** Whether it is another way of the one above. */
  readonly within: boolean;
}) {
  const { exercise, favourite, hidden, own, keys, seconds } = listed;
  return (
    <Box
      asChild
      display="grid"
      gridTemplateColumns={
        wide ? '210px 52px minmax(0,1fr) 80px 38px' : 'minmax(0,1fr) 52px 80px 38px'
      }
      gap="10px"
      alignItems="center"
      h="29px"
      px="8px"
      borderBottomWidth="1px"
      fontSize="13px"
      bg={chosen ? 'fern/13' : undefined}
      color={hidden ? 'inkSoft' : 'ink'}
      _hover={{ bg: chosen ? 'fern/13' : 'sunk' }}
    >
      <Link
        to={`/exercises/${exercise.id}`}
        aria-current={chosen ? 'true' : undefined}
        aria-label={`${exercise.name}: ${exercise.figure}${not ? `. ${not}` : ''}`}
      >
        <Name as="span" fontSize="15px" truncate pl={within ? '16px' : undefined}>
          {favourite && (
            <Box as="span" color="fern" aria-label="favourite" role="img" mr="5px">
              <svg width="9" height="11" viewBox="0 0 9 11" style={{ display: 'inline' }}>
                <path
                  d="M4.5 11 V1 M4.5 4 L1 2 M4.5 4 L8 2 M4.5 7 L1 5 M4.5 7 L8 5"
                  stroke={color('fern')}
                  fill="none"
                  strokeWidth="1.3"
                />
              </svg>
            </Box>
          )}
          {exercise.name}
          {not && <Attention words={not} />}
          {own && (
            <Box as="span" color="inkSoft" fontSize="12px" ml="6px" fontFamily="body">
              ours
            </Box>
          )}
        </Name>
        <Box as="span">
          {hasKeys(exercise.music) && (
            <PatternFigure music={exercise.music} width={52} height={20} small />
          )}
        </Box>
        {wide && (
          <Box as="span" color="inkSoft" truncate>
            {hidden ? 'hidden · ' : ''}
            {exercise.cue}
          </Box>
        )}
        <Box as="span">{keys && <KeyStems keys={keys} writing={writing} />}</Box>
        <Box as="span" textAlign="right" color="inkSoft">
          {lengthInFigures(seconds)}
        </Box>
      </Link>
    </Box>
  );
}
