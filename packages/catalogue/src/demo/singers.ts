import type { MidiNote, PitchRange, SingerState } from '@wide-fern/core';

export interface DemoSinger {
  readonly name: string;
  readonly part: 'S' | 'A' | 'T' | 'B';
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly state?: SingerState;
  /** The top of the light register, where it was looked for. */
  readonly lightTop?: number;
  /** Where the voice changes its register, where it was noted. */
  readonly changes?: readonly MidiNote[];
  readonly notes?: string;
  readonly onLeave?: boolean;
  /** A second part the singer can take. */
  readonly also?: 'S' | 'A' | 'T' | 'B';
}

type Row = readonly [
  name: string,
  comfort: PitchRange,
  reach: PitchRange,
  more?: Partial<DemoSinger>,
];
const section = (part: DemoSinger['part'], rows: readonly Row[]): DemoSinger[] =>
  rows.map(([name, comfort, reach, more]) => ({ name, part, comfort, reach, ...more }));

/** The 36 Quarry Lane Singers, all invented. */
export const demoSingers: readonly DemoSinger[] = [
  ...section('S', [
    ['Keiko Marlowe', [60, 81], [57, 84], { changes: [78] }],
    ['Odile Farrant', [61, 80], [58, 82], { changes: [77] }],
    ['Branwen Tulley', [62, 79], [59, 81], { changes: [76] }],
    ['Saskia Winthorpe', [60, 80], [57, 83], { changes: [77] }],
    ['Mirela Ostrova', [62, 81], [59, 84]],
    ['Petra Hallow', [62, 79], [59, 81], { changes: [75] }],
    ['Ama Kestrel', [59, 79], [56, 82], { also: 'A' }],
    ['Linnea Crake', [62, 80], [59, 83]],
    ['Dorit Vane', [61, 80], [58, 82], { state: 'tired' }],
    ['Yvaine Sorrel', [62, 79], [59, 82]],
    ['Hester Quill', [62, 79], [59, 81]],
    [
      'Noor Haddadin',
      [63, 76],
      [60, 79],
      { state: 'returning', notes: 'Back after seven weeks away.' },
    ],
  ]),
  ...section('A', [
    ['Ingrid Thackray', [55, 74], [52, 77]],
    ['Romy Calloway', [57, 74], [53, 76]],
    ['Zofia Brandt', [56, 75], [53, 77]],
    ['Tamsin Oake', [57, 76], [53, 79], { also: 'S' }],
    ['Efua Lindqvist', [54, 74], [51, 76], { also: 'T' }],
    ['Marguerite Poole', [57, 74], [53, 76]],
    ['Sunniva Rask', [57, 75], [53, 77]],
    ['Delphine Ayre', [56, 74], [53, 76]],
    ['Kirsi Mallory', [57, 75], [53, 78]],
    ['Beatrix Nightshade', [58, 72], [55, 75], { state: 'tired' }],
  ]),
  ...section('T', [
    ['Luka Petrič', [48, 69], [45, 71]],
    ['Emrys Dunmore', [50, 67], [47, 69], { lightTop: 76, changes: [64] }],
    ['Anselm Birch', [49, 68], [46, 70]],
    ['Tariq Fenwick', [50, 67], [47, 69], { also: 'B' }],
    ['Joren Salt', [50, 69], [46, 72]],
    [
      'Caspian Webb',
      [48, 69],
      [45, 71],
      { state: 'changing', notes: 'Voice still settling: never pushed, asked again every month.' },
    ],
  ]),
  ...section('B', [
    ['Goran Velimir', [41, 62], [38, 64]],
    ['Piotr Zielny', [43, 62], [40, 64]],
    ['Hamish Orrel', [40, 63], [36, 65], { lightTop: 72, changes: [57] }],
    ['Otto Rainsford', [43, 62], [40, 65]],
    ['Benedek Stroud', [42, 62], [39, 64]],
    ['Wilf Ashdown', [43, 64], [40, 67], { also: 'T' }],
    ['Idris Cole', [43, 62], [40, 64]],
    ['Magnus Tarn', [45, 60], [42, 62], { state: 'returning' }],
  ]),
];
