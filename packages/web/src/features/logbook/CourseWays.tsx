import { Box } from '@chakra-ui/react';
import { CourseSteps } from '../../here/courses/CourseSteps';
import { useCourses } from '../../here/courses/useCourses';
import { Name, WordLink } from '../../ui/words';

/** How far the choir is on the courses it follows; where it follows none, nothing. */
export default function CourseWays() {
  const data = useCourses();
  if (data.kind !== 'ready') return null;
  const followed = data.courses.filter(({ way }) => way !== null);
  if (followed.length === 0) return null;
  return (
    <>
      {followed.map(({ course, way }) => (
        <Box as="section" key={course.id} aria-label={course.name}>
          <Name as="h2" fontSize="18px" mb="4px">
            {course.name}
          </Name>
          <CourseSteps course={course} way={way} names={data.names} />
          <WordLink to="/courses" fontSize="13px">
            all courses
          </WordLink>
        </Box>
      ))}
    </>
  );
}
