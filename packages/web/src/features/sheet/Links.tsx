import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { call, messageOf, planLinksQuery, queryClient, type PlanPlace } from '@wide-fern/client';
import { makePlanLinkSchema, type NewPlanLink } from '@wide-fern/contract';
import { dayInWords } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { Failed, Loading } from '../../ui/states';
import { useSentForm } from '../../ui/useSentForm';
import { Label, WordButton } from '../../ui/words';

/** Links by which others read these sheets: made, handed on, and taken back. */
export function Links({ place }: { readonly place: PlanPlace }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box w={isOpen ? '100%' : undefined} fontSize="13px">
      <WordButton fontSize="13px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        a link for others
      </WordButton>
      {isOpen && <Opened place={place} />}
    </Box>
  );
}

function Opened({ place }: { readonly place: PlanPlace }) {
  const { timeZone } = useHere().choir;
  const [made, setMade] = useState<NewPlanLink>();
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
    send: (body) => call('makePlanLink', { params: place, body }),
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
  // Codes for screens are made and taken back on the stand.
  const sheets = links.data.filter(({ use }) => use === 'sheet');
  return (
    <Box as="section" aria-label="Links for others" maxW="620px" mt="8px">
      <Label>
        Whoever has the link reads and prints these sheets as they are then, without an account. It
        tells nothing of single singers.
      </Label>
      <Box as="ul" listStyleType="none" mt="4px">
        {sheets.map(({ id, note, expiresAt }) => (
          <Flex as="li" key={id} py="4px" gap="12px" borderBottomWidth="1px" align="baseline">
            <Box flex="1">{note || 'for anyone'}</Box>
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
          <QuietButton type="submit" size="sm" mt="24px" disabled={isSending}>
            Make a link
          </QuietButton>
        </Flex>
        <Said wrong>{problem}</Said>
      </form>
    </Box>
  );
}

/** A new link, to be handed on: this one time it is here. */
function HandOn({ made: { code } }: { readonly made: NewPlanLink }) {
  const [copied, setCopied] = useState(false);
  const link = `${window.location.origin}/sheet#${code}`;
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
