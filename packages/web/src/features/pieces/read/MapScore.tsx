import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import {
  type Section,
  noteName,
  readings,
  type FoundLine,
  type FoundScore,
  type Reading,
} from '@wide-fern/core';
import { lengthInFigures } from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { PlainSelect } from '../../../ui/PlainSelect';
import { Label, Name } from '../../../ui/words';
import { PartChoice } from '../panel/PartChoice';
import { bodyOf, keepFile, storePiece } from '../model/changes';
import type { Asks } from '../score/messages';
import { ScoreRefused, type ScoreWorker } from '../score/scoreWorker';
import { useAsked } from '../score/useAsked';
import {
  guessedMapping,
  keptMapping,
  linesAsked,
  mappingOf,
  readingWords,
  withParts,
  type MappingDraft,
} from './mappingModel';
import { WarningList } from './WarningList';

/** What was found in a score, and who sings which line: guessed, and put right by the director. */
export function MapScore({
  name,
  file,
  found,
  worker,
  sections,
  piece,
}: {
  readonly name: string;
  readonly file: File | undefined;
  readonly found: FoundScore;
  readonly worker: ScoreWorker;
  readonly sections: readonly Section[];
  readonly piece: Piece | undefined;
}) {
  const { choir } = useHere();
  const navigate = useNavigate();
  const [draft, setDraft] = useState<MappingDraft>(() => {
    const kept = file ? undefined : piece?.piece.score?.mapping;
    return (kept && keptMapping(found, kept)) ?? guessedMapping(found, sections);
  });
  const fileTitle = name.replace(/\.[^.]+$/, '').replace(/[-_]+/g, ' ');
  const [title, setTitle] = useState(piece?.piece.title ?? (found.title || fileTitle));
  const [composer, setComposer] = useState(piece?.piece.composer || found.composer);
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const mapping = useMemo(() => mappingOf(found, draft), [found, draft]);
  const asked = useMemo(
    (): Asks['reading']['asked'] => ({ mapping, parts: sections.map(({ id }) => id) }),
    [mapping, sections],
  );
  const { answer: reading } = useAsked(worker, 'reading', asked);
  const nobody = sections.filter(({ id }) => mapping.every(({ parts }) => !parts.includes(id)));
  const sungBy = sections.length - nobody.length;
  const store = async () => {
    setTrouble(undefined);
    if (title.trim() === '') {
      setTrouble('Write the title first.');
      return;
    }
    if (sungBy === 0) {
      setTrouble('Say at least for one line who sings it.');
      return;
    }
    setStoring(true);
    try {
      const kept = file ? await keepFile(choir.id, file) : undefined;
      const fileId = kept?.id ?? piece!.piece.score!.file;
      const body = {
        ...(piece
          ? bodyOf(piece)
          : { tempo: null, transpose: 0, notes: '', language: found.language.slice(0, 60) }),
        title: title.trim().slice(0, 120),
        composer: composer.trim().slice(0, 120),
        // The server reads them in the file.
        ranges: {},
        score: { file: fileId, mapping },
      };
      const stored = await storePiece(choir.id, body, piece);
      await navigate(`/pieces/${stored.id}`);
    } catch (error) {
      setTrouble(error instanceof ScoreRefused ? error.message : messageOf(error));
      setStoring(false);
    }
  };
  const { readings: chosen, parts, octaveLower } = draft;
  return (
    <Box>
      <Name as="h2" fontSize="18px" mb="4px">
        Found in {name}: {found.staves.length} {found.staves.length === 1 ? 'staff' : 'staves'},{' '}
        {found.bars} bars, {lengthInFigures(found.seconds)}
      </Name>
      <Label mb="10px">
        Say who sings each line; a letter pressed is a part that sings it. A line that nobody sings
        is left out.
      </Label>
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
                    setDraft({ ...draft, readings: { ...chosen, [staff.id]: one as Reading } })
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
                  onParts={(next) => setDraft(withParts(draft, line.id, next, sections))}
                  onLower={(next) =>
                    setDraft({ ...draft, octaveLower: { ...octaveLower, [line.id]: next } })
                  }
                />
              ))}
            </Box>
          );
        })}
      </Box>
      <Box borderTopWidth="1px" pt="8px" mb="8px" role="status" fontSize="13px">
        {reading &&
          sections
            .flatMap(({ id, many }) => {
              const range = reading.ranges[id];
              return range
                ? [
                    `${many} ${noteName(range[0], choir.accidentals)} to ${noteName(range[1], choir.accidentals)}`,
                  ]
                : [];
            })
            .join(' · ')}
        {nobody.length > 0 &&
          ` · nobody is asked to sing the ${nobody.map(({ many }) => many).join(' and ')}’ part`}
      </Box>
      <WarningList warnings={found.warnings} />
      <Flex gap="12px" maxW="640px" mt="10px">
        <FormField
          label="Title"
          value={title}
          maxLength={120}
          onChange={(event) => setTitle(event.currentTarget.value)}
        />
        <FormField
          label="Composer"
          value={composer}
          maxLength={120}
          onChange={(event) => setComposer(event.currentTarget.value)}
        />
      </Flex>
      {trouble && (
        <Box role="alert" color="brick" fontSize="13px" mt="6px">
          {trouble} What you chose is still here.
        </Box>
      )}
      <Flex gap="16px" align="center" mt="12px">
        <MainButton disabled={storing} onClick={() => void store()}>
          {piece ? 'Keep this score' : 'Keep the piece'}
        </MainButton>
        <Label as="span">
          {linesAsked(found, draft).length} lines, {sungBy} of {sections.length} parts
        </Label>
      </Flex>
    </Box>
  );
}

function LineRow({
  line,
  staff,
  sections,
  parts,
  lower,
  onParts,
  onLower,
}: {
  readonly line: FoundLine;
  readonly staff: string;
  readonly sections: readonly Section[];
  readonly parts: readonly string[];
  readonly lower: boolean;
  readonly onParts: (parts: readonly string[]) => void;
  readonly onLower: (lower: boolean) => void;
}) {
  const { choir } = useHere();
  const shift = lower ? 12 : 0;
  const name = (midi: number) => noteName(midi - shift, choir.accidentals);
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
    </Flex>
  );
}
