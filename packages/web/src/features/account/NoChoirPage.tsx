import { useQuery } from '@tanstack/react-query';
import { sessionQuery } from '@wide-fern/client';
import { Empty } from '../../ui/states';
import { SignOutWords } from './SignOutWords';

/** For someone whose last choir is gone. */
export default function NoChoirPage() {
  const { data: session } = useQuery(sessionQuery);
  return (
    <Empty title="You belong to no choir yet">
      Ask a director to add {session?.account?.email ?? 'your e-mail'} to their choir, then load
      this page again. <SignOutWords />
    </Empty>
  );
}
