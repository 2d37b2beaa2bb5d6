import type { Dynamic, MidiNote } from '@wide-fern/core';
import { exactBeats, type SoundingEvent } from '../common/lines';

/** A note as the reader hands it to its voice; times in quarters. */
export interface ReadNote {
  readonly at: number;
  readonly quarters: number;
  readonly midi: MidiNote | null;
  readonly syllable: string | undefined;
  readonly tieStart: boolean;
  readonly tieStop: boolean;
  readonly slurStarts: number;
  readonly slurStops: number;
  readonly slideStart: boolean;
  readonly breathAfter: boolean;
  readonly dynamic: Dynamic | undefined;
}

interface Growing {
  midi: MidiNote | null;
  quarters: number;
  syllable?: string | undefined;
  slur?: boolean;
  breathAfter?: boolean;
  dynamic?: Dynamic | undefined;
  slide?: boolean;
}

/** One voice of a part as it is read: gaps become rests, tied notes one note. */
export class ReadVoice {
  private end = 0;
  private slurs = 0;
  private tied = false;
  private readonly events: Growing[] = [];

  /** Where the last slide of the voice ends, when the file says so. */
  slideEnd: MidiNote | undefined;

  get isSliding(): boolean {
    return this.events.some(({ slide }) => slide);
  }

  add(note: ReadNote): void {
    const gap = note.at - this.end;
    if (gap > 1e-6) this.rest(gap);
    this.end = Math.max(this.end, note.at) + note.quarters;
    if (note.midi === null) {
      this.rest(note.quarters);
      this.tied = false;
      return;
    }
    const last = this.events[this.events.length - 1];
    this.slurs = Math.max(0, this.slurs - note.slurStops) + note.slurStarts;
    if (last && this.tied && note.tieStop && last.midi === note.midi)
      last.quarters += note.quarters;
    else {
      this.events.push({
        midi: note.midi,
        quarters: note.quarters,
        syllable: note.syllable,
        dynamic: note.dynamic,
      });
    }
    const now = this.events[this.events.length - 1]!;
    now.slur = this.slurs > 0;
    now.slide = note.slideStart;
    if (note.breathAfter) now.breathAfter = true;
    this.tied = note.tieStart;
  }

  private rest(quarters: number): void {
    const last = this.events[this.events.length - 1];
    if (last) last.slur = false;
    // A silence is one, however many rests it is written with.
    if (last?.midi === null) last.quarters += quarters;
    else this.events.push({ midi: null, quarters });
  }

  /** The events in beats. */
  sounding(beatsInQuarter: number): SoundingEvent[] {
    return this.events.map(({ midi, quarters, syllable, slur, breathAfter, dynamic }) => ({
      midi,
      beats: exactBeats(quarters * beatsInQuarter),
      ...(syllable === undefined ? {} : { syllable }),
      ...(slur ? { slur } : {}),
      ...(breathAfter ? { breathAfter } : {}),
      ...(dynamic === undefined ? {} : { dynamic }),
    }));
  }

  /** The same as points of a slide over a tonic; undefined when there is a silence in it. */
  points(tonic: MidiNote, beatsInQuarter: number): { offset: number; beats: number }[] | undefined {
    const [first] = this.events;
    if (!first || this.events.some(({ midi }) => midi === null)) return undefined;
    const points = [{ offset: first.midi! - tonic, beats: 0 }];
    this.events.forEach(({ midi, quarters, slide }, i) => {
      const next = this.events[i + 1]?.midi ?? this.slideEnd ?? midi!;
      const beats = exactBeats(quarters * beatsInQuarter);
      points.push({ offset: (slide ? next : midi!) - tonic, beats });
      if (!slide && next !== midi && this.events[i + 1])
        points.push({ offset: next - tonic, beats: 0 });
    });
    return points;
  }

  get lowest(): MidiNote | undefined {
    const notes = this.events.flatMap(({ midi }) => midi ?? []);
    return notes.length > 0 ? Math.min(...notes) : undefined;
  }

  get syllable(): string | undefined {
    return this.events.find(({ syllable }) => syllable !== undefined)?.syllable;
  }
}
