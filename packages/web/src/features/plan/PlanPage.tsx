import { useMemo } from 'react';
import { useParams } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { Failed, Loading } from '../../ui/states';
import { clockIn } from '@wide-fern/words';
import { PlanView } from './PlanView';
import { SavedWords } from './SavedWords';
import { usePlanEditor } from './usePlanEditor';

/** An evening's plan; without a word about which, its first warm-up. */
export default function PlanPage() {
  const { evening = '', item = 'warm-up' } = useParams();
  return <OnePlan key={`${evening}/${item}`} evening={evening} item={item} />;
}

function OnePlan({ evening, item }: { readonly evening: string; readonly item: string }) {
  const { choir, account, mayEdit } = useHere();
  const place = useMemo(() => ({ choir: choir.id, evening, item }), [choir.id, evening, item]);
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
        <SavedWords store={editor.store} clock={clock} mayEdit={mayEdit} saveNow={editor.saveNow} />
      }
    >
      <PlanView evening={editor.evening} item={item} store={editor.store} />
    </Frame>
  );
}
