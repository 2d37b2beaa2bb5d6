import type { Beats, Semitones } from '../units';
import { beatsOf, isNote, type Music, type PatternEvent } from './music';

/** A note of the figure: from one beat to another, level or slanted. */
export interface Dash {
  readonly from: Beats;
  readonly to: Beats;
  readonly offset: Semitones;
  readonly endOffset: Semitones;
  /** Held under what moves. */
  readonly held?: boolean;
}

function dashesOfEvents(events: readonly PatternEvent[], start: Beats): Dash[] {
  let beat = start;
  return events.flatMap((event) => {
    const from = beat;
    beat += event.beats;
    if (!isNote(event)) return [];
    return [{ from, to: beat, offset: event.offset, endOffset: event.offset }];
  });
}

/** One repetition as it looks: its notes to scale in beats and semitones over the tonic. */
export function figureOf(music: Music): readonly Dash[] {
  switch (music.kind) {
    case 'pattern':
      return dashesOfEvents(music.notes, 0);
    case 'lines':
      return music.lines.flatMap((line) => dashesOfEvents(line, 0));
    case 'round':
      return Array.from({ length: music.entries }, (_, entry) =>
        dashesOfEvents(music.notes, entry * music.apart),
      ).flat();
    case 'drone': {
      const level = { offset: music.held, endOffset: music.held };
      const held = { from: 0, to: beatsOf(music), ...level, held: true };
      if (music.over.kind === 'line') return [held, ...dashesOfEvents(music.over.notes, 0)];
      const { offset, beats, lines } = music.over;
      const each = beats / lines.length;
      const text = lines.map((_, i) => ({
        from: i * each,
        to: (i + 1) * each,
        offset,
        endOffset: offset,
      }));
      return music.holders === 'all' ? text : [held, ...text];
    }
    case 'glide': {
      let beat = 0;
      return music.points.slice(1).map(({ offset, beats }, i) => {
        const from = beat;
        beat += beats;
        return { from, to: beat, offset: music.points[i]!.offset, endOffset: offset };
      });
    }
    case 'hold': {
      const each = music.beats / music.syllables.length;
      return music.syllables.map((_, i) => ({
        from: i * each,
        to: (i + 1) * each,
        offset: 0,
        endOffset: 0,
      }));
    }
    case 'chord':
      return music.tones.map((offset, i) => {
        const from = Math.min(i * (music.apart ?? 0), music.beats - 1);
        return { from: Math.max(0, from), to: music.beats, offset, endOffset: offset };
      });
    default:
      return [];
  }
}

/** The syllables of one repetition in the order sung. */
export function syllablesOf(music: Music): readonly string[] {
  const ofEvents = (events: readonly PatternEvent[]) =>
    events.flatMap((event) => (isNote(event) && event.syllable) || []);
  switch (music.kind) {
    case 'pattern':
    case 'round':
      return ofEvents(music.notes);
    case 'lines':
      return ofEvents(music.lines[0] ?? []);
    case 'drone':
      return music.over.kind === 'line' ? ofEvents(music.over.notes) : music.over.lines;
    case 'glide':
    case 'chord':
      return [music.syllable];
    case 'hold':
      return music.syllables;
    case 'spoken':
      return music.lines;
    default:
      return [];
  }
}
