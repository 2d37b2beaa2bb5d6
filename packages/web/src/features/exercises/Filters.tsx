import { Box, Flex, Input } from '@chakra-ui/react';
import { ages, askedFor, kinds, phases, placeNeeds, purposes, type Wanted } from '@wide-fern/core';
import {
  isSaid,
  kindWords,
  mostDifficultyWords,
  mostEffortWords,
  phaseWords,
  placeNeedWords,
  understoodInWords,
  wantedInWords,
  wantedParts,
  type WantedPart,
} from '@wide-fern/words';
import { Fragment, useState } from 'react';
import { SentenceFields, SentenceWord, TickWord } from '../../ui/Sentence';
import { WordChoice } from '../../ui/WordChoice';
import { Label, WordButton } from '../../ui/words';
import { isNarrowed, useWanted } from './model/wanted';

/** What is said first; the others show once they say something, or on request. */
const first: readonly WantedPart[] = ['phase', 'purpose', 'place', 'keys'];

/** What is looked for: words, and a sentence whose words can be changed, above the list. */
export function Filters({ compact }: { readonly compact: boolean }) {
  const { wanted, want, wantAll } = useWanted();
  const [open, setOpen] = useState<WantedPart>();
  const [isWhole, setWhole] = useState(false);
  const all = isWhole || !compact;
  const said = wantedInWords(wanted);
  const shown = wantedParts.filter(
    (part) => all || first.includes(part) || isSaid(part, wanted) || part === open,
  );
  const understood = understoodInWords(askedFor(wanted.words ?? ''));
  return (
    <Box role="search" aria-label="Exercises">
      <Flex gap="4px 14px" wrap="wrap" align="baseline">
        <Input
          aria-label="Look for an exercise"
          placeholder="flat, siren, tired, a name …"
          value={wanted.words ?? ''}
          onChange={(event) => want({ words: event.currentTarget.value })}
          size="sm"
          w="220px"
          bg="sheet"
          borderColor="inkSoft"
          fontSize="15px"
        />
        {understood && (
          <Label as="span" role="status">
            Taken {understood}.
          </Label>
        )}
      </Flex>
      <Box mt="6px">
        <Box fontSize="15px" lineHeight="30px">
          {shown.map((part, i) => (
            <Fragment key={part}>
              {i > 0 && ' · '}
              <SentenceWord
                open={open === part}
                onToggle={() => setOpen(open === part ? undefined : part)}
              >
                <Box as="span" fontWeight={isSaid(part, wanted) ? 650 : undefined}>
                  {said[part]}
                </Box>
              </SentenceWord>
            </Fragment>
          ))}{' '}
          {compact && (
            <WordButton
              fontSize="13px"
              aria-expanded={isWhole}
              onClick={() => setWhole(!isWhole)}
              ml="6px"
            >
              {isWhole ? 'less' : 'more to choose by'}
            </WordButton>
          )}
          {isNarrowed(wanted) && (
            <WordButton fontSize="13px" onClick={wantAll} ml="12px">
              show all again
            </WordButton>
          )}
        </Box>
        {open && (
          <SentenceFields onClose={() => setOpen(undefined)}>
            <Choices part={open} wanted={wanted} want={want} />
          </SentenceFields>
        )}
      </Box>
    </Box>
  );
}

const same = <T extends string>(all: readonly T[]): readonly (readonly [T, string])[] =>
  all.map((one) => [one, one] as const);
const numbered = (words: readonly string[]): readonly (readonly [number, string])[] =>
  words.flatMap((word, most) => (word ? [[most, word] as const] : []));

/** What can be chosen behind one word of the sentence. */
function Choices({
  part,
  wanted,
  want,
}: {
  readonly part: WantedPart;
  readonly wanted: Wanted;
  readonly want: (changed: Wanted) => void;
}) {
  const one = <T extends string | number>(
    label: string,
    name: keyof Wanted,
    any: string,
    options: readonly (readonly [T, string])[],
  ) => (
    <WordChoice<T | undefined>
      label={label}
      value={wanted[name] as T | undefined}
      options={[[undefined, any], ...options]}
      onChange={(value) => want({ [name]: value })}
    />
  );
  switch (part) {
    case 'phase':
      return one(
        'Phase',
        'phase',
        'any phase',
        phases.map((phase) => [phase, phaseWords[phase]] as const),
      );
    case 'kind':
      return one(
        'Kind',
        'kind',
        'any kind',
        kinds.map((kind) => [kind, kindWords[kind]] as const),
      );
    case 'purpose':
      return one('Purpose', 'purpose', 'any purpose', same(purposes));
    case 'effort':
      return one('Effort', 'mostEffort', 'any effort', numbered(mostEffortWords));
    case 'difficulty':
      return one('Difficulty', 'mostDifficulty', 'easy or hard', numbered(mostDifficultyWords));
    case 'age':
      return one('Age', 'age', 'all ages', same(ages));
    case 'keys':
      return one(
        'Keys tonight',
        'leastKeys',
        'any keys',
        [1, 3, 5, 7].map((least) => [least, `${least} or more`] as const),
      );
    case 'use':
      return one(
        'Not used for',
        'unusedWeeks',
        'whenever used',
        [2, 4, 8].map((weeks) => [weeks, `not for ${weeks} weeks`] as const),
      );
    case 'place': {
      const without = wanted.without ?? [];
      return (
        <Flex as="fieldset" gap="4px 14px" wrap="wrap" align="center">
          <Label as="legend" float="left" mr="8px">
            Without
          </Label>
          {placeNeeds.map((need) => (
            <TickWord
              key={need}
              checked={without.includes(need)}
              onChange={(isWithout) => {
                const others = without.filter((other) => other !== need);
                want({ without: isWithout ? [...others, need] : others });
              }}
            >
              {placeNeedWords[need]}
            </TickWord>
          ))}
        </Flex>
      );
    }
    case 'which':
      return (
        <Flex as="fieldset" gap="4px 14px" wrap="wrap" align="center">
          {(
            [
              ['favourites', 'favourites alone'],
              ['ownOnly', 'our own alone'],
              ['hidden', 'hidden ones too'],
            ] as const
          ).map(([name, words]) => (
            <TickWord
              key={name}
              checked={wanted[name] ?? false}
              onChange={(on) => want({ [name]: on })}
            >
              {words}
            </TickWord>
          ))}
        </Flex>
      );
  }
}
