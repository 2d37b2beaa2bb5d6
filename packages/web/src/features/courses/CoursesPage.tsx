import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { coursesSentence } from '@wide-fern/words';
import type { KeptCourse } from '@wide-fern/contract';
import { useState } from 'react';
import { followedOf, useCourses, type CourseHere } from '../../here/courses/useCourses';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { Failed, Loading } from '../../ui/states';
import { Name, WordButton } from '../../ui/words';
import { CourseCard } from './CourseCard';
import { CourseEditor } from './CourseEditor';
import { newCourse, ownFrom } from './model/own';
import { useKeepCourse } from './useKeepCourse';

/** Courses over weeks: those that are followed and how far they are, and those there are. */
export default function CoursesPage() {
  const data = useCourses();
  return (
    <Frame place="Exercises">
      {data.kind === 'loading' && <Loading what="the courses" />}
      {data.kind === 'failed' && <Failed message={messageOf(data.error)} onRetry={data.retry} />}
      {data.kind === 'ready' && <Courses {...data} />}
    </Frame>
  );
}

function Courses({
  courses,
  names,
}: {
  readonly courses: readonly CourseHere[];
  readonly names: ReadonlyMap<string, string>;
}) {
  const { choir } = useHere();
  // Which one is made or changed, and from which it was begun.
  const [edited, setEdited] = useState<{
    readonly begun: CourseHere['course'];
    readonly from: string;
  }>();
  const [thrown, setThrown] = useState<{ readonly id: string; readonly kept: KeptCourse }>();
  const keep = useKeepCourse();
  const mayChange = choir.role === 'director';
  const throwAway = (id: string) => {
    const kept = choir.courses[id];
    if (kept) keep.mutate({ id, kept: null }, { onSuccess: () => setThrown({ id, kept }) });
  };
  const nameOf = (id: string) => names.get(id) ?? 'an exercise that is not here any more';
  return (
    <Box px={{ base: '16px', md: '24px' }} pt="14px" pb="24px" maxW="1120px">
      <Name as="h1" fontSize="24px">
        {coursesSentence(followedOf(courses), nameOf)}
      </Name>
      <Box color="inkSoft" fontSize="13px" mt="4px" mb="16px" maxW="96ch">
        A course is a row of exercises over weeks, each managed before the next. While one is
        followed, Build offers its next step, and what is led counts by itself.
      </Box>
      {edited ? (
        <CourseEditor {...edited} names={names} onDone={() => setEdited(undefined)} />
      ) : (
        <>
          {courses.map((one) => (
            <CourseCard
              key={one.course.id}
              one={one}
              names={names}
              onEdit={
                mayChange
                  ? () => setEdited({ begun: ownFrom(one, courses), from: one.course.id })
                  : undefined
              }
              onThrowAway={one.isOwn ? () => throwAway(one.course.id) : undefined}
            />
          ))}
          {thrown && (
            <Flex role="status" gap="14px" wrap="wrap" fontSize="13px">
              “{thrown.kept.course?.name}” was thrown away.
              <WordButton
                fontSize="13px"
                onClick={() => keep.mutate(thrown, { onSuccess: () => setThrown(undefined) })}
              >
                bring it back
              </WordButton>
            </Flex>
          )}
          {keep.isError && (
            <Box role="alert" color="brick" fontSize="13px">
              {messageOf(keep.error)}
            </Box>
          )}
          {mayChange ? (
            <WordButton
              mt="8px"
              onClick={() => setEdited({ begun: newCourse(courses), from: 'nothing' })}
            >
              make a course of your own
            </WordButton>
          ) : (
            <Box color="inkSoft" fontSize="13px">
              A director chooses which courses the choir follows.
            </Box>
          )}
        </>
      )}
    </Box>
  );
}
