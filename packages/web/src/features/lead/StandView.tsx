import { Box, Flex } from '@chakra-ui/react';
import type { Segment } from '@wide-fern/contract';
import type { RunState } from '@wide-fern/core';
import type { Stand, StandKey, StandPart } from '@wide-fern/words';
import { memo } from 'react';
import { hueOf } from '../../ui/color';
import { lazily } from '../../ui/lazily';
import { Name } from '../../ui/words';
import { LedByItself } from './LedByItself';

const TurnsList = lazily(() => import('./TurnsList'));

/** How high the highest mark stands, as a share of the room above the names. */
const rises = 0.5;

/** Styles of a list, said once for all that stands in it: a touch draws it anew. */
const ladderStyles = {
  display: 'flex',
  '& li': {
    flex: 1,
    minWidth: 0,
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    listStyleType: 'none',
    color: 'ink',
  },
  '& .past': { color: 'inkSoft' },
  '& .now': { color: 'fern', fontWeight: 650 },
  '& .room': { flex: 1, position: 'relative', width: '16px', minHeight: 0 },
  '& .mark': {
    position: 'absolute',
    left: '3px',
    width: '10px',
    height: '19%',
    background: 'currentcolor',
  },
  '& .past .mark': { opacity: 0.55 },
  '& .now .mark': { left: 0, width: '16px', height: '46%' },
  '& .name': {
    marginTop: '4px',
    fontSize: { base: '20px', md: '28px' },
    lineHeight: 1.2,
    whiteSpace: 'nowrap',
  },
} as const;
const classes = { past: 'past', now: 'now', 'to come': 'coming' } as const;

/** The keys in the order sung, as small upright marks that rise with the pitch; the present one tall. */
function Ladder({ keys }: { readonly keys: readonly StandKey[] }) {
  const highest = Math.max(10, ...keys.map(({ height }) => height));
  return (
    <Box
      as="ol"
      aria-label="Keys"
      flex={{ base: '0 1 104px', md: '0 1 200px' }}
      minH={{ base: '80px', md: '100px' }}
      css={ladderStyles}
    >
      {keys.map(({ name, when, height }, i) => (
        <li key={i} className={classes[when]} aria-current={when === 'now' ? 'step' : undefined}>
          <div className="room">
            <div className="mark" style={{ bottom: `${(100 * rises * height) / highest}%` }} />
          </div>
          <div className="name">{name}</div>
        </li>
      ))}
    </Box>
  );
}

const partStyles = {
  display: 'grid',
  gridTemplateColumns: { base: '1fr 1fr', md: '1fr' },
  columnGap: '16px',
  '& li': {
    display: 'flex',
    alignItems: 'baseline',
    gap: '16px',
    listStyleType: 'none',
    borderBottomWidth: { md: '1px' },
    borderColor: 'line',
    minHeight: { base: '46px', md: '54px', xl: '64px' },
    fontSize: { base: '30px', md: '40px', xl: '46px' },
    lineHeight: 1.2,
  },
  '& .letter': { width: { base: '34px', md: '58px' }, fontWeight: 650 },
  '& .away': { fontSize: { base: '17px', md: '24px' }, color: 'inkSoft' },
  '& .rests': { color: 'inkSoft' },
  '& .ring': {
    display: 'inline-block',
    width: '0.45em',
    height: '0.45em',
    marginRight: '0.25em',
    borderWidth: '3px',
    borderColor: 'currentcolor',
    borderRadius: '50%',
  },
} as const;

/** Each part's first note in its hue, or that it rests. */
function Parts({ parts }: { readonly parts: readonly StandPart[] }) {
  return (
    <Box as="ul" aria-label="First notes" css={partStyles}>
      {parts.map(({ id, many, note, away }, place) => {
        const hue = { color: hueOf(id, place) };
        return (
          <li key={id}>
            <span className="letter" style={hue} aria-label={many}>
              {id}
            </span>
            {note === null ? (
              <span className="rests">
                <span className="ring" aria-hidden />
                rests
              </span>
            ) : (
              <>
                <span style={hue}>{note}</span>
                {away && <span className="away">{away}</span>}
              </>
            )}
          </li>
        );
      })}
    </Box>
  );
}

/** What whoever leads sees: the key and the next, the ladder, the parts, what to say. */
export const StandView = memo(function StandView({
  stand,
  present,
  settled,
  since,
  isSilent = false,
}: {
  readonly stand: Stand;
  readonly present: Segment | undefined;
  readonly settled: Pick<RunState, 'longer' | 'key'>;
  /** Whether what leads itself is shown as its shape alone. */
  readonly isSilent?: boolean;
  /** Seconds since what is going on began; below 0 while it is explained. */
  readonly since: () => number;
}) {
  const itself = present && <LedByItself segment={present} {...{ settled, since, isSilent }} />;
  const isBreath = present?.exercise.music.kind === 'breath';
  const { key, next, keys, parts, cue, purpose, doing, step, sung, caution, isTalk } = stand;
  return (
    <Flex
      flex="1"
      minH={0}
      overflow="hidden"
      direction={{ base: 'column', md: 'row' }}
      gap={{ base: '12px', md: '0' }}
      px={{ base: '20px', md: '40px' }}
    >
      <Flex
        flex={{ base: '0 0 auto', md: '2' }}
        direction="column"
        minW={0}
        minH={0}
        pr={{ md: '40px' }}
        pt={{ base: '4px', md: '8px' }}
      >
        {isBreath ? (
          itself
        ) : key === null ? (
          <Box fontSize={{ base: '30px', md: '44px' }} lineHeight="1.25" mt={{ md: '24px' }}>
            {doing}
            {step && (
              <Box fontSize={{ base: '20px', md: '28px' }} color="inkSoft" mb="12px">
                {step}
              </Box>
            )}
            {itself}
          </Box>
        ) : (
          <Flex align="baseline" justify="space-between" gap="24px" wrap="nowrap">
            <Box
              aria-live="polite"
              aria-label={`${isTalk ? 'first' : 'now'} ${key}`}
              fontSize={{ base: '150px', md: '190px', xl: '240px' }}
              fontWeight={600}
              lineHeight={{ base: '0.9', md: '1' }}
              whiteSpace="nowrap"
              color={isTalk ? 'inkSoft' : 'ink'}
            >
              {key}
            </Box>
            {next && (
              <Flex align="baseline" gap="16px" minW={0}>
                <Box as="span" color="inkSoft" fontSize={{ base: '24px', md: '40px' }}>
                  next
                </Box>
                <NextWord word={next} isKey={keys.some(({ name }) => name === next)} />
              </Flex>
            )}
          </Flex>
        )}
        {keys.length > 1 && <Ladder keys={keys} />}
        {key === null && next && (
          <Box mt="16px" fontSize={{ base: '20px', md: '28px' }} color="inkSoft">
            then {next}
          </Box>
        )}
      </Flex>
      <Box
        flex="1"
        minW={0}
        pl={{ md: '40px' }}
        pt={{ md: '8px' }}
        borderLeftWidth={{ md: '1px' }}
        borderColor="line"
        // What has no room beside something opened is scrolled to, by keys too.
        as="section"
        aria-label="Parts and cue"
        tabIndex={0}
        overflowY="auto"
      >
        {parts.length > 0 && <Parts parts={parts} />}
        {cue && (
          <Name mt="16px" fontSize={{ base: '26px', md: '34px' }} lineHeight="1.25">
            {cue}
          </Name>
        )}
        {present && <TurnsList segment={present} {...{ settled, since }} />}
        {sung && (
          <Box mt="8px" fontSize={{ base: '20px', md: '24px', xl: '28px' }} color="inkSoft">
            {sung}
          </Box>
        )}
        {purpose && (
          <Box mt="8px" fontSize={{ base: '18px', md: '28px' }} lineHeight="1.3">
            {purpose}
          </Box>
        )}
        {caution && (
          <Box mt="8px" fontSize={{ base: '17px', md: '24px' }} color="sporeText">
            {caution}
          </Box>
        )}
      </Box>
    </Flex>
  );
});

function NextWord({ word, isKey }: { readonly word: string; readonly isKey: boolean }) {
  return isKey ? (
    <Box as="span" fontSize={{ base: '60px', md: '96px' }} lineHeight="1" whiteSpace="nowrap">
      {word}
    </Box>
  ) : (
    <Name as="span" fontSize={{ base: '24px', md: '34px' }} minW={0}>
      {word}
    </Name>
  );
}
