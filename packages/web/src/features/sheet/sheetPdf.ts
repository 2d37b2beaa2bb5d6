import type { NoteWriting } from '@wide-fern/core';
import {
  engravedWidth,
  writeSheetPdf,
  type Engraved,
  type Paper,
} from '@wide-fern/interchange/pdf';
import type { SheetNotes, SheetText } from '@wide-fern/words';
import { engrave } from '../../music/notation/engrave';
import { loadMusicFont } from '../../music/notation/fonts';
import { engraveOpenings } from '../../music/notation/openings';
import { fontsFor } from './pdfFonts';

/** What is left free around a drawing (px). */
const edge = 2;

/** What is really drawn (x, y, width, height): the box of a music glyph is many times as high as the glyph. */
function inkBox(drawn: SVGSVGElement): number[] {
  const pen = document.createElement('canvas').getContext('2d')!;
  const boxes = [...drawn.querySelectorAll<SVGGraphicsElement>('path, rect, text')].map((one) => {
    const { x, y, width, height } = one.getBBox();
    const { fontFamily, fontSize } = getComputedStyle(one);
    if (one.tagName !== 'text' || !fontFamily.includes('Bravura')) {
      return [x, y, x + width, y + height] as const;
    }
    pen.font = `${fontSize} Bravura`;
    const ink = pen.measureText(one.textContent ?? '');
    const line = Number(one.getAttribute('y'));
    return [
      x,
      line - ink.actualBoundingBoxAscent,
      x + width,
      line + ink.actualBoundingBoxDescent,
    ] as const;
  });
  const left = Math.min(...boxes.map(([x]) => x)) - edge;
  const top = Math.min(...boxes.map(([, y]) => y)) - edge;
  const right = Math.max(...boxes.map(([, , x]) => x)) + edge;
  const bottom = Math.max(...boxes.map(([, , , y]) => y)) + edge;
  return [left, top, right - left, bottom - top];
}

/** Notes as a drawing of their own, in black. */
function engraved(frame: HTMLDivElement, notes: SheetNotes, writing: NoteWriting): Engraved {
  if (notes.kind === 'score') {
    const names = notes.score.parts.map(({ id }) => id);
    const { score } = notes;
    engrave(frame, { score, keyIndex: 0, writing, width: engravedWidth, names });
  } else {
    engraveOpenings(frame, notes, writing, engravedWidth);
  }
  const drawn = frame.querySelector('svg')!;
  // Paper is dear: only as much as is drawn.
  const box = inkBox(drawn);
  drawn.setAttribute('viewBox', box.join(' '));
  drawn.setAttribute('width', String(box[2]));
  drawn.setAttribute('height', String(box[3]));
  const svg = new XMLSerializer().serializeToString(drawn).replaceAll('currentColor', '#000');
  return { svg, width: box[2]!, height: box[3]! };
}

/** A sheet as a PDF, made here: nothing is asked of the browser's printing. */
export async function sheetPdf(
  sheet: SheetText,
  paper: Paper,
  writing: NoteWriting,
): Promise<Uint8Array> {
  const fonts = fontsFor(JSON.stringify(sheet));
  await loadMusicFont();
  // Words are measured where they are drawn, so the drawing stands in the page, out of sight.
  const frame = document.createElement('div');
  frame.setAttribute('aria-hidden', 'true');
  frame.style.cssText = `position: absolute; left: -9999px; width: ${engravedWidth}px`;
  document.body.append(frame);
  try {
    const drawings = new Map(
      sheet.entries.flatMap(({ id, notes }) =>
        notes ? [[id, engraved(frame, notes, writing)] as const] : [],
      ),
    );
    return await writeSheetPdf(sheet, drawings, paper, await fonts);
  } finally {
    frame.remove();
  }
}
