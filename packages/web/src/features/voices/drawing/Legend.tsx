import { Flex } from '@chakra-ui/react';
import { countInWords } from '@wide-fern/words';
import { useId } from 'react';
import { color } from '../../../ui/color';

/** What the lines of the picture mean. */
export function Legend({
  hue,
  asked,
}: {
  readonly hue: string;
  /** Singers of whom it was noted where the voice changes; 0 where the book stands in. */
  readonly asked: number;
}) {
  const dots = useId();
  const signs = [
    ['easy', <rect key="s" x={0} y={4} width={30} height={5} fill={hue} />],
    ['it comes out', <line key="s" x1={0} x2={30} y1={6.5} y2={6.5} stroke={hue} />],
    [
      'away',
      <rect key="s" x={0.5} y={4} width={29} height={5} fill={color('paper')} stroke={hue} />,
    ],
    [
      asked === 0
        ? 'usual change of register'
        : `change of register, as ${countInWords(asked)} ${asked === 1 ? 'singer' : 'singers'} showed`,
      <g key="s">
        <defs>
          <pattern id={dots} width="6" height="6" patternUnits="userSpaceOnUse">
            <circle cx="3" cy="3" r="1" fill={hue} />
          </pattern>
        </defs>
        <rect x={0} y={0} width={30} height={12} fill={`url(#${dots})`} />
      </g>,
    ],
  ] as const;
  return (
    <Flex gap="24px" wrap="wrap" fontSize="12px" color="inkSoft">
      {signs.map(([words, sign]) => (
        <Flex key={words} as="span" gap="8px" align="center">
          <svg width={30} height={12} aria-hidden="true">
            {sign}
          </svg>
          {words}
        </Flex>
      ))}
    </Flex>
  );
}
