import { AsideNotice } from './AsideNotice';
import { AwaitedNotice } from './AwaitedNotice';
import { CoolDownNotice } from './CoolDownNotice';
import { ClosingNotice } from './ClosingNotice';
import { KeptNotice } from './KeptNotice';
import { RoomNotice } from './RoomNotice';

/** What is said at the top of every page of a place, when there is something to say. */
export default function Notices({ place }: { readonly place: string | undefined }) {
  return (
    <>
      <KeptNotice />
      <AsideNotice />
      <ClosingNotice />
      <CoolDownNotice />
      {place === 'Tonight' && <AwaitedNotice />}
      {place && <RoomNotice place={place} />}
    </>
  );
}
