import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { courseSchema, type Course } from '@wide-fern/contract';
import { useState } from 'react';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { MainButton } from '../../ui/MainButton';
import { useKeptDraft } from '../../ui/useKeptDraft';
import { Label, Name, WordButton } from '../../ui/words';
import { emptyStep, movedStep } from './model/own';
import { StepRow } from './StepRow';
import { useKeepCourse } from './useKeepCourse';

/** What is wrong with a draft, by the path of the field: «name», «steps.1.exercise»; the first of each. */
function problemsOf(draft: Course): ReadonlyMap<string, string> {
  const checked = courseSchema.safeParse(draft);
  const issues = checked.success ? [] : [...checked.error.issues].reverse();
  return new Map(issues.map(({ path, message }) => [path.join('.'), message]));
}

/** Where a course of one's own is made or changed; what is typed stays on the device until it is kept. */
export function CourseEditor({
  begun,
  from,
  names,
  onDone,
}: {
  readonly begun: Course;
  /** The course it was begun from, so that half-made ones do not meet. */
  readonly from: string;
  readonly names: ReadonlyMap<string, string>;
  readonly onDone: () => void;
}) {
  const { choir } = useHere();
  const [draft, set, forget] = useKeptDraft<Course>(`course ${choir.id} ${from}`, begun);
  const [isTried, setTried] = useState(false);
  const save = useKeepCourse();
  const before = choir.courses[begun.id];
  const problems = isTried ? problemsOf(draft) : new Map<string, string>();
  const change = (changed: Partial<Course>) => set({ ...draft, ...changed });
  const leave = () => {
    forget();
    onDone();
  };
  const keep = () => {
    setTried(true);
    // A draft that lay here longer may have an id that was given to another meanwhile.
    const checked = courseSchema.safeParse({ ...draft, id: begun.id });
    if (!checked.success) return;
    const kept = { course: checked.data, since: before?.since ?? null };
    save.mutate({ id: begun.id, kept }, { onSuccess: leave });
  };
  const { steps } = draft;
  const changeSteps = (next: Course['steps']) => change({ steps: next });
  return (
    <Box as="section" aria-label="A course of your own" borderTopWidth="1px" pt="14px">
      <Name as="h2" fontSize="19px" mb="8px">
        {before?.course ? `Change “${before.course.name}”` : 'A course of your own'}
      </Name>
      <Flex gap="12px" wrap="wrap" mb="12px">
        <Box flex="1 1 220px">
          <FormField
            label="What it is called"
            value={draft.name}
            error={problems.get('name')}
            onChange={(event) => change({ name: event.currentTarget.value })}
          />
        </Box>
        <Box flex="2 1 320px">
          <FormField
            label="What it is for, if you wish"
            value={draft.purpose}
            error={problems.get('purpose')}
            onChange={(event) => change({ purpose: event.currentTarget.value })}
          />
        </Box>
      </Flex>
      <Label as="p" mb="4px">
        Its steps, each managed before the next
      </Label>
      {steps.map((step, i) => (
        <StepRow
          key={i}
          step={step}
          place={i}
          count={steps.length}
          names={names}
          problems={problems}
          onChange={(next) => changeSteps(steps.map((one, at) => (at === i ? next : one)))}
          onMove={(by) => changeSteps(movedStep(steps, i, by))}
          onAway={() => changeSteps(steps.filter((_, at) => at !== i))}
        />
      ))}
      {problems.get('steps') && (
        <Box role="alert" color="brick" fontSize="13px">
          {problems.get('steps')}
        </Box>
      )}
      {steps.length < 12 && (
        <WordButton fontSize="13px" onClick={() => changeSteps([...steps, emptyStep])}>
          one step more
        </WordButton>
      )}
      <Flex gap="4px 18px" align="center" wrap="wrap" mt="12px">
        <MainButton size="sm" disabled={save.isPending} onClick={keep}>
          Keep the course
        </MainButton>
        <WordButton onClick={leave}>leave it as it was</WordButton>
        {save.isError && (
          <Box role="alert" color="brick" fontSize="13px">
            {messageOf(save.error)}
          </Box>
        )}
      </Flex>
    </Box>
  );
}
