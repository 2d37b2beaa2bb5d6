import { useQuery } from '@tanstack/react-query';
import { sessionQuery } from '@wide-fern/client';
import { BringChoirIn } from '../../here/BringChoirIn';
import { Empty } from '../../ui/states';
import { WordLink } from '../../ui/words';
import { SignOutWords } from './own/SignOutWords';

/** For someone whose last choir is gone. */
export default function NoChoirPage() {
  const { data: session } = useQuery(sessionQuery);
  return (
    <Empty title="You belong to no choir yet">
      Ask a director for an invitation, and <WordLink to="/join">join with it</WordLink>
      {session?.account && ` as ${session.account.name}`}, or <BringChoirIn /> <SignOutWords />
    </Empty>
  );
}
