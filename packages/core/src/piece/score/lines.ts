import { sameTime, type PieceScore, type Staff, type StaffNote } from './score';

/** What is taken of a staff: all of it, the upper or lower of two parts, or one of its voices. */
export type Take = 'all' | 'upper' | 'lower' | `voice ${string}`;

/** A line that someone can sing: a staff, or what is taken of it. */
export interface ScoreLine {
  /** «P1.1/upper»: its staff and what is taken. */
  readonly id: string;
  readonly staff: Staff;
  readonly take: Take;
}

/** How a staff can be read: as one line, as two parts, or voice by voice. */
export const readings = ['one line', 'two parts', 'voice by voice'] as const;
export type Reading = (typeof readings)[number];

const overlap = (a: StaffNote, b: StaffNote): boolean =>
  a.at < b.at + b.quarters - sameTime && b.at < a.at + a.quarters - sameTime;

/** The names of the voices of a staff that sing anything, in order. */
export const voicesOf = ({ notes }: Staff): string[] =>
  [...new Set(notes.map(({ voice }) => voice))].sort((a, b) =>
    a.localeCompare(b, 'en', { numeric: true }),
  );

/** Notes of one bar that begin together, the highest first. */
function byOnset(notes: readonly StaffNote[]): StaffNote[][] {
  const groups: StaffNote[][] = [];
  for (const note of [...notes].sort((a, b) => a.at - b.at || b.midi - a.midi)) {
    const last = groups[groups.length - 1];
    if (last && Math.abs(last[0]!.at - note.at) < sameTime) last.push(note);
    else groups.push([note]);
  }
  return groups;
}

/** Whether the stems tell two parts: notes sound together with stems up and down. */
const stemsTell = (notes: readonly StaffNote[]): boolean =>
  notes.some(
    (note, i) =>
      note.stem === 'up' &&
      notes.some((other, j) => j !== i && other.stem === 'down' && overlap(note, other)),
  );

/** One bar of a staff with two parts, parted into the upper and the lower. */
function partBar(
  notes: readonly StaffNote[],
  voices: readonly string[],
  isFirstVoice: (voice: string) => boolean,
): { upper: StaffNote[]; lower: StaffNote[] } {
  if (voices.length > 1) {
    const [first] = voices;
    return {
      upper: notes.filter(({ voice }) => voice === first),
      lower: notes.filter(({ voice }) => voice !== first),
    };
  }
  // A bar with nothing but the second voice: whoever sings above is silent.
  if (voices[0] !== undefined && !isFirstVoice(voices[0])) return { upper: [], lower: [...notes] };
  const upper: StaffNote[] = [];
  const lower: StaffNote[] = [];
  const byStem = stemsTell(notes);
  for (const together of byOnset(notes)) {
    const [top, ...others] = together;
    if (byStem && together.every(({ stem }) => stem !== undefined)) {
      upper.push(...together.filter(({ stem }) => stem === 'up'));
      lower.push(...together.filter(({ stem }) => stem === 'down'));
    } else if (others.length > 0) {
      upper.push(top!);
      lower.push(...others);
    } else {
      // Alone while another note sounds it is one part's; alone in silence it is both parts'.
      const beside = notes.find((note) => note !== top && overlap(note, top!));
      if (!beside || top!.midi >= beside.midi) upper.push(top!);
      if (!beside || top!.midi < beside.midi) lower.push(top!);
    }
  }
  return { upper, lower };
}

interface TwoParts {
  readonly upper: readonly StaffNote[];
  readonly lower: readonly StaffNote[];
}

/** What was parted before: a staff does not change, and both its parts are asked for. */
const parted = new WeakMap<Staff, TwoParts>();

/**
 * Parts a staff that two parts share: by voices where a bar has two, by stems where they tell, by
 * the notes of a chord otherwise; a single note is sung by both.
 */
function twoParts(staff: Staff): TwoParts {
  const found = parted.get(staff) ?? partStaff(staff);
  parted.set(staff, found);
  return found;
}

function partStaff(staff: Staff): TwoParts {
  const [firstVoice] = voicesOf(staff);
  const upper: StaffNote[] = [];
  const lower: StaffNote[] = [];
  const bars = new Map<number, StaffNote[]>();
  for (const note of staff.notes) {
    const bar = bars.get(note.bar);
    if (bar) bar.push(note);
    else bars.set(note.bar, [note]);
  }
  for (const [bar, notes] of bars) {
    const voices = staff.voices[bar] ?? [];
    const here = partBar(notes, voices, (voice) => voice === firstVoice);
    upper.push(...here.upper);
    lower.push(...here.lower);
  }
  return { upper, lower };
}

/** Whether a staff is shared by two parts: a quarter of its bars have two voices, stems or chords of two. */
export function isShared(staff: Staff): boolean {
  const bars = new Map<number, StaffNote[]>();
  for (const note of staff.notes) {
    const bar = bars.get(note.bar);
    if (bar) bar.push(note);
    else bars.set(note.bar, [note]);
  }
  let shared = 0;
  for (const notes of bars.values()) {
    const voices = new Set(notes.map(({ voice }) => voice));
    const chords = byOnset(notes).filter(({ length }) => length > 1).length;
    if (voices.size > 1 || stemsTell(notes) || chords > 0) shared += 1;
  }
  return bars.size > 0 && shared / bars.size >= 0.25;
}

const lineId = (staff: Staff, take: Take): string => `${staff.id}/${take}`;

/** The lines of a staff when it is read in one of the ways it can be. */
export function linesOfStaff(staff: Staff, reading: Reading): ScoreLine[] {
  const takes: readonly Take[] =
    reading === 'one line'
      ? ['all']
      : reading === 'two parts'
        ? ['upper', 'lower']
        : voicesOf(staff).map((voice): Take => `voice ${voice}`);
  return takes.map((take) => ({ id: lineId(staff, take), staff, take }));
}

/** The line an id names; undefined when the score has none such. */
export function lineOfId(score: PieceScore, id: string): ScoreLine | undefined {
  const slash = id.lastIndexOf('/');
  const staff = score.staves.find((one) => one.id === id.slice(0, slash));
  const take = id.slice(slash + 1);
  const isTake = ['all', 'upper', 'lower'].includes(take) || take.startsWith('voice ');
  return staff && isTake ? { id, staff, take: take as Take } : undefined;
}

/** The notes of a line in the order of time. */
export function notesOfLine({ staff, take }: ScoreLine): readonly StaffNote[] {
  if (take === 'all') return staff.notes;
  if (take === 'upper' || take === 'lower') return twoParts(staff)[take];
  const voice = take.slice('voice '.length);
  return staff.notes.filter((note) => note.voice === voice);
}
