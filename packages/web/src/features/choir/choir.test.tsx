import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { AuditRecord, Invite, Member } from '@wide-fern/contract';
import { ids, show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import { GiveOut } from './GiveOut';
import { Invitations } from './Invitations';
import { CloseChoir, LeaveChoir } from './Leaving';
import { Members } from './Members';
import { Records } from './Records';
import { Settings } from './Settings';

const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const fill = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
afterEach(tidy);

const member = (id: string, name: string, wanted: Partial<Member> = {}): Member => ({
  id,
  name,
  email: `${name.split(' ')[0]!.toLowerCase()}@choir.test`,
  role: 'deputy',
  you: false,
  ...wanted,
});
const you = member(ids.one, 'Joss Whitlam', { role: 'director', you: true });
const ash = member(ids.two, 'Ash Tarn');

describe('who belongs to the choir', () => {
  it('is taken out after a question, and brought back by one touch', async () => {
    let members = [you, ash];
    const server = serve({
      listMembers: () => members,
      removeMember: () => {
        members = [you];
      },
      bringMemberBack: () => {
        members = [you, ash];
        return ash;
      },
    });
    await show(<Members />);
    expect(await screen.findAllByRole('listitem')).toHaveLength(2);
    click('Take Ash Tarn out');
    click('no');
    click('Take Ash Tarn out');
    expect(server.asked.map(({ name }) => name)).toEqual(['listMembers']);
    click('yes, take Ash out');
    expect(await screen.findByText(/Ash Tarn was taken out/)).toBeTruthy();
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(1));
    click('bring Ash back');
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(2));
    expect(screen.queryByText(/was taken out/)).toBeNull();
  });

  it('says why a role stays as it is', async () => {
    serve({
      listMembers: () => [you],
      changeMember: () => {
        throw new Refusal(409, 'last_director', 'A choir needs a director.');
      },
    });
    await show(<Members />);
    const may = await screen.findByLabelText('What Joss Whitlam may');
    fireEvent.change(may, { target: { value: 'reader' } });
    expect((await screen.findByRole('alert')).textContent).toBe('A choir needs a director.');
    // Oneself is not taken out here: there is leaving for that.
    expect(screen.queryByRole('button', { name: /Take/ })).toBeNull();
  });

  it('is only looked at by a deputy', async () => {
    serve({ listMembers: () => [you, ash] });
    await show(<Members />, { role: 'deputy' });
    await screen.findAllByRole('listitem');
    expect(screen.queryByRole('combobox')).toBeNull();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('an invitation', () => {
  const open = {
    id: ids.three,
    role: 'deputy' as const,
    note: 'for Ash',
    expiresAt: '2030-05-07T10:00:00.000Z',
  };

  it('shows its code and its link once, and can be taken back', async () => {
    let list = [open];
    const server = serve({
      listInvitations: () => list,
      invite: ({ body }) => ({ ...open, ...body, code: 'KQ7M-2XRD-H4TN' }),
      takeInvitationBack: () => {
        list = [];
      },
    });
    await show(<Invitations />);
    expect(await screen.findByText(/until Tue 7 May/)).toBeTruthy();
    fill(/For whom/, 'for Ash');
    click('Invite');
    expect(await screen.findByText('KQ7M-2XRD-H4TN')).toBeTruthy();
    expect(screen.getByText(/\/join#KQ7M-2XRD-H4TN$/)).toBeTruthy();
    const sent = server.asked.find(({ name }) => name === 'invite')!.body as Invite;
    expect(sent).toEqual({ role: 'deputy', note: 'for Ash' });
    click('take the invitation back');
    await waitFor(() => expect(screen.queryByText(/until Tue 7 May/)).toBeNull());
  });

  it('says what stands in the way', async () => {
    serve({
      listInvitations: () => [],
      invite: () => {
        throw new Refusal(409, 'too_many', 'At most 100 invitations stand open at once.');
      },
    });
    await show(<Invitations />);
    await screen.findByLabelText(/For whom/);
    click('Invite');
    expect((await screen.findByRole('alert')).textContent).toContain('At most 100');
  });
});

describe('what was done', () => {
  const at = (minute: number): string => `2030-05-07T10:${String(minute).padStart(2, '0')}:00.000Z`;
  const entry = (minute: number, wanted: Partial<AuditRecord>): AuditRecord => ({
    id: `00000000-0000-4000-8000-0000000001${String(minute).padStart(2, '0')}`,
    at: at(minute),
    by: 'Ash Tarn',
    kind: 'left',
    about: '',
    ...wanted,
  });

  it('is fetched when it is wanted, and what was done before by one touch more', async () => {
    const server = serve({
      listRecords: ({ query }) =>
        query.after === undefined
          ? { items: [entry(9, {})], next: 'more' }
          : { items: [entry(1, { kind: 'joined', about: 'as deputy' })], next: null },
    });
    await show(<Records />);
    expect(server.asked).toEqual([]);
    click('show it');
    const list = await screen.findByRole('list');
    expect(within(list).getByRole('listitem').textContent).toBe('Tue 7 May 11:09Ash Tarn left');
    click('what was done before');
    await waitFor(() => expect(within(list).getAllByRole('listitem')).toHaveLength(2));
    expect(screen.getByText('Ash Tarn joined as deputy')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('the choir’s own settings', () => {
  const saved = {
    id: ids.choir,
    name: 'Low Quarry Choir',
    timeZone: 'Europe/London',
    accidentals: 'sharps',
    naming: 'german',
    clock: '12',
    phraseSeconds: 9,
    approach: 'evening-after-work',
    level: 2,
    demoUntil: null,
    closesAt: null,
  } as const;
  const whole = { ...saved, approaches: [], courses: {} };

  it('are kept together, and it is said', async () => {
    const server = serve({ changeChoir: () => whole });
    await show(<Settings />);
    fill(/choir’s name/, '  ');
    click('Keep these');
    expect(await screen.findByText('Write something here.')).toBeTruthy();
    fill(/choir’s name/, 'Low Quarry Choir');
    fill(/Times of day/, '12');
    fill(/Notes are named/, 'german');
    fill(/Notes outside/, 'sharps');
    click('Keep these');
    expect(await screen.findByText('Kept.')).toBeTruthy();
    expect(server.asked[0]!.body).toEqual({
      name: 'Low Quarry Choir',
      timeZone: 'Europe/London',
      clock: '12',
      accidentals: 'sharps',
      naming: 'german',
    });
  });

  it('are for a director to change', async () => {
    await show(<Settings />, { role: 'reader' });
    expect(screen.getByLabelText<HTMLInputElement>(/choir’s name/).disabled).toBe(true);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('end the choir only when its name is typed', async () => {
    const server = serve({
      closeChoir: () => {
        throw new Refusal(400, 'invalid', 'Type the name.', { name: 'Type the name.' });
      },
    });
    await show(<CloseChoir />);
    click('throw this choir away');
    fill(/Type its name/, 'Quarry');
    click('Throw the choir away in 14 days');
    expect(await screen.findByText('Type the name.')).toBeTruthy();
    expect(server.asked[0]!.body).toEqual({ name: 'Quarry' });
  });

  it('let whoever leaves think again', async () => {
    const server = serve({
      leaveChoir: () => {
        throw new Refusal(409, 'last_director', 'A choir needs a director.');
      },
    });
    await show(<LeaveChoir />);
    click('leave this choir');
    click('no');
    click('leave this choir');
    expect(server.asked).toEqual([]);
    click('yes, leave Quarry Lane Singers');
    expect((await screen.findByRole('alert')).textContent).toBe('A choir needs a director.');
  });
});

describe('everything in one file', () => {
  it('makes a choir of a file and goes there; one that is none says so', async () => {
    let isGood = false;
    const server = serve({
      showSession: () => ({ account: null, choirs: [], demo: false }),
      bringChoirIn: () => {
        if (isGood) return { choir: ids.three };
        throw new Refusal(400, 'invalid', 'This is no choir’s file.');
      },
    });
    const router = await show(<GiveOut />, { path: '/choir' });
    const choose = () =>
      fireEvent.change(screen.getByLabelText('A choir’s file'), {
        target: { files: [new File(['zip'], 'choir.zip')] },
      });
    choose();
    expect((await screen.findByRole('alert')).textContent).toBe('This is no choir’s file.');
    isGood = true;
    choose();
    await waitFor(() => expect(router.state.location.pathname).toBe('/'));
    expect(localStorage.getItem('wide-fern:choir')).toBe(ids.three);
    expect(server.asked.filter(({ name }) => name === 'bringChoirIn')).toHaveLength(2);
  });

  it('is given out by directors only', async () => {
    serve({});
    await show(<GiveOut />, { role: 'deputy' });
    expect(screen.queryByRole('button', { name: 'everything in one file' })).toBeNull();
  });

  it('says when it could not be written', async () => {
    serve({});
    await show(<GiveOut />);
    click('everything in one file');
    expect((await screen.findByRole('alert')).textContent).toContain('cannot be reached');
  });
});
