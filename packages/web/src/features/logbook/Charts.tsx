import { Box } from '@chakra-ui/react';
import type { LogSpan } from '@wide-fern/core';
import type { LogbookView } from '@wide-fern/plan';
import { capitalise, columnHeading, lengthInFigures } from '@wide-fern/words';
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { Bar, Line } from 'react-chartjs-2';
import { Figure, inMinutes, mostLines, points, useInks } from './chartFigure';
import { JudgedAgain } from './JudgedAgain';

Chart.register(
  ...[BarController, BarElement, CategoryScale, Legend, LinearScale],
  ...[LineController, LineElement, PointElement, Tooltip],
);
Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;

/** Lines are told apart by their dashes, and by their points too. */
const dashes = [[], [6, 3], [2, 3], [10, 3, 2, 3]];
const mostSkills = 12;

/** The plain charts; all of it stands in the table above and in words beside it. */
export default function Charts({
  view,
  span,
}: {
  readonly view: LogbookView;
  readonly span: LogSpan;
}) {
  const labels = view.columns.map(({ column }) => columnHeading(column, span));
  const { ink, soft, fern, axis, plain, byPoint } = useInks();
  const bars: ChartOptions<'bar'> = {
    ...plain,
    scales: { x: axis(''), y: { ...axis('minutes'), beginAtZero: true } },
  };
  const judged: ChartOptions<'line'> = {
    ...byPoint,
    spanGaps: true,
    scales: {
      x: axis(''),
      y: { ...axis('judged, 1 to 5'), min: 1, max: 5, ticks: { color: soft, stepSize: 1 } },
    },
  };
  const skills = view.skills.slice(0, mostSkills);
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="24px" mt="16px">
      <Figure
        title="Minutes planned and real"
        words={view.columns
          .filter(({ real }) => real > 0)
          .map(
            ({ column, planned, real }) =>
              `${columnHeading(column, span)}: ${lengthInFigures(real)} of ${lengthInFigures(planned)} planned`,
          )}
      >
        {(label) => (
          <Bar
            aria-label={label}
            options={bars}
            data={{
              labels,
              datasets: [
                {
                  label: 'planned',
                  data: view.columns.map(({ planned }) => inMinutes(planned)),
                  backgroundColor: 'transparent',
                  borderColor: ink,
                  borderWidth: 1,
                },
                {
                  label: 'as led',
                  data: view.columns.map(({ real }) => inMinutes(real)),
                  backgroundColor: ink,
                },
              ],
            }}
          />
        )}
      </Figure>
      <Figure
        title="Judgements"
        words={view.judged.map(
          ({ title, skill, scores }) =>
            `${title}, ${skill}: ${scores.flatMap((some) => some.at(-1) ?? []).join(', ')}`,
        )}
      >
        {(label) => (
          <Line
            aria-label={label}
            options={judged}
            data={{
              labels,
              datasets: view.judged.slice(0, mostLines).map(({ title, skill, scores }, i) => ({
                label: `${title}: ${skill}`,
                data: scores.map((some) => some.at(-1) ?? null),
                borderColor: ink,
                backgroundColor: i % 2 === 0 ? ink : 'transparent',
                borderDash: dashes[i]!,
                pointStyle: points[i]!,
                pointRadius: 5,
                borderWidth: 1.5,
              })),
            }}
          />
        )}
      </Figure>
      <Figure
        title="Time led on each skill"
        words={skills.map(
          ({ skill, seconds }) => `${capitalise(skill)}: ${lengthInFigures(seconds)}`,
        )}
      >
        {(label) => (
          <Bar
            aria-label={label}
            options={{
              ...bars,
              indexAxis: 'y',
              plugins: { legend: { display: false } },
              scales: {
                x: { ...axis('minutes'), beginAtZero: true },
                y: { ...axis(''), ticks: { color: soft, autoSkip: false } },
              },
            }}
            data={{
              labels: skills.map(({ skill }) => skill),
              datasets: [
                {
                  label: 'minutes',
                  data: skills.map(({ seconds }) => inMinutes(seconds)),
                  backgroundColor: fern,
                },
              ],
            }}
          />
        )}
      </Figure>
      <JudgedAgain effects={view.effects} />
    </Box>
  );
}
