import { create, type Font } from 'fontkit';
import type PDFDocument from 'pdfkit';

/** The weights of a sheet. */
export type Face = 'text' | 'strong' | 'heading';

/**
 * The fonts of a sheet, as files (WOFF, OpenType): of each face those that hold its letters, the usual ones
 * first; then those of single signs, that of the flat first, and the music face.
 */
export type PdfFonts = Readonly<Record<Face | 'signs', readonly Uint8Array[]>> & {
  readonly music: Uint8Array;
};

/** Letters that stand in one font. */
export interface Piece {
  readonly text: string;
  readonly font: string;
}

const musicName = 'music';
const nameOf = (family: Face | 'signs', i: number): string => `${family}-${i}`;
/** The first of the single signs. */
const flatName = nameOf('signs', 0);

/** The fonts of one document: put into it once, and found by letter. */
export class Faces {
  private readonly held = new Map<string, (codePoint: number) => boolean>();

  constructor(
    document: InstanceType<typeof PDFDocument>,
    private readonly fonts: PdfFonts,
  ) {
    for (const family of ['text', 'strong', 'heading', 'signs'] as const) {
      fonts[family].forEach((bytes, i) => {
        document.registerFont(nameOf(family, i), bytes);
        const font = create(bytes as Buffer) as Font;
        this.held.set(nameOf(family, i), (codePoint) => font.hasGlyphForCodePoint(codePoint));
      });
    }
    document.registerFont(musicName, fonts.music);
  }

  /** A text in pieces of one font each; a letter that no font has stands in the first. */
  pieces(text: string, face: Face): Piece[] {
    const found: { text: string; font: string }[] = [];
    for (const letter of text) {
      const font = this.fontOf(letter.codePointAt(0)!, face);
      const last = found.at(-1);
      if (last?.font === font) last.text += letter;
      else found.push({ text: letter, font });
    }
    return found;
  }

  /** By how much a font is set larger than the text around it: the flat is small in its own. */
  readonly enlarged = (font: string): number => (font === flatName ? 1.22 : 1);

  /** The font of a drawing's text: notes in the music face, all else in the text’s. */
  readonly inDrawing = (family: string, bold: boolean): string =>
    /Bravura/.test(family) ? musicName : nameOf(bold ? 'strong' : 'text', 0);

  private fontOf(codePoint: number, face: Face): string {
    const names = [
      ...this.fonts[face].map((_, i) => nameOf(face, i)),
      ...this.fonts.signs.map((_, i) => nameOf('signs', i)),
      ...this.fonts.text.map((_, i) => nameOf('text', i)),
    ];
    return names.find((name) => this.held.get(name)!(codePoint)) ?? names[0]!;
  }
}
