import { useParams } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { Empty, Failed, Loading } from '../../../ui/states';
import { WordLink } from '../../../ui/words';
import { useExercises } from '../model/useExercises';
import { Editor } from './Editor';

/** Making an exercise, or changing one: «new», or the id of the one to begin with. */
export default function EditorPage() {
  const { from = 'new' } = useParams();
  const { mayEdit } = useHere();
  const data = useExercises();
  const begun =
    data.kind === 'ready' ? data.all.find(({ exercise }) => exercise.id === from) : undefined;
  return (
    <Frame place="Exercises">
      {!mayEdit ? (
        <Empty title="Exercises are made by those who lead">
          <WordLink to="/exercises">Look at the exercises</WordLink>
        </Empty>
      ) : data.kind === 'loading' ? (
        <Loading what="the exercises" />
      ) : data.kind === 'failed' ? (
        <Failed message={messageOf(data.error)} onRetry={data.retry} />
      ) : from !== 'new' && !begun ? (
        <Empty title="This exercise is not here any more">
          <WordLink to="/exercises">Look at the exercises</WordLink>
        </Empty>
      ) : (
        <Editor key={from} from={from} begun={begun} data={data} />
      )}
    </Frame>
  );
}
