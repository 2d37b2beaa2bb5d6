import { Box, Flex } from '@chakra-ui/react';
import type { KeptCheck } from '@wide-fern/contract';
import { noteName, type NoteWriting, type PitchRange } from '@wide-fern/core';
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { useState } from 'react';
import { Bar } from 'react-chartjs-2';
import { Label, WordButton } from '../../../ui/words';
import { rangeInFigures, datedInWords } from '@wide-fern/words';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

const rowHeight = 24;
const footHeight = 34;

/** A colour of the page as the canvas takes it: a canvas knows no variables. */
const resolved = (css: string): string => {
  const name = /var\((--[^)]+)\)/.exec(css)?.[1];
  return name ? getComputedStyle(document.documentElement).getPropertyValue(name).trim() : css;
};

/** A floating bar covers the columns of both its notes. */
const columns = ([low, high]: PitchRange): [number, number] => [low - 0.5, high + 0.5];

/** A singer's checks over the months, the oldest on top, on a pitch axis from left to right. */
export default function CheckHistory({
  checks,
  tonight,
  hue,
  writing,
  onDrop,
}: {
  /** The newest first. */
  readonly checks: readonly KeptCheck[];
  readonly tonight: { readonly comfort: PitchRange; readonly reach: PitchRange } | undefined;
  readonly hue: string;
  readonly writing: NoteWriting;
  readonly onDrop: (check: string) => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? checks : checks.slice(0, 6);
  const dated = [...shown].reverse().map(({ checkedOn, comfort, reach }) => ({
    label: datedInWords(checkedOn),
    comfort,
    reach,
  }));
  const rows = [...dated, ...(tonight ? [{ label: 'tonight', ...tonight }] : [])];
  const ink = resolved('var(--chakra-colors-ink-soft)');
  const line = resolved('var(--chakra-colors-line)');
  const own = resolved(hue);
  const low = Math.min(...rows.map(({ reach }) => reach[0]));
  const high = Math.max(...rows.map(({ reach }) => reach[1]));
  const font = { family: "'Source Sans 3 Variable'", size: 12 };
  const options: ChartOptions<'bar'> = {
    indexAxis: 'y',
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    scales: {
      x: {
        min: low - 1,
        max: high + 1,
        border: { display: false },
        grid: { color: line },
        afterBuildTicks: (axis) => {
          // Every C, and F where there are few.
          const notes = Array.from({ length: high - low + 3 }, (_, i) => low - 1 + i);
          axis.ticks = notes.filter((note) => note % 12 === 0).map((value) => ({ value }));
        },
        ticks: { color: ink, font, callback: (note) => noteName(Number(note), writing) },
      },
      y: {
        stacked: true,
        border: { display: false },
        grid: { display: false },
        ticks: { color: ink, font, autoSkip: false },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: {
        animation: false,
        callbacks: {
          label: ({ dataIndex }) => {
            const row = rows[dataIndex]!;
            return `easy ${rangeInFigures(row.comfort, writing)}, reach ${rangeInFigures(row.reach, writing)}`;
          },
        },
      },
    },
  };
  return (
    <Box>
      <Box h={`${rows.length * rowHeight + footHeight}px`}>
        <Bar
          role="img"
          aria-label={rows
            .map(
              ({ label, comfort, reach }) =>
                `${label}: easy ${rangeInFigures(comfort, writing)}, reach ${rangeInFigures(reach, writing)}`,
            )
            .join('; ')}
          options={options}
          data={{
            labels: rows.map(({ label }) => label),
            datasets: [
              {
                label: 'easy',
                data: rows.map(({ comfort }) => columns(comfort)),
                backgroundColor: own,
                barThickness: 5,
              },
              {
                label: 'reach',
                data: rows.map(({ reach }) => columns(reach)),
                backgroundColor: own,
                barThickness: 1,
              },
            ],
          }}
        />
      </Box>
      <Flex gap="16px" wrap="wrap" fontSize="13px">
        {checks.length > 6 && (
          <WordButton fontSize="13px" onClick={() => setAll(!all)}>
            {all ? 'the newest six' : `all ${checks.length}`}
          </WordButton>
        )}
        <WordButton fontSize="13px" onClick={() => onDrop(checks[0]!.id)}>
          take the newest back
        </WordButton>
      </Flex>
      <Label>Thick: easy. Thin: it came out.</Label>
    </Box>
  );
}
