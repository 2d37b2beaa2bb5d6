import type { MappedScore } from '@wide-fern/contract';
import { guessParts } from '@wide-fern/core';
import { readScore } from '@wide-fern/interchange';

const note = (step: string, octave: number, alter = 0): string =>
  `<note><pitch><step>${step}</step>${alter ? `<alter>${alter}</alter>` : ''}<octave>${octave}</octave></pitch><duration>2</duration></note>`;
const rest = (duration = 4): string => `<note><rest/><duration>${duration}</duration></note>`;
const bar = (number: number, inside: string): string =>
  `<measure number="${number}"${number === 0 ? ' implicit="yes"' : ''}>${
    number === 0
      ? '<attributes><divisions>2</divisions><key><fifths>0</fifths></key><time><beats>2</beats><beat-type>4</beat-type></time></attributes><sound tempo="60"/>'
      : ''
  }${inside}</measure>`;

/** A score of three bars, the first of them not counted: sopranos silent in the last, basses in the first. */
export const slateScore: Buffer = Buffer.from(`<?xml version="1.0"?>
<score-partwise version="4.0"><part-list>
<score-part id="P1"><part-name>Soprano</part-name></score-part>
<score-part id="P2"><part-name>Bass</part-name></score-part></part-list>
<part id="P1">${bar(0, note('C', 4) + note('D', 4))}${bar(1, note('D', 4) + note('F', 5))}${bar(2, rest())}</part>
<part id="P2">${bar(0, rest())}${bar(1, note('G', 2) + note('D', 3))}${bar(2, note('C', 3) + note('C', 4))}</part>
</score-partwise>`);

/** Who sings which line of it. */
export const slateMapping: MappedScore['mapping'] = guessParts(readScore(slateScore)).map(
  ({ line, parts, octaveLower }) => ({ line: line.id, parts: [...parts], octaveLower }),
);
