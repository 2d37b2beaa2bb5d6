import { Box } from '@chakra-ui/react';
import type { JudgedRow, LogbookView } from '@wide-fern/plan';
import { useState } from 'react';
import { Link } from 'react-router';
import { Name, WordButton } from '../../ui/words';
import { classOf } from './shown';
import { lineGap } from './tableStyles';
import type { Coming } from './useLogbook';

/** So many pieces at first. */
const mostPieces = 5;
const scores = [5, 4, 3, 2, 1];
const height = 42;
const top = (height - 4 * lineGap) / 2;
const heightOf = (score: number): number => top + (5 - score) * lineGap;

/** How each piece was judged for the skill it is followed by. */
export function JudgedRows({
  view,
  coming,
  width,
}: {
  readonly view: LogbookView;
  readonly coming: Coming | undefined;
  /** Of a column, in px. */
  readonly width: number;
}) {
  const [isAll, setAll] = useState(false);
  const { judged, columns } = view;
  const shown = isAll ? judged : judged.slice(0, mostPieces);
  return (
    <tbody>
      {shown.map((row) => (
        <tr key={row.piece} className="judged">
          <th scope="row">
            <Name as="span" display="block" fontSize="13px" lineHeight="1.2">
              <Link to={`/pieces/${row.piece}`}>{row.title}</Link>
            </Name>
            <Box color="inkSoft" fontSize="12px" lineHeight="1.2">
              {row.skill}
            </Box>
          </th>
          {columns.map((column, i) => (
            <td key={column.column} className={classOf(column, coming)}>
              <Judged scores={row.scores[i]!} width={width} />
            </td>
          ))}
        </tr>
      ))}
      {judged.length > mostPieces && (
        <tr>
          <th scope="row">
            <WordButton fontSize="13px" minH="28px" onClick={() => setAll(!isAll)}>
              {isAll ? 'fewer pieces' : `all ${judged.length} pieces`}
            </WordButton>
          </th>
        </tr>
      )}
    </tbody>
  );
}

/** The first and the last judgement of a column on five lines; in between lies what was done. */
function Judged({
  scores: some,
  width,
}: {
  readonly scores: JudgedRow['scores'][number];
  readonly width: number;
}) {
  const [first, last] = [some[0], some.length > 1 ? some.at(-1) : undefined];
  const at = [20, Math.min(52, width - 14)] as const;
  return (
    <Box asChild display="block" color="line">
      <svg width={width} height={height} role="presentation">
        {scores.map((score) => (
          <line
            key={score}
            x1={0}
            x2={width}
            y1={heightOf(score)}
            y2={heightOf(score)}
            stroke="currentcolor"
          />
        ))}
        {first !== undefined && last !== undefined && (
          <path
            d={`M${at[0] + 8} ${heightOf(first) - 5} Q${(at[0] + at[1]) / 2} ${Math.min(heightOf(first), heightOf(last)) - 14} ${at[1] - 8} ${heightOf(last) - 5}`}
            fill="none"
            stroke="var(--chakra-colors-ink)"
          />
        )}
        {[first, last].map(
          (score, i) =>
            score !== undefined && (
              <g key={i}>
                <circle cx={at[i]} cy={heightOf(score)} r={7.5} fill="var(--chakra-colors-paper)" />
                <text
                  x={at[i]}
                  y={heightOf(score) + 4.5}
                  textAnchor="middle"
                  fontSize="13"
                  fontWeight={650}
                  fill="var(--chakra-colors-ink)"
                >
                  {score}
                </text>
              </g>
            ),
        )}
      </svg>
    </Box>
  );
}
