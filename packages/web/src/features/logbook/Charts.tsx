import { Box } from '@chakra-ui/react';
import type { LogSpan } from '@wide-fern/core';
import type { LogbookView } from '@wide-fern/plan';
import { capitalise, columnHeading, lengthInFigures, pairsInWords } from '@wide-fern/words';
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
  ScatterController,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { useMemo, type ReactNode } from 'react';
import { Bar, Line, Scatter } from 'react-chartjs-2';
import { Name } from '../../ui/words';

Chart.register(
  ...[BarController, BarElement, CategoryScale, Legend, LinearScale],
  ...[LineController, LineElement, PointElement, ScatterController, Tooltip],
);
Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;

/** A colour of the design as the canvas takes it. */
const token = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim();
const inMinutes = (seconds: number): number => Math.round(seconds / 6) / 10;

/** Lines are told apart by their dashes and points too. */
const dashes = [[], [6, 3], [2, 3], [10, 3, 2, 3]];
const points = ['circle', 'rect', 'triangle', 'rectRot'] as const;
const mostLines = 4;
const mostSkills = 12;
/** From the worst judgement to the best. */
const mostChange = 4;

/** The plain charts; all of it stands in the table above and in words beside it. */
export default function Charts({
  view,
  span,
}: {
  readonly view: LogbookView;
  readonly span: LogSpan;
}) {
  const labels = view.columns.map(({ column }) => columnHeading(column, span));
  const [ink, soft, line, fern] = useMemo(
    () => ['ink', 'inkSoft', 'line', 'fern'].map(token) as [string, string, string, string],
    [],
  );
  const axis = (title: string) => ({
    title: { display: true, text: title, color: soft },
    ticks: { color: soft },
    grid: { color: line },
  });
  const plain = {
    animation: false,
    maintainAspectRatio: false,
    plugins: { legend: { labels: { color: ink } } },
  } as const;
  const bars: ChartOptions<'bar'> = {
    ...plain,
    scales: { x: axis(''), y: { ...axis('minutes'), beginAtZero: true } },
  };
  const judged: ChartOptions<'line'> = {
    ...plain,
    spanGaps: true,
    scales: {
      x: axis(''),
      y: { ...axis('judged, 1 to 5'), min: 1, max: 5, ticks: { color: soft, stepSize: 1 } },
    },
  };
  const skills = view.skills.slice(0, mostSkills);
  const helped = [...view.effects]
    .filter(({ all }) => all.pairs.length > 0)
    .sort((a, b) => b.all.pairs.length - a.all.pairs.length)
    .slice(0, mostLines);
  const changes: ChartOptions<'scatter'> = {
    ...plain,
    scales: {
      x: { ...axis('minutes led on it since the judgement before'), beginAtZero: true },
      y: {
        ...axis('worse or better than then'),
        min: -mostChange,
        max: mostChange,
        ticks: { color: soft, stepSize: 1 },
      },
    },
  };
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
              scales: { x: { ...axis('minutes'), beginAtZero: true }, y: axis('') },
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
      {helped.length > 0 && (
        <Figure
          title="Judged again, by how much was led in between"
          words={helped.map(pairsInWords)}
        >
          {(label) => (
            <Scatter
              aria-label={label}
              options={changes}
              data={{
                datasets: helped.map(({ skill, all: { pairs } }, i) => ({
                  label: skill,
                  data: pairs.map(({ change, seconds }) => ({ x: inMinutes(seconds), y: change })),
                  borderColor: ink,
                  backgroundColor: i % 2 === 0 ? ink : 'transparent',
                  pointStyle: points[i]!,
                  pointRadius: 5,
                  borderWidth: 1.5,
                })),
              }}
            />
          )}
        </Figure>
      )}
    </Box>
  );
}

/** A chart with its name, and the same in words for whoever does not see it. */
function Figure({
  title,
  words,
  children,
}: {
  readonly title: string;
  readonly words: readonly string[];
  /** The chart, by what it is called for whoever does not see it. */
  readonly children: (label: string) => ReactNode;
}) {
  return (
    <Box as="section">
      <Name as="h2" fontSize="18px" mb="4px">
        {title}
      </Name>
      <Box h="280px">{children(words.join('. '))}</Box>
    </Box>
  );
}
