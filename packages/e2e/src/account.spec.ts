import { expect, test } from '@playwright/test';
import { expectNoComplaints, newPerson } from './person';

test('a person changes the password, the light, and signs out everywhere', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/choir');

  // The light is kept on this device.
  await page.getByRole('combobox', { name: 'Light' }).selectOption('dark');
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.reload();
  await expect(page.locator('html')).toHaveClass(/dark/);
  await page.getByRole('combobox', { name: 'Light' }).selectOption('light');
  await expect(page.locator('html')).not.toHaveClass(/dark/);

  // The password: what is wrong is said at its field.
  await page.getByLabel('Present password').fill('not this one');
  await page.getByLabel('New password').fill('short');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('A password has at least 10 characters.')).toBeVisible();
  await page.getByLabel('New password').fill('quite another one');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('This is not your present password.')).toBeVisible();
  await page.getByLabel('Present password').fill(person.password);
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByRole('status')).toContainText('Your password is changed');

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

test('a director decides who belongs, and cannot leave the choir without one', async ({
  browser,
}) => {
  const [person, other] = [await newPerson(browser), await newPerson(browser)];
  const page = await person.context.newPage();
  await page.goto('/choir');
  const own = page.getByRole('combobox', { name: 'What Wren Aldous may' });
  await own.selectOption('reader');
  await expect(page.getByRole('alert')).toContainText('A choir needs a director.');
  await expect(own).toHaveValue('director');
  await page.getByLabel('E-mail of someone with an account').fill(other.email);
  await page.getByRole('button', { name: 'Add to the choir' }).click();
  await expect(page.getByText(other.email)).toBeVisible();
  await page.getByRole('button', { name: 'remove Wren' }).last().click();
  await expect(page.getByText(other.email)).toBeHidden();
  expectNoComplaints(person.context);
});
