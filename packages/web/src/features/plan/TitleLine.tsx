import { Flex } from '@chakra-ui/react';
import { createContext, memo, useContext, useMemo, type ReactNode } from 'react';
import { color } from '../../ui/color';
import { Label, Name } from '../../ui/words';

/** Whether the warm-up holds: its length, its end, its chance. */
interface Holding {
  readonly figure: string;
  readonly tooLong: boolean;
  readonly sentence: string;
}

/** Reaches the words that change all the time without what they stand in. */
const HoldingNow = createContext<Holding>({ figure: '', tooLong: false, sentence: '' });

function HoldingWords() {
  const { figure, tooLong, sentence } = useContext(HoldingNow);
  return (
    <>
      <div style={{ fontSize: '18px', fontWeight: 700, color: color(tooLong ? 'brick' : 'ink') }}>
        {figure}
      </div>
      <span style={{ fontSize: '13px', color: color('inkSoft') }}>{sentence}</span>
    </>
  );
}

/** Date and place, and whether the warm-up holds. */
export function TitleLine({
  figure,
  tooLong,
  sentence,
  ...line
}: Holding & {
  readonly date: string;
  readonly place: string;
  /** Whose comfort the keys rest on. */
  readonly madeFor: string;
  /** Words that are the same as long as they say the same. */
  readonly children: ReactNode;
}) {
  const held = useMemo(() => ({ figure, tooLong, sentence }), [figure, tooLong, sentence]);
  return (
    <HoldingNow value={held}>
      <Line {...line} />
    </HoldingNow>
  );
}

/** Gives its room away before anything else does: two lines at most, all of it on pointing at it. */
const yielding = {
  flexShrink: 1_000_000,
  minW: '140px',
  whiteSpace: 'normal',
  lineHeight: '17px',
  lineClamp: 2,
} as const;

const Line = memo(function Line({
  date,
  place,
  madeFor,
  children,
}: {
  readonly date: string;
  readonly place: string;
  readonly madeFor: string;
  readonly children: ReactNode;
}) {
  const where = `${place}, ${madeFor}`;
  return (
    <Flex
      minH="48px"
      align="center"
      px={{ base: '16px', md: '24px' }}
      py={{ base: '8px', md: 0 }}
      columnGap="16px"
      rowGap="2px"
      // On a wide page a longer sentence takes its room from the place: what lies below stays where it is.
      wrap={{ base: 'wrap', xl: 'nowrap' }}
      whiteSpace={{ xl: 'nowrap' }}
    >
      <Name as="h1" fontSize="24px">
        {date}
      </Name>
      <Label as="span" fontSize="13px" title={where} hideBelow="xl" {...yielding}>
        {where}
      </Label>
      <Flex
        ml={{ base: 0, lg: 'auto' }}
        align="baseline"
        columnGap="10px"
        wrap={{ base: 'wrap', xl: 'nowrap' }}
        flexShrink={{ xl: 0 }}
        role="status"
        aria-label="Length"
      >
        <HoldingWords />
      </Flex>
      <Flex
        columnGap="16px"
        wrap="wrap"
        align="center"
        justify={{ xl: 'flex-end' }}
        ml={{ base: 0, md: 'auto', lg: 0 }}
      >
        {children}
      </Flex>
    </Flex>
  );
});
