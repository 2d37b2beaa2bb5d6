import { demoScores } from '@wide-fern/catalogue/demo';
import type { Evening, PieceSummary, StorePiece } from '@wide-fern/contract';
import { writeScoreXml } from '@wide-fern/interchange';
import { expect, type Page } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { handedOver } from './files';
import {
  expectNoComplaints,
  newContext,
  newEvening,
  newPerson,
  storePlan,
  type Person,
} from './person';
import { test } from './test';

/** A score as a file that is chosen. */
const scoreFile = (name: string, text: string | Uint8Array) => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(text),
});
/** Two staves that two parts share each, named the wrong way round. */
const closedScore = (): string => {
  const { score } = demoScores.coldIron;
  const names = ['Men', 'Women'];
  return writeScoreXml({
    ...score,
    staves: score.staves.map((staff, i) => ({
      ...staff,
      id: `P${i + 1}.1`,
      ofStaves: 1,
      name: names[i]!,
    })),
  });
};
const choose = (page: Page, file: ReturnType<typeof scoreFile>) =>
  page.getByLabel('Score to read').setInputFiles(file);
const who = (page: Page, line: string) =>
  page.getByRole('group', { name: `Who sings ${line}`, exact: true });

async function typePiece(
  { request, choir }: Person,
  piece: Partial<StorePiece> = {},
): Promise<string> {
  const response = await request.post(`/api/choirs/${choir}/pieces`, {
    data: {
      title: 'Slate',
      composer: '',
      language: '',
      tempo: null,
      transpose: 0,
      notes: '',
      ranges: { S: [62, 77] },
      score: null,
      ...piece,
    },
  });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

/** Puts a piece on an evening. */
async function putOn({ request, choir }: Person, evening: Evening, piece: string): Promise<void> {
  const date = evening.startsAt.slice(0, 10);
  const response = await request.put(`/api/choirs/${choir}/evenings/${evening.id}`, {
    data: {
      version: evening.version,
      evening: {
        name: null,
        date,
        start: '19:30',
        end: '21:30',
        place: 'Hall',
        occasion: 'evening after work',
        forbids: [],
        agenda: [
          ...evening.agenda,
          { id: 'piece', kind: 'piece', title: 'Slate', minutes: 20, piece },
        ],
      },
    },
  });
  expect(response.status()).toBe(200);
}

test('a closed score is read, put right, marked, made into an exercise and planned', async ({
  browser,
}) => {
  test.slow();
  const person = await newPerson(browser);
  const evening = await newEvening(person);
  await storePlan(person, evening, ['coat-off']);
  const page = await person.context.newPage();
  await page.goto('/pieces');
  await page.getByRole('link', { name: 'read a score' }).click();
  const xml = closedScore();
  await choose(page, scoreFile('cold-iron.musicxml', xml));

  // The names tell wrongly; the director says who sings what.
  await expect(page.getByText('2 staves, 32 bars')).toBeVisible();
  await expect(who(page, 'Men, upper').getByRole('button', { name: 'tenors' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  for (const [line, wrong, right] of [
    ['Men, upper', 'tenors', 'sopranos'],
    ['Men, lower', 'basses', 'altos'],
    ['Women, upper', 'sopranos', 'tenors'],
    ['Women, lower', 'altos', 'basses'],
  ] as const) {
    await who(page, line).getByRole('button', { name: wrong }).click();
    await who(page, line).getByRole('button', { name: right }).click();
  }
  // Men are taken to be printed an octave high there; women are not.
  const octave = page.getByRole('checkbox', {
    name: 'Men, upper sounds an octave lower',
    exact: true,
  });
  await expect(octave).not.toBeChecked();
  await expect(page.getByText(/sopranos D4 to B♭4 · altos/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the piece' }).click();

  // What it asks, in words and in a picture for each part.
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cold Iron, Warm Hands');
  await expect(page.getByRole('img', { name: /^sopranos: D4 to B♭4; mostly/ })).toBeVisible();
  await expect(page.getByText(/without a rest up to bar/)).toBeVisible();

  // A semitone lower and everything is reckoned anew.
  await page.getByRole('button', { name: 'Sing it a semitone lower' }).click();
  await expect(page.getByRole('img', { name: /^sopranos: C♯4 to A4/ })).toBeVisible();
  await page.getByRole('button', { name: 'as before' }).click();
  await expect(page.getByRole('img', { name: /^sopranos: D4 to B♭4/ })).toBeVisible();

  // Bars are chosen by pointer and by key.
  const strip = page.getByRole('group', { name: /^How hard each bar is/ });
  const box = (await strip.boundingBox())!;
  const barWidth = (box.width - 32) / 32;
  await strip.click({ position: { x: 32 + barWidth * 8.5, y: 60 } });
  await expect(page.getByRole('heading', { name: 'Bar 9' })).toBeVisible();
  const last = page.getByRole('slider', { name: 'Last bar chosen' });
  await last.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Bars 9 to 11' })).toBeVisible();
  await expect(page).toHaveURL(/bars=9-11/);
  await expect(page.getByRole('img', { name: /sopranos/i }).last()).toBeVisible();

  const typed = page.getByRole('textbox', { name: 'Numbers of the bars' });
  await typed.fill('900');
  await typed.press('Enter');
  await expect(page.getByText(/^The piece has the bars 1 to/)).toBeVisible();
  await typed.fill('9 to 11');
  await typed.press('Enter');
  await expect(page.getByRole('heading', { name: 'Bars 9 to 11' })).toBeVisible();

  await page.getByRole('button', { name: 'mark trouble' }).click();
  await page.getByRole('combobox', { name: 'Skill' }).selectOption('tuning');
  await page.getByRole('textbox', { name: 'A word about it' }).fill('the E flat sinks');
  await page.getByRole('button', { name: 'Mark bars 9 to 11' }).click();
  await expect(page.getByRole('list', { name: 'Marks' })).toContainText(
    'tuning · the E flat sinks',
  );

  await page.getByRole('button', { name: 'make an exercise' }).click();
  await page.getByRole('radio', { name: 'noo' }).click();
  await page.getByRole('button', { name: 'Make the exercise' }).click();
  await expect(page.getByText('“Cold, bars 9 to 11” is among your exercises.')).toBeVisible();

  // In the warm-up that comes with one touch, with what the mark named.
  await page.getByRole('button', { name: /^put it into \w+’s warm-up/ }).click();
  await page.getByRole('link', { name: 'open the plan' }).click();
  await page.getByRole('button', { name: /Cold, bars 9 to 11/ }).click();
  await expect(page.getByRole('region', { name: 'Bench: Cold, bars 9 to 11' })).toContainText(
    'This is bars 9 to 11 of “Cold Iron, Warm Hands”',
  );

  // The file is handed back as it was.
  await page.goto('/pieces');
  await page.getByRole('link', { name: /Cold Iron/ }).click();
  const file = await handedOver(page.getByRole('button', { name: 'hand it back' }));
  expect(file.name).toBe('cold-iron.musicxml');
  expect(file.bytes.toString()).toBe(xml);
  expectNoComplaints(person.context);
});

test('a piece is heard from any bar, one part alone, and a bar is shown as it sounds', async ({
  browser,
}) => {
  const context = await newContext(browser);
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /demo director/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('warm-up is ready');
  await page.goto('/pieces');
  await page.getByRole('link', { name: /Heron/ }).click();
  await page.getByRole('combobox', { name: 'Who is heard' }).selectOption('tenors alone');
  await page.getByRole('checkbox', { name: 'count a bar first' }).uncheck();
  await page.getByRole('button', { name: 'Hear it from bar 1' }).click();
  const strip = page.getByRole('group', { name: /^How hard each bar is/ });
  await expect(page.getByRole('button', { name: 'Be silent' })).toBeVisible();
  await expect(strip.locator('line[stroke-width="2"]')).toHaveCount(1);
  await page.getByRole('button', { name: 'Be silent' }).click();
  await expect(strip.locator('line[stroke-width="2"]')).toHaveCount(0);
  expectNoComplaints(context);
});

test('a file that is damaged, hostile or none at all is refused in words', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/pieces/read');
  const xml = closedScore();
  for (const [name, content, said] of [
    ['broken.musicxml', xml.slice(0, xml.length / 2), 'breaks off or is damaged'],
    ['letter.xml', 'Dear choir', 'This kind of file is not read'],
    ['bomb.mxl', zipSync({ 'score.xml': new Uint8Array(60_000_000) }, { level: 9 }), '40 MB'],
    ['entity.xml', '<!DOCTYPE a [<!ENTITY b "c">]><score-partwise/>', 'entities of its own'],
    [
      'circle.xml',
      xml.replace(
        '</measure>',
        '<barline><repeat direction="backward" times="9999999"/></barline></measure>',
      ),
      'round without end',
    ],
    ['tune.mid', strToU8('MThd nothing else'), 'breaks off or is damaged'],
  ] as const) {
    await choose(page, scoreFile(name, content));
    await expect(page.getByText(`${name} was not read.`)).toBeVisible();
    await expect(page.getByRole('alert')).toContainText(said);
    await expect(page.getByRole('alert')).toContainText('Nothing was changed.');
  }
  const kept = await person.request.get(`/api/choirs/${person.choir}/pieces`);
  expect(await kept.json()).toEqual({ items: [], next: null });
  expectNoComplaints(person.context);
});

test('a piece is typed by hand, and a slip is said at its part', async ({ browser }) => {
  const person = await newPerson(browser);
  const page = await person.context.newPage();
  await page.goto('/pieces');
  await page.getByRole('link', { name: 'type one in' }).click();
  await page.getByLabel('Title').fill('Slate');
  await page.getByRole('textbox', { name: 'sopranos, lowest note' }).fill('eb4');
  await page.getByRole('textbox', { name: 'sopranos, highest note' }).fill('A5');
  await page.getByRole('textbox', { name: 'basses, lowest note' }).fill('low');
  // A closed tab loses nothing.
  await page.reload();
  await expect(page.getByLabel('Title')).toHaveValue('Slate');
  await page.getByRole('button', { name: 'Keep the piece' }).click();
  await expect(page.getByRole('alert')).toContainText('is no note; write it like');
  await page.getByRole('textbox', { name: 'basses, lowest note' }).fill('');
  await page.getByRole('button', { name: 'Keep the piece' }).click();
  await expect(page.getByRole('list', { name: 'What each part is asked' })).toContainText(
    'E♭4 to A5, two semitones above tonight',
  );
  const pieces = await person.request.get(`/api/choirs/${person.choir}/pieces`);
  expect(((await pieces.json()) as { items: PieceSummary[] }).items[0]).toMatchObject({
    ranges: { S: [63, 81] },
  });
  expectNoComplaints(person.context);
});

test('a judged run becomes next week’s target until it is judged better', async ({ browser }) => {
  const person = await newPerson(browser);
  const evening = await newEvening(person, 7);
  const piece = await typePiece(person);
  await putOn(person, evening, piece);
  await storePlan(person, evening, ['coat-off']);
  const page = await person.context.newPage();
  const judge = async (score: string, target?: string) => {
    await page.goto(`/pieces/${piece}`);
    await page.getByRole('button', { name: 'judge a run' }).click();
    await page.getByRole('combobox', { name: 'Judge another skill too' }).selectOption('tuning');
    await page
      .getByRole('radiogroup', { name: 'How tuning was' })
      .getByRole('radio', { name: score })
      .click();
    if (target) await page.getByRole('combobox', { name: 'Next target' }).selectOption(target);
    await page.getByRole('button', { name: 'Keep the judgement' }).click();
    await expect(page.getByRole('button', { name: 'judge a run' })).toBeVisible();
  };
  await page.goto(`/pieces/${piece}`);
  await page.getByRole('button', { name: 'judge a run' }).click();
  await page.getByRole('button', { name: 'Keep the judgement' }).click();
  await expect(page.getByRole('alert')).toContainText('Judge at least one skill');
  await judge('2', 'tuning');
  await expect(page.getByText(/open since .*last judged 2 of 5/)).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('“Slate”: tuning')).toBeVisible();
  await expect(page.getByText('Nothing in the warm-up trains tuning')).toBeVisible();
  // Judged before: it is asked about first now.
  await page.goto(`/pieces/${piece}`);
  await page.getByRole('button', { name: 'judge a run' }).click();
  await page
    .getByRole('radiogroup', { name: 'How tuning was' })
    .getByRole('radio', { name: '4' })
    .click();
  // A tab that is closed in between loses nothing of it.
  await page.getByRole('textbox', { name: 'A word about tuning' }).fill('the sixth rings');
  await page.reload();
  await page.getByRole('button', { name: 'judge a run' }).click();
  await expect(page.getByRole('textbox', { name: 'A word about tuning' })).toHaveValue(
    'the sixth rings',
  );
  await page.getByRole('button', { name: 'Keep the judgement' }).click();
  await expect(page.getByText('No target is open.')).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /^(Nothing is open|Still open)/ })).toBeVisible();
  await expect(page.getByText('“Slate”: tuning')).toBeHidden();
  expectNoComplaints(person.context);
});

test('many pieces are listed, searched, and one is thrown away', async ({ browser }) => {
  test.slow();
  const person = await newPerson(browser);
  for (let turn = 0; turn < 10; turn += 1) {
    await Promise.all(
      Array.from({ length: 20 }, (_, i) =>
        typePiece(person, { title: `Slate ${turn * 20 + i}`, composer: 'Nobody' }),
      ),
    );
  }
  const page = await person.context.newPage();
  await page.goto('/pieces');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('200 pieces');
  await page.getByRole('textbox', { name: /Search/ }).fill('slate 199');
  await expect(page.getByText('1 shown.')).toBeVisible();
  await page.getByRole('link', { name: /Slate 199/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Slate 199');
  await page.getByRole('button', { name: 'throw it away' }).click();
  await page.getByRole('button', { name: 'throw it away for good' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('199 pieces');
  expectNoComplaints(person.context);
});
