import { Box, Flex } from '@chakra-ui/react';
import { passIn, singleKey, tonicName, writtenIn } from '@wide-fern/core';
import { canBeSplit, changeKey, changeTime, type Evaluated } from '@wide-fern/plan';
import { ordinal, singleKeyInWords, type Wording } from '@wide-fern/words';
import { Fragment, useState } from 'react';
import { Label, WordButton } from '../../../ui/words';
import type { PlanActs } from '@wide-fern/client';
import { KeyFields, WayFields } from './SingleFields';

/** A key or a time as it stands in the row: its name, and below it what it is sung on. */
function Place({
  name,
  sounds,
  label,
  isOther,
  isChosen,
  onChoose,
}: {
  readonly name: string;
  readonly sounds: string;
  readonly label: string;
  readonly isOther: boolean;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}) {
  return (
    <Box
      as="button"
      aria-pressed={isChosen}
      aria-label={label}
      onClick={onChoose}
      minW="38px"
      minH="40px"
      px="5px"
      borderRadius="3px"
      border="1px solid"
      borderColor={isChosen ? 'fern' : 'line'}
      bg="sheet"
      cursor="pointer"
      textAlign="center"
      lineHeight="1.25"
    >
      <Box fontSize="13px" fontWeight={isOther ? 650 : 400}>
        {name}
      </Box>
      <Box fontSize="12px" color="inkSoft" maxW="84px" truncate>
        {sounds}
      </Box>
    </Box>
  );
}

/** What the row can do to its segment. */
export type SingleActions = Pick<PlanActs, 'choose' | 'split'> & {
  /** Parts it after so many keys, and shows what could be put between. */
  readonly elseAfter: (keys: number) => void;
};

/** What is chosen in the row: the so manieth key, or the so manieth time in each. */
interface Chosen {
  readonly of: 'key' | 'time';
  readonly place: number;
}

/**
 * A segment key by key, in the order sung: on what each is sung, what is said for it, whether the instrument
 * goes along, and what is put between two of them. Beside it, where a key is sung more than once, each time.
 */
export function KeyByKey({
  evaluated: { segment, computed },
  wording,
  mayEdit,
  actions,
}: {
  readonly evaluated: Evaluated;
  readonly wording: Wording;
  readonly mayEdit: boolean;
  readonly actions: SingleActions;
}) {
  const { id, choices } = segment;
  const isUsed = choices.inKeys !== undefined || choices.inTimes !== undefined;
  const [isOpen, setOpen] = useState(isUsed);
  const [chosen, setChosen] = useState<Chosen>();
  const written = writtenIn(segment);
  const keys = computed.repetitions.filter(({ tonic }) => tonic !== undefined);
  if (keys.length === 0) return null;
  const nameOf = (place: number) => tonicName(keys[place]!.tonic!, wording.mode, wording.writing);
  const soundsOf = (key: number, verse: number) =>
    passIn(written, key, verse)?.sounds?.join(' ') ?? '';
  const choose = (of: Chosen['of'], place: number) =>
    setChosen((now) => (now?.of === of && now.place === place ? undefined : { of, place }));
  return (
    <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary style={{ cursor: 'pointer', fontSize: 13 }}>
        key by key: sounds, what is said, pauses, the instrument
      </summary>
      <Flex role="group" aria-label="Key by key" gap="4px" wrap="wrap" align="center" mt="4px">
        {keys.map((_, place) => {
          const single = singleKey(choices, place);
          const other = single ? `, ${singleKeyInWords(single)}` : '';
          return (
            <Fragment key={place}>
              <Place
                name={nameOf(place)}
                sounds={soundsOf(place, 0)}
                label={`${ordinal(place)} key, ${nameOf(place)}${other}`}
                isOther={single !== undefined}
                isChosen={chosen?.of === 'key' && chosen.place === place}
                onChoose={() => choose('key', place)}
              />
              {single?.pause && place < keys.length - 1 && (
                <Label as="span" fontSize="12px">
                  {single.pause.seconds} s
                </Label>
              )}
            </Fragment>
          );
        })}
        {choices.verses > 1 && (
          <>
            <Label as="span" ml="8px">
              each time
            </Label>
            {Array.from({ length: choices.verses }, (_, place) => (
              <Place
                key={place}
                name={String(place + 1)}
                sounds={soundsOf(0, place)}
                label={`${ordinal(place)} time in each key`}
                isOther={choices.inTimes?.[String(place)] !== undefined}
                isChosen={chosen?.of === 'time' && chosen.place === place}
                onChoose={() => choose('time', place)}
              />
            ))}
          </>
        )}
      </Flex>
      {chosen?.of === 'key' && chosen.place < keys.length && (
        <Box role="group" aria-label={`${ordinal(chosen.place)} key, ${nameOf(chosen.place)}`}>
          <WayFields
            key={`way ${chosen.place}`}
            way={singleKey(choices, chosen.place)?.way}
            disabled={!mayEdit}
            onChange={(way) =>
              actions.choose(changeKey(segment, chosen.place, { way }), `${id} key ${chosen.place}`)
            }
          />
          <KeyFields
            key={`key ${chosen.place}`}
            single={singleKey(choices, chosen.place) ?? {}}
            isLast={chosen.place === keys.length - 1}
            disabled={!mayEdit}
            onChange={(changed) =>
              actions.choose(changeKey(segment, chosen.place, changed), `${id} key ${chosen.place}`)
            }
          />
          {mayEdit && (
            <Flex gap="0 14px" wrap="wrap">
              {singleKey(choices, chosen.place) && (
                <WordButton
                  fontSize="13px"
                  onClick={() =>
                    actions.choose(
                      changeKey(segment, chosen.place, nothingOther),
                      `${id} key ${chosen.place} again`,
                    )
                  }
                >
                  as the rest again
                </WordButton>
              )}
              {canBeSplit(segment) && chosen.place < keys.length - 1 && (
                <>
                  <WordButton fontSize="13px" onClick={() => actions.split(chosen.place + 1)}>
                    in two parts after it
                  </WordButton>
                  <WordButton fontSize="13px" onClick={() => actions.elseAfter(chosen.place + 1)}>
                    something else after it, then on
                  </WordButton>
                </>
              )}
            </Flex>
          )}
        </Box>
      )}
      {chosen?.of === 'time' && chosen.place < choices.verses && (
        <Box role="group" aria-label={`${ordinal(chosen.place)} time in each key`}>
          <WayFields
            key={chosen.place}
            way={choices.inTimes?.[String(chosen.place)]}
            disabled={!mayEdit}
            onChange={(way) =>
              actions.choose(changeTime(segment, chosen.place, way), `${id} time ${chosen.place}`)
            }
          />
        </Box>
      )}
    </details>
  );
}

const nothingOther = { way: undefined, pause: undefined, played: undefined };
