import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import type { Judging, JudgingCard } from '@wide-fern/contract';
import { agreements, judgedTwice, sharedTarget } from '@wide-fern/core';
import { dateInWords, judgedTwiceInWords, listInWords } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { Label, WordButton } from '../../../ui/words';
import { CardForm } from './CardForm';
import { Cards } from './Cards';
import { Recording } from './Recording';
import type { Together } from './useTogether';

type Shown = NonNullable<Judging['cards']>;

/** What the cards say together, to be agreed on: the middle of each skill, and the target that most name. */
function middleOf(cards: Shown, skills: Judging['skills']): JudgingCard {
  return {
    scores: agreements(cards, skills).map(({ skill, middle }) => ({
      ...{ skill, score: middle },
      note: '',
    })),
    target: sharedTarget(cards)?.skill ?? null,
  };
}

const said = ({ scores, target }: JudgingCard): string =>
  listInWords([
    ...scores.map(({ skill, score }) => `${skill} ${score}`),
    ...(target ? [`next ${target}`] : []),
  ]);

/** One run that several judge: one's own card first, then everybody's, then what is agreed on. */
export function JudgingView({
  piece,
  judging,
  before,
  together,
  onAgain,
}: {
  readonly piece: string;
  readonly judging: Judging;
  /** The run before it of the same singers. */
  readonly before: Judging | undefined;
  readonly together: Together;
  /** Where it is the last of these singers, and agreed on. */
  readonly onAgain: (() => void) | undefined;
}) {
  const { mayEdit } = useHere();
  const { cards, agreed, closed, group, tried } = judging;
  const [isOpen, setOpen] = useState(!agreed);
  const [throwing, setThrowing] = useState(false);
  const change =
    cards && before?.cards && (group !== '' || tried !== '')
      ? judgedTwiceInWords(judgedTwice(before.cards, cards, judging.skills), { tried, group })
      : undefined;
  const head = [dateInWords(judging.judgedOn), group || 'the whole choir'].join(', ');
  return (
    <Box role="group" aria-label={`Judged together: ${head}`} py="8px" borderTopWidth="1px">
      <Flex gap="4px 12px" wrap="wrap" align="baseline">
        <Box fontWeight={650}>{head}</Box>
        {tried && !change && <Box>after “{tried}”</Box>}
        {agreed && <Box>agreed: {said(agreed)}</Box>}
        {agreed && (
          <WordButton fontSize="13px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'without the cards' : 'the cards'}
          </WordButton>
        )}
      </Flex>
      {change && <Box mt="2px">{change}</Box>}
      {closed && <TooLate judging={judging} together={together} />}
      {isOpen && (
        <Box mt="6px">
          {!closed && <OwnCard judging={judging} together={together} />}
          {cards && <Cards cards={cards} skills={judging.skills} />}
          {mayEdit && !agreed && <Settling judging={judging} together={together} />}
          {(!agreed || judging.recording) && <Recording piece={piece} judging={judging} />}
        </Box>
      )}
      {mayEdit && (
        <Flex gap="4px 14px" wrap="wrap" mt="6px">
          {onAgain && (
            <WordButton fontSize="13px" onClick={onAgain}>
              judge it again
            </WordButton>
          )}
          <WordButton
            fontSize="13px"
            aria-label={`Throw the cards of ${head} away`}
            onClick={() => setThrowing(true)}
          >
            throw away
          </WordButton>
        </Flex>
      )}
      {throwing && (
        <Box role="group" aria-label="Throw it away" mt="4px" maxW="60ch">
          The cards and the recording go and cannot be brought back.
          {agreed && !group && ' What was agreed on stays judged.'}
          <Flex gap="14px" mt="4px">
            <WordButton
              fontSize="13px"
              color="brick"
              disabled={together.remove.isPending}
              onClick={() => together.remove.mutate(judging.id)}
            >
              throw the cards away for good
            </WordButton>
            <WordButton fontSize="13px" onClick={() => setThrowing(false)}>
              keep them
            </WordButton>
          </Flex>
          {together.remove.error && (
            <Box role="alert" color="brick">
              {messageOf(together.remove.error)}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}

/** That one's own card came when no more were taken; nothing where it did not. */
function TooLate({
  judging,
  together: { handIn },
}: {
  readonly judging: Judging;
  readonly together: Together;
}) {
  if (!handIn.error || handIn.variables.judging !== judging.id) return null;
  return (
    <Box role="alert" color="brick">
      {messageOf(handIn.error)}
    </Box>
  );
}

/** One's own card: to fill in, or to think over again. */
function OwnCard({
  judging,
  together: { handIn },
}: {
  readonly judging: Judging;
  readonly together: Together;
}) {
  const { account } = useHere();
  const own = judging.cards?.find(({ isOwn }) => isOwn);
  const [isChanging, setChanging] = useState(false);
  const others = judging.handedIn;
  const here = handIn.variables?.judging === judging.id ? handIn : undefined;
  if (own && !isChanging) {
    return (
      <Box mb="6px">
        Your card is in.{' '}
        <WordButton fontSize="13px" onClick={() => setChanging(true)}>
          change it
        </WordButton>
      </Box>
    );
  }
  return (
    <Box mb="8px">
      <CardForm
        label="Your card"
        draftKey={`card:${account.id}:${judging.id}`}
        skills={judging.skills}
        begun={own}
        act={own ? 'Hand it in anew' : 'Hand in your card'}
        busy={handIn.isPending}
        error={here?.error ? messageOf(here.error) : undefined}
        onSend={(card, sent) =>
          handIn.mutate(
            { judging: judging.id, card },
            {
              onSuccess: () => {
                sent();
                setChanging(false);
              },
            },
          )
        }
        onLeave={own && (() => setChanging(false))}
      />
      {!own && (
        <Label mt="4px">
          {others.length > 0
            ? `Handed in: ${listInWords(others)}.`
            : 'Nobody has handed one in yet.'}{' '}
          What others say is shown when yours is in.
        </Label>
      )}
    </Box>
  );
}

/** What whoever leads does with the cards: takes no more, and says what is agreed on. */
function Settling({
  judging,
  together: { settle },
}: {
  readonly judging: Judging;
  readonly together: Together;
}) {
  const { account } = useHere();
  const [isAgreeing, setAgreeing] = useState(judging.closed);
  const here = settle.variables?.judging === judging.id ? settle : undefined;
  const error = here?.error ? messageOf(here.error) : undefined;
  const { cards } = judging;
  if (!cards) {
    if (judging.handedIn.length === 0) return null;
    return (
      <Box mb="6px">
        <WordButton
          fontSize="13px"
          disabled={settle.isPending}
          onClick={() => settle.mutate({ judging: judging.id, agreed: null })}
        >
          take no more cards, and show them
        </WordButton>
        {error && (
          <Box role="alert" color="brick">
            {error}
          </Box>
        )}
      </Box>
    );
  }
  if (!isAgreeing && !judging.closed) {
    return (
      <WordButton fontSize="13px" mt="6px" onClick={() => setAgreeing(true)}>
        take no more cards, and agree
      </WordButton>
    );
  }
  return (
    <Box mt="8px" p="10px" bg="sheet" borderWidth="1px">
      <CardForm
        // A card that comes meanwhile changes what is proposed; what was typed waits on the device.
        key={JSON.stringify(cards)}
        label="What you agree on"
        draftKey={`agreed:${account.id}:${judging.id}`}
        skills={judging.skills}
        begun={middleOf(cards, judging.skills)}
        act={judging.group ? 'Keep it as a trial' : 'Keep it as the judgement'}
        busy={settle.isPending}
        error={error}
        onSend={(agreed, sent) =>
          settle.mutate({ judging: judging.id, agreed }, { onSuccess: sent })
        }
        onLeave={judging.closed ? undefined : () => setAgreeing(false)}
      />
    </Box>
  );
}
