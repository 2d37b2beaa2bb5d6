/** Sheets as PDF; apart from the other files, for what it needs is large. */
export { engravedWidth, writeSheetPdf, type Engraved, type Paper } from './sheet';
export type { PdfFonts } from './faces';
