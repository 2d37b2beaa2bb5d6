import { Flex } from '@chakra-ui/react';
import type { BuildWish } from '@wide-fern/contract';
import { needInWords, nextStep } from '@wide-fern/words';
import { followedOf, useCourses } from '../../../here/courses/useCourses';
import { WordButton } from '../../../ui/words';

/** The next step of each course that is followed, as one touch; none where it is asked for already. */
export default function CourseOffer({
  wish: { included, excluded },
  set,
}: {
  readonly wish: Pick<BuildWish, 'included' | 'excluded'>;
  readonly set: (changed: Partial<BuildWish>) => void;
}) {
  const data = useCourses();
  if (data.kind !== 'ready') return null;
  return (
    <>
      {followedOf(data.courses).map(({ course, way }) => {
        const step = nextStep({ course, way });
        const name = step && data.names.get(step.exercise);
        if (!step || name === undefined || included.includes(step.exercise)) return null;
        const ask = () =>
          set({
            included: [...included, step.exercise],
            excluded: excluded.filter((one) => one !== step.exercise),
          });
        return (
          <Flex key={course.id} gap="2px 12px" wrap="wrap" align="baseline" fontSize="13px">
            Next in “{course.name}”: {name} ({needInWords(step)})
            <WordButton
              fontSize="13px"
              minH="28px"
              aria-label={`ask for ${name}, next in ${course.name}`}
              onClick={ask}
            >
              ask for it
            </WordButton>
          </Flex>
        );
      })}
    </>
  );
}
