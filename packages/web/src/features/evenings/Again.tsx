import { Box, Flex, Input } from '@chakra-ui/react';
import type { Evening, StoreEvening } from '@wide-fern/contract';
import { DateField } from '../../ui/TypedField';
import { useState } from 'react';
import { messageOf, queryClient, templatesQuery, call } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { Stepper } from '../../ui/Stepper';
import { Label, WordButton } from '../../ui/words';
import { localOf, weeksAfter } from './model/typed';

/** The same evening again: weekly, on another date, or as one to begin others from. */
export function Again({
  evening,
  draft,
  onDone,
}: {
  readonly evening: Evening;
  /** As it is typed now, for what others begin from. */
  readonly draft: StoreEvening;
  readonly onDone: () => Promise<unknown>;
}) {
  const { choir } = useHere();
  const [weeks, setWeeks] = useState(8);
  const [date, setDate] = useState('');
  const [withPlans, setWithPlans] = useState(false);
  const [name, setName] = useState('');
  const [said, setSaid] = useState<{ words: string; wrong: boolean }>();
  const [busy, setBusy] = useState(false);
  const act = async (how: () => Promise<string>) => {
    setBusy(true);
    try {
      const words = await how();
      setSaid({ words, wrong: false });
    } catch (error) {
      setSaid({ words: messageOf(error), wrong: true });
    } finally {
      setBusy(false);
    }
  };
  const copy = (dates: readonly string[]) =>
    act(async () => {
      const made = await call('copyEvening', {
        params: { choir: choir.id, evening: evening.id },
        body: { dates: [...dates], withPlans },
      });
      await onDone();
      return made.length === 1 ? 'One evening was added.' : `${made.length} evenings were added.`;
    });
  const keepTemplate = () =>
    act(async () => {
      const { date: _, ...usual } = draft;
      await call('addTemplate', {
        params: { choir: choir.id },
        body: { ...usual, name: name.trim() },
      });
      await queryClient.invalidateQueries({ queryKey: templatesQuery(choir.id).queryKey });
      setName('');
      return 'New evenings can begin like this one now.';
    });
  const own = localOf(new Date(evening.startsAt), choir.timeZone).date;
  return (
    <Box mt="20px" pt="12px" borderTopWidth="1px" fontSize="13px">
      <Box as="h2" fontWeight={650} fontSize="15px" mb="4px">
        The same again
      </Box>
      <Label mb="6px">As the evening is kept now, at the same time by the clock.</Label>
      <Flex gap="24px" wrap="wrap" align="center">
        <Flex gap="8px" align="center">
          <Stepper
            label="weekly,"
            labelWidth="auto"
            name="Weeks"
            value={weeks}
            limits={[1, 104]}
            unit="weeks on"
            disabled={false}
            onChange={(value) => setWeeks(Math.round(value))}
          />
          <WordButton
            fontSize="13px"
            disabled={busy}
            onClick={() => void copy(weeksAfter(own, weeks))}
          >
            repeat it weekly
          </WordButton>
        </Flex>
        <Flex gap="8px" align="flex-end" wrap="wrap">
          <Box w="290px" maxW="100%">
            <DateField label="Another date" size="xs" value={date} today={own} onChange={setDate} />
          </Box>
          <WordButton
            fontSize="13px"
            disabled={busy || date === ''}
            onClick={() => void copy([date])}
          >
            once more on this date
          </WordButton>
        </Flex>
        <Flex as="label" gap="5px" align="center">
          <input
            type="checkbox"
            checked={withPlans}
            onChange={(event) => setWithPlans(event.currentTarget.checked)}
          />
          with its warm-up plans
        </Flex>
        <Flex gap="8px" align="center">
          <Input
            size="xs"
            w="170px"
            bg="sheet"
            aria-label="What evenings like this are called"
            placeholder="Tuesdays, four pieces"
            maxLength={120}
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <WordButton
            fontSize="13px"
            disabled={busy || name.trim() === ''}
            onClick={() => void keepTemplate()}
          >
            begin others like this
          </WordButton>
        </Flex>
      </Flex>
      {said && (
        <Box role={said.wrong ? 'alert' : 'status'} color={said.wrong ? 'brick' : 'ink'} mt="4px">
          {said.words}
        </Box>
      )}
    </Box>
  );
}
