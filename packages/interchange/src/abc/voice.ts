import {
  dynamics,
  longestSyllable,
  own,
  type Dynamic,
  type Semitones,
  type Swell,
} from '@wide-fern/core';
import type { Notes } from '../common/found';
import { exactBeats, type SoundingEvent } from '../exercise/lines';
import type { AbcElement, AbcKey, AbcPitch } from './tune';

const letterPitch: readonly Semitones[] = [0, 2, 4, 5, 7, 9, 11];
const letters = 'CDEFGAB';
const moved: Readonly<Record<string, Semitones>> = {
  sharp: 1,
  flat: -1,
  natural: 0,
  dblsharp: 2,
  dblflat: -2,
};
/** What the signs at a note say of it. */
interface Marks {
  readonly dynamic?: Dynamic;
  readonly swell?: Swell;
  readonly breathAfter?: boolean;
}

/** Signs that begin a swell, by both their names; and those that end one. */
const swellSigns: Readonly<Record<string, Swell>> = {
  '<(': 'growing',
  'crescendo(': 'growing',
  '>(': 'fading',
  'diminuendo(': 'fading',
};
const swellEnds: readonly string[] = ['<)', 'crescendo)', '>)', 'diminuendo)'];

/** How far an accidental reaches in its bar: to its letter in every octave, in its own, or to nothing else. */
export type Reach = 'pitch' | 'octave' | 'not';

/** One voice as its elements come: accidentals last to the bar line, ties join, triplets shorten. */
export class AbcVoice {
  readonly events: SoundingEvent[] = [];
  /** Whether a sign says that it slides. */
  slides = false;
  octave: Semitones = 0;
  /** How far below where it is written it sounds. */
  below: Semitones = 0;
  private inBar = new Map<number, Semitones>();
  private signature: ReadonlyMap<string, Semitones> = new Map();
  private triplet = 1;
  private slurs = 0;
  private tied = false;

  constructor(
    private readonly name: string,
    private readonly notKept: Notes,
    private readonly reach: Reach,
  ) {}

  /** A key that holds from here on. */
  inKey(key: Pick<AbcKey, 'accidentals'>): void {
    this.signature = new Map(
      (key.accidentals ?? []).map(
        ({ acc, note }) => [note.toUpperCase(), own(moved, acc) ?? 0] as const,
      ),
    );
    this.inBar.clear();
  }

  add(element: AbcElement, wholeBeats: number): void {
    if (element.el_type === 'key') {
      this.inKey(element);
      const what = 'The key changes; all notes are counted from the first key.';
      this.notKept.add(this.name, what);
    }
    if (element.el_type === 'meter') {
      const what = 'The time signature changes; bars follow the first one.';
      this.notKept.add(this.name, what);
    }
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
    this.note(element, element.pitches, beats);
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

  private note(element: AbcElement, pitches: readonly AbcPitch[], beats: number): void {
    if (pitches.length > 1)
      this.notKept.add(this.name, 'Where several notes sound together, the highest is kept.');
    const top = pitches.reduce((a, b) => (b.pitch > a.pitch ? b : a));
    const index = ((top.pitch % 7) + 7) % 7;
    // Unless the tune says otherwise, an accidental holds for its letter in every octave of the bar.
    const place = this.reach === 'pitch' ? index : top.pitch;
    const sign = top.accidental === undefined ? undefined : (own(moved, top.accidental) ?? 0);
    if (sign !== undefined && this.reach !== 'not') this.inBar.set(place, sign);
    const altered = sign ?? this.inBar.get(place) ?? this.signature.get(letters[index]!) ?? 0;
    const written = 60 + 12 * Math.floor(top.pitch / 7) + letterPitch[index]! + altered;
    const midi = written + this.below;
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
      words === ''
        ? {}
        : {
            syllable: `${words.slice(0, longestSyllable - 1)}${sung!.divider === '-' ? '-' : ''}`,
          };
    this.events.push({ midi, beats, ...syllable, ...slur, ...marks });
  }

  private marksOf(decorations: readonly string[]): Marks {
    let marks: Marks = {};
    for (const word of decorations) {
      if ((dynamics as readonly string[]).includes(word))
        marks = { ...marks, dynamic: word as Dynamic };
      else if (own(swellSigns, word)) marks = { ...marks, swell: own(swellSigns, word)! };
      // Where a swell ends is where the next loudness or swell begins.
      else if (swellEnds.includes(word)) continue;
      else if (word === 'breath') marks = { ...marks, breathAfter: true };
      // Where a slide begins and ends is said for the whole line.
      else if (word === '~(' || word === '~)') this.slides = true;
      else this.notKept.add(this.name, `The sign ${word} is left out.`);
    }
    return marks;
  }
}
