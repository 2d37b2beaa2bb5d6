import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show, tidy } from '../testing/page';
import { Signs, SignsWord, useSigns } from './Signs';

const load = () => Promise.resolve([['rests', <circle key="rest" r={3} />] as const]);

function View({ from = load }: { readonly from?: typeof load }) {
  const signs = useSigns('somewhere');
  return (
    <>
      <SignsWord {...signs} />
      <Signs shown={signs} load={from} />
    </>
  );
}
const explained = () => screen.queryByRole('region', { name: 'What the signs mean' });
afterEach(tidy);

describe('the signs of a view', () => {
  it('are explained on first sight, and later when they are asked for', async () => {
    await show(<View />);
    await waitFor(() => expect(explained()?.textContent).toContain('rests'));
    fireEvent.click(screen.getByRole('button', { name: 'put the signs away' }));
    expect(explained()).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'signs' }));
    expect(explained()).not.toBeNull();
  });

  it('say so where they cannot be fetched', async () => {
    await show(<View from={() => Promise.reject(new TypeError('The network is away.'))} />);
    await waitFor(() => expect(explained()?.textContent).toMatch(/could not be fetched/));
  });

  it('are put away when the view was seen before', async () => {
    localStorage.setItem('signs:somewhere', 'seen');
    await show(<View />);
    expect(explained()).toBeNull();
    expect(screen.getByRole('button', { name: 'signs' }).getAttribute('aria-expanded')).toBe(
      'false',
    );
  });
});
