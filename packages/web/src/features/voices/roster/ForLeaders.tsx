import { Frame } from '../../../app/Frame';
import { Empty } from '../../../ui/states';
import { WordLink } from '../../../ui/words';

/** Where a reader came to a place about persons. */
export function ForLeaders() {
  return (
    <Frame place="Voices">
      <Empty title="Singers are seen by those who lead">
        You can see what each section sings. <WordLink to="/voices">Look at the sections</WordLink>
      </Empty>
    </Frame>
  );
}
