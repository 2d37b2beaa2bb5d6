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
import { Name, WordButton } from '../../../ui/words';
import { useKnown } from '../build/model/useKnown';
import { workerOffers, type Offers } from './offers';

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

function Offered({
  seconds,
  known,
  exercises,
  onTake,
  onClose,
  makeOffers = workerOffers,
}: Fitting & {
  readonly seconds: number;
  readonly known: Known;
  readonly exercises: ReadonlyMap<string, Exercise>;
}) {
  const { writing } = useHere().choir;
  const { document } = known;
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
  if (seeking.kind === 'seeking') return <Loading what="what loses least" />;
  if (seeking.kind === 'failed') {
    return <Failed message={seeking.message} onRetry={() => setTries(tries + 1)} />;
  }
  const { offer } = seeking;
  const isLonger = evaluate(document, seconds).left < 0;
  if (!offer) {
    return (
      <Box role="status" mt="8px">
        {isLonger
          ? 'What stays as it is takes longer than that. Let something of it be changed first.'
          : `It fits ${lengthInFigures(seconds)} as it is; no change would be better.`}
      </Box>
    );
  }
  const context = { segments: document.segments, tonight: document.tonight, writing };
  return (
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
  );
}
