import { barsShownInWords, linkInWords } from './links';

const bars = (title: string, fromBar: number, toBar: number) => ({
  exercise: { source: { piece: 'x', title, fromBar, toBar, parts: ['S'] } },
});

describe('links in words', () => {
  it('say for whom they are and what they show', () => {
    const link = { note: 'by mail', use: 'practice', part: 'A', asks: true, bars: 3 } as const;
    expect(linkInWords(link, [{ id: 'A', many: 'altos' }])).toBe(
      'by mail, to practise at home, for altos, asks how it was, shows three places of the score',
    );
    expect(linkInWords({ ...link, use: 'sheet', note: '' }, [])).toBe('for anyone');
  });

  it('say which bars are shown, by their pieces, and what is left out', () => {
    const found = [bars('Lanterns', 4, 4), bars('Lanterns', 10, 11), bars('Ferry', 7, 7)];
    expect(barsShownInWords(found, 0)).toBe('Lanterns, bars 4, 10 to 11; Ferry, bar 7.');
    expect(barsShownInWords([bars('Ferry', 7, 9)], 1)).toMatch(
      /^Ferry, bars 7 to 9\. One place is left out: too long/,
    );
    expect(barsShownInWords([], 2)).toMatch(/^Two places are left out/);
    expect(barsShownInWords([], 0)).toMatch(
      /^No piece of this evening has a score with marked bars/,
    );
  });
});
