import type { ErrorCode, KeptKind } from '@wide-fern/contract';
import { counted, countInWords, formFor } from './counting';
import { recordingTooLarge } from './judging';
import { fullInWords } from './room';

const things = {
  this: 'This',
  address: 'This address',
  answer: 'What was sent',
  browser: 'This browser',
  check: 'This check',
  choir: 'This choir',
  demo: 'The demo choir',
  evening: 'This evening',
  exercise: 'This exercise',
  invitation: 'An invitation with this code',
  item: 'This part of the evening',
  link: 'What this link was for',
  judgement: 'This judgement',
  judging: 'This run to judge together',
  mark: 'This mark',
  member: 'This member',
  piece: 'This piece',
  recording: 'This recording',
  practice: 'What this page was for',
  run: 'What happened in this warm-up',
  score: 'This score',
  singer: 'This singer',
  template: 'What one begins from here',
  version: 'The plan as it was then',
} as const;
/** What may not be here, or not be somebody's to see. */
export type Thing = keyof typeof things;

/** What a limit is about: how much there may be, and how much is here. */
export interface LimitReached {
  readonly of:
    | KeptKind
    | 'answers'
    | 'cards'
    | 'invitations'
    | 'courses'
    | 'links'
    | 'screens'
    | 'runs'
    | 'events';
  readonly most: number;
  readonly here: number;
}

function tooMany({ of, most, here }: LimitReached): string {
  if (of === 'invitations') {
    return `At most ${most} invitations stand open at once. Take some back first.`;
  }
  if (of === 'answers') {
    return 'So much was sent already that nothing more is kept. Tell whoever leads your choir.';
  }
  if (of === 'cards') return `At most ${most} people judge one run.`;
  if (of === 'courses') return `At most ${most} courses are kept. Throw some away first.`;
  if (of === 'runs')
    return `At most ${most} times that one warm-up was led are kept; this is more.`;
  if (of === 'events') return `At most ${most} touches of one warm-up are kept; this is more.`;
  if (of === 'links') {
    return `At most ${most} links lead to one warm-up at once. Take some back first.`;
  }
  if (of === 'screens') return `At most ${most} screens follow by one code. Make another code.`;
  return fullInWords({ of, most, here });
}

/** What is wrong with something that was sent, where the contract alone cannot say it. */
export type Invalid =
  | { readonly what: 'body' | 'page' | 'file' | 'signs' }
  | { readonly what: 'piece-gone' }
  | { readonly what: 'guessable'; readonly long: boolean }
  | { readonly what: 'choir-name' }
  | { readonly what: 'recording' }
  | { readonly what: 'skill-not-asked'; readonly skill: string }
  | { readonly what: 'no-card' }
  | { readonly what: 'part'; readonly part: string };

function invalid(found: Invalid): string {
  switch (found.what) {
    case 'body':
      return 'Something in this is not as expected.';
    case 'signs':
      return 'This holds a sign that cannot be kept. Type it anew.';
    case 'page':
      return 'This page of the list is not known. Begin with the first one.';
    case 'file':
      return 'This file is empty. Choose another one.';
    case 'guessable':
      return found.long
        ? 'This is easily guessed. Take three or four words that have nothing to do with each other.'
        : 'This is easily guessed. Take a longer one: three or four words that have nothing to do with each other.';
    case 'choir-name':
      return 'Type the choir’s name as it stands above.';
    case 'piece-gone':
      return 'A piece on this evening is not here any more. Choose another one for it.';
    case 'recording':
      return 'This is no recording. Choose a sound file: WAV, MP3, M4A, OGG, FLAC or WebM.';
    case 'skill-not-asked':
      return `“${found.skill}” does not stand on this card.`;
    case 'no-card':
      return 'Nobody has handed in a card yet.';
    case 'part':
      return `“${found.part}” is no part of this choir.`;
  }
}

/** What happened and what to do, for every error the interface answers with. */
export const problemWords = {
  bad_json: (how: 'missing' | 'broken') =>
    how === 'missing'
      ? 'Send a JSON body with the content type application/json.'
      : 'The body is no JSON. Check how it is written.',
  bad_request: (what: 'request' | 'address') =>
    what === 'request' ? 'This request could not be read.' : 'This address is not valid.',
  invalid,
  sign_in_first: () => 'Sign in to go on.',
  wrong_password: () => 'E-mail and password do not go together. Check both and try again.',
  second_factor: () => 'Type the six digits that your phone shows, or one of your kept codes.',
  wrong_code: () =>
    'These digits are not the ones your phone shows now, or the code was used already.',
  demo_account: () => 'The people of the demo are invented. Make an account to be yourself.',
  demo_choir: () =>
    'Who belongs to the demo choir stays as it is. Make an account to have a choir of your own.',
  not_allowed: () => 'Your role in this choir does not allow this; ask a director.',
  other_origin: () =>
    'This request comes from another site and is refused. If this is the right address, who runs Wide Fern has to set it as PUBLIC_URL.',
  wrong_present_password: () => 'This is not your present password.',
  not_found: (thing: Thing) =>
    thing === 'practice'
      ? 'This page was taken back, or its time is over. Ask whoever leads your choir for a new one.'
      : `${things[thing]} is not here, or not yours to see.`,
  changed_meanwhile: () => 'This was changed meanwhile. Look at both and choose.',
  email_taken: () =>
    'No account can be made with this e-mail. If it is yours, sign in with it or ask for a new password.',
  factor_here: () => 'Your account has a second factor already. End that one first.',
  file_gone: () =>
    'The file of this score is not kept any more. Read it in once more; what you chose is still here.',
  has_plan: (title: string | undefined) =>
    `“${title ?? 'a warm-up'}” has a plan. Leave it in the evening, or take its segments out first.`,
  judging_over: () => 'No more cards are taken for this run: look at what was agreed on.',
  last_director: () => 'A choir needs a director. Make someone else director first.',
  singers_left: (count: number, { one, many }: { readonly one: string; readonly many: string }) =>
    `Say where the ${countInWords(count)} ${formFor(count, one, many)} ${formFor(count, 'sings', 'sing')} from now on.`,
  too_many: tooMany,
  too_large: (what: 'body' | 'score' | 'choir' | 'recording') =>
    what === 'body'
      ? 'This is too much at once; send less.'
      : what === 'choir'
        ? 'A choir’s file up to 200 MB is read.'
        : what === 'recording'
          ? recordingTooLarge
          : 'Scores up to 20 MB are kept. Save it as compressed MusicXML.',
  unreadable_score: () =>
    'This score could not be read again. Read it in once more; what you chose is still here.',
  too_many_attempts: (minutes: number) =>
    `Too many attempts. Wait ${counted(minutes, 'minute', 'minutes')}, then try again.`,
  unexpected: (id: string) =>
    `Something went wrong on the server (${id}). Nothing was changed; try again, and tell who runs it if it stays.`,
  database_away: () =>
    'The database cannot be reached just now. Nothing was changed; try again in a moment.',
  disk_full: () =>
    'The disk of the server is full, so nothing new can be kept. What is here can be read, and nothing was changed. Tell who runs it.',
  too_busy: () => 'The server reads other scores just now. Nothing is lost; try again in a moment.',
} as const satisfies Readonly<Record<ErrorCode, (...facts: never[]) => string>>;
