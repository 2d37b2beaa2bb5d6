import type { LogbookView } from '@wide-fern/plan';
import { pairsInWords } from '@wide-fern/words';
import { Chart, ScatterController, type ChartOptions } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { Figure, inMinutes, mostLines, points, useInks } from './chartFigure';

Chart.register(ScatterController);

/** From the worst judgement to the best. */
const mostChange = 4;

/** Each time a skill was judged again, by how much was led on it in between; those judged most. */
export function JudgedAgain({ effects }: Pick<LogbookView, 'effects'>) {
  const { ink, soft, axis, byPoint } = useInks();
  const helped = [...effects]
    .filter(({ all }) => all.pairs.length > 0)
    .sort((a, b) => b.all.pairs.length - a.all.pairs.length)
    .slice(0, mostLines);
  const changes: ChartOptions<'scatter'> = {
    ...byPoint,
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
  if (helped.length === 0) return null;
  return (
    <Figure title="Judged again, by how much was led in between" words={helped.map(pairsInWords)}>
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
  );
}
