import { isNote, offsetsOf, type Music } from '@wide-fern/core';
import { color } from '../../../ui/color';

interface Dash {
  readonly from: number;
  readonly to: number;
  readonly offset: number;
  readonly endOffset: number;
}

/** The notes of one repetition as dashes in beats and semitones. */
function dashesOf(music: Music): { dashes: Dash[]; beats: number } {
  const dashes: Dash[] = [];
  let beat = 0;
  if (music.kind === 'pattern') {
    for (const event of music.notes) {
      if (isNote(event)) {
        const { offset, beats } = event;
        dashes.push({ from: beat, to: beat + beats, offset, endOffset: offset });
      }
      beat += event.beats;
    }
  }
  if (music.kind === 'glide') {
    music.points.forEach(({ offset, beats }, i) => {
      const before = music.points[i - 1];
      if (before) {
        dashes.push({
          from: beat,
          to: beat + beats,
          offset: before.offset,
          endOffset: offset,
        });
      }
      beat += beats;
    });
  }
  if (music.kind === 'hold') {
    const each = music.beats / music.syllables.length;
    music.syllables.forEach((_, i) => {
      dashes.push({ from: i * each, to: (i + 1) * each, offset: 0, endOffset: 0 });
    });
    beat = music.beats;
  }
  if (music.kind === 'chord') {
    music.tones.forEach((offset) => {
      dashes.push({ from: 0, to: music.beats, offset, endOffset: offset });
    });
    beat = music.beats;
  }
  return { dashes, beats: beat };
}

/** The pattern's own notes to scale: beats from left to right, semitones from bottom to top. */
export function PatternFigure({
  music,
  width,
  height,
  small = false,
}: {
  readonly music: Music;
  readonly width: number;
  readonly height: number;
  /** In a line of text: thinner, and without the line of the tonic. */
  readonly small?: boolean;
}) {
  const offsets = offsetsOf(music);
  if (offsets.length === 0) return null;
  const { dashes, beats } = dashesOf(music);
  const low = Math.min(...offsets);
  const high = Math.max(...offsets);
  const x = (beat: number) => 2 + (beat / Math.max(1, beats)) * (width - 4);
  const perSemitone = Math.min(small ? 3 : 6, (height - 8) / Math.max(1, high - low));
  const y = (offset: number) => height / 2 + ((low + high) / 2 - offset) * perSemitone;
  return (
    <svg width={width} height={height} aria-hidden="true" style={{ display: 'block' }}>
      {!small && (
        <line x1={0} x2={width} y1={y(0)} y2={y(0)} stroke={color('line')} strokeDasharray="2 3" />
      )}
      {dashes.map(({ from, to, offset, endOffset }, i) => (
        <line
          key={i}
          x1={x(from) + 1}
          x2={Math.max(x(from) + 2, x(to) - 1)}
          y1={y(offset)}
          y2={y(endOffset)}
          stroke={color('ink')}
          strokeWidth={small ? 1.8 : 3}
        />
      ))}
    </svg>
  );
}
