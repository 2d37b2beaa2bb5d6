import { Box, Flex } from '@chakra-ui/react';
import type { Paper } from '@wide-fern/interchange/pdf';
import { writePlanFile } from '@wide-fern/plan';
import { accidentalsOf } from '@wide-fern/core';
import { dayInWords, type SheetOf, type SheetText } from '@wide-fern/words';
import { useEffect, useRef, useState } from 'react';
import { saveFile } from '../../ui/saveFile';
import { Label, WordButton } from '../../ui/words';
import { sungSegments } from './heard';

type Wanted = 'pdf' | 'musicxml' | 'mxl' | 'midi' | 'wav' | 'json';

const nothingSung = 'Nothing in this warm-up is sung in keys, so there is no music to write.';

/** What is handed on as a file: this sheet, or the whole warm-up in an open format. */
export function Files({
  of,
  sheet,
  paper,
  part,
}: {
  readonly of: SheetOf;
  readonly sheet: SheetText;
  readonly paper: Paper;
  /** Whose sheet it is, if one part's: it is heard above the others. */
  readonly part?: string | undefined;
}) {
  const { document, allotted, writing } = of;
  const [failed, setFailed] = useState(false);
  const [said, setSaid] = useState('');
  const making = useRef<AbortController>(undefined);
  const [isMaking, setIsMaking] = useState(false);
  useEffect(() => () => making.current?.abort(), []);
  const title = `Warm-up, ${dayInWords(of.start, of.timeZone)}`;
  const name = `warm-up-${new Date(of.start).toISOString().slice(0, 10)}`;
  const { sections } = document.tonight;

  const writeMusic = async (wanted: 'musicxml' | 'mxl' | 'midi') => {
    const sung = sungSegments(document, allotted);
    if (sung.length === 0) {
      setSaid(nothingSung);
      return;
    }
    const files = await import('@wide-fern/interchange');
    if (wanted === 'midi') {
      const parts = sections.map(({ id, many }) => ({ id, name: many }));
      saveFile(
        `${name}.mid`,
        'audio/midi',
        new Uint8Array(files.writeWarmUpMidi(title, parts, sung)),
      );
      return;
    }
    const scores = sung.map(({ score }) => score);
    const xml = files.writeScoreXml(files.warmUpScore(title, scores, accidentalsOf(writing)));
    if (wanted === 'musicxml') {
      saveFile(`${name}.musicxml`, 'application/vnd.recordare.musicxml+xml', xml);
    } else {
      const type = 'application/vnd.recordare.musicxml';
      saveFile(`${name}.mxl`, type, new Uint8Array(files.compress(xml)));
    }
  };

  /** What is sung, with its chords and count-ins, as a sound; it takes a while and can be stopped. */
  const writeTrack = async () => {
    const sung = sungSegments(document, allotted);
    if (sung.length === 0) {
      setSaid(nothingSung);
      return;
    }
    const stop = new AbortController();
    making.current = stop;
    setIsMaking(true);
    const tell = (done: number) => setSaid(`Sounding, ${done} of ${sung.length} done.`);
    tell(0);
    try {
      const { renderTrack } = await import('../../music/hearing/player');
      const programmes = sung.map(({ heard }) => heard);
      const track = await renderTrack(programmes, part ?? null, tell, stop.signal);
      saveFile(`${name}${part ? `-${part}` : ''}.wav`, 'audio/wav', track);
      setSaid('');
    } catch (error) {
      if (!stop.signal.aborted) throw error;
      setSaid('Stopped.');
    } finally {
      setIsMaking(false);
    }
  };

  const write = async (wanted: Wanted) => {
    setFailed(false);
    setSaid('');
    try {
      if (wanted === 'pdf') {
        const { sheetPdf } = await import('./sheetPdf');
        const bytes = await sheetPdf(sheet, paper, writing);
        saveFile(`${name}.pdf`, 'application/pdf', new Uint8Array(bytes));
      } else if (wanted === 'json') {
        saveFile(`${name}.json`, 'application/json', writePlanFile(title, document));
      } else if (wanted === 'wav') {
        await writeTrack();
      } else {
        await writeMusic(wanted);
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
  const loud = sections.find(({ id }) => id === part)?.many;
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
        {!isMaking &&
          word(
            'wav',
            loud ? `sound to practise with, ${loud} louder (WAV)` : 'sound to practise with (WAV)',
          )}
        {isMaking && (
          <WordButton fontSize="13px" onClick={() => making.current?.abort()}>
            stop sounding
          </WordButton>
        )}
        {word('musicxml', 'MusicXML')}
        {word('mxl', 'compressed MusicXML')}
        {word('midi', 'MIDI')}
        {word('json', 'all that is planned (JSON)')}
      </Flex>
      <Box role="status">{said}</Box>
      {failed && (
        <Box role="alert" color="brick">
          The file could not be written: what it needs could not be fetched. Try again when the
          server can be reached; nothing is lost.
        </Box>
      )}
    </Box>
  );
}
