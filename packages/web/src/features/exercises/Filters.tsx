import { Box, Flex, Input } from '@chakra-ui/react';
import {
  ages,
  kinds,
  placeNeeds,
  phases,
  purposes,
  type PlaceNeed,
  type Wanted,
} from '@wide-fern/core';
import { kindWords, phaseWords } from '@wide-fern/words';
import { useState } from 'react';
import { WordButton } from '../../ui/words';
import { isNarrowed, useWanted } from './model/wanted';

const style = {
  background: 'var(--chakra-colors-sheet)',
  border: '1px solid var(--chakra-colors-line)',
  borderRadius: 3,
  padding: '2px 2px',
  fontSize: 13,
  maxWidth: 118,
} as const;

/** One choice in a row of words; the first option is that it does not matter. */
function Choice<T extends string | number>({
  label,
  any,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly any: string;
  readonly value: T | undefined;
  readonly options: readonly (readonly [T, string])[];
  readonly onChange: (value: T | undefined) => void;
}) {
  return (
    <select
      aria-label={label}
      style={{ ...style, fontWeight: value === undefined ? 400 : 700 }}
      value={value ?? ''}
      onChange={(event) => onChange(options[event.currentTarget.selectedIndex - 1]?.[0])}
    >
      <option value="">{any}</option>
      {options.map(([key, words]) => (
        <option key={key} value={key}>
          {words}
        </option>
      ))}
    </select>
  );
}

const same = <T extends string>(all: readonly T[]): (readonly [T, string])[] =>
  all.map((one) => [one, one] as const);
const needWords: Readonly<Record<PlaceNeed, string>> = {
  standing: 'without standing',
  floor: 'without the floor',
  noise: 'without noise',
  prop: 'without props',
  mirror: 'without a mirror',
};

/** What is looked for, in words, above the list. */
export function Filters({ compact }: { readonly compact: boolean }) {
  const { wanted, want, wantAll } = useWanted();
  const [opened, setOpened] = useState(false);
  const all = !compact || opened;
  const set =
    <K extends keyof Wanted>(name: K) =>
    (value: Wanted[K] | undefined) =>
      want({ [name]: value });
  const tick = (name: 'favourites' | 'ownOnly' | 'hidden', words: string) => (
    <Flex as="label" align="center" gap="5px" fontSize="13px" whiteSpace="nowrap">
      <input
        type="checkbox"
        checked={wanted[name] ?? false}
        onChange={(event) => want({ [name]: event.currentTarget.checked })}
      />
      {words}
    </Flex>
  );
  return (
    <Box role="search" aria-label="Exercises">
      <Flex gap="6px" wrap="wrap" align="center">
        <Input
          aria-label="Look for an exercise"
          placeholder="name, cue or purpose"
          value={wanted.words ?? ''}
          onChange={(event) => want({ words: event.currentTarget.value })}
          size="xs"
          w="170px"
          bg="sheet"
          borderColor="inkSoft"
          fontSize="13px"
        />
        <Choice
          label="Phase"
          any="any phase"
          value={wanted.phase}
          options={phases.map((phase) => [phase, phaseWords[phase]] as const)}
          onChange={set('phase')}
        />
        {all && (
          <>
            <Choice
              label="Purpose"
              any="any purpose"
              value={wanted.purpose}
              options={same(purposes)}
              onChange={set('purpose')}
            />
            <Choice
              label="Kind"
              any="any kind"
              value={wanted.kind}
              options={kinds.map((kind) => [kind, kindWords[kind]] as const)}
              onChange={set('kind')}
            />
            <Choice
              label="Effort"
              any="any effort"
              value={wanted.mostEffort}
              options={[1, 2, 3, 4].map((most) => [most, `effort up to ${most}`] as const)}
              onChange={set('mostEffort')}
            />
            <Choice
              label="Difficulty"
              any="any difficulty"
              value={wanted.mostDifficulty}
              options={[1, 2].map((most) => [most, `difficulty up to ${most}`] as const)}
              onChange={set('mostDifficulty')}
            />
            <Choice
              label="Needs"
              any="any needs"
              value={wanted.without?.[0]}
              options={placeNeeds.map((need) => [need, needWords[need]] as const)}
              onChange={(need) => want({ without: need ? [need] : undefined })}
            />
            <Choice
              label="Age"
              any="any age"
              value={wanted.age}
              options={ages.map((age) => [age, `for ${age}`] as const)}
              onChange={set('age')}
            />
            <Choice
              label="Works tonight"
              any="in any keys"
              value={wanted.leastKeys}
              options={[1, 3, 5, 7].map((least) => [least, `in ${least}+ keys tonight`] as const)}
              onChange={set('leastKeys')}
            />
            <Choice
              label="Not used for"
              any="whenever used"
              value={wanted.unusedWeeks}
              options={[2, 4, 8].map((weeks) => [weeks, `not for ${weeks} weeks`] as const)}
              onChange={set('unusedWeeks')}
            />
          </>
        )}
      </Flex>
      <Flex gap="14px" mt="6px" wrap="wrap" align="center">
        {compact && (
          <WordButton fontSize="13px" aria-expanded={opened} onClick={() => setOpened(!opened)}>
            {opened ? 'fewer choices' : 'more choices'}
          </WordButton>
        )}
        {tick('favourites', 'favourites')}
        {tick('ownOnly', 'our own')}
        {tick('hidden', 'hidden ones too')}
        {isNarrowed(wanted) && (
          <WordButton fontSize="13px" onClick={wantAll}>
            show all again
          </WordButton>
        )}
      </Flex>
    </Box>
  );
}
