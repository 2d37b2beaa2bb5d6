import { Suspense, useEffect, type ComponentType } from 'react';
import {
  createBrowserRouter,
  Outlet,
  redirect,
  useRouteError,
  type LoaderFunction,
} from 'react-router';
import { messageOf } from '@wide-fern/client';
import { Failed, Loading } from '../ui/states';
import { WordLink } from '../ui/words';
import { gate, useHere, whoIsHere } from '../here/session';

type Load = () => Promise<{ default: ComponentType }>;

/** What is fetched ahead does not make the page wait that is looked at. */
const behind = 2000;

/**
 * A page that is fetched when it is first opened.
 * @param ahead the page that may be wanted next without a connection
 */
const page = (load: Load, ahead?: Load) => async () => {
  const { default: Component } = await load();
  if (ahead) setTimeout(() => void ahead().catch(() => undefined), behind);
  return { Component };
};

const leading: Load = () => import('../features/lead/LeadPage');

/** Only whoever is signed in and belongs to a choir goes on; the address is kept for afterwards. */
const signedInOnly: LoaderFunction = async ({ request }) => {
  const here = await whoIsHere();
  if (here === 'no choir') return redirect('/no-choir');
  if (here !== 'nobody') return here;
  const { pathname, search } = new URL(request.url);
  const back = pathname === '/' ? '' : `?to=${encodeURIComponent(pathname + search)}`;
  return redirect(`/sign-in${back}`);
};

function Broken() {
  return <Failed message={messageOf(useRouteError())} onRetry={() => window.location.reload()} />;
}

function NotHere() {
  return (
    <Failed message="There is no page at this address. It may have been typed wrongly or moved." />
  );
}

function Pages() {
  return (
    <Suspense fallback={<Loading what="the page" />}>
      <Outlet />
    </Suspense>
  );
}

/** The pages of a choir: what others change in it shows by itself. */
function Followed() {
  const { choir, account } = useHere();
  useEffect(() => {
    // What was led without a connection, and left, is sent as soon as there is one.
    const send = () =>
      void import('@wide-fern/client/leftRuns').then(
        ({ sendLeftRuns }) => sendLeftRuns(account.id),
        () => undefined,
      );
    const timer = setTimeout(send, behind);
    window.addEventListener('online', send);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('online', send);
    };
  }, [account.id]);
  useEffect(() => {
    let stop: (() => void) | undefined;
    let wanted = true;
    // Not needed for the first picture, so it does not make that wait. Without it the page is as
    // fresh as when it was opened.
    void import('@wide-fern/client/follow').then(
      ({ followChoir }) => {
        if (wanted) stop = followChoir(choir.id);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
      stop?.();
    };
  }, [choir.id]);
  return <Outlet />;
}

export const router = createBrowserRouter([
  {
    element: <Pages />,
    ErrorBoundary: Broken,
    HydrateFallback: () => <Loading what="the page" />,
    children: [
      { path: '/sign-in', lazy: page(() => import('../features/account/SignInPage')) },
      { path: '/sign-up', lazy: page(() => import('../features/account/SignUpPage')) },
      { path: '/join', lazy: page(() => import('../features/account/JoinPage')) },
      { path: '/forgotten', lazy: page(() => import('../features/account/ForgottenPage')) },
      { path: '/new-password', lazy: page(() => import('../features/account/NewPasswordPage')) },
      { path: '/new-e-mail', lazy: page(() => import('../features/account/NewEmailPage')) },
      { path: '/sheet', lazy: page(() => import('../features/sheet/LinkedSheetPage')) },
      { path: '/practice', lazy: page(() => import('../features/practice/PracticePage')) },
      { path: '/follow', lazy: page(() => import('../features/lead/FollowPage')) },
      { path: '/no-choir', lazy: page(() => import('../features/account/NoChoirPage')) },
      {
        id: gate,
        loader: signedInOnly,
        element: <Followed />,
        // What one page shows never depends on another's loader.
        shouldRevalidate: () => true,
        ErrorBoundary: Broken,
        children: [
          { path: '/', lazy: page(() => import('../features/tonight/TonightPage'), leading) },
          {
            path: '/evenings/new',
            lazy: page(() => import('../features/evenings/NewEveningPage')),
          },
          {
            path: '/evenings/dates',
            lazy: page(() => import('../features/evenings/DatesPage')),
          },
          {
            path: '/evenings/:evening',
            lazy: page(() => import('../features/evenings/EveningPage')),
          },
          {
            path: '/evenings/:evening/plan',
            lazy: page(() => import('../features/plan/PlanPage'), leading),
          },
          {
            path: '/evenings/:evening/plan/:item',
            lazy: page(() => import('../features/plan/PlanPage'), leading),
          },
          { path: '/evenings/:evening/lead/:item', lazy: page(leading) },
          {
            path: '/evenings/:evening/rehearse/:item',
            lazy: page(() => import('../features/lead/RehearsePage')),
          },
          {
            path: '/evenings/:evening/led/:item',
            lazy: page(() => import('../features/lead/LedPage')),
          },
          {
            path: '/evenings/:evening/sheet/:item',
            lazy: page(() => import('../features/sheet/SheetPage')),
          },
          { path: '/voices', lazy: page(() => import('../features/voices/VoicesPage')) },
          {
            path: '/voices/roster',
            lazy: page(() => import('../features/voices/roster/RosterPage')),
          },
          {
            path: '/voices/roster/read',
            lazy: page(() => import('../features/voices/roster/ReadListPage')),
          },
          {
            path: '/voices/room',
            lazy: page(() => import('../features/voices/group/RoomPage')),
          },
          {
            path: '/voices/parts',
            lazy: page(() => import('../features/voices/parts/PartsPage')),
          },
          { path: '/pieces', lazy: page(() => import('../features/pieces/PiecesPage')) },
          {
            path: '/pieces/new',
            lazy: page(() => import('../features/pieces/form/PieceFormPage')),
          },
          {
            path: '/pieces/read',
            lazy: page(() => import('../features/pieces/read/ReadScorePage')),
          },
          { path: '/pieces/:piece', lazy: page(() => import('../features/pieces/PiecePage')) },
          {
            path: '/pieces/:piece/change',
            lazy: page(() => import('../features/pieces/form/PieceFormPage')),
          },
          {
            path: '/exercises/:exercise?',
            lazy: page(() => import('../features/exercises/ExercisesPage')),
          },
          {
            path: '/exercises/make/:from',
            lazy: page(() => import('../features/exercises/editor/EditorPage')),
          },
          {
            path: '/exercises/read/file',
            lazy: page(() => import('../features/exercises/files/ReadPage')),
          },
          { path: '/courses', lazy: page(() => import('../features/courses/CoursesPage')) },
          { path: '/logbook', lazy: page(() => import('../features/logbook/LogbookPage')) },
          { path: '/choir', lazy: page(() => import('../features/choir/ChoirPage')) },
          { path: '/account', lazy: page(() => import('../features/account/AccountPage')) },
        ],
      },
      {
        path: '*',
        element: (
          <>
            <NotHere />
            <WordLink to="/" ml="24px">
              Go to Tonight
            </WordLink>
          </>
        ),
      },
    ],
  },
]);
