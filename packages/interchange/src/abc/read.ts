import abcjs from 'abcjs';
import { own, readNote, readSlide, type Metre, type Mode } from '@wide-fern/core';
import { notes as collect, refuse, type FoundMusic, type Notes } from '../common/found';
import { likelyTonic, musicOf, type SoundingLine } from '../exercise/lines';
import type { AbcStaff, AbcTune } from './tune';
import { AbcVoice, type Reach } from './voice';

/** A longer text is a collection, and takes long to read. */
const longestText = 100_000;

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

const reachOf = (text: string): Reach => {
  const said = /^%%propagate-accidentals\s+(not|octave|pitch)/m.exec(text)?.[1];
  return said === 'not' || said === 'octave' ? said : 'pitch';
};

/** The slide that our own files say beside its notes, as long as its notes still last as long. */
function slideIn(
  said: string,
  mode: Mode,
  [line, ...others]: readonly SoundingLine[],
): FoundMusic['music'] | undefined {
  const typed = /slide ([^\n]+)/.exec(said)?.[1];
  if (typed === undefined || !line || others.length > 0) return undefined;
  const read = readSlide(typed, mode);
  if (read.kind === 'problem') return undefined;
  const beats = (all: readonly { readonly beats: number }[]) =>
    all.reduce((sum, one) => sum + one.beats, 0);
  if (Math.abs(beats(read.points) - beats(line.events)) > 1e-3) return undefined;
  const syllable = line.events.find((event) => event.syllable)?.syllable ?? 'ah';
  return { kind: 'glide', mode, points: read.points, syllable };
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
  for (const warning of tune.warnings ?? []) {
    // What it is about is carried out here.
    if (/Unknown directive: propagate/.test(warning)) continue;
    notKept.add('', warning.replace(/<[^>]*>/g, '').slice(0, 200));
  }
  const staves = tune.lines.flatMap(({ staff }) => staff ?? []);
  const [first] = staves;
  const metre = metreOf(first, notKept);
  const wholeBeats = metre?.unit ?? 4;
  const voices = new Map<string, AbcVoice>();
  const reach = reachOf(text);
  for (const { staff } of tune.lines) {
    staff?.forEach((one, staffIndex) => {
      one.voices.forEach((elements, voiceIndex) => {
        const id = `${staffIndex} ${voiceIndex}`;
        const voice =
          voices.get(id) ??
          new AbcVoice(one.title?.[voiceIndex] || `voice ${voices.size + 1}`, notKept, reach);
        voices.set(id, voice);
        if (one.clef && /^bass|-8$/.test(one.clef.type)) voice.octave = -12;
        if (one.clef?.type.endsWith('-8')) voice.below = -12;
        if (one.key) voice.inKey(one.key);
        for (const element of elements) voice.add(element, wholeBeats);
      });
    });
  }
  const key = first?.key;
  const said = tune.metaText.notes ?? '';
  const words = (key?.mode ?? '').toLowerCase().slice(0, 3);
  const known = own(modeWords, words);
  const mode: Mode = said.includes('chromatic') ? 'chromatic' : (known ?? 'major');
  if (known === undefined) notKept.add('', `The mode ${words} is read as major.`);
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
  const slides = [...voices.values()].some((voice) => voice.slides);
  if (slides && !/slide /.test(said)) {
    notKept.add('', 'Slides between single notes are left out.');
  }
  const pickUp = Number(/pick-up ([\d.]+)/.exec(said)?.[1]);
  const bars = metre && pickUp > 0 && pickUp < metre.beats ? { ...metre, pickUp } : metre;
  const { tempo } = tune.metaText;
  const tempoBeats = (tempo?.bpm ?? NaN) * (tempo?.duration?.[0] ?? 1 / wholeBeats) * wholeBeats;
  return {
    name: tune.metaText.title ?? '',
    music: slideIn(said, mode, lines) ?? musicOf(lines, { mode, metre: bars, tonic, notKept }),
    tonic,
    tempo: tempoBeats > 0 ? Math.round(tempoBeats * 1000) / 1000 : undefined,
    notKept: notKept.list,
  };
}
