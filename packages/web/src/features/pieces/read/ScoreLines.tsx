import { Box, Flex } from '@chakra-ui/react';
import {
  noteName,
  own,
  readings,
  type FoundLine,
  type FoundScore,
  type Reading,
  type Section,
  type Unsure,
} from '@wide-fern/core';
import { useHere } from '../../../here/session';
import { PlainSelect } from '../../../ui/PlainSelect';
import { PartChoice } from '../panel/PartChoice';
import { readingWords, unsureWords, withParts, type MappingDraft } from './mappingModel';

/** Every staff of a score, how it is read, and who sings each of its lines. */
export function ScoreLines({
  found,
  sections,
  draft,
  onDraft,
}: {
  readonly found: FoundScore;
  readonly sections: readonly Section[];
  readonly draft: MappingDraft;
  readonly onDraft: (draft: MappingDraft) => void;
}) {
  const { readings: chosen, parts, octaveLower } = draft;
  return (
    <Box as="ul" listStyleType="none" aria-label="Lines of the score">
      {found.staves.map((staff) => {
        const how = chosen[staff.id] ?? staff.reading;
        const ways = readings.filter((one) => (staff.lines[one]?.length ?? 0) > 0);
        return (
          <Box as="li" key={staff.id} borderTopWidth="1px" py="6px">
            <Flex gap="14px" align="center" wrap="wrap">
              <Box fontWeight={650} minW="130px">
                {staff.name}
              </Box>
              <PlainSelect
                label={`How ${staff.name} is read`}
                value={how}
                options={ways.map((one) => ({ value: one, word: readingWords[one] }))}
                onChange={(one) =>
                  onDraft({ ...draft, readings: { ...chosen, [staff.id]: one as Reading } })
                }
              />
            </Flex>
            {(staff.lines[how] ?? []).map((line) => (
              <LineRow
                key={line.id}
                line={line}
                staff={staff.name}
                sections={sections}
                parts={parts[line.id] ?? []}
                lower={octaveLower[line.id] ?? false}
                unsure={own(found.unsure, line.id)}
                onParts={(next) => onDraft(withParts(draft, line.id, next, sections))}
                onLower={(next) =>
                  onDraft({ ...draft, octaveLower: { ...octaveLower, [line.id]: next } })
                }
              />
            ))}
          </Box>
        );
      })}
    </Box>
  );
}

function LineRow({
  line,
  staff,
  sections,
  parts,
  lower,
  unsure,
  onParts,
  onLower,
}: {
  readonly line: FoundLine;
  readonly staff: string;
  readonly sections: readonly Section[];
  readonly parts: readonly string[];
  readonly lower: boolean;
  readonly unsure: Unsure | undefined;
  readonly onParts: (parts: readonly string[]) => void;
  readonly onLower: (lower: boolean) => void;
}) {
  const { choir } = useHere();
  const shift = lower ? 12 : 0;
  const name = (midi: number) => noteName(midi - shift, choir.writing);
  const called = line.take === '' ? staff : `${staff}, ${line.take}`;
  return (
    <Flex gap="14px" align="center" wrap="wrap" pl="14px" minH="34px" fontSize="13px">
      <Box w="70px" color="inkSoft">
        {line.take || 'the line'}
      </Box>
      <PartChoice
        sections={sections}
        chosen={parts}
        onChange={onParts}
        nobody="left out"
        label={`Who sings ${called}`}
      />
      <Box w="110px">
        {name(line.range[0])} to {name(line.range[1])}
      </Box>
      <Box flex="1 1 200px" color="inkSoft" minW={0} truncate>
        {line.firstWords ? `“${line.firstWords} …”` : 'no words'} from bar {line.firstBar}
      </Box>
      <Flex as="label" gap="5px" align="center">
        <input
          type="checkbox"
          checked={lower}
          aria-label={`${called} sounds an octave lower`}
          onChange={(event) => onLower(event.currentTarget.checked)}
        />
        sounds an octave lower
      </Flex>
      {unsure && (
        <Box w="100%" color="sporeText" pl="84px" mt="-4px" pb="2px">
          {unsureWords[unsure]}
        </Box>
      )}
    </Flex>
  );
}
