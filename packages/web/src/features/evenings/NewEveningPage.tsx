import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { StoreEvening, Template } from '@wide-fern/contract';
import { occasions, type Occasion } from '@wide-fern/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import {
  ApiError,
  messageOf,
  queryClient,
  templatesQuery,
  call,
  eveningsQuery,
} from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { MainButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { Label, Name, WordLink } from '../../ui/words';
import { eveningErrors } from './model/useEveningSaving';
import { ClockField, DateField } from '../../ui/TypedField';
import { eveningMinutes, newItem, lengthAdviceInWords, localOf } from './model/typed';

const fields = ['date', 'start', 'end', 'place', 'occasion', 'warmUpMinutes'] as const;
type Errors = Readonly<Record<string, string>>;

interface Typed extends Omit<StoreEvening, 'agenda'> {
  readonly warmUpMinutes: string;
  readonly template: string;
}

/** The evening as it is stored: a template's agenda with as long a warm-up, or nothing but a warm-up. */
function eveningOf(
  { warmUpMinutes, template, ...typed }: Typed,
  templates: readonly Template[],
): StoreEvening {
  const minutes = Number(warmUpMinutes);
  const like = templates.find(({ id }) => id === template)?.agenda ?? [newItem([], 'warm-up')];
  let isSet = false;
  const agenda = like.map((item) => {
    if (item.kind !== 'warm-up' || isSet) return item;
    isSet = true;
    return { ...item, minutes };
  });
  return { ...typed, agenda };
}

function errorsOf(typed: Typed, evening: StoreEvening): Errors {
  const minutes = Number(typed.warmUpMinutes);
  const length = eveningMinutes(evening);
  const wrong =
    typed.warmUpMinutes.trim() === '' || !Number.isFinite(minutes)
      ? 'Minutes are a number.'
      : !Number.isInteger(minutes)
        ? 'Whole minutes, please.'
        : minutes < 1
          ? 'At least one minute.'
          : minutes > 90
            ? 'At most 90 minutes.'
            : minutes > length
              ? `The evening has ${length} minutes; the warm-up cannot take more.`
              : undefined;
  const { agenda: _, ...others } = eveningErrors(evening);
  return wrong ? { ...others, warmUpMinutes: wrong } : others;
}

/** Adds an evening: when, where, how it goes, and how long the warm-up may take. */
export default function NewEveningPage() {
  const { choir } = useHere();
  const navigate = useNavigate();
  const templates = useQuery(templatesQuery(choir.id));
  const [typed, setTyped] = useState<Typed>({
    name: null,
    date: '',
    start: '19:30',
    end: '21:30',
    place: '',
    occasion: 'evening after work',
    forbids: [],
    warmUpMinutes: '15',
    template: '',
  });
  const [errors, setErrors] = useState<Errors>({});
  const [problem, setProblem] = useState<string>();
  const [storing, setStoring] = useState(false);
  const known = templates.data ?? [];
  const set = (next: Partial<Typed>) => setTyped({ ...typed, ...next });
  const begin = (id: string) => {
    const like = known.find((one) => one.id === id);
    if (!like) {
      set({ template: '' });
      return;
    }
    const { start, end, place, occasion, forbids, agenda } = like;
    const minutes = agenda.find(({ kind }) => kind === 'warm-up')?.minutes;
    set({
      template: id,
      start,
      end,
      place,
      occasion,
      forbids,
      ...(minutes === undefined ? {} : { warmUpMinutes: String(minutes) }),
    });
  };
  const add = async () => {
    const evening = eveningOf(typed, known);
    const found = errorsOf(typed, evening);
    setErrors(found);
    setProblem(undefined);
    if (Object.keys(found).length > 0) return;
    setStoring(true);
    try {
      const { id, agenda } = await call('addEvening', {
        params: { choir: choir.id },
        body: evening,
      });
      await queryClient.invalidateQueries({ queryKey: eveningsQuery(choir.id).queryKey });
      const warmUp = agenda.find(({ kind }) => kind === 'warm-up')?.id;
      await navigate(warmUp ? `/evenings/${id}/plan/${warmUp}` : `/evenings/${id}`);
    } catch (error) {
      const said = error instanceof ApiError ? error.fields : {};
      const atFields = Object.fromEntries(
        Object.entries(said).filter(([name]) => (fields as readonly string[]).includes(name)),
      );
      setErrors(atFields);
      if (Object.keys(atFields).length === 0) setProblem(messageOf(error));
      setStoring(false);
    }
  };
  const text = (name: 'place' | 'warmUpMinutes', label: string, help?: string) => (
    <FormField
      label={label}
      value={typed[name]}
      error={errors[name]}
      {...(help ? { help } : {})}
      onChange={(event) => set({ [name]: event.currentTarget.value })}
    />
  );
  return (
    <Frame>
      <Box maxW="480px" w="100%" mx="auto" px="24px" py="40px">
        <Name as="h1" fontSize="34px" mb="16px">
          A new evening
        </Name>
        <form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
        >
          <Box display="grid" gap="12px">
            {known.length > 0 && (
              <SelectField
                label="Begins like"
                options={[
                  { value: '', word: 'nothing yet' },
                  ...known.map(({ id, name }) => ({ value: id, word: name })),
                ]}
                value={typed.template}
                onChange={(event) => begin(event.currentTarget.value)}
              />
            )}
            <DateField
              label="Date"
              value={typed.date}
              today={localOf(new Date(), choir.timeZone).date}
              error={errors.date}
              onChange={(date) => set({ date })}
            />
            <Flex gap="12px">
              {(['start', 'end'] as const).map((name) => (
                <ClockField
                  key={name}
                  label={name === 'start' ? 'Starts' : 'Ends'}
                  kind={choir.clock}
                  value={typed[name]}
                  error={errors[name]}
                  onChange={(value) => set({ [name]: value })}
                />
              ))}
            </Flex>
            {text('place', 'Place')}
            <SelectField
              label="What it is"
              options={occasions.map((value) => ({ value, word: value }))}
              value={typed.occasion}
              onChange={(event) => set({ occasion: event.currentTarget.value as Occasion })}
            />
            {text(
              'warmUpMinutes',
              'Minutes for the warm-up',
              lengthAdviceInWords(typed.occasion, typed),
            )}
            {(problem ?? errors.agenda) && (
              <Box role="alert" color="brick" fontSize="13px">
                {problem ?? errors.agenda}
              </Box>
            )}
            <Flex gap="24px" align="center">
              <MainButton type="submit" disabled={storing}>
                Add the evening
              </MainButton>
              <WordLink to="/">back to Tonight</WordLink>
            </Flex>
          </Box>
        </form>
        <Label mt="16px">
          Times are {choir.timeZone.replaceAll('_', ' ')}. An end before the start is on the next
          day. Many dates at once come from a{' '}
          <WordLink to="/evenings/dates">calendar file</WordLink>.
        </Label>
      </Box>
    </Frame>
  );
}
