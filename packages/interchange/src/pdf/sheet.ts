import type { Line, SheetEntry, SheetTable, SheetText } from '@wide-fern/words';
import PDFDocument from 'pdfkit';
import drawSvg from 'svg-to-pdfkit';
import { bytesOf } from './bytes';
import { Faces, type Face, type PdfFonts, type Piece } from './faces';
import { brokenIntoLines } from './lines';

export type Paper = 'a4' | 'letter';

/** Notes as they were engraved: a drawing in SVG, and its size in px. */
export interface Engraved {
  readonly svg: string;
  readonly width: number;
  readonly height: number;
}

/** How wide notes may be engraved (px) to fit any paper at any size. */
export const engravedWidth = 540;

/** Something that is not parted: how high it is (pt), and how it is drawn with its top at a height. */
interface Block {
  readonly height: number;
  readonly draw: (top: number) => void;
}

/** Measures in points, at the usual size. */
const margin = 40;
const whenWidth = 51;
const text = 10.5;
const leading = 1.25;
const small = 9;
const gap = 4;
/** A pixel in points. */
const px = 0.75;
/** Never so small that it cannot be read from a stand. */
const sizes = [1.15, 1.08, 1, 0.93, 0.86] as const;

/** The paper of one document at one size: puts text, notes and tables where they belong. */
class Page {
  private readonly document: InstanceType<typeof PDFDocument>;
  private readonly faces: Faces;
  private top = margin;
  private pages = 1;
  /** How large everything is, of the usual size. */
  private size = 1;
  /** Whether it is only tried how much room is needed. */
  private isTrial = true;

  constructor(
    private readonly sheet: SheetText,
    private readonly engraved: ReadonlyMap<string, Engraved>,
    paper: Paper,
    fonts: PdfFonts,
  ) {
    this.document = new PDFDocument({
      size: paper === 'a4' ? 'A4' : 'LETTER',
      margin: 0,
      // None of the reader’s own: every font is within.
      font: null as never,
      bufferPages: true,
      lang: 'en',
      info: {
        Title: `${sheet.title}, ${sheet.under}`,
        Producer: 'Wide Fern',
        Creator: 'Wide Fern',
      },
    });
    this.faces = new Faces(this.document, fonts);
  }

  /** How many pages are needed at a size. */
  pagesAt(size: number): number {
    this.size = size;
    this.isTrial = true;
    this.write();
    return this.pages;
  }

  /** The file at a size, with the number of each page where there are several. */
  async bytes(size: number): Promise<Uint8Array> {
    this.size = size;
    this.isTrial = false;
    this.write();
    const { pages } = this;
    for (let page = 0; pages > 1 && page < pages; page += 1) {
      this.document.switchToPage(page);
      const [line] = this.lines([{ text: `${page + 1} of ${pages}` }], small, this.width);
      line!.draw(this.document.page.height - margin / 2 - small);
    }
    return bytesOf(this.document);
  }

  private get width(): number {
    return this.document.page.width - 2 * margin;
  }

  private write(): void {
    const { sheet } = this;
    this.top = margin;
    this.pages = 1;
    this.place([
      ...this.text([{ text: sheet.title }], 20 * this.size, 'heading'),
      ...this.text([{ text: sheet.under }], text * this.size),
      this.space(gap),
    ]);
    for (const entry of sheet.entries) this.place(this.entry(entry));
    this.place([
      this.rule(),
      ...sheet.foot.flatMap((line) => this.lines(line, small * this.size, this.width)),
    ]);
  }

  /** Puts blocks below one another, on a new page where they do not fit; parted only where a page is too short. */
  private place(blocks: readonly Block[]): void {
    const bottom = this.document.page.height - margin;
    const whole = blocks.reduce((sum, { height }) => sum + height, 0);
    if (this.top + whole > bottom && this.top > margin && whole <= bottom - margin) this.turn();
    for (const { height, draw } of blocks) {
      if (this.top + height > bottom && this.top > margin) this.turn();
      if (!this.isTrial) draw(this.top);
      this.top += height;
    }
  }

  private turn(): void {
    if (!this.isTrial) this.document.addPage();
    this.pages += 1;
    this.top = margin;
  }

  private entry(entry: SheetEntry): Block[] {
    const size = text * this.size;
    const left = whenWidth * this.size;
    const wide = this.width - left;
    const beside = (line: Line, at = size) => this.lines(line, at, wide, left);
    const [name, ...rest] = this.text(
      [{ text: entry.name }],
      14 * this.size,
      'heading',
      wide,
      left,
      entry.beside,
    );
    const [clock] = this.lines([{ text: entry.clock, strong: true }], 12 * this.size, left);
    const [length] = this.lines([{ text: entry.length }], size, left);
    const notes = this.engraved.get(entry.id);
    const body = [
      ...rest,
      ...entry.first.flatMap((line) => beside(line)),
      ...this.notesAndKeys(notes, entry.table, left, size),
      ...entry.lines.flatMap((line) => beside(line)),
    ];
    const head: Block = {
      height: name!.height,
      draw: (top) => {
        clock!.draw(top + 2);
        name!.draw(top);
        length!.draw(top + clock!.height + 1);
      },
    };
    // The length beside it needs two lines even where nothing else is said.
    const least = clock!.height + length!.height;
    const high = head.height + body.reduce((sum, { height }) => sum + height, 0);
    return [this.rule(), head, ...body, this.space(Math.max(gap, least - high + gap))];
  }

  /** Notes and the keys below them; beside them where both have room. */
  private notesAndKeys(
    notes: Engraved | undefined,
    table: SheetTable | undefined,
    left: number,
    size: number,
  ): Block[] {
    const drawing = notes && this.drawing(notes, left);
    if (!drawing || !table) {
      return [...(drawing ? [drawing] : []), ...(table ? this.table(table, left, size) : [])];
    }
    const beside = left + notes.width * px * this.size + 3 * gap;
    if (beside + this.cells.first + table.head.length * this.cells.cell > this.width) {
      return [drawing, ...this.table(table, left, size)];
    }
    const rows = this.table(table, beside, size);
    const high = rows.reduce((sum, { height }) => sum + height, 0);
    const height = Math.max(drawing.height, high);
    const draw = (top: number) => {
      drawing.draw(top + (height - drawing.height) / 2);
      let at = top + (height - high) / 2;
      for (const row of rows) {
        row.draw(at);
        at += row.height;
      }
    };
    return [{ height, draw }];
  }

  /** How wide the columns of a table are. */
  private get cells() {
    return { first: 26 * this.size, cell: 29 * this.size };
  }

  private space(height: number): Block {
    return { height, draw: () => undefined };
  }

  private rule(): Block {
    const draw = (top: number) => {
      this.document
        .moveTo(margin, top)
        .lineTo(margin + this.width, top)
        .lineWidth(0.5)
        .stroke('#000');
    };
    return { height: gap, draw };
  }

  private drawing({ svg, width, height }: Engraved, left: number): Block {
    const scale = px * this.size;
    const draw = (top: number) => {
      this.document.save();
      this.document.translate(margin + left, top).scale(scale);
      drawSvg(this.document, svg, 0, 0, {
        width,
        height,
        assumePt: true,
        fontCallback: (family: string, bold: boolean) => this.faces.inDrawing(family, bold),
      });
      this.document.restore();
    };
    return { height: height * scale, draw };
  }

  /** A line of runs in the text's face, broken where it has to be. */
  private lines(line: Line, size: number, width: number, left = 0): Block[] {
    const pieces = line.flatMap((run) =>
      this.faces.pieces(run.text, run.strong ? 'strong' : 'text'),
    );
    return this.blocks(pieces, size, width, left);
  }

  /** A text in one face, with something small behind it on its first line where there is room. */
  private text(
    line: Line,
    size: number,
    face: Face = 'text',
    width = this.width,
    left = 0,
    beside = '',
  ): Block[] {
    const pieces = line.flatMap((run) => this.faces.pieces(run.text, face));
    const blocks = this.blocks(pieces, size, width, left);
    if (beside === '') return blocks;
    const all = pieces.reduce(
      (sum, { text: words, font }) => sum + this.widthOf(words, font, size),
      0,
    );
    const after = all + size / 2;
    const room = width - after;
    const behind = this.lines([{ text: beside }], text * this.size, room, left + after);
    if (room < 40 || behind.length > 1 || blocks.length > 1) {
      return [...blocks, ...this.lines([{ text: beside }], text * this.size, width, left)];
    }
    const [first, ...others] = blocks;
    const draw = (top: number) => {
      first!.draw(top);
      behind[0]!.draw(top + (size - text * this.size) * 0.95);
    };
    return [{ height: first!.height, draw }, ...others];
  }

  private blocks(pieces: readonly Piece[], size: number, width: number, left: number): Block[] {
    const widthOf = (words: string, font: string) => this.widthOf(words, font, size);
    return brokenIntoLines(pieces, width, widthOf).map((placed) => ({
      height: size * leading,
      draw: (top) => {
        for (const { text: words, font, x } of placed) {
          this.document
            .font(font)
            .fontSize(size * this.faces.enlarged(font))
            .fillColor('#000')
            .text(words, margin + left + x, top + size * 0.95, {
              lineBreak: false,
              baseline: 'alphabetic',
            });
        }
      },
    }));
  }

  /** Rows of short cells; where the keys are too many for the width, the rest stands below. */
  private table({ head, rows }: SheetTable, left: number, size: number): Block[] {
    const { first, cell } = this.cells;
    const aRow = Math.max(1, Math.floor((this.width - left - first) / cell));
    const blocks: Block[] = [];
    for (let from = 0; from < head.length; from += aRow) {
      const row = (name: string, cells: readonly string[], strong: boolean): Block => {
        const run = (words: string) => (strong ? { text: words, strong } : { text: words });
        const placed = [
          ...this.lines([{ text: name, strong: true }], size, first, left),
          ...cells
            .slice(from, from + aRow)
            .flatMap((words, i) => this.lines([run(words)], size, cell, left + first + i * cell)),
        ];
        return {
          height: size * leading,
          draw: (top) => placed.forEach((block) => block.draw(top)),
        };
      };
      blocks.push(
        row('Key', head, true),
        ...rows.map(({ name, cells }) => row(name, cells, false)),
      );
    }
    return blocks;
  }

  private widthOf(words: string, font: string, size: number): number {
    return this.document
      .font(font)
      .fontSize(size * this.faces.enlarged(font))
      .widthOfString(words);
  }
}

/**
 * A sheet as PDF: A4 or Letter, its fonts within, its text as text. It takes as few pages as can be read from
 * a stand, and is as large as they allow.
 * @param engraved the notes of each entry, by its id, at most `engravedWidth` wide
 */
export async function writeSheetPdf(
  sheet: SheetText,
  engraved: ReadonlyMap<string, Engraved>,
  paper: Paper,
  fonts: PdfFonts,
): Promise<Uint8Array> {
  const page = new Page(sheet, engraved, paper, fonts);
  const fewest = page.pagesAt(sizes.at(-1)!);
  const size = sizes.find((one) => page.pagesAt(one) === fewest)!;
  return page.bytes(size);
}
