import { useParams } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { Failed, Loading } from '../../ui/states';
import { ExercisesView } from './ExercisesView';
import { useExercises } from './model/useExercises';

/** The place of exercises: all there are, and the one that is looked at. */
export default function ExercisesPage() {
  const { exercise } = useParams();
  const data = useExercises();
  return (
    <Frame place="Exercises">
      {data.kind === 'loading' && <Loading what="the exercises" />}
      {data.kind === 'failed' && <Failed message={messageOf(data.error)} onRetry={data.retry} />}
      {data.kind === 'ready' && <ExercisesView data={data} chosen={exercise} />}
    </Frame>
  );
}
