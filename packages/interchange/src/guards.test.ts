import { strToU8, zipSync } from 'fflate';
import { compress } from './container/compressed';
import { UnreadableFile } from './common/found';
import { readFile } from './readFile';
import { readScore } from './readScore';

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
const note =
  '<note><pitch><step>C</step><octave>4</octave></pitch><duration>1</duration><voice>1</voice></note>';
const attributes =
  '<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>';
const score = (bars: string, head = '<?xml version="1.0"?>') =>
  `${head}<score-partwise version="4.0"><part-list><score-part id="P1"><part-name>Soprano</part-name></score-part></part-list><part id="P1">${bars}</part></score-partwise>`;
const bar = (inside: string, more = '') =>
  `<measure number="1"${more}>${attributes}${inside}</measure>`;
const small = score(bar(note.repeat(4)));

describe('a file that would take a machine', () => {
  it.each([
    ['thousands of types', '<?xml version="1.0"?>' + '<!DOCTYPE '.repeat(200_000)],
    ['entities of its own', score(bar(note), '<!DOCTYPE score-partwise [<!ENTITY a "b">]>')],
    ['a type that never closes', `<!DOCTYPE score-partwise [${'x'.repeat(500_000)}`],
    ['signs spelled by the million', score(bar('&lt;'.repeat(1_000_000)))],
    [
      'an element that says too much of itself',
      score(bar(note, Array.from({ length: 100_000 }, (_, i) => ` a${i}="1"`).join(''))),
    ],
    ['bars without number', score('<measure/>'.repeat(200_000))],
    [
      'a note with words without end',
      score(bar(note.replace('</note>', '<lyric/>'.repeat(200_000) + '</note>'))),
    ],
    [
      'a bar that holds a library',
      score(bar(note.replace('</note>', '<lyric/>'.repeat(3000) + '</note>').repeat(40))),
    ],
  ])('is refused at once: %s', (_, text) => {
    for (const bytes of [bytesOf(text), compress(text)]) {
      expect(() => readScore(bytes)).toThrow(UnreadableFile);
    }
  });
});

describe('a file that is something else', () => {
  it.each([
    ['a PDF', bytesOf('%PDF-1.7 and more'), 'This is a PDF'],
    ['a picture', Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13), 'picture'],
    ['a photograph', Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 0, 16), 'picture'],
    ['a recording', bytesOf('RIFF\u0001\u0002\u0003\u0004WAVEfmt '), 'recording'],
    ['a song', bytesOf('ID3\u0004'), 'recording'],
    [
      'a program’s own file',
      Uint8Array.from({ length: 200 }, (_, i) => (i * 7) % 32),
      'own file of another program',
    ],
  ])('is told kindly: %s', (_, bytes, words) => {
    for (const read of [() => readScore(bytes), () => readFile('a.musicxml', bytes)]) {
      expect(read).toThrow(UnreadableFile);
      expect(read).toThrow(words);
      expect(read).toThrow('Export it as MusicXML');
    }
  });
});

describe('a file that is odd', () => {
  const notesIn = (bytes: Uint8Array) => readScore(bytes).staves[0]!.notes.length;
  const wide = (text: string, little: boolean) => {
    const bytes = new Uint8Array(text.length * 2);
    const view = new DataView(bytes.buffer);
    [...text].forEach((sign, i) => view.setUint16(i * 2, sign.charCodeAt(0), little));
    return bytes;
  };
  it('is read: a type with nothing in its brackets', () => {
    expect(notesIn(bytesOf(score(bar(note), '<!DOCTYPE score-partwise [ ]>')))).toBe(1);
  });
  it('is read: letters of two bytes, without a mark, either end first', () => {
    const text = small.replace('<?xml version="1.0"?>', '<?xml version="1.0" encoding="UTF-16"?>');
    for (const little of [true, false]) expect(notesIn(wide(text, little))).toBe(4);
  });
  it('is read: an encoding of its region, by the name it gives', () => {
    const text = small
      .replace('<?xml version="1.0"?>', '<?xml version="1.0" encoding="ISO-8859-2"?>')
      .replace('Soprano', 'Sop?');
    const bytes = bytesOf(text);
    bytes[text.indexOf('Sop?') + 3] = 0xb1;
    expect(readScore(bytes).staves[0]!.name).toBe('Sopą');
  });
  it('is read: a MIDI file inside another', () => {
    const four = Array.from({ length: 4 }, () => [0, 0x90, 60, 64, 96, 0x80, 60, 0]).flat();
    const track = [...four, 0, 0xff, 0x2f, 0];
    const midi = [
      ...[...bytesOf('MThd'), 0, 0, 0, 6, 0, 0, 0, 1, 0, 96],
      ...[...bytesOf('MTrk'), 0, 0, 0, track.length, ...track],
    ];
    const odd = Uint8Array.from([...midi, ...(midi.length % 2 === 1 ? [0] : [])]);
    const chunk = (name: string, size: number) => [
      ...bytesOf(name),
      ...new Uint8Array(new Uint32Array([size]).buffer),
    ];
    const inside = [...chunk('LIST', 3), 1, 2, 3, 0, ...chunk('data', midi.length), ...odd];
    const file = Uint8Array.from([
      ...chunk('RIFF', inside.length + 4),
      ...bytesOf('RMID'),
      ...inside,
    ]);
    expect(notesIn(file)).toBe(4);
  });
  it('is read: an archive with other files, other strokes and other capitals', () => {
    const container =
      '<container><rootfiles><rootfile full-path="pages.pdf" media-type="application/pdf"/><rootfile full-path="./music/song.xml"/></rootfiles></container>';
    const archive = zipSync({
      'Meta-inf/container.xml': strToU8(container),
      'pages.pdf': strToU8('%PDF'),
      'other.xml': strToU8('<other/>'),
      'music\\song.xml': strToU8(small),
    });
    expect(notesIn(archive)).toBe(4);
    // What stands before an archive is no part of it.
    expect(notesIn(Uint8Array.from([0x50, 0x4b, 9, 9, ...archive]))).toBe(4);
  });
});
