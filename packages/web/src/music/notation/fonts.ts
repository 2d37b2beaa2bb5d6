import bravura from '@vexflow-fonts/bravura/bravura.woff2?url';
import { VexFlow } from 'vexflow/core';

let loaded: Promise<void> | undefined;

/** Loads the music font once; glyphs are measured, so nothing is drawn before. */
export const loadMusicFont = (): Promise<void> =>
  (loaded ??= new FontFace('Bravura', `url(${bravura})`).load().then((face) => {
    document.fonts.add(face);
    VexFlow.setFonts('Bravura');
  }));

const fontAttributes = ['font-family', 'font-size', 'font-weight', 'font-style'];

/** Says the fonts of a drawing again as style: the page's reset beats attributes, and music would turn into boxes. */
export function pinFonts(svg: SVGElement): void {
  const parts = svg.querySelectorAll<SVGElement>(fontAttributes.map((name) => `[${name}]`).join());
  for (const part of [svg, ...parts]) {
    for (const name of fontAttributes) {
      const value = part.getAttribute(name);
      if (value !== null) part.style.setProperty(name, value);
    }
  }
}
