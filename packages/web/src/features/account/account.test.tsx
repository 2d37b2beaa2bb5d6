import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Session, SignUp } from '@wide-fern/contract';
import { ids, show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import ForgottenPage from './ForgottenPage';
import JoinPage from './JoinPage';
import NewEmailPage from './NewEmailPage';
import NewPasswordPage from './NewPasswordPage';
import { Browsers } from './own/Browsers';
import { CloseAccount } from './own/CloseAccount';
import { EmailForm, NameForm } from './own/NameAndEmail';
import { SecondFactor } from './own/SecondFactor';
import SignInPage from './SignInPage';
import SignUpPage from './SignUpPage';

const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const fill = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
afterEach(tidy);

const nobody: Session = { account: null, choirs: [], demo: false };
const account = {
  id: ids.account,
  name: 'Ash Tarn',
  email: 'ash@choir.test',
  secondFactor: false,
  closesAt: null,
};
const choir = { id: ids.choir, name: 'Quarry Lane Singers', role: 'deputy' } as const;
const ash: Session = { account, choirs: [choir], demo: false };

describe('signing in', () => {
  const typed = () => {
    fill('E-mail', 'ash@choir.test');
    fill('Password', 'heron ferry slate');
    click('Sign in');
  };

  it('asks for the six digits where the account wants them', async () => {
    const server = serve({
      showSession: () => nobody,
      signIn: ({ body }) => {
        if (body.code === undefined) throw new Refusal(401, 'second_factor', 'Type six digits.');
        return ash;
      },
    });
    const router = await show(<SignInPage />, { path: '/sign-in?to=/voices' });
    expect(screen.queryByLabelText(/Six digits/)).toBeNull();
    typed();
    await screen.findByLabelText(/Six digits/);
    fill(/Six digits/, '123 456');
    click('Sign in');
    await waitFor(() => expect(router.state.location.pathname).toBe('/voices'));
    expect(server.asked.at(-1)).toMatchObject({ name: 'signIn', body: { code: '123456' } });
  });

  it('says what is wrong, and offers no demo where there is none', async () => {
    serve({
      showSession: () => nobody,
      signIn: () => {
        throw new Refusal(401, 'wrong_password', 'They do not go together.');
      },
    });
    await show(<SignInPage />);
    typed();
    expect((await screen.findByRole('alert')).textContent).toBe('They do not go together.');
    expect(screen.queryByRole('button', { name: /demo/ })).toBeNull();
  });
});

describe('an invitation', () => {
  const invited = { choir: 'Quarry Lane Singers', role: 'deputy', by: 'Joss Whitlam' } as const;

  it('is looked at by its link, and accepted by whoever is signed in', async () => {
    const server = serve({
      showSession: () => ({ ...ash, choirs: [] }),
      lookAtInvitation: () => invited,
      acceptInvitation: () => ash,
    });
    const router = await show(<JoinPage />, { path: '/join#KQ7M-2XRD-H4TN' });
    expect(await screen.findByText(/Joss Whitlam invites you/)).toBeTruthy();
    click('Join as Ash Tarn');
    await waitFor(() => expect(router.state.location.pathname).toBe('/'));
    expect(localStorage.getItem('wide-fern:choir')).toBe(ids.choir);
    expect(server.asked.filter(({ name }) => name === 'acceptInvitation')).toMatchObject([
      { body: { secret: 'KQ7M-2XRD-H4TN' } },
    ]);
  });

  it('is typed where there is no link, and leads to a new account without a new choir', async () => {
    serve({ showSession: () => nobody, lookAtInvitation: () => invited });
    const router = await show(<JoinPage />, { path: '/join' });
    await screen.findByLabelText(/Code of the invitation/);
    fill(/Code of the invitation/, 'kq7m 2xrd h4tn');
    click('Look at the invitation');
    await screen.findByText(/Joss Whitlam invites you/);
    click('Make an account and join');
    await waitFor(() => expect(router.state.location.pathname).toBe('/sign-up'));
    expect(router.state.location.state).toEqual({
      code: 'kq7m 2xrd h4tn',
      choir: 'Quarry Lane Singers',
    });
  });

  it('that is not good any more can be typed anew', async () => {
    serve({
      showSession: () => nobody,
      lookAtInvitation: () => {
        throw new Refusal(404, 'not_found', 'An invitation with this code is not here.');
      },
    });
    await show(<JoinPage />, { path: '/join#OLD' });
    expect((await screen.findByRole('alert')).textContent).toContain('Ask for a new one');
    expect(screen.getByLabelText(/Code of the invitation/)).toBeTruthy();
  });

  it('is taken along by the page where the account is made', async () => {
    const server = serve({ signUp: () => ash });
    const router = await show(<SignUpPage />, {
      path: '/sign-up',
      state: { code: 'KQ7M-2XRD-H4TN', choir: 'Quarry Lane Singers' },
    });
    expect(screen.queryByLabelText('Choir')).toBeNull();
    fill('Your name', 'Ash Tarn');
    fill('E-mail', 'ash@choir.test');
    fill('Password', 'heron ferry slate');
    click('Join');
    await waitFor(() => expect(router.state.location.pathname).toBe('/'));
    const sent = server.asked[0]!.body as SignUp;
    expect(sent).toMatchObject({ name: 'Ash Tarn', invitation: 'KQ7M-2XRD-H4TN' });
    expect(sent.choir).toBeUndefined();
  });
});

describe('a forgotten password', () => {
  it('is asked for, and the answer tells nothing of whether the e-mail is known', async () => {
    serve({ forgetPassword: () => undefined });
    await show(<ForgottenPage />);
    fill('Your e-mail', 'ash@choir');
    click('Send me a link');
    expect(await screen.findByText(/Write a whole e-mail address/)).toBeTruthy();
    fill('Your e-mail', 'ash@choir.test');
    click('Send me a link');
    expect((await screen.findByRole('status')).textContent).toContain('If an account has');
  });

  it('is renewed with the secret of the link', async () => {
    const server = serve({
      renewPassword: ({ body }) => {
        if (body.next === 'password1234') {
          throw new Refusal(400, 'invalid', 'Guessed.', { next: 'This is easily guessed.' });
        }
        return undefined;
      },
    });
    await show(<NewPasswordPage />, { path: '/new-password#the-secret' });
    fill('New password', 'password1234');
    click('Use it from now on');
    expect(await screen.findByText('This is easily guessed.')).toBeTruthy();
    fill('New password', 'heron ferry slate');
    click('Use it from now on');
    expect(await screen.findByText('Sign in with it')).toBeTruthy();
    expect(server.asked.at(-1)!.body).toEqual({ secret: 'the-secret', next: 'heron ferry slate' });
  });

  it('says that a link is used up, and how to get another', async () => {
    serve({
      renewPassword: () => {
        throw new Refusal(404, 'not_found', 'What this link was for is not here.');
      },
    });
    await show(<NewPasswordPage />, { path: '/new-password#old' });
    fill('New password', 'heron ferry slate');
    click('Use it from now on');
    expect(await screen.findByText('Ask for another link')).toBeTruthy();
  });
});

describe('what is one’s own', () => {
  it('is renamed', async () => {
    serve({ changeName: ({ body }) => ({ ...ash, account: { ...account, ...body } }) });
    await show(<NameForm name="Ash Tarn" />);
    fill('Your name', 'Ash Birch');
    click('Change the name');
    expect((await screen.findByRole('status')).textContent).toBe('Your name is changed.');
  });

  it('gets another e-mail once its link is opened', async () => {
    serve({ changeEmail: () => undefined, confirmEmail: () => undefined });
    await show(
      <>
        <EmailForm email="ash@choir.test" />
        <NewEmailPage />
      </>,
      { path: '/new-e-mail#secret' },
    );
    fill(/Another e-mail/, 'new@choir.test');
    fill('Present password', 'heron ferry slate');
    click('Change the e-mail');
    expect((await screen.findByRole('status')).textContent).toContain('new@choir.test');
    click(/This e-mail is mine/);
    expect(await screen.findByText(/From now on you sign in with it/)).toBeTruthy();
  });

  it('is guarded by digits of a phone, with codes for when that is lost', async () => {
    const codes = ['abcde-fghij', 'klmno-pqrst'];
    const server = serve({
      beginSecondFactor: () => ({
        secret: 'ABCDEFGH',
        address: 'otpauth://totp/x?secret=ABCDEFGH',
      }),
      keepSecondFactor: () => ({ codes }),
    });
    await show(<SecondFactor isOn={false} />);
    click('begin with it');
    fill('Present password', 'heron ferry slate');
    click(/Show me the picture/);
    expect(await screen.findByText('ABCD EFGH')).toBeTruthy();
    fill('Six digits', '12');
    click('Ask for them from now on');
    expect(await screen.findByText(/Six digits, or one of/)).toBeTruthy();
    fill('Six digits', '123456');
    click('Ask for them from now on');
    expect(await screen.findByText(/abcde-fghij/)).toBeTruthy();
    expect(server.asked.map(({ name }) => name)).toEqual(['beginSecondFactor', 'keepSecondFactor']);
  });

  it('is signed out elsewhere', async () => {
    const at = '2030-05-07T10:00:00.000Z';
    const browser = { name: 'a program', since: at, lastSeen: at };
    let list = [
      { ...browser, id: 'here', here: true },
      { ...browser, id: 'there', here: false },
    ];
    serve({
      listBrowsers: () => list,
      signBrowserOut: ({ params }) => {
        list = list.filter(({ id }) => id !== params.browser);
      },
    });
    await show(<Browsers />);
    const rows = await screen.findAllByRole('listitem');
    expect(within(rows[0]!).getByText('this one')).toBeTruthy();
    click('Sign a program out');
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(1));
  });

  it('is thrown away only with the password', async () => {
    const server = serve({
      closeAccount: () => {
        throw new Refusal(403, 'wrong_present_password', 'Wrong.', { password: 'Not this one.' });
      },
    });
    await show(<CloseAccount closesAt={null} />);
    click('throw my account away');
    click('Throw my account away in 14 days');
    expect(await screen.findByText('Type your present password.')).toBeTruthy();
    expect(server.asked).toEqual([]);
    fill('Present password', 'a guess');
    click('Throw my account away in 14 days');
    expect(await screen.findByText('Not this one.')).toBeTruthy();
  });

  it('ends after two weeks, or is kept', async () => {
    serve({ keepAccount: () => ash, closeAccount: () => ash });
    await show(<CloseAccount closesAt="2030-05-07T10:00:00.000Z" />);
    expect(screen.getByText(/is thrown away on Tue 7 May/)).toBeTruthy();
    click('Keep it');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});
