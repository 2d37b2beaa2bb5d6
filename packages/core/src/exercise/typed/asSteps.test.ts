import { noteName, type Mode } from '../../pitch';
import { isNote } from '../music';
import { asSteps } from './asSteps';
import { readLine } from './read';
import { readSlide } from './slide';

const offsets = (text: string, mode: Mode = 'major') => {
  const read = readLine(text, mode);
  if (read.kind === 'problem') throw new Error(`${read.at}: ${read.code} ${read.word ?? ''}`);
  return read.events.filter(isNote).map(({ offset }) => offset);
};
const scale = [0, 2, 4, 5, 7, 9, 11, 12];

describe('a line that is not typed in steps', () => {
  it.each([
    ['do re mi fa so la ti do'],
    ['Do Ré Mi Fa Sol La Si Do'],
    ['d r m f s l t d'],
    ["d r m f s l t d'"],
    ['C D E F G A B C'],
    ['C4 D4 E4 F4 G4 A4 B4 C5'],
    ['c d e f g a h c'],
    ['G A B C D E F♯ G'],
    ['D E F# G A B C# D'],
    ['Es F G As B c d es'],
    ['eb f g ab bb c d eb'],
    ["c' d' e' f' g' a' b' c''"],
  ])('«%s» is a scale', (text) => {
    expect(offsets(text)).toEqual(scale);
  });
  it('falls and turns where it should', () => {
    expect(offsets('so mi do')).toEqual([7, 4, 0]);
    expect(offsets('s m d t, d')).toEqual([7, 4, 0, -1, 0]);
    expect(offsets('do ti do re')).toEqual([0, -1, 0, 2]);
    expect(offsets("do mi so do' so mi do")).toEqual([0, 4, 7, 12, 7, 4, 0]);
    expect(offsets('C E G E C')).toEqual([0, 4, 7, 4, 0]);
    expect(offsets('G F E D C')).toEqual([7, 5, 4, 2, 0]);
  });
  it('keeps lengths, words, binding, breath and loudness', () => {
    const steps = readLine('mf 1:2(noo)~ 2 , | r 5(do-)', 'major');
    expect(readLine('mf do:2(noo)~ re , | r so(do-)', 'major')).toMatchObject({
      events: (steps as { events: unknown }).events,
    });
    expect(offsets('mf C:2 D p E')).toEqual([0, 2, 4]);
    expect(offsets('p d r m')).toEqual([0, 2, 4]);
  });
  it('knows raised and lowered syllables, and si by what stands beside it', () => {
    expect(offsets('do re mi fi so')).toEqual([0, 2, 4, 6, 7]);
    expect(offsets('la si do')).toEqual([9, 11, 12]);
    expect(offsets('so si la ti do')).toEqual([7, 8, 9, 11, 12]);
  });
  it('counts minor from la where the line begins or ends there, from do where it says me', () => {
    expect(offsets('la ti do re mi', 'minor')).toEqual([0, 2, 3, 5, 7]);
    expect(offsets('do re me re do', 'minor')).toEqual([0, 2, 3, 2, 0]);
    expect(offsets('A B C D E', 'minor')).toEqual([0, 2, 3, 5, 7]);
  });
  it('says where it stops in what was typed', () => {
    expect(readLine('do re:x', 'major')).toMatchObject({ at: 6, code: 'no-length' });
    expect(readLine('do re xylo', 'major')).toMatchObject({
      at: 6,
      code: 'unreadable',
      word: 'xylo',
    });
    expect(readLine('do:0 mi', 'major')).toMatchObject({ at: 3, code: 'length-nothing' });
  });
  it('leaves steps, and what nobody knows, alone', () => {
    for (const text of ['1 2 3', '<7 r', 'f 1', 'p', '', 'r', 'f']) {
      expect(asSteps(text, 'major')).toBeUndefined();
    }
  });
  it('is a slide as well', () => {
    expect(readSlide('do so:3 do:3', 'major')).toEqual(readSlide('1 5:3 1:3', 'major'));
    expect(readSlide('C4 G4:3 C4:3', 'major')).toEqual(readSlide('1 5:3 1:3', 'major'));
  });
  it('reads every note as it is written on an axis', () => {
    for (let midi = 36; midi <= 84; midi += 1) {
      const [from, to] = offsets(`${noteName(midi)} ${noteName(midi + 7)}`, 'chromatic');
      expect(to! - from!).toBe(7);
    }
  });
});
