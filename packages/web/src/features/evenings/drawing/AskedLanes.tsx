import { Box } from '@chakra-ui/react';
import type { Evening, StoreEvening } from '@wide-fern/contract';
import { own, type NoteWriting, type Section } from '@wide-fern/core';
import { askedInWords } from '@wide-fern/words';
import { color, hueOf } from '../../../ui/color';
import { Label } from '../../../ui/words';
import { beginnings, type EveningScale } from './scale';

const lane = { height: 34, gap: 6 } as const;
/** Shown beyond each end of what a part reaches, in semitones. */
const margin = 2;

/** For each part, how far the pieces go, over what it sings easily tonight: where they leave it, the end stands out. */
export function AskedLanes({
  evening,
  pieces,
  sections,
  scale,
  writing,
}: {
  readonly evening: StoreEvening;
  readonly pieces: Evening['pieces'];
  readonly sections: readonly Section[];
  readonly scale: EveningScale;
  readonly writing: NoteWriting;
}) {
  const from = beginnings(evening.agenda);
  const items = evening.agenda.flatMap((item, i) => {
    const piece = pieces.find(({ id }) => id === item.piece);
    return piece ? [{ piece, x: scale.x(from[i]!), width: item.minutes * scale.pxPerMinute }] : [];
  });
  if (items.length === 0) return null;
  const words = sections.map((band) =>
    askedInWords(
      band,
      items.map(({ piece }) => piece),
      writing,
    ),
  );
  // Before a narrow gutter's lanes two letters fit only at its very edge, and small.
  const letter =
    scale.left < 40
      ? ({ x: 0, anchor: 'start', size: 13 } as const)
      : ({ x: scale.left - 12, anchor: 'end', size: 15 } as const);
  return (
    <Box mt="8px">
      <Label pl={`${scale.left}px`}>
        How far each piece goes for each part, over what is easy tonight. Full colour: beyond it.
      </Label>
      <svg
        width={scale.right + 24}
        height={sections.length * (lane.height + lane.gap)}
        role="img"
        aria-label={words.join(' ')}
        style={{ display: 'block' }}
      >
        {sections.map((band, row) => {
          const top = row * (lane.height + lane.gap) + lane.gap;
          const [lowest, highest] = [band.reach[0] - margin, band.reach[1] + margin];
          const y = (note: number) =>
            top + lane.height * (1 - (note - lowest) / Math.max(1, highest - lowest));
          const hue = hueOf(band.id, row);
          const [low, high] = band.comfort;
          return (
            <g key={band.id}>
              <text
                x={letter.x}
                y={top + lane.height / 2 + 5}
                textAnchor={letter.anchor}
                style={{ fontSize: letter.size, fontWeight: 700 }}
                fill={hue}
              >
                {band.id}
              </text>
              <rect
                x={scale.left}
                width={scale.right - scale.left}
                y={y(high)}
                height={Math.max(1, y(low) - y(high))}
                fill={hue}
                opacity={0.085}
              />
              {[low, high].map((note) => (
                <line
                  key={note}
                  x1={scale.left}
                  x2={scale.right}
                  y1={y(note)}
                  y2={y(note)}
                  stroke={hue}
                  strokeOpacity={0.5}
                />
              ))}
              {items.map(({ piece, x, width }, i) => {
                const range = own(piece.ranges, band.id);
                if (!range) return null;
                const inside = [Math.max(range[0], low), Math.min(range[1], high)] as const;
                const beyond = [
                  [Math.max(range[0], high), range[1]],
                  [range[0], Math.min(range[1], low)],
                ].filter(([bottom, topmost]) => topmost! > bottom!);
                return (
                  <g key={i}>
                    {inside[1] >= inside[0] && (
                      <rect
                        x={x + 3}
                        width={Math.max(2, width - 6)}
                        y={y(inside[1])}
                        height={Math.max(2, y(inside[0]) - y(inside[1]))}
                        fill={hue}
                        opacity={0.35}
                      />
                    )}
                    {beyond.map(([bottom, topmost]) => (
                      <rect
                        key={bottom}
                        x={x + 3}
                        width={Math.max(2, width - 6)}
                        y={y(topmost!)}
                        height={Math.max(3, y(bottom!) - y(topmost!))}
                        fill={hue}
                        stroke={color('paper')}
                        strokeWidth={1}
                      />
                    ))}
                  </g>
                );
              })}
            </g>
          );
        })}
      </svg>
    </Box>
  );
}
