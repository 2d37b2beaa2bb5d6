import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { call, messageOf, planLinksQuery, queryClient, type PlanPlace } from '@wide-fern/client';
import {
  makePlanLinkSchema,
  type NewPlanLink,
  type PlanLink,
  type Segment,
} from '@wide-fern/contract';
import type { Section } from '@wide-fern/core';
import { dayInWords, lasting, lastingWords, linkInWords } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../here/session';
import { BarsToShow } from './BarsToShow';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { WordChoice } from '../../ui/WordChoice';
import { SelectField } from '../../ui/SelectField';
import { Said } from '../../ui/Passage';
import { Failed, Loading } from '../../ui/states';
import { Tick } from '../../ui/Tick';
import { useSentForm } from '../../ui/useSentForm';
import { Label, WordButton } from '../../ui/words';

/** Links by which others read these sheets or practise at home: made, handed on, and taken back. */
export function Links({
  place,
  sections,
}: {
  readonly place: PlanPlace;
  /** The parts of the plan. */
  readonly sections: readonly Section[];
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box w={isOpen ? '100%' : undefined} fontSize="13px">
      <WordButton fontSize="13px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        a link for others, or to practise at home
      </WordButton>
      {isOpen && <Opened {...{ place, sections }} />}
    </Box>
  );
}

const uses = lasting.map((use) => [use, lastingWords[use]] as const);

/** Codes for screens are made and taken back on the stand. */
const isLasting = ({ use }: PlanLink) => use === 'sheet' || use === 'practice';

function Opened({
  place,
  sections,
}: {
  readonly place: PlanPlace;
  readonly sections: readonly Section[];
}) {
  const { timeZone } = useHere().choir;
  const [made, setMade] = useState<NewPlanLink>();
  const [use, setUse] = useState<(typeof lasting)[number]>('sheet');
  const [part, setPart] = useState('');
  const [asks, setAsks] = useState(false);
  const [bars, setBars] = useState<Segment[] | undefined>([]);
  const choose = (next: typeof use) => {
    setUse(next);
    setBars([]);
  };
  const query = planLinksQuery(place);
  const links = useQuery(query);
  const refresh = () => queryClient.invalidateQueries({ queryKey: query.queryKey });
  const end = useMutation({
    mutationFn: (link: string) => call('endPlanLink', { params: { ...place, link } }),
    onSettled: refresh,
  });
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: makePlanLinkSchema,
    fields: ['note'],
    defaultValues: { note: '' },
    send: (body) =>
      call('makePlanLink', {
        params: place,
        body: {
          ...{ ...body, use, asks, bars: use === 'practice' ? (bars ?? []) : [] },
          part: use === 'practice' && part !== '' ? part : null,
        },
      }),
    onDone: (one) => {
      form.reset();
      setMade(one);
      void refresh();
    },
  });
  if (links.isPending) return <Loading what="the links" />;
  if (links.isError) {
    return <Failed message={messageOf(links.error)} onRetry={() => void links.refetch()} />;
  }
  return (
    <Box as="section" aria-label="Links for others" maxW="620px" mt="8px">
      <WordChoice label="What the link is for" options={uses} value={use} onChange={choose} />
      <Label>
        {use === 'sheet'
          ? 'Whoever has the link reads and prints these sheets as they are then, without an account.'
          : 'Whoever has the link sees and hears these exercises at home as they are then, on a phone ' +
            'too and without an account: one part loud and the others soft, slower, in any key.'}{' '}
        It tells nothing of single singers.
      </Label>
      {use === 'practice' && (
        <>
          <Tick checked={asks} onChange={setAsks}>
            ask how each exercise was, without names, and let singers send what was easy for them
          </Tick>
          <BarsToShow {...{ place, sections }} onBars={setBars} />
        </>
      )}
      <Box as="ul" listStyleType="none" mt="4px">
        {links.data.filter(isLasting).map(({ id, expiresAt, ...link }) => (
          <Flex as="li" key={id} py="4px" gap="12px" borderBottomWidth="1px" align="baseline">
            <Box flex="1">{linkInWords(link, sections)}</Box>
            <Label as="span">until {dayInWords(expiresAt, timeZone)}</Label>
            <WordButton
              fontSize="13px"
              disabled={end.isPending}
              onClick={() => {
                if (made?.id === id) setMade(undefined);
                end.mutate(id);
              }}
            >
              take it back
            </WordButton>
          </Flex>
        ))}
      </Box>
      <Said wrong>{end.isError && messageOf(end.error)}</Said>
      {made && <HandOn key={made.id} made={made} />}
      <form noValidate onSubmit={onSubmit}>
        <Flex gap="12px" mt="8px" align="flex-start" wrap="wrap">
          <Box flex="1 1 220px">
            <FormField
              label="For whom (only you see this)"
              size="sm"
              error={errorOf('note')}
              {...form.register('note')}
            />
          </Box>
          {use === 'practice' && (
            <Box w="150px">
              <SelectField
                label="For which part"
                value={part}
                options={[
                  { value: '', word: 'each chooses' },
                  ...sections.map(({ id, many }) => ({ value: id, word: many })),
                ]}
                onChange={(event) => setPart(event.currentTarget.value)}
              />
            </Box>
          )}
          <QuietButton
            type="submit"
            size="sm"
            mt="24px"
            disabled={isSending || (use === 'practice' && bars === undefined)}
          >
            Make a link
          </QuietButton>
        </Flex>
        <Said wrong>{problem}</Said>
      </form>
    </Box>
  );
}

/** A new link, to be handed on: this one time it is here. */
function HandOn({ made: { code, use } }: { readonly made: NewPlanLink }) {
  const [copied, setCopied] = useState(false);
  const link = `${window.location.origin}/${use === 'practice' ? 'practice' : 'sheet'}#${code}`;
  return (
    <Box mt="8px" p="12px" bg="sheet" borderWidth="1px" role="status">
      <Box overflowWrap="anywhere" fontWeight={650}>
        {link}
      </Box>
      It is not shown again.{' '}
      <WordButton
        fontSize="13px"
        onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
      >
        {copied ? 'the link is copied' : 'copy the link'}
      </WordButton>
    </Box>
  );
}
