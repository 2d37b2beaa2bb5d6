import type { LogSpan } from '@wide-fern/core';

/** Styles of the table, said once: it has many cells. Measures in px. */
const gutter = 156;
export const columnWidths: Readonly<Record<LogSpan, number>> = { week: 94, month: 62, year: 75 };
/** The highest stem of a kind of work, and of a whole warm-up. */
export const stemHeight = 22;
export const wholeHeight = 96;
/** Lines of judgements, from 5 down to 1. */
export const lineGap = 7;

export const tableStyles = (columnWidth: number) =>
  ({
    borderCollapse: 'collapse',
    '& th, & td': { padding: 0, verticalAlign: 'bottom', textAlign: 'start' },
    '& th[scope=row]': {
      minWidth: { base: '112px', md: `${gutter}px` },
      maxWidth: { base: '112px', md: `${gutter}px` },
      fontWeight: 400,
      fontSize: '13px',
      position: 'sticky',
      left: 0,
      zIndex: 2,
      background: 'paper',
      paddingRight: '8px',
    },
    '& thead th': { fontSize: '13px', fontWeight: 650, height: '44px', verticalAlign: 'top' },
    '& thead th:not(:first-of-type)': {
      minWidth: `${columnWidth}px`,
      maxWidth: `${columnWidth}px`,
    },
    '& .none': { background: 'color-mix(in srgb, var(--chakra-colors-sunk) 50%, transparent)' },
    '& .coming': { background: 'color-mix(in srgb, var(--chakra-colors-fern) 7%, transparent)' },
    '& .work th, & .work td': {
      height: '26px',
      borderBottomWidth: '1px',
      borderColor: 'line',
    },
    '& .work.missing th, & .work.missing td': { height: '46px' },
    '& .work.missing th': { fontWeight: 650 },
    '& .judged td': { height: '42px', verticalAlign: 'middle' },
    '& .judged th': { verticalAlign: 'middle' },
    '& .first th, & .first td': { borderTopWidth: '1px', borderColor: 'ink' },
    '& .whole td, & .whole th': {
      height: '112px',
      borderBottomWidth: '1px',
      borderColor: 'ink',
    },
    '& .stem': { display: 'flex', alignItems: 'flex-end', gap: '6px', paddingLeft: '10px' },
    '& .bar': { width: '6px', flexShrink: 0, background: 'ink' },
    '& .bar.hollow': { background: 'transparent', borderWidth: '1px', borderColor: 'ink' },
    '& .bar.planned': { background: 'transparent', borderWidth: '1px', borderColor: 'fern' },
    '& .bar.talk': {
      background:
        'repeating-linear-gradient(to top, var(--chakra-colors-ink) 0 3px, transparent 3px 5px)',
    },
    '& .figure': { fontSize: '12px', lineHeight: '16px', color: 'inkSoft', minHeight: '24px' },
    '& button.figure': { cursor: 'pointer', display: 'flex', alignItems: 'flex-end' },
    '& button.figure:hover, & button.figure[aria-expanded=true]': {
      color: 'fern',
      textDecoration: 'underline',
      textUnderlineOffset: '3px',
    },
    '& .ring': {
      width: '6px',
      height: '6px',
      borderRadius: '50%',
      borderWidth: '1px',
      borderColor: 'inkSoft',
      marginBottom: '5px',
    },
    '& .missing .ring': { borderColor: 'spore' },
  }) as const;
