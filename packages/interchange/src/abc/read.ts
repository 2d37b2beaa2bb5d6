import abcjs from 'abcjs';
import {
  dynamics,
  readNote,
  type Dynamic,
  type Metre,
  type Mode,
  type Semitones,
} from '@wide-fern/core';
import { notes as collect, refuse, type FoundMusic, type Notes } from '../common/found';
import {
  exactBeats,
  likelyTonic,
  musicOf,
  type SoundingEvent,
  type SoundingLine,
} from '../exercise/lines';

/** The parts of a parsed tune that are read here. */
interface AbcPitch {
  readonly pitch: number;
  readonly accidental?: string;
  readonly startSlur?: readonly unknown[];
  readonly endSlur?: readonly unknown[];
  readonly startTie?: unknown;
  readonly endTie?: unknown;
}
interface AbcElement {
  readonly el_type: string;
  readonly type?: string;
  readonly duration?: number;
  readonly pitches?: readonly AbcPitch[];
  readonly rest?: { readonly type: string };
  readonly lyric?: readonly { readonly syllable: string; readonly divider: string }[];
  readonly decoration?: readonly string[];
  readonly startTriplet?: number;
  readonly tripletMultiplier?: number;
  readonly endTriplet?: boolean;
  readonly gracenotes?: readonly unknown[];
  readonly chord?: readonly unknown[];
}
interface AbcKey {
  readonly root: string;
  readonly acc: string;
  readonly mode: string;
  readonly accidentals?: readonly { readonly acc: string; readonly note: string }[];
}
interface AbcStaff {
  readonly key?: AbcKey;
  readonly meter?: {
    readonly type: string;
    readonly value?: readonly { readonly num: string; readonly den?: string }[];
  };
  readonly clef?: { readonly type: string };
  readonly voices: readonly (readonly AbcElement[])[];
}
interface AbcTune {
  readonly metaText: {
    readonly title?: string;
    readonly notes?: string;
    readonly tempo?: { readonly duration?: readonly number[]; readonly bpm?: number };
  };
  readonly lines: readonly { readonly staff?: readonly AbcStaff[] }[];
  readonly warnings?: readonly string[];
}

/** A longer text is a collection, and takes long to read. */
const longestText = 100_000;

const letterPitch: readonly Semitones[] = [0, 2, 4, 5, 7, 9, 11];
const letters = 'CDEFGAB';
const moved: Readonly<Record<string, Semitones>> = {
  sharp: 1,
  flat: -1,
  natural: 0,
  dblsharp: 2,
  dblflat: -2,
};
const modeWords: Readonly<Record<string, Mode>> = {
  '': 'major',
  ion: 'major',
  m: 'minor',
  min: 'minor',
  aeo: 'minor',
  dor: 'dorian',
  phr: 'phrygian',
  lyd: 'lydian',
  mix: 'mixolydian',
};
const units = [1, 2, 4, 8, 16] as const;

/** One voice as its elements come: accidentals last to the bar line, ties join, triplets shorten. */
class AbcVoice {
  readonly events: SoundingEvent[] = [];
  octave: Semitones = 0;
  private inBar = new Map<number, Semitones>();
  private triplet = 1;
  private slurs = 0;
  private tied = false;

  constructor(
    private readonly name: string,
    private readonly notKept: Notes,
  ) {}

  add(element: AbcElement, signature: ReadonlyMap<string, Semitones>, wholeBeats: number): void {
    if (element.el_type === 'bar') {
      this.inBar.clear();
      if (element.type && /repeat/.test(element.type)) {
        this.notKept.add(this.name, 'Repeats are not carried out: every bar is read once.');
      }
      return;
    }
    if (element.el_type !== 'note') return;
    if (element.startTriplet) this.triplet = element.tripletMultiplier ?? 2 / 3;
    const beats = exactBeats((element.duration ?? 0) * this.triplet * wholeBeats);
    if (element.endTriplet) this.triplet = 1;
    if (element.gracenotes) this.notKept.add(this.name, 'Grace notes are left out.');
    if (element.chord) this.notKept.add(this.name, 'Chord symbols are left out.');
    if (!(beats > 0)) return;
    if (!element.pitches) {
      if (element.rest) this.rest(element.rest.type, beats);
      return;
    }
    this.note(element, element.pitches, beats, signature);
  }

  private rest(type: string, beats: number): void {
    this.tied = false;
    if (type.includes('multi')) this.notKept.add(this.name, 'Rests of several bars are left out.');
    else {
      // A silence is one, however many rests it is written with.
      const last = this.events[this.events.length - 1];
      if (last?.midi === null) this.events.pop();
      this.events.push({
        midi: null,
        beats: exactBeats(beats + (last?.midi === null ? last.beats : 0)),
      });
    }
  }

  private note(
    element: AbcElement,
    pitches: readonly AbcPitch[],
    beats: number,
    signature: ReadonlyMap<string, Semitones>,
  ): void {
    if (pitches.length > 1)
      this.notKept.add(this.name, 'Where several notes sound together, the highest is kept.');
    const top = pitches.reduce((a, b) => (b.pitch > a.pitch ? b : a));
    const index = ((top.pitch % 7) + 7) % 7;
    if (top.accidental !== undefined) this.inBar.set(top.pitch, moved[top.accidental] ?? 0);
    const altered = this.inBar.get(top.pitch) ?? signature.get(letters[index]!) ?? 0;
    const midi = 60 + 12 * Math.floor(top.pitch / 7) + letterPitch[index]! + altered;
    this.slurs =
      Math.max(0, this.slurs - (top.endSlur?.length ?? 0)) + (top.startSlur?.length ?? 0);
    const last = this.events[this.events.length - 1];
    const marks = this.marksOf(element.decoration ?? []);
    const joined = this.tied && top.endTie !== undefined && last?.midi === midi;
    const slur = this.slurs > 0 ? { slur: true } : {};
    this.tied = top.startTie !== undefined;
    if (joined) {
      const { slur: _, ...kept } = last;
      this.events[this.events.length - 1] = {
        ...kept,
        ...slur,
        beats: exactBeats(last.beats + beats),
        ...(marks.breathAfter ? { breathAfter: true } : {}),
      };
      return;
    }
    const [sung] = element.lyric ?? [];
    const words = sung?.syllable.replaceAll('\u00a0', ' ').trim() ?? '';
    if ((element.lyric?.length ?? 0) > 1)
      this.notKept.add(this.name, 'Only the first verse is kept.');
    const syllable =
      words === '' ? {} : { syllable: `${words.slice(0, 39)}${sung!.divider === '-' ? '-' : ''}` };
    this.events.push({ midi, beats, ...syllable, ...slur, ...marks });
  }

  private marksOf(decorations: readonly string[]): { dynamic?: Dynamic; breathAfter?: boolean } {
    let marks: { dynamic?: Dynamic; breathAfter?: boolean } = {};
    for (const word of decorations) {
      if ((dynamics as readonly string[]).includes(word))
        marks = { ...marks, dynamic: word as Dynamic };
      else if (word === 'breath') marks = { ...marks, breathAfter: true };
      else this.notKept.add(this.name, `The sign ${word} is left out.`);
    }
    return marks;
  }
}

function metreOf(staff: AbcStaff | undefined, notKept: Notes): Metre | undefined {
  const meter = staff?.meter;
  if (!meter || meter.type === 'none') return undefined;
  if (meter.type === 'common_time') return { beats: 4, unit: 4 };
  if (meter.type === 'cut_time') return { beats: 2, unit: 2 };
  const beats = Number(meter.value?.[0]?.num);
  const unit = units.find((one) => one === Number(meter.value?.[0]?.den));
  if (Number.isInteger(beats) && beats >= 1 && beats <= 32 && unit) return { beats, unit };
  notKept.add('', 'This time signature is left out.');
  return undefined;
}

function parse(text: string): AbcTune {
  try {
    return abcjs.parseOnly(text)[0] as unknown as AbcTune;
  } catch {
    return refuse('This ABC text cannot be read. See whether every line is whole.');
  }
}

/**
 * Reads the first tune of an ABC text into an exercise: one melody, or up to four voices
 * (docs/interchange.md).
 * @throws UnreadableFile with words for a person
 */
export function readAbc(text: string): FoundMusic {
  if (!/^K:/m.test(text)) {
    refuse('This is no ABC tune: it has no line that begins with K: for its key.');
  }
  if (text.length > longestText) {
    refuse(
      `This ABC text has ${Math.ceil(text.length / 1000)} kB; tunes up to ${longestText / 1000} kB are read. Keep the one that is wanted.`,
    );
  }
  const notKept = collect();
  if ((text.match(/^X:/gm) ?? []).length > 1) notKept.add('', 'Only the first tune is read.');
  const tune = parse(text);
  for (const warning of tune.warnings ?? [])
    notKept.add('', warning.replace(/<[^>]*>/g, '').slice(0, 200));
  const staves = tune.lines.flatMap(({ staff }) => staff ?? []);
  const [first] = staves;
  const metre = metreOf(first, notKept);
  const wholeBeats = metre?.unit ?? 4;
  const voices = new Map<string, AbcVoice>();
  const signatures = new Map<string, ReadonlyMap<string, Semitones>>();
  for (const { staff } of tune.lines) {
    staff?.forEach((one, staffIndex) => {
      if (one.key) {
        const altered = (one.key.accidentals ?? []).map(
          ({ acc, note }) => [note.toUpperCase(), moved[acc] ?? 0] as const,
        );
        signatures.set(String(staffIndex), new Map(altered));
      }
      one.voices.forEach((elements, voiceIndex) => {
        const id = `${staffIndex} ${voiceIndex}`;
        const voice = voices.get(id) ?? new AbcVoice(`voice ${voices.size + 1}`, notKept);
        voices.set(id, voice);
        if (one.clef && /^bass|-8$/.test(one.clef.type)) voice.octave = -12;
        const signature = signatures.get(String(staffIndex)) ?? new Map<string, Semitones>();
        for (const element of elements) voice.add(element, signature, wholeBeats);
      });
    });
  }
  const key = first?.key;
  const said = tune.metaText.notes ?? '';
  const words = (key?.mode ?? '').toLowerCase().slice(0, 3);
  const mode: Mode = said.includes('chromatic') ? 'chromatic' : (modeWords[words] ?? 'major');
  if (modeWords[words] === undefined) notKept.add('', `The mode ${words} is read as major.`);
  const acc = key?.acc === '#' || key?.acc === 'sharp' ? '♯' : key?.acc ? '♭' : '';
  const pitchClass = (readNote(`${key?.root ?? 'C'}${acc}4`) ?? 60) % 12;
  const lines: SoundingLine[] = [...voices.values()].map(({ events, octave }, i) => ({
    name: `voice ${i + 1}`,
    octave,
    events,
  }));
  const lowest = lines.flatMap(({ events, octave }) =>
    events.flatMap(({ midi }) => (midi === null ? [] : midi - octave)),
  );
  const named = /tonic ([A-G][b#]*-?\d)/.exec(said)?.[1];
  const written = named === undefined ? undefined : readNote(named);
  const tonic =
    written !== undefined && written % 12 === pitchClass
      ? written
      : likelyTonic(pitchClass, lowest.length > 0 ? lowest.reduce((a, b) => Math.min(a, b)) : 60);
  const { tempo } = tune.metaText;
  const tempoBeats = (tempo?.bpm ?? NaN) * (tempo?.duration?.[0] ?? 1 / wholeBeats) * wholeBeats;
  return {
    name: tune.metaText.title ?? '',
    music: musicOf(lines, { mode, metre, tonic, notKept }),
    tonic,
    tempo: tempoBeats > 0 ? Math.round(tempoBeats * 1000) / 1000 : undefined,
    notKept: notKept.list,
  };
}
