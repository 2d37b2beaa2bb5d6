import { Box, Flex } from '@chakra-ui/react';
import type { Segment } from '@wide-fern/contract';
import type { Stand, StandKey, StandPart } from '@wide-fern/words';
import { memo } from 'react';
import { hueOf } from '../../ui/color';
import { Name } from '../../ui/words';
import { BreathShape } from './BreathShape';

/** How high marks stand and how long they are, as shares of the room above their names. */
const rises = 0.5;
const length = { now: 0.46, other: 0.19 } as const;

/** The keys in the order sung, as small upright marks that rise with the pitch; the present one tall. */
function Ladder({ keys }: { readonly keys: readonly StandKey[] }) {
  const highest = Math.max(1, ...keys.map(({ height }) => height));
  const percent = (share: number) => `${100 * share}%`;
  return (
    <Flex
      as="ol"
      aria-label="Keys"
      flex={{ base: '0 1 104px', md: '0 1 200px' }}
      minH={{ base: '80px', md: '100px' }}
    >
      {keys.map(({ name, when, height }, i) => (
        <Flex
          as="li"
          key={i}
          flex="1"
          minW={0}
          direction="column"
          align="center"
          listStyleType="none"
          aria-current={when === 'now' ? 'step' : undefined}
          color={when === 'now' ? 'fern' : when === 'past' ? 'inkSoft' : 'ink'}
        >
          <Box flex="1" position="relative" w="16px" minH={0}>
            <Box
              position="absolute"
              bottom={percent((rises * height) / Math.max(highest, 10))}
              left={when === 'now' ? 0 : '3px'}
              w={when === 'now' ? '16px' : '10px'}
              h={percent(when === 'now' ? length.now : length.other)}
              bg={when === 'now' ? 'fern' : when === 'past' ? 'inkSoft' : 'ink'}
              opacity={when === 'past' ? 0.55 : 1}
            />
          </Box>
          <Box
            mt="4px"
            fontSize={{ base: '20px', md: '28px' }}
            lineHeight="1.2"
            fontWeight={when === 'now' ? 650 : 400}
            whiteSpace="nowrap"
          >
            {name}
          </Box>
        </Flex>
      ))}
    </Flex>
  );
}

function Part({ id, many, note, away }: StandPart) {
  const hue = hueOf(id);
  return (
    <Flex
      as="li"
      align="baseline"
      gap="16px"
      listStyleType="none"
      borderBottomWidth={{ md: '1px' }}
      borderColor="line"
      minH={{ base: '46px', md: '54px', xl: '64px' }}
      fontSize={{ base: '30px', md: '40px', xl: '46px' }}
      lineHeight="1.2"
    >
      <Box
        as="span"
        w={{ base: '34px', md: '58px' }}
        color={hue}
        fontWeight={650}
        aria-label={many}
      >
        {id}
      </Box>
      {note === null ? (
        <Box as="span" color="inkSoft">
          <Box
            as="span"
            aria-hidden
            display="inline-block"
            boxSize="0.45em"
            mr="0.25em"
            borderWidth="3px"
            borderColor="currentcolor"
            borderRadius="50%"
          />
          rests
        </Box>
      ) : (
        <>
          <Box as="span" color={hue}>
            {note}
          </Box>
          {away && (
            <Box as="span" fontSize={{ base: '17px', md: '24px' }} color="inkSoft">
              {away}
            </Box>
          )}
        </>
      )}
    </Flex>
  );
}

/** What whoever leads sees: the key and the next, the ladder, the parts, what to say. */
export const StandView = memo(function StandView({
  stand,
  present,
  since,
}: {
  readonly stand: Stand;
  readonly present: Segment | undefined;
  /** Seconds since what is going on began; below 0 while it is explained. */
  readonly since: () => number;
}) {
  const breath =
    present?.exercise.music.kind === 'breath' ? (
      <BreathShape segment={present} since={since} />
    ) : undefined;
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
        {breath ??
          (key === null ? (
            <Box fontSize={{ base: '30px', md: '44px' }} lineHeight="1.25" mt={{ md: '24px' }}>
              {doing}
              {step && (
                <Box fontSize={{ base: '20px', md: '28px' }} color="inkSoft" mt="8px">
                  {step}
                </Box>
              )}
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
          ))}
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
        overflowY="auto"
      >
        {parts.length > 0 && (
          <Box
            as="ul"
            aria-label="First notes"
            display="grid"
            gridTemplateColumns={{ base: '1fr 1fr', md: '1fr' }}
          >
            {parts.map((part) => (
              <Part key={part.id} {...part} />
            ))}
          </Box>
        )}
        {cue && (
          <Name mt="16px" fontSize={{ base: '26px', md: '34px' }} lineHeight="1.25">
            {cue}
          </Name>
        )}
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
