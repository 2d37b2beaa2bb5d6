import { breathRounds } from '@wide-fern/core';
import { color } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import type { Evaluated } from '@wide-fern/plan';

/** The rounds of counted breathing to scale: in rises, held stays, out falls, rest lies low. */
export function BreathFigure({ evaluated: { segment } }: { readonly evaluated: Evaluated }) {
  const { music } = segment.exercise;
  if (music.kind !== 'breath') return null;
  const { repetitions, tempo } = segment.choices;
  const rounds = breathRounds({ ...music, rounds: repetitions, tempo });
  const total = rounds.reduce((sum, r) => sum + r.in + r.hold + r.out + r.rest, 0);
  const width = 470;
  const x = (beats: number) => (beats / Math.max(1, total)) * width;
  let beat = 0;
  const points = rounds.flatMap((round) => {
    const corner = (length: number, y: number) => {
      beat += length;
      return `${x(beat)},${y}`;
    };
    return [
      corner(round.in, 14),
      corner(round.hold, 14),
      corner(round.out, 62),
      corner(round.rest, 62),
    ];
  });
  let from = 0;
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} 100`}
      role="img"
      aria-label="The breath, round by round"
    >
      <polyline
        points={`0,62 ${points.join(' ')}`}
        fill="none"
        stroke={color('ink')}
        strokeWidth={1.8}
      />
      {rounds.map((round, i) => {
        const start = x(from);
        from += round.in + round.hold + round.out + round.rest;
        const counts = [round.in, round.hold, round.out, round.rest].filter((count) => count > 0);
        return (
          <g key={i}>
            <line x1={start} x2={start} y1={8} y2={70} stroke={color('line')} />
            <SvgText x={start + 3} y={84}>
              {counts.join(' · ')}
            </SvgText>
          </g>
        );
      })}
    </svg>
  );
}
