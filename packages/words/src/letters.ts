/** A mail to one person, as plain text. */
export interface Letter {
  readonly subject: string;
  readonly text: string;
}

const letter = (subject: string, ...paragraphs: readonly string[]): Letter => ({
  subject,
  text: `${paragraphs.join('\n\n')}\n\nWide Fern\n`,
});

/** The way to a new password; the link is good once. */
export const forgottenLetter = (name: string, link: string, minutes: number): Letter =>
  letter(
    'A new password for Wide Fern',
    `Dear ${name},`,
    `somebody, most likely you, asked for a new password. Open this link within ${minutes} minutes to choose one:`,
    link,
    'If it was not you, nothing has to be done: your password stays as it is.',
  );

/** Asks whether a new e-mail reaches the person. */
export const newEmailLetter = (name: string, link: string, hours: number): Letter =>
  letter(
    'Your new e-mail for Wide Fern',
    `Dear ${name},`,
    `open this link within ${hours} hours, and you sign in with this e-mail from then on:`,
    link,
    'If you did not ask for it, nothing has to be done.',
  );

/** Tells the old e-mail that another one is used now. */
export const emailChangedLetter = (name: string): Letter =>
  letter(
    'Your e-mail for Wide Fern was changed',
    `Dear ${name},`,
    'from now on another e-mail is used to sign in to your account.',
    'If that was not you, ask whoever runs Wide Fern for you to look at it.',
  );

/** Tells whoever has an account that somebody wanted another one with the same e-mail. */
export const emailInUseLetter = (name: string): Letter =>
  letter(
    'Your e-mail has an account with Wide Fern',
    `Dear ${name},`,
    'somebody wanted to use this e-mail for another account. It belongs to yours, so nothing was changed.',
  );
