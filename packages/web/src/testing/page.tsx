import { ChakraProvider } from '@chakra-ui/react';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render } from '@testing-library/react';
import { queryClient } from '@wide-fern/client';
import type { ReactNode } from 'react';
import { createMemoryRouter, parsePath, RouterProvider, type DataRouter } from 'react-router';
import { gate, type Here } from '../here/session';
import { system } from '../ui/system';

export const ids = {
  choir: '00000000-0000-4000-8000-0000000000c0',
  account: '00000000-0000-4000-8000-0000000000a0',
  one: '00000000-0000-4000-8000-000000000001',
  two: '00000000-0000-4000-8000-000000000002',
  three: '00000000-0000-4000-8000-000000000003',
} as const;

/** Notes as a choir has them that chose nothing. */
export const plainNames = { naming: 'octaves', accidentals: 'flats' } as const;

/** The director of the demo's choir; a reader when asked. */
function hereAs(
  role: Here['choir']['role'] = 'director',
  courses: Here['choir']['courses'] = {},
): Here {
  const choir = { id: ids.choir, name: 'Quarry Lane Singers', role };
  return {
    account: {
      id: ids.account,
      name: 'Joss Whitlam',
      email: 'joss@choir.test',
      secondFactor: false,
      closesAt: null,
    },
    choir: {
      ...choir,
      timeZone: 'Europe/London',
      accidentals: 'flats',
      naming: 'octaves',
      clock: '24',
      writing: plainNames,
      phraseSeconds: 9,
      approach: 'evening-after-work',
      level: 2,
      approaches: [],
      courses,
      demoUntil: null,
      closesAt: null,
    },
    choirs: [choir],
    mayEdit: role !== 'reader',
  };
}

/** Shows a part of a page below the session gate; answers where one is, and what it was led to. */
export async function show(
  children: ReactNode,
  {
    role,
    path = '/',
    pattern = '*',
    state,
    courses,
  }: {
    readonly role?: Here['choir']['role'];
    /** Courses of the choir. */
    readonly courses?: Here['choir']['courses'];
    readonly path?: string;
    /** Where the page stands, with what stands in its address. */
    readonly pattern?: string;
    /** What another page sent along. */
    readonly state?: unknown;
  } = {},
): Promise<DataRouter> {
  const here = hereAs(role, courses);
  const router = createMemoryRouter(
    [{ id: gate, path: pattern, loader: () => here, element: children }],
    {
      initialEntries: [{ ...parsePath(path), state }],
      hydrationData: { loaderData: { [gate]: here } },
    },
  );
  await act(async () => {
    render(
      <ChakraProvider value={system}>
        <QueryClientProvider client={queryClient}>
          <RouterProvider router={router} />
        </QueryClientProvider>
      </ChakraProvider>,
    );
    // What the page fetches of its own code comes in turns of its own.
    await new Promise((done) => setTimeout(done));
  });
  return router;
}

/** Takes everything away that a test left: the page, what was fetched, what the device kept. */
export function tidy(): void {
  cleanup();
  queryClient.clear();
  localStorage.clear();
}
