import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import {
  call,
  exercisesQuery,
  keptPlanQuery,
  keptPlansQuery,
  messageOf,
  queryClient,
  storeExercises,
  type PlanPlace,
  type PlanStore,
} from '@wide-fern/client';
import {
  keepPlanSchema,
  type Evening,
  type KeepPlan,
  type KeptPlan,
  type PlanDocument,
} from '@wide-fern/contract';
import { broughtAlong, readPlanFile } from '@wide-fern/plan';
import { broughtInWords, counted, momentInWords } from '@wide-fern/words';
import { useRef, useState } from 'react';
import { builtInQuery } from '../../../here/builtIn';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { QuietButton } from '../../../ui/MainButton';
import { Failed, Loading } from '../../../ui/states';
import { Label, Name, WordButton } from '../../../ui/words';
import { Beside } from './Compared';

interface Kept {
  readonly store: PlanStore;
  readonly evening: Evening;
  readonly place: PlanPlace;
}

/** Plans that are kept to begin from: this one under a name, and each of them beside this one. */
export function KeptPlans(of: Kept) {
  const { choir } = useHere();
  const kept = useQuery(keptPlansQuery(choir.id));
  const [looked, setLooked] = useState<string>();
  return (
    <Box>
      <Flex align="baseline" gap="0 16px" mt="16px" mb="4px" wrap="wrap">
        <Name as="h2" fontSize="18px">
          Plans to begin from
        </Name>
        <Label as="span">everybody who leads in your choir has them</Label>
      </Flex>
      <KeepThis {...of} />
      {kept.error && <Failed message={messageOf(kept.error)} onRetry={() => void kept.refetch()} />}
      {kept.isPending && <Loading what="kept plans" />}
      {kept.data?.length === 0 && <Label>None yet.</Label>}
      {kept.data && kept.data.length > 0 && (
        <Box as="ol" listStyleType="none" fontSize="13px" aria-label="Plans to begin from">
          {kept.data.map((one) => (
            <Box as="li" key={one.id} py="2px">
              <KeptLine
                kept={one}
                isOpen={looked === one.id}
                onLook={() => setLooked(looked === one.id ? undefined : one.id)}
              />
              {looked === one.id && <Looked {...of} id={one.id} />}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** This plan kept under a name. */
function KeepThis({ store, place: { choir } }: Kept) {
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const keep = useMutation({
    mutationFn: (body: KeepPlan) => call('keepPlan', { params: { choir }, body }),
    onSuccess: async () => {
      setName('');
      await queryClient.invalidateQueries({ queryKey: keptPlansQuery(choir).queryKey });
    },
  });
  const [brought, setBrought] = useState(0);
  // Exercises of another choir's own come along, so that they can be chosen here too.
  const bring = useMutation({
    mutationFn: async (document: PlanDocument) => {
      const builtIn = await queryClient.ensureQueryData(builtInQuery);
      const { own } = await queryClient.ensureQueryData(exercisesQuery(choir));
      const here = new Set([...builtIn, ...own].map(({ id }) => id));
      const missing = broughtAlong(document, (id) => here.has(id));
      return missing.length === 0 ? undefined : storeExercises(choir, missing);
    },
    onSuccess: (done) => setBrought(done?.stored.length ?? 0),
  });
  const send = () => {
    const checked = keepPlanSchema.shape.name.safeParse(name);
    setWrong(checked.success ? undefined : checked.error.issues[0]?.message);
    const { document } = store.getState();
    if (checked.success) keep.mutate({ name: checked.data, document });
  };
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    const found = readPlanFile(await chosen.text());
    setWrong(found.kind === 'refused' ? found.why : undefined);
    if (found.kind === 'plan') {
      setBrought(0);
      keep.mutate(
        { name: found.name, document: found.document },
        { onSuccess: () => bring.mutate(found.document) },
      );
    }
  };
  const error = keep.error ?? bring.error;
  return (
    <Flex
      as="form"
      gap="12px"
      align="flex-end"
      wrap="wrap"
      mb="6px"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <Box w="240px">
        <FormField
          label="Keep this plan as"
          size="sm"
          value={name}
          error={wrong ?? (error ? messageOf(error) : undefined)}
          onChange={(event) => setName(event.currentTarget.value)}
        />
      </Box>
      <QuietButton type="submit" size="sm" disabled={keep.isPending}>
        Keep it
      </QuietButton>
      <WordButton type="button" fontSize="13px" onClick={() => file.current?.click()}>
        or read one from a file
      </WordButton>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        aria-label="A file with a warm-up"
        hidden
        onChange={(event) => {
          void read(event.currentTarget.files?.[0]);
          event.currentTarget.value = '';
        }}
      />
      <Box role="status" fontSize="13px">
        {keep.isSuccess && name === '' && `Kept as “${keep.data.name}”.`}
        {brought > 0 && ` ${broughtInWords(brought)}`}
      </Box>
    </Flex>
  );
}

/** What it is called, what is in it, and what can be done with it. */
function KeptLine({
  kept: { id, name, keptAt, keptBy, exercises },
  isOpen,
  onLook,
}: {
  readonly kept: KeptPlan;
  readonly isOpen: boolean;
  readonly onLook: () => void;
}) {
  const { choir } = useHere();
  const remove = useMutation({
    mutationFn: () => call('removeKeptPlan', { params: { choir: choir.id, template: id } }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: keptPlansQuery(choir.id).queryKey }),
  });
  const [asked, setAsked] = useState(false);
  return (
    <Flex gap="0 12px" wrap="wrap" align="baseline" minH="24px" maxW="900px">
      <Name as="span" fontSize="15px">
        {name}
      </Name>
      <Box flex="1" minW="200px" color="inkSoft">
        {counted(exercises.length, 'segment', 'segments')}: {exercises.slice(0, 4).join(', ')}
        {exercises.length > 4 && ' …'}; {keptBy || 'somebody who left'},{' '}
        {momentInWords(keptAt, choir.timeZone, choir.clock)}
      </Box>
      <WordButton fontSize="13px" aria-expanded={isOpen} onClick={onLook}>
        {isOpen ? 'close' : 'look at it'}
      </WordButton>
      <WordButton
        fontSize="13px"
        disabled={remove.isPending}
        onClick={() => (asked ? remove.mutate() : setAsked(true))}
      >
        {asked ? `yes, throw “${name}” away` : 'throw away'}
      </WordButton>
      {remove.error && <Box role="alert">{messageOf(remove.error)}</Box>}
    </Flex>
  );
}

function Looked({ id, ...of }: Kept & { readonly id: string }) {
  const kept = useQuery(keptPlanQuery(of.place.choir, id));
  if (kept.error) {
    return <Failed message={messageOf(kept.error)} onRetry={() => void kept.refetch()} />;
  }
  if (!kept.data) return <Loading what="the kept plan" />;
  return <Beside {...of} then={kept.data.document} isKept />;
}
