import { isNote, offsetsOf, type Music } from '@wide-fern/core';
import { color } from '../../ui/color';
import { SvgText } from '../../ui/SvgText';

interface Dash {
  readonly from: number;
  readonly to: number;
  readonly offset: number;
  readonly endOffset: number;
  readonly text: string;
}

/** The notes of one repetition as dashes in beats and semitones. */
function dashesOf(music: Music): { dashes: Dash[]; beats: number } {
  const dashes: Dash[] = [];
  let beat = 0;
  if (music.kind === 'pattern') {
    for (const event of music.notes) {
      if (isNote(event)) {
        const { offset, beats, syllable = '' } = event;
        dashes.push({ from: beat, to: beat + beats, offset, endOffset: offset, text: syllable });
      }
      beat += event.beats;
    }
  }
  if (music.kind === 'glide') {
    music.points.forEach(({ offset, beats }, i) => {
      const before = music.points[i - 1];
      if (before) {
        const text = i === 1 ? music.syllable : '';
        dashes.push({
          from: beat,
          to: beat + beats,
          offset: before.offset,
          endOffset: offset,
          text,
        });
      }
      beat += beats;
    });
  }
  if (music.kind === 'hold') {
    const each = music.beats / music.syllables.length;
    music.syllables.forEach((text, i) => {
      dashes.push({ from: i * each, to: (i + 1) * each, offset: 0, endOffset: 0, text });
    });
    beat = music.beats;
  }
  if (music.kind === 'chord') {
    music.tones.forEach((offset, i) => {
      const text = i === 0 ? music.syllable : '';
      dashes.push({ from: 0, to: music.beats, offset, endOffset: offset, text });
    });
    beat = music.beats;
  }
  return { dashes, beats: beat };
}

/** The pattern's own notes to scale: beats from left to right, semitones from bottom to top, its words beneath. */
export function PatternFigure({
  music,
  width,
  height,
  words = true,
}: {
  readonly music: Music;
  readonly width: number;
  readonly height: number;
  readonly words?: boolean;
}) {
  const offsets = offsetsOf(music);
  if (offsets.length === 0) return null;
  const { dashes, beats } = dashesOf(music);
  const low = Math.min(...offsets);
  const high = Math.max(...offsets);
  const floor = height - (words ? 18 : 3);
  const x = (beat: number) => 2 + (beat / Math.max(1, beats)) * (width - 4);
  const perSemitone = Math.min(words ? 6 : 3, (floor - 8) / Math.max(1, high - low));
  const middle = (floor + 4) / 2;
  const y = (offset: number) => middle + ((low + high) / 2 - offset) * perSemitone;
  let textEnd = -Infinity;
  return (
    <svg width={width} height={height} aria-hidden="true" style={{ display: 'block' }}>
      {words && (
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
          strokeWidth={words ? 3 : 1.8}
        />
      ))}
      {words &&
        dashes.map(({ from, text }, i) => {
          const start = x(from);
          // A word that would meet the one before stands on the next line of none: it is left out.
          if (text === '' || start < textEnd) return null;
          textEnd = start + text.length * 6.2 + 3;
          return (
            <SvgText key={i} x={start} y={height - 3}>
              {text}
            </SvgText>
          );
        })}
    </svg>
  );
}
