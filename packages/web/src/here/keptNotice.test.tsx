import { act, screen } from '@testing-library/react';
import { keptStore } from '@wide-fern/client';
import { show, tidy } from '../testing/page';
import { KeptNotice } from './KeptNotice';

afterEach(() => {
  tidy();
  keptStore.setState({ keptAt: null });
});

it('says when what is shown was fetched, as long as it is not fresh', async () => {
  await show(<KeptNotice />);
  expect(screen.queryByRole('status')).toBeNull();
  act(() => keptStore.setState({ keptAt: '2026-12-01T19:12:00.000Z' }));
  expect(screen.getByRole('status').textContent).toContain(
    'What you see was fetched on Tue 1 Dec, 19:12.',
  );
  act(() => keptStore.setState({ keptAt: null }));
  expect(screen.queryByRole('status')).toBeNull();
});
