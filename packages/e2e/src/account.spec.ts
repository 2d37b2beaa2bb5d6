import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { generate } from 'otplib';
import { expectNoComplaints, newContext, newPerson } from './person';
import { test } from './test';

test('a person changes the password, the light, and signs out everywhere', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/account');

  // The light is kept on this device.
  await page.getByRole('combobox', { name: 'Light' }).selectOption('dark');
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.reload();
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.getByRole('combobox', { name: 'Light' }).selectOption('light');
  await expect(page.locator('html')).not.toHaveClass(/dark/);

  // The password: what is wrong is said at its field.
  const change = page.getByRole('region', { name: 'Password', exact: true });
  await change.getByLabel('Present password').fill('not this one');
  await page.getByLabel('New password').fill('short');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('A password has at least 10 characters.')).toBeVisible();
  await page.getByLabel('New password').fill('quite another one');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('This is not your present password.')).toBeVisible();
  await change.getByLabel('Present password').fill(person.password);
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(change.getByRole('status')).toContainText('Your password is changed');

  // Everywhere: another browser's session ends too.
  const elsewhere = await browser.newContext();
  const entered = await elsewhere.request.post('/api/session', {
    data: { email: person.email, password: 'quite another one' },
  });
  expect(entered.status()).toBe(200);
  await page.getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(page).toHaveURL(/\/sign-in/);
  expect((await elsewhere.request.get(`/api/choirs/${person.choir}`)).status()).toBe(401);
  await page.goto('/');
  await expect(page).toHaveURL(/\/sign-in/);
  expectNoComplaints(person.context);
});

test('a deputy comes by an invitation, without a choir of their own, is taken out and brought back', async ({
  browser,
}) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/choir');
  await page.getByLabel('For whom').fill('Ash from the altos');
  await page.getByRole('button', { name: 'Invite', exact: true }).click();
  const link = await page.getByText(/\/join#/).textContent();
  await expect(page.getByText('Ash from the altos')).toBeVisible();

  const context = await newContext(browser);
  const invited = await context.newPage();
  await invited.goto(link!);
  await expect(invited.getByText('Wren Aldous invites you to Test Choir')).toBeVisible();
  await invited.getByRole('button', { name: 'Make an account and join' }).click();
  await invited.getByLabel('Your name').fill('Ash Tarn');
  await invited.getByLabel('E-mail').fill(`${randomUUID()}@example.org`);
  await invited.getByLabel('Password').fill('password1234');
  await invited.getByRole('button', { name: 'Join' }).click();
  await expect(invited.getByText('This is easily guessed.')).toBeVisible();
  await invited.getByLabel('Password').fill('slate heron ferry nine');
  await invited.getByRole('button', { name: 'Join' }).click();
  await expect(invited).toHaveURL('/');
  await expect(invited.getByRole('banner')).toContainText('Test Choir');

  // The director sees it happen, asks twice before taking out, and can undo it.
  await expect(page.getByRole('listitem').filter({ hasText: 'Ash Tarn' })).toBeVisible();
  await expect(page.getByText('Ash from the altos')).toBeHidden();
  await page.getByRole('button', { name: 'Take Ash Tarn out' }).click();
  await page.getByRole('button', { name: 'yes, take Ash out' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'was taken out' })).toBeVisible();
  await invited.goto('/choir');
  await expect(invited.getByText('You belong to no choir yet')).toBeVisible();
  await page.getByRole('button', { name: 'bring Ash back' }).click();
  await expect(page.getByRole('button', { name: 'Take Ash Tarn out' })).toBeVisible();

  // Whoever came can go by themselves.
  await invited.goto('/choir');
  await invited.getByRole('button', { name: 'leave this choir' }).click();
  await invited.getByRole('button', { name: 'yes, leave Test Choir' }).click();
  await expect(invited.getByText('You belong to no choir yet')).toBeVisible();
  await page.getByRole('button', { name: 'show it' }).click();
  const done = page.getByRole('list', { name: 'What was done, the latest first' });
  await expect(done.getByRole('listitem').first()).toContainText('Ash Tarn left');
  expectNoComplaints(person.context);
  expectNoComplaints(context);
});

test('a director cannot leave the choir without one', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/choir');
  const own = page.getByRole('combobox', { name: 'What Wren Aldous may' });
  await own.selectOption('reader');
  await expect(page.getByRole('alert')).toContainText('A choir needs a director.');
  await expect(own).toHaveValue('director');
  expectNoComplaints(person.context);
});

test('a choir is renamed, and thrown away with two weeks to think again', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/choir');
  await page.getByLabel('The choir’s name').fill('Low Quarry Choir');
  await page.getByLabel('Notes outside a key').selectOption('sharps');
  await page.getByRole('button', { name: 'Keep these' }).click();
  await expect(page.getByRole('heading', { name: 'Low Quarry Choir' })).toBeVisible();
  await page.getByRole('button', { name: 'throw this choir away' }).click();
  await page.getByLabel('Type its name').fill('Test Choir');
  await page.getByRole('button', { name: 'Throw the choir away in 14 days' }).click();
  await expect(page.getByText('Type the choir’s name as it stands above.')).toBeVisible();
  await page.getByLabel('Type its name').fill('Low Quarry Choir');
  await page.getByRole('button', { name: 'Throw the choir away in 14 days' }).click();
  await expect(page.getByText(/^This choir is thrown away on/)).toBeVisible();
  await page.goto('/voices');
  await expect(page.getByText(/Low Quarry Choir is thrown away on/)).toBeVisible();
  await page.getByRole('link', { name: 'Keep it or look' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('button', { name: 'throw this choir away' })).toBeVisible();
  expectNoComplaints(person.context);
});

/** What stands behind the «#» of the link in the mail that came to somebody. */
async function mailedSecret(to: string): Promise<string> {
  const folder = join(import.meta.dirname, '..', 'results', 'mails');
  let secret = '';
  await expect(() => {
    const mails = readdirSync(folder).map((name) => readFileSync(join(folder, name), 'utf8'));
    const mine = mails.find((mail) => mail.includes(`To: ${to}`)) ?? '';
    // Long lines are broken by «=» at their ends.
    secret = /#([\w-]+)/.exec(mine.replace(/=\n/g, ''))?.[1] ?? '';
    expect(secret).not.toBe('');
  }).toPass();
  return secret;
}

test('a forgotten password is renewed by the link in a mail', async ({ browser }) => {
  const person = await newPerson(browser);
  const context = await newContext(browser);
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByRole('link', { name: 'Password forgotten' }).click();
  await page.getByLabel('Your e-mail').fill(person.email);
  await page.getByRole('button', { name: 'Send me a link' }).click();
  await expect(page.getByRole('status')).toContainText('a mail with a link is on its way');
  await page.goto(`/new-password#${await mailedSecret(person.email)}`);
  await page.getByLabel('New password').fill('heron ferry slate nine');
  await page.getByRole('button', { name: 'Use it from now on' }).click();
  await page.getByRole('link', { name: 'Sign in with it' }).click();
  await page.getByLabel('E-mail').fill(person.email);
  await page.getByLabel('Password').fill('heron ferry slate nine');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page).toHaveURL('/');
  expectNoComplaints(context);
});

test('a second factor is asked for once it was set up', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/account');
  await page.getByRole('button', { name: 'begin with it' }).click();
  const part = page.getByRole('region', { name: 'Six digits beside the password' });
  await part.getByLabel('Present password').fill(person.password);
  await part.getByRole('button', { name: 'Show me the picture' }).click();
  await expect(part.getByRole('img', { name: 'For the phone to read' })).toBeVisible();
  const letters = (await part.getByText(/^([A-Z2-7]{4} )+/).textContent())!.replace(/\s/g, '');
  await part.getByLabel('Six digits').fill(await generate({ secret: letters }));
  await part.getByRole('button', { name: 'Ask for them from now on' }).click();
  await expect(part.getByRole('status')).toContainText('Keep these ten codes');
  const [code] = /[a-z2-7]{5}-[a-z2-7]{5}/.exec((await part.locator('pre').textContent())!)!;

  const context = await newContext(browser);
  const elsewhere = await context.newPage();
  await elsewhere.goto('/sign-in');
  await elsewhere.getByLabel('E-mail').fill(person.email);
  await elsewhere.getByLabel('Password').fill(person.password);
  await elsewhere.getByRole('button', { name: 'Sign in', exact: true }).click();
  await elsewhere.getByLabel('Six digits from your phone').fill(code);
  await elsewhere.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(elsewhere).toHaveURL('/');

  // Both browsers are listed; the other one is signed out from here.
  await page.reload();
  const list = page.getByRole('region', { name: 'Where you are signed in' });
  await list
    .getByRole('button', { name: /^Sign .* out$/ })
    .first()
    .click();
  await elsewhere.goto('/account');
  await expect(elsewhere).toHaveURL(/\/sign-in/);
  expectNoComplaints(person.context);
});

test('whoever looks around has a choir of their own, and cannot draw others into it', async ({
  browser,
}) => {
  const context = await newContext(browser);
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('button', { name: 'Look around as the demo director' }).click();
  await expect(page.getByRole('banner')).toContainText('Quarry Lane Singers');
  await page.goto('/choir');
  await expect(page.getByText('yours alone, and thrown away')).toBeVisible();
  await expect(page.getByText('Joss Whitlam')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Invite' })).toBeHidden();
  await expect(page.getByRole('button', { name: /Take .* out/ })).toBeHidden();
  expectNoComplaints(context);
});
