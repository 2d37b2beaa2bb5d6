import type { SheetEntry, SheetText } from '@wide-fern/words';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { PdfFonts } from './faces';
import { writeSheetPdf, type Paper } from './sheet';

const { resolve } = createRequire(import.meta.url);
const file = (name: string) => new Uint8Array(readFileSync(resolve(name)));
const face = (name: string) => file(`@fontsource/${name}-normal.woff`);
const fonts: PdfFonts = {
  text: [face('source-sans-3/files/source-sans-3-latin-400')],
  strong: [face('source-sans-3/files/source-sans-3-latin-700')],
  heading: [face('fraunces/files/fraunces-latin-500')],
  signs: [
    face('noto-music/files/noto-music-music-400'),
    face('noto-sans-symbols/files/noto-sans-symbols-symbols-400'),
  ],
  music: file('@vexflow-fonts/bravura/bravura.otf'),
};

const entry = (id: string, more: Partial<SheetEntry> = {}): SheetEntry => ({
  ...{ id, clock: '19:30', length: '1:20', name: `Steps ${id}`, beside: '1–5' },
  ...{ first: [[{ text: 'Taller, not louder.', strong: true as const }]], lines: [] },
  ...more,
});
const sheet = (entries: readonly SheetEntry[]): SheetText => ({
  ...{ title: 'Tue 1 Dec', under: 'Quarry Lane Singers', entries },
  foot: [[{ text: 'Nothing here should hurt.' }]],
});

/** The text of each page, and the fonts that are in the file. */
async function read(bytes: Uint8Array) {
  const document = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  const pages = [];
  for (let page = 1; page <= document.numPages; page += 1) {
    const one = await document.getPage(page);
    const { items } = await one.getTextContent();
    const [, , width, height] = one.view;
    const text = items.map((item) => ('str' in item ? item.str : '')).join('');
    pages.push({ text, width: width!, height: height! });
  }
  return pages;
}
const write = (of: SheetText, paper: Paper = 'a4', engraved = new Map()) =>
  writeSheetPdf(of, engraved, paper, fonts);

describe('a sheet as PDF', () => {
  it('holds its text as text, on the paper that was chosen', async () => {
    const a4 = await read(await write(sheet([entry('one')])));
    expect(a4).toHaveLength(1);
    for (const words of ['Tue 1 Dec', '19:30', 'Steps one', 'Taller, not louder.', 'hurt.']) {
      expect(a4[0]!.text.replaceAll(' ', '')).toContain(words.replaceAll(' ', ''));
    }
    expect(a4[0]!.height).toBeCloseTo(841.89, 1);
    const [letter] = await read(await write(sheet([entry('one')]), 'letter'));
    expect([letter!.width, letter!.height]).toEqual([612, 792]);
  });

  it('has its fonts within, also those of single signs', async () => {
    const bytes = await write(sheet([entry('one', { lines: [[{ text: 'From D♭ → F♯' }]] })]));
    const text = Buffer.from(bytes).toString('latin1');
    // Each embedded font is a stream of its own, and none of the reader’s own is asked for.
    expect(text.match(/\/FontFile[23]/g)!.length).toBeGreaterThanOrEqual(5);
    expect(text).not.toMatch(/\/Subtype \/Type1\b/);
    expect((await read(bytes))[0]!.text).toContain('♭');
  });

  it('draws notes in the music face', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="100" height="40">' +
      '<text x="10" y="20" font-family="Bravura" font-size="30pt">\uE050</text></svg>';
    const notes = new Map([['one', { svg, width: 100, height: 40 }]]);
    const plain = (await read(await write(sheet([entry('one')]))))[0]!.text;
    const [drawn] = await read(await write(sheet([entry('one')]), 'a4', notes));
    expect(plain).not.toContain('\uE050');
    expect(drawn!.text).toContain('\uE050');
  });

  it('breaks a table that is wider than the page, and keeps every key', async () => {
    const head = Array.from({ length: 24 }, (_, i) => `K${i}`);
    const cells = head.map((_, i) => `n${i}`);
    const wide = entry('one', { table: { head, rows: [{ name: 'S', cells }] } });
    const [page] = await read(await write(sheet([wide])));
    for (const name of [...head, ...cells]) expect(page!.text).toContain(name);
    expect(page!.text.match(/Key/g)).toHaveLength(2);
  });

  it('goes on to further pages, numbers them, and parts no entry that fits on one', async () => {
    const lines = Array.from({ length: 12 }, (_, i) => [{ text: `Line ${i}.` }]);
    const many = Array.from({ length: 12 }, (_, i) => entry(`nr${i}`, { lines }));
    const pages = await read(await write(sheet(many)));
    expect(pages.length).toBeGreaterThan(1);
    pages.forEach(({ text }, i) => {
      expect(text).toContain(`${i + 1} of ${pages.length}`);
      expect(text.match(/Steps nr/g)!.length).toBe(text.match(/Line 11\./g)!.length);
    });
  });

  it('is as large as its pages allow, and takes no page more for that', async () => {
    const heightOf = async (entries: number) => {
      const of = sheet(Array.from({ length: entries }, (_, i) => entry(`nr${i}`)));
      const document = await getDocument({ data: await write(of), verbosity: 0 }).promise;
      const { items } = await (await document.getPage(1)).getTextContent();
      const name = items.find((item) => 'str' in item && item.str.startsWith('Steps'));
      return { size: (name as { height: number }).height, pages: document.numPages };
    };
    const [few, more, many] = [await heightOf(3), await heightOf(18), await heightOf(40)];
    expect(few.pages).toBe(1);
    expect(few.size).toBeCloseTo(14 * 1.15);
    expect(more.pages).toBe(1);
    expect(more.size).toBeLessThan(few.size);
    expect(many.pages).toBeGreaterThan(1);
  });

  it('has a page for what is longer than a page, and no empty one', async () => {
    const lines = Array.from({ length: 120 }, (_, i) => [{ text: `Line ${i}.` }]);
    const pages = await read(await write(sheet([entry('one', { lines })])));
    const all = pages.map(({ text }) => text).join('');
    for (let i = 0; i < 120; i += 1) expect(all).toContain(`Line ${i}.`);
    for (const { text } of pages) expect(text).toMatch(/Line \d/);
  });
});
