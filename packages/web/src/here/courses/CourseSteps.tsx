import { Box } from '@chakra-ui/react';
import type { Course } from '@wide-fern/contract';
import type { CourseWay } from '@wide-fern/core';
import { needInWords, shortDay, stepWayInWords } from '@wide-fern/words';
import { Link } from 'react-router';
import { color } from '../../ui/color';
import { useHere } from '../session';

type Place = 'done' | 'next' | 'later';

/** One step's mark: filled when it is managed, ringed when it is next; a line leads from each to the following. */
function StepMark({ place, isLast }: { readonly place: Place; readonly isLast: boolean }) {
  const ink = color(place === 'done' ? 'fern' : place === 'next' ? 'ink' : 'inkSoft');
  return (
    <svg width="16" height="100%" aria-hidden style={{ position: 'absolute', left: 0, top: 0 }}>
      {!isLast && <line x1="8" x2="8" y1="16" y2="100%" stroke={color('line')} strokeWidth="2" />}
      <circle
        cx="8"
        cy="11"
        r={place === 'later' ? 3 : 5}
        fill={place === 'done' ? ink : color('paper')}
        stroke={ink}
        strokeWidth="2"
      />
    </svg>
  );
}

/** The steps of a course one below the other: what each needs, and how far the choir is with it. */
export function CourseSteps({
  course,
  way,
  names,
}: {
  readonly course: Course;
  readonly way: CourseWay | null;
  readonly names: ReadonlyMap<string, string>;
}) {
  const { choir } = useHere();
  const dayOf = (moment: string) => shortDay(moment, choir.timeZone);
  const placeOf = (i: number): Place =>
    way?.steps[i]?.doneAt ? 'done' : way?.next === i ? 'next' : 'later';
  return (
    <Box as="ol" aria-label={`Steps of ${course.name}`} fontSize="13px" css={{ listStyle: 'none' }}>
      {course.steps.map((step, i) => (
        <Box
          as="li"
          key={step.exercise}
          position="relative"
          pl="26px"
          pb="6px"
          aria-current={placeOf(i) === 'next' ? 'step' : undefined}
        >
          <StepMark place={placeOf(i)} isLast={i === course.steps.length - 1} />
          <Box
            asChild
            fontWeight={placeOf(i) === 'next' ? 650 : 400}
            _hover={{ textDecoration: 'underline' }}
          >
            <Link to={`/exercises/${step.exercise}`}>
              {names.get(step.exercise) ?? 'an exercise that is not here any more'}
            </Link>
          </Box>
          <Box as="span" color="inkSoft">
            {' '}
            · {needInWords(step)}
          </Box>
          {way && <Box color="inkSoft">{stepWayInWords(way.steps[i]!, dayOf)}</Box>}
        </Box>
      ))}
    </Box>
  );
}
