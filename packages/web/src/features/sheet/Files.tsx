import { Box, Flex } from '@chakra-ui/react';
import type { Evening, PlanDocument } from '@wide-fern/contract';
import type { Paper } from '@wide-fern/interchange/pdf';
import { choirScore, programme } from '@wide-fern/core';
import { evaluate, itemTime, writePlanFile } from '@wide-fern/plan';
import { dayInWords, type SheetText } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../here/session';
import { saveFile } from '../../ui/saveFile';
import { Label, WordButton } from '../../ui/words';

type Wanted = 'pdf' | 'musicxml' | 'mxl' | 'midi' | 'json';

/** What is handed on as a file: this sheet, or the whole warm-up in an open format. */
export function Files({
  evening,
  item,
  document,
  sheet,
  paper,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  readonly sheet: SheetText;
  readonly paper: Paper;
}) {
  const { choir } = useHere();
  const [failed, setFailed] = useState(false);
  const [said, setSaid] = useState('');
  const write = async (wanted: Wanted) => {
    setFailed(false);
    setSaid('');
    const title = `Warm-up, ${dayInWords(evening.startsAt, choir.timeZone)}`;
    const name = `warm-up-${evening.startsAt.slice(0, 10)}`;
    try {
      if (wanted === 'pdf') {
        const { sheetPdf } = await import('./sheetPdf');
        const bytes = await sheetPdf(sheet, paper, choir.writing);
        saveFile(`${name}.pdf`, 'application/pdf', new Uint8Array(bytes));
        return;
      }
      if (wanted === 'json') {
        saveFile(`${name}.json`, 'application/json', writePlanFile(title, document));
        return;
      }
      const files = await import('@wide-fern/interchange');
      const { sections } = document.tonight;
      const { segments } = evaluate(document, itemTime(evening, item).allotted);
      const sung = segments.flatMap(({ segment: { exercise, choices }, computed }) => {
        const score = choirScore(exercise, choices.tempo, sections, computed.repetitions);
        return score && score.keys.length > 0 ? [{ exercise, choices, computed, score }] : [];
      });
      if (sung.length === 0) {
        setSaid('Nothing in this warm-up is sung in keys, so there is no music to write.');
        return;
      }
      if (wanted === 'midi') {
        const heard = sung.map(({ exercise, choices, computed, score }) => ({
          name: exercise.name,
          from: computed.placed.from + choices.talk,
          heard: programme({ ...exercise, score, verses: choices.verses }),
        }));
        const parts = sections.map(({ id, many }) => ({ id, name: many }));
        const bytes = files.writeWarmUpMidi(title, parts, heard);
        saveFile(`${name}.mid`, 'audio/midi', new Uint8Array(bytes));
        return;
      }
      const scores = sung.map(({ score }) => score);
      const xml = files.writeScoreXml(files.warmUpScore(title, scores, choir.accidentals));
      if (wanted === 'musicxml') {
        saveFile(`${name}.musicxml`, 'application/vnd.recordare.musicxml+xml', xml);
      } else {
        const type = 'application/vnd.recordare.musicxml';
        saveFile(`${name}.mxl`, type, new Uint8Array(files.compress(xml)));
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
    <Box fontSize="13px">
      <Flex gap="0 14px" wrap="wrap" align="center" role="group" aria-label="As a file">
        <Label as="span" fontSize="12px">
          This sheet as a file
        </Label>
        {word('pdf', 'PDF')}
        <Label as="span" fontSize="12px">
          The whole warm-up
        </Label>
        {word('musicxml', 'MusicXML')}
        {word('mxl', 'compressed MusicXML')}
        {word('midi', 'MIDI')}
        {word('json', 'all that is planned (JSON)')}
      </Flex>
      <Box role="status">{said}</Box>
      {failed && (
        <Box role="alert" color="brick">
          The file could not be written. Load the page again; nothing is lost.
        </Box>
      )}
    </Box>
  );
}
