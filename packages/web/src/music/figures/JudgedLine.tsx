import { color } from '../../ui/color';
import { SvgText } from '../../ui/SvgText';

const apart = 52;
const lineApart = 7;

/** The judgements of one skill over the runs: five lines, the figure sits on its line. */
export function JudgedLine({
  skill,
  runs,
  isTarget,
  left = 132,
}: {
  readonly skill: string;
  readonly runs: readonly { readonly date: string; readonly score: number | undefined }[];
  readonly isTarget: boolean;
  /** Where the lines begin, after the skill's name (px). */
  readonly left?: number;
}) {
  const shown = runs.slice(-8);
  const y = (score: number) => 8 + (5 - score) * lineApart;
  const x = (place: number) => left + 20 + place * apart;
  const width = left + 20 + shown.length * apart;
  const judged = shown.flatMap(({ score }, place) =>
    score === undefined ? [] : [{ score, place }],
  );
  const words = shown
    .flatMap(({ date, score }) => (score === undefined ? [] : [`${date} ${score}`]))
    .join(', ');
  return (
    <svg
      width={width}
      height={58}
      role="img"
      aria-label={`${skill}: ${words}`}
      style={{ display: 'block', maxWidth: '100%' }}
      viewBox={`0 0 ${width} 58`}
    >
      <SvgText x={0} y={26} size={13} ink="ink" weight={isTarget ? 700 : 400}>
        {skill}
      </SvgText>
      <SvgText x={left - 6} y={12} textAnchor="end">
        5
      </SvgText>
      <SvgText x={left - 6} y={y(1) + 4} textAnchor="end">
        1
      </SvgText>
      {[1, 2, 3, 4, 5].map((score) => (
        <line
          key={score}
          x1={left}
          x2={width}
          y1={y(score)}
          y2={y(score)}
          stroke={color('line')}
          strokeWidth={0.8}
        />
      ))}
      {judged.slice(1).map(({ score, place }, i) => (
        <line
          key={place}
          x1={x(judged[i]!.place)}
          y1={y(judged[i]!.score)}
          x2={x(place)}
          y2={y(score)}
          stroke={color('inkSoft')}
        />
      ))}
      {judged.map(({ score, place }) => (
        <g key={place}>
          <circle cx={x(place)} cy={y(score)} r={7.5} fill={color('paper')} />
          <SvgText
            x={x(place)}
            y={y(score) + 4.5}
            textAnchor="middle"
            size={13}
            ink="ink"
            weight={700}
          >
            {score}
          </SvgText>
        </g>
      ))}
      {shown.map(({ date, score }, place) =>
        score === undefined ? null : (
          <SvgText key={date + place} x={x(place)} y={54} textAnchor="middle">
            {date}
          </SvgText>
        ),
      )}
    </svg>
  );
}
