import { Box } from '@chakra-ui/react';
import { useMemo, type ReactNode } from 'react';
import { Name } from '../../ui/words';

/** A colour of the design as the canvas takes it. */
const token = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim();

export const inMinutes = (seconds: number): number => Math.round(seconds / 6) / 10;

/** So many are told apart, by their points. */
export const mostLines = 4;
export const points = ['circle', 'rect', 'triangle', 'rectRot'] as const;

/** How charts are drawn: the colours of the design, axes, and what stands above. */
export function useInks() {
  return useMemo(() => {
    const [ink, soft, line, fern] = ['ink', 'inkSoft', 'line', 'fern'].map(token) as [
      string,
      string,
      string,
      string,
    ];
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
    const byPoint = {
      ...plain,
      plugins: { legend: { labels: { color: ink, usePointStyle: true } } },
    } as const;
    return { ink, soft, fern, axis, plain, byPoint };
  }, []);
}

/** A chart with its name, and the same in words for whoever does not see it. */
export function Figure({
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
