import headingLatin from '@fontsource/fraunces/files/fraunces-latin-500-normal.woff?url';
import headingMore from '@fontsource/fraunces/files/fraunces-latin-ext-500-normal.woff?url';
import music from '@vexflow-fonts/bravura/bravura.otf?url';
import flat from '@fontsource/noto-music/files/noto-music-music-400-normal.woff?url';
import signs from '@fontsource/noto-sans-symbols/files/noto-sans-symbols-symbols-400-normal.woff?url';
import textCyrillic from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-400-normal.woff?url';
import strongCyrillic from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-700-normal.woff?url';
import textGreek from '@fontsource/source-sans-3/files/source-sans-3-greek-400-normal.woff?url';
import strongGreek from '@fontsource/source-sans-3/files/source-sans-3-greek-700-normal.woff?url';
import textLatin from '@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff?url';
import strongLatin from '@fontsource/source-sans-3/files/source-sans-3-latin-700-normal.woff?url';
import textMore from '@fontsource/source-sans-3/files/source-sans-3-latin-ext-400-normal.woff?url';
import strongMore from '@fontsource/source-sans-3/files/source-sans-3-latin-ext-700-normal.woff?url';
import textVietnamese from '@fontsource/source-sans-3/files/source-sans-3-vietnamese-400-normal.woff?url';
import strongVietnamese from '@fontsource/source-sans-3/files/source-sans-3-vietnamese-700-normal.woff?url';
import type { PdfFonts } from '@wide-fern/interchange/pdf';

async function fetched(url: string): Promise<Uint8Array> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`The font at ${url} could not be read.`);
  return new Uint8Array(await response.arrayBuffer());
}
const all = (urls: readonly string[]) => Promise.all(urls.map(fetched));

/** Letters beyond Latin, and the fonts that hold them. */
const further = [
  { letters: /[\u0400-\u04ff]/, text: textCyrillic, strong: strongCyrillic },
  { letters: /[\u0370-\u03ff]/, text: textGreek, strong: strongGreek },
  {
    letters: /[\u01a0\u01af\u1ea0-\u1ef9\u20ab]/,
    text: textVietnamese,
    strong: strongVietnamese,
  },
];

/** The fonts that a text is printed with; those of other alphabets only where they occur. */
export async function fontsFor(text: string): Promise<PdfFonts> {
  const needed = further.filter(({ letters }) => letters.test(text));
  const [texts, strongs, headings, single, [notes]] = await Promise.all([
    all([textLatin, textMore, ...needed.map((one) => one.text)]),
    all([strongLatin, strongMore, ...needed.map((one) => one.strong)]),
    all([headingLatin, headingMore]),
    all([flat, signs]),
    all([music]),
  ]);
  return { text: texts, strong: strongs, heading: headings, signs: single, music: notes! };
}
