import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { lazily } from '../../ui/lazily';
import { Failed, Loading } from '../../ui/states';
import { clockIn } from '@wide-fern/words';
import { Away } from './Away';
import { PlanView } from './PlanView';
import { SavedWords } from './SavedWords';
import { usePlanEditor } from '../../here/usePlanEditor';

/** Building brings the catalogue along; it is fetched when it is first asked for. */
const BuildView = lazily(
  () => import('./build/BuildView').then((it) => ({ default: it.BuildView })),
  { room: <Loading what="the building" />, absent: Away },
);

/** An evening's plan; without a word about which, its first warm-up. */
export default function PlanPage() {
  const { evening = '', item = 'warm-up' } = useParams();
  return <OnePlan key={`${evening}/${item}`} evening={evening} item={item} />;
}

function OnePlan({ evening, item }: { readonly evening: string; readonly item: string }) {
  const { choir, account, mayEdit } = useHere();
  const place = useMemo(() => ({ choir: choir.id, evening, item }), [choir.id, evening, item]);
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  // What is shown changes at once; the address follows as soon as it can.
  const [isBuilding, setBuilding] = useState(search.has('build'));
  useEffect(() => setBuilding(search.has('build')), [search]);
  const show = (building: boolean) => {
    setBuilding(building);
    setSearch(building ? { build: '' } : {});
  };
  const [doneAsked, setDoneAsked] = useState(0);
  const editor = usePlanEditor(place, account.id, mayEdit);
  const clock = useMemo(() => clockIn(choir.timeZone, choir.clock), [choir.timeZone, choir.clock]);
  if (editor.kind === 'loading') {
    return (
      <Frame place="Tonight">
        <Loading what="the plan" />
      </Frame>
    );
  }
  if (editor.kind === 'failed') {
    return (
      <Frame place="Tonight">
        <Failed message={messageOf(editor.error)} onRetry={editor.retry} />
      </Frame>
    );
  }
  return (
    <Frame
      place="Tonight"
      status={
        <SavedWords
          store={editor.store}
          clock={clock}
          mayEdit={mayEdit}
          saveNow={editor.saveNow}
          onDone={isBuilding ? undefined : () => setDoneAsked(doneAsked + 1)}
        />
      }
    >
      {isBuilding && mayEdit ? (
        <BuildView
          evening={editor.evening}
          item={item}
          store={editor.store}
          onClose={() => show(false)}
        />
      ) : (
        <PlanView
          evening={editor.evening}
          item={item}
          store={editor.store}
          doneAsked={doneAsked}
          onBuild={() => show(true)}
          onLead={() => void navigate(`/evenings/${evening}/lead/${item}`)}
        />
      )}
    </Frame>
  );
}
