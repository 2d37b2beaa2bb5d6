import { ChakraProvider } from '@chakra-ui/react';
import { render, screen, waitFor } from '@testing-library/react';
import { early, lazily, missing } from './lazily';
import { system } from './system';

/** Something that is fetched, and fails so many times before it comes. */
function fetchedAfter(failures: number) {
  let asked = 0;
  const Shown = lazily(
    async () => {
      asked += 1;
      if (asked <= failures) throw new Error('The connection stumbled.');
      return Promise.resolve({ default: () => <p>it is here</p> });
    },
    { room: <p>its room</p> },
  );
  render(
    <>
      <h1>the rest</h1>
      <Shown />
    </>,
  );
  return () => asked;
}

describe('what is fetched when it is wanted', () => {
  it('comes when it is here, asked for once', async () => {
    const asked = fetchedAfter(0);
    expect(screen.getByText('its room')).toBeTruthy();
    expect(await screen.findByText('it is here')).toBeTruthy();
    expect(screen.queryByText('its room')).toBeNull();
    expect(asked()).toBe(1);
  });
  it('is asked for once more where the first time failed', async () => {
    const asked = fetchedAfter(1);
    expect(await screen.findByText('it is here')).toBeTruthy();
    expect(asked()).toBe(2);
  });
  it('is left out where it cannot be fetched, and the rest stays', async () => {
    const asked = fetchedAfter(9);
    await waitFor(() => expect(asked()).toBe(2));
    expect(screen.queryByText('it is here')).toBeNull();
    expect(screen.getByText('the rest')).toBeTruthy();
  });
  it('is drawn anew where it is given something else, and only there', async () => {
    let drawn = 0;
    const Shown = lazily(() =>
      Promise.resolve({
        default: ({ name }: { readonly name: string }) => {
          drawn += 1;
          return <p>{name}</p>;
        },
      }),
    );
    const page = (name: string, other: string) => (
      <>
        <Shown name={name} />
        {other}
      </>
    );
    const { rerender } = render(page('Pulley', 'one'));
    await screen.findByText('Pulley');
    const before = drawn;
    rerender(page('Pulley', 'two'));
    expect(drawn).toBe(before);
    rerender(page('Low Well', 'two'));
    expect(screen.getByText('Low Well')).toBeTruthy();
    expect(drawn).toBe(before + 1);
  });
  it('is said to be missing where a person asked for it; its room may know what it is given', async () => {
    const never = () => Promise.reject<{ default: (of: { name: string }) => string }>(new Error());
    const Shown = lazily(never, {
      room: ({ name }) => <p>room for {name}</p>,
      absent: missing('The notes'),
    });
    render(
      <ChakraProvider value={system}>
        <Shown name="Pulley" />
      </ChakraProvider>,
    );
    expect(screen.getByText('room for Pulley')).toBeTruthy();
    expect((await screen.findByRole('alert')).textContent).toBe(
      'The notes could not be fetched. Load the page again when the connection is back.',
    );
  });
  it('is asked for before it is shown where it is sure to be wanted, and again where that failed', async () => {
    let asked = 0;
    const fetched = early(() => {
      asked += 1;
      return asked === 1 ? Promise.reject<string>(new Error()) : Promise.resolve('it is here');
    });
    expect(asked).toBe(1);
    expect(await fetched()).toBe('it is here');
  });
});
