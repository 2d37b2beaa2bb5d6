import { brokenIntoLines } from './lines';

/** Every letter is as wide as its font's name is long. */
const widthOf = (text: string, font: string) => [...text].length * font.length;
const words = (lines: ReturnType<typeof brokenIntoLines>) =>
  lines.map((line) => line.map(({ text }) => text).join(' '));

describe('text broken into lines', () => {
  it('fills a line with whole words, and goes on below', () => {
    const lines = brokenIntoLines([{ text: 'one two three four', font: 'a' }], 9, widthOf);
    expect(words(lines)).toEqual(['one two', 'three', 'four']);
    expect(lines[0]!.map(({ x }) => x)).toEqual([0, 4]);
  });

  it('keeps a word together whose letters stand in several fonts', () => {
    const pieces = [
      { text: 'in D', font: 'a' },
      { text: '♭', font: 'bb' },
      { text: ' major', font: 'a' },
    ];
    const lines = brokenIntoLines(pieces, 6, widthOf);
    expect(lines.map((line) => line.map(({ text, font }) => `${text}/${font}`))).toEqual([
      ['in/a', 'D/a', '♭/bb'],
      ['major/a'],
    ]);
  });

  it('lets a word that is too wide stand alone, and never makes an empty line', () => {
    const lines = brokenIntoLines([{ text: 'a unimaginable b', font: 'a' }], 5, widthOf);
    expect(words(lines)).toEqual(['a', 'unimaginable', 'b']);
    expect(brokenIntoLines([{ text: '  ', font: 'a' }], 5, widthOf)).toEqual([]);
  });

  it('never leaves a line wider than it may be but for one word, and loses nothing', () => {
    const text = 'Taller, not louder, as you climb: keep the jaw where it was when you began';
    for (let width = 1; width < 80; width += 1) {
      const lines = brokenIntoLines([{ text, font: 'a' }], width, widthOf);
      expect(words(lines).join(' ')).toBe(text);
      for (const line of lines) {
        const last = line.at(-1)!;
        if (line.length > 1) expect(last.x + widthOf(last.text, 'a')).toBeLessThanOrEqual(width);
      }
    }
  });
});
