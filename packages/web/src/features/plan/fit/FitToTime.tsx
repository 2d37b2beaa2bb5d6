import { Box, Flex } from '@chakra-ui/react';
import { messageOf, newId, type PlanStore } from '@wide-fern/client';
import type { Evening, Exercise, PlanEdit } from '@wide-fern/contract';
import {
  evaluate,
  itemTime,
  nothingAsked,
  requestOf,
  takeOffer,
  type Known,
  type Offer,
} from '@wide-fern/plan';
import { lengthInFigures, offerChanges, offerEffects, offerInWords } from '@wide-fern/words';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Failed, Loading } from '../../../ui/states';
import { Stepper } from '../../../ui/Stepper';
import { Label, Name, WordButton } from '../../../ui/words';
import { useKnown } from '../../../here/useKnown';
import { workerOffers, type Offers } from '../../../here/offers/offers';

interface Fitting {
  readonly evening: Evening;
  readonly item: string;
  readonly store: PlanStore;
  readonly onTake: (edit: PlanEdit) => void;
  readonly onClose: () => void;
  readonly makeOffers?: () => Offers;
}

/** What loses least, or adds most, so that the plan takes the time there is: shown before it is taken. */
export function FitToTime(place: Fitting) {
  const { evening, item, store, onClose } = place;
  const { document } = useStore(store);
  const { allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const [minutes, setMinutes] = useState(allotted / 60);
  const state = useKnown(evening, item, document, allotted);
  return (
    <Box as="section" aria-label="Fit to time" px={{ base: '16px', md: '24px' }} py="12px">
      <Flex gap="16px" wrap="wrap" align="baseline">
        <Name as="h2" fontSize="18px">
          Fit to time
        </Name>
        <Stepper
          label="Minutes"
          value={minutes}
          limits={[1, 60]}
          disabled={false}
          onChange={setMinutes}
        />
        <WordButton fontSize="13px" onClick={onClose}>
          back to the segment
        </WordButton>
      </Flex>
      {state.kind === 'loading' && <Loading what="your exercises" />}
      {state.kind === 'failed' && <Failed message={messageOf(state.error)} onRetry={state.retry} />}
      {state.kind === 'ready' && (
        <Offered
          {...place}
          seconds={Math.round(minutes * 60)}
          known={state.known}
          exercises={state.exercises}
          onMinutes={setMinutes}
        />
      )}
    </Box>
  );
}

type Seeking =
  | { readonly kind: 'seeking' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'found'; readonly offer: Offer | undefined };

/** Nothing of it has been sung. */
const nothingSung = { sung: [] } as const;

/** What is offered for so many seconds; sought anew whenever something of it changes. */
function useOffer(
  known: Known,
  exercises: ReadonlyMap<string, Exercise>,
  seconds: number,
  makeOffers: () => Offers,
): { readonly seeking: Seeking; readonly again: () => void } {
  const [seeking, setSeeking] = useState<Seeking>({ kind: 'seeking' });
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let wanted = true;
    const offers = makeOffers();
    setSeeking({ kind: 'seeking' });
    const { marks } = known.exercises;
    const favourites = [...exercises.values()].filter(({ id }) => marks[id]?.favourite);
    offers
      .offer(requestOf(known, nothingAsked), { ...nothingSung, left: seconds }, favourites)
      .then(
        (offer) => wanted && setSeeking({ kind: 'found', offer }),
        (error: unknown) => wanted && setSeeking({ kind: 'failed', message: messageOf(error) }),
      );
    return () => {
      wanted = false;
      offers.end();
    };
  }, [known, exercises, seconds, makeOffers, tries]);
  return { seeking, again: () => setTries(tries + 1) };
}

function Offered({
  seconds,
  known,
  exercises,
  onTake,
  onClose,
  onMinutes,
  makeOffers = workerOffers,
}: Fitting & {
  readonly seconds: number;
  readonly known: Known;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly onMinutes: (minutes: number) => void;
}) {
  const { writing } = useHere().choir;
  const { document } = known;
  const { seeking, again } = useOffer(known, exercises, seconds, makeOffers);
  if (seeking.kind === 'seeking') return <Loading what="what loses least" />;
  if (seeking.kind === 'failed') return <Failed message={seeking.message} onRetry={again} />;
  const { offer } = seeking;
  const isLonger = evaluate(document, seconds).left < 0;
  const context = { segments: document.segments, tonight: document.tonight, writing };
  return (
    <>
      {offer ? (
        <Box role="status" mt="8px">
          <Box fontWeight={650}>{offerInWords(offer)}</Box>
          <Box as="ul" listStyleType="none" fontSize="15px">
            {offerChanges(offer, context).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
          <Box as="ul" listStyleType="none" color="inkSoft" fontSize="13px" mt="4px">
            {offerEffects(offer, context).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
          <Box mt="10px">
            <MainButton
              size="sm"
              onClick={() => {
                onTake(takeOffer(document, offer, nothingSung, newId));
                onClose();
              }}
            >
              Take it
            </MainButton>
          </Box>
        </Box>
      ) : (
        <Box role="status" mt="8px">
          {isLonger
            ? 'What stays as it is takes longer than that. Let something of it be changed first.'
            : `It fits ${lengthInFigures(seconds)} as it is; no change would be better.`}
        </Box>
      )}
      {[-step, step]
        .filter((more) => seconds + more >= step)
        .map((more) => (
          <Otherwise
            key={`${seconds} ${more}`}
            {...{ known, exercises, makeOffers, context, more, onMinutes }}
            seconds={seconds + more}
          />
        ))}
    </>
  );
}

/** By so much more or less it is looked ahead, in seconds. */
const step = 300;

/** What five minutes more or less would bring: told, not taken. */
function Otherwise({
  known,
  exercises,
  seconds,
  more,
  makeOffers,
  context,
  onMinutes,
}: {
  readonly known: Known;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly seconds: number;
  readonly more: number;
  readonly makeOffers: () => Offers;
  readonly context: Parameters<typeof offerChanges>[1] & Parameters<typeof offerEffects>[1];
  readonly onMinutes: (minutes: number) => void;
}) {
  const { seeking } = useOffer(known, exercises, seconds, makeOffers);
  const name = `Five minutes ${more < 0 ? 'less' : 'more'}`;
  // What was asked for stands above; where this fails, nothing is lost.
  if (seeking.kind === 'failed') return null;
  const changes =
    seeking.kind === 'found' && seeking.offer ? offerChanges(seeking.offer, context) : [];
  const effects =
    seeking.kind === 'found' && seeking.offer ? offerEffects(seeking.offer, context) : [];
  return (
    <Box
      as="section"
      aria-label={name}
      mt="12px"
      fontSize="13px"
      aria-busy={seeking.kind === 'seeking'}
    >
      <Flex gap="12px" align="baseline" wrap="wrap">
        <Box fontWeight={650}>{name} would bring</Box>
        <WordButton fontSize="13px" onClick={() => onMinutes(seconds / 60)}>
          look at {lengthInFigures(seconds)}
        </WordButton>
      </Flex>
      {seeking.kind === 'seeking' && <Label>Seeking …</Label>}
      {seeking.kind === 'found' && (
        <Box as="ul" listStyleType="none" color="inkSoft">
          {[...changes, ...effects].map((line) => (
            <li key={line}>{line}</li>
          ))}
          {changes.length === 0 && <li>no change that would be better.</li>}
        </Box>
      )}
    </Box>
  );
}
