import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { shortDay } from '@wide-fern/words';
import { useState } from 'react';
import type { CourseHere } from '../../here/courses/useCourses';
import { CourseSteps } from '../../here/courses/CourseSteps';
import { useHere } from '../../here/session';
import { Label, Name, WordButton } from '../../ui/words';
import { useKeepCourse } from './useKeepCourse';

/** A course with its steps, and whether it is followed. */
export function CourseCard({
  one: { course, isOwn, since, way },
  names,
  onEdit,
  onThrowAway,
}: {
  readonly one: CourseHere;
  readonly names: ReadonlyMap<string, string>;
  /** Changes it, or makes one of one's own from it; undefined for whoever may not. */
  readonly onEdit: (() => void) | undefined;
  readonly onThrowAway: (() => void) | undefined;
}) {
  const { choir } = useHere();
  const keep = useKeepCourse();
  const [isLeaving, setLeaving] = useState(false);
  const own = isOwn ? course : null;
  const follow = (from: string | null) => {
    setLeaving(false);
    // Of a built-in one that is not followed nothing has to be kept.
    const kept = own || from ? { course: own, since: from } : null;
    keep.mutate({ id: course.id, kept });
  };
  return (
    <Box as="section" aria-label={course.name} borderTopWidth="1px" borderColor="line" py="14px">
      <Flex gap="4px 16px" align="baseline" wrap="wrap">
        <Name as="h2" fontSize="19px">
          {course.name}
        </Name>
        <Label as="span">
          {isOwn ? 'your own' : 'built in'}
          {since && `, followed since ${shortDay(since, choir.timeZone)}`}
        </Label>
      </Flex>
      {course.purpose && (
        <Box maxW="68ch" mb="8px">
          {course.purpose}
        </Box>
      )}
      <CourseSteps {...{ course, way, names }} />
      {onEdit && (
        <Flex gap="4px 18px" align="center" wrap="wrap" mt="6px" fontSize="13px">
          {since === null ? (
            <WordButton
              fontSize="13px"
              disabled={keep.isPending}
              onClick={() => follow(new Date().toISOString())}
            >
              follow it from now on
            </WordButton>
          ) : isLeaving ? (
            <>
              <Box>What counted for it is counted anew if you follow it again.</Box>
              <WordButton fontSize="13px" onClick={() => follow(null)}>
                leave it
              </WordButton>
              <WordButton fontSize="13px" onClick={() => setLeaving(false)}>
                go on with it
              </WordButton>
            </>
          ) : (
            <WordButton fontSize="13px" onClick={() => setLeaving(true)}>
              do not follow it any more
            </WordButton>
          )}
          <WordButton fontSize="13px" onClick={onEdit}>
            {isOwn ? 'change it' : 'make your own from it'}
          </WordButton>
          {onThrowAway && (
            <WordButton fontSize="13px" onClick={onThrowAway}>
              throw it away
            </WordButton>
          )}
        </Flex>
      )}
      {keep.isError && (
        <Box role="alert" color="brick" fontSize="13px" mt="4px">
          {messageOf(keep.error)}
        </Box>
      )}
    </Box>
  );
}
