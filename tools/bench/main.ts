/**
 * npm run bench: medians of what the product promises, measured on this machine. It prints a table
 * for docs/performance.md and judges nothing.
 */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { availableParallelism, cpus } from 'node:os';
import { join } from 'node:path';
import { bestLadder, mixedChoir, type LadderProblem } from '@wide-fern/core';
import { exercises } from '@wide-fern/catalogue';
import { build as bundle } from 'esbuild';
import { chromium } from 'playwright-core';
import { isBuilt, webFolder } from '../build/built';
import { firstLoadLimit, firstLoads } from '../build/firstLoad';
import { root } from '../root';
import { endWith, say } from '../setup/say.mjs';
import { measureBuilding } from './building';
import { measureLeading } from './leading';
import { measureDragging, type DragCost } from './dragging';
import { measureExercises } from './exercises';
import { afterOneChange, wholePlan, type FourteenSegments } from './fourteen';
import { median, medianTime } from './median';
import { measureKills } from './kills';
import { measureLoad } from './load';
import { measureLogbook } from './logbook';
import { measurePitch } from './pitch';
import { measureOthers, measurePlanner, measureReplanning } from './planner';
import { measurePulse } from './pulse';
import { measureScores } from './scores';
import { measureVoices } from './voices';

const worked = (
  highest: number,
  shape: LadderProblem['shape'],
  keys: number,
  fraction: number,
): LadderProblem => ({
  sections: mixedChoir,
  pattern: { lowest: 0, highest },
  shape,
  keys,
  step: 1,
  fraction,
});

/** The worked table of docs/model.md. */
const ladders = [
  ['0..4, five keys up', worked(4, 'up', 5, 0.6)],
  ['0..7, seven keys up', worked(7, 'up', 7, 0.8)],
  ['0..12, eight keys up', worked(12, 'up', 8, 1)],
  ['0..14, nine keys up and back', worked(14, 'up-and-back', 9, 1)],
] as const;

/** A plan of 14 segments in Chromium: whole, and after one change; milliseconds. */
async function inTheBrowser(): Promise<{ readonly whole: number; readonly changed: number }> {
  const entry = join(root, 'tools', 'bench', 'fourteen.ts');
  const { outputFiles } = await bundle({
    entryPoints: [entry],
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    logLevel: 'error',
  });
  const executablePath = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync);
  if (!executablePath) throw new Error('Chromium is missing; npm test installs it.');
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage();
    await page.addScriptTag({ content: outputFiles[0]!.text });
    return await page.evaluate(() => {
      const { fourteen } = globalThis as unknown as { fourteen: FourteenSegments };
      return { whole: fourteen.wholePlan(), changed: fourteen.afterOneChange() };
    });
  } finally {
    await browser.close();
  }
}

/** A thousand ladder problems through the command line, start included; seconds. */
function thousandProblems(): number {
  const { sections, pattern, ...rest } = ladders[3][1];
  const problem = JSON.stringify({ parts: sections, exercise: pattern, ...rest });
  const input = `${problem}\n`.repeat(1000);
  return median(
    Array.from({ length: 3 }, () => {
      const began = performance.now();
      const { status } = spawnSync('npm', ['run', '--silent', 'compute', '--', 'ladder'], {
        cwd: root,
        input,
        maxBuffer: 64_000_000,
      });
      if (status !== 0) throw new Error(`compute ended with ${status}.`);
      return (performance.now() - began) / 1000;
    }),
  );
}

/** The server under load; the numbers of one run belong together. */
async function benchServer(): Promise<void> {
  const { few, many, uploads } = await measureLoad();
  say(
    '\n| 20 connections | a second | of an empty answer | 95 of 100 within | a second with 10,000 choirs |',
  );
  say('| --- | --- | --- | --- | --- |');
  for (const [what, name] of [
    ['an empty answer', 'empty'],
    ['the session', 'session'],
    ['an evening with its sections', 'evening'],
    ['a plan saved, a choice', 'save'],
    ['a plan saved, whole', 'whole'],
  ] as const) {
    const { perSecond, p95 } = few[name];
    say(
      `| ${what} | ${perSecond.toFixed(0)} | ${(perSecond / few.empty.perSecond).toFixed(2)} | ${p95.toFixed(0)} ms | ${many[name].perSecond.toFixed(0)} |`,
    );
  }
  say(`\nThirty uploads of 20 MB at once, the most memory of the server: ${uploads.toFixed(0)} MB`);
}

/** The planner over the built-in catalogue. */
async function benchPlanner(): Promise<void> {
  const { pinned, whyNot, whyNotProven, late, early } = await measureReplanning();
  say('\n| what is asked of a plan that is there | median |\n| --- | --- |');
  for (const [what, time] of [
    ['building again around ten pins, twenty minutes', pinned],
    ['“why not this one?”, fifteen minutes: its answer', whyNot],
    ['and that nothing better is possible', whyNotProven],
    ['what loses least where it is late', late],
    ['what adds most where it is early', early],
  ] as const) {
    say(`| ${what} | ${time.toFixed(0)} ms |`);
  }
  if (isBuilt(root)) {
    const building = await measureBuilding();
    const { first, proven, worst, againFirst, againProven } = building;
    const seconds = (time: number) => `${(time / 1000).toFixed(1)} s`;
    say(
      `| fifteen minutes in Chromium on a new browser, from «Build the warm-up» to the first plan and the proven best | ${seconds(building.pressedFirst)}, ${seconds(building.pressedProven)} |`,
    );
    say(`| fifteen minutes in Chromium, from the address to the first plan | ${seconds(first)} |`);
    say(
      `| the same to the proven best; the slowest of five | ${seconds(proven)}; ${seconds(worst)} |`,
    );
    say(
      `| the third time on the same browser, to the first plan and the proven best | ${seconds(againFirst)}, ${seconds(againProven)} |`,
    );
  }
  say(
    '\n| five problems each | variants ready | greedy | its points | best | proven | median | worst | plain rows | worst |',
  );
  say('| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |');
  const ms = (time: number) => `${time.toFixed(0)} ms`;
  const twenty = await measurePlanner((row) => {
    say(
      `| ${row.minutes} minutes, ${row.parts} parts, ${row.exercises} exercises | ${ms(row.variants)} | ${ms(row.greedy)} | ${row.greedyPoints} | ${row.points} | ${row.proven} of 5 | ${ms(row.median)} | ${ms(row.worst)} | ${ms(row.plain)} | ${ms(row.plainWorst)} |`,
    );
  });
  say(
    `\nAll twenty of four parts: ${ms(twenty.median)} in the median, ${ms(twenty.worst)} at worst.`,
  );
  const { times, proven } = await measureOthers();
  say(
    `Twelve others of fifteen minutes: ${ms(median(times))} in the median, ${ms(Math.max(...times))} at worst, ${proven} proven.`,
  );
}

async function bench(): Promise<void> {
  say(
    `${cpus()[0]?.model ?? 'unknown processor'}, ${availableParallelism()} cores, Node ${process.versions.node}`,
  );
  say('\n| what | median |\n| --- | --- |');
  for (const [name, problem] of ladders) {
    say(
      `| best ladder, ${name} (Node) | ${medianTime(200, () => bestLadder(problem)).toFixed(2)} ms |`,
    );
  }
  say(`| a plan of 14 segments, whole (Node) | ${wholePlan().toFixed(1)} ms |`);
  say(
    `| the same after one change, of its dearest segment (Node) | ${afterOneChange().toFixed(1)} ms |`,
  );
  const { whole, changed } = await inTheBrowser();
  say(`| a plan of 14 segments, whole (Chromium) | ${whole.toFixed(1)} ms |`);
  say(
    `| the same after one change, of its dearest segment (Chromium) | ${changed.toFixed(1)} ms |`,
  );
  say(
    `| 1,000 ladder problems by command line, start included | ${thousandProblems().toFixed(1)} s |`,
  );
  const pitch = measurePitch();
  say(
    `| frames on the right semitone, test signals E2 to C6 | ${(100 * pitch.right).toFixed(2)} % |`,
  );
  say(`| frames an octave beside it | ${(100 * pitch.octave).toFixed(2)} % |`);
  say(`| first right answer after a note begins, at most | ${pitch.answer.toFixed(0)} ms |`);
  say(`| hearing one second of audio (Node) | ${pitch.cost.toFixed(0)} ms |`);
  if (isBuilt(root)) {
    const voices = await measureVoices();
    say(
      `| a section’s picture after the data, 2,000 singers in 40 choirs | ${voices.picture50.toFixed(0)} ms |`,
    );
    say(`| the same with 2,000 singers in one choir | ${voices.picture2000.toFixed(0)} ms |`);
    say(
      `| from a key to the second frame after it, roster of 2,000 | ${voices.typing2000.toFixed(0)} ms |`,
    );
    const listed = await measureExercises();
    say(
      `| the list after the data, ${exercises.length} built in and 1,000 own | ${listed.listed.toFixed(0)} ms |`,
    );
    say(
      `| from a key to the second frame after it, ${exercises.length + 1000} searched | ${listed.typing.toFixed(0)} ms |`,
    );
    say(`| from a filter to the second frame after it | ${listed.choosing.toFixed(0)} ms |`);
    say(
      `| counted beats from even, at most | ${listed.jitter === undefined ? 'not told apart' : `${listed.jitter.toFixed(2)} ms`} |`,
    );
    const scores = await measureScores();
    const size = (scores.bytes / 1_000_000).toFixed(1);
    say(
      `| a score of 600 bars and 30,000 notes (${size} MB) read in its worker | ${(scores.read / 1000).toFixed(2)} s |`,
    );
    say(`| every figure of its parts, in the worker | ${(scores.analysed / 1000).toFixed(2)} s |`);
    say(
      `| longest task of the page’s own thread meanwhile | ${scores.longestTask === 0 ? 'none over 50 ms' : `${scores.longestTask.toFixed(0)} ms`} |`,
    );
    say(`| the longest one afterwards, drawing what was found | ${scores.drawing.toFixed(0)} ms |`);
    say(`| memory of the running server, at rest | ${scores.memory.rest.toFixed(0)} MB |`);
    say(
      `| the same after five such scores and 2,000 lists | ${scores.memory.used.toFixed(0)} MB |`,
    );
    for (const { page, bytes } of firstLoads(webFolder(root)).slice(0, 3)) {
      say(
        `| first load of ${page}, gzip (limit ${firstLoadLimit / 1000} kB) | ${Math.round(bytes / 1000)} kB |`,
      );
    }
  }
}

/** The plan as a workbench. */
async function benchPlan(): Promise<void> {
  const { usual, large } = await measureDragging();
  say('\n| 95 of 100 within | nine segments, four parts | twenty of twelve keys, eight parts |');
  say('| --- | --- | --- |');
  const ms = (time: number) => `${time.toFixed(1)} ms`;
  say(`| opening, after its data (median) | ${ms(usual.opening)} | ${ms(large.opening)} |`);
  for (const [what, name] of [
    ['a segment dragged', 'segment'],
    ['its end pulled', 'end'],
    ['its first key pulled', 'start'],
    ['looked at from nearer by wheel', 'zoom'],
  ] as const) {
    const cost = ({ script, frame }: DragCost) => `${ms(script)} of script, ${ms(frame)} a frame`;
    say(`| ${what} | ${cost(usual[name])} | ${cost(large[name])} |`);
  }
}

/** Leading on the stand. */
/** Takes five minutes, so it is only measured when it is asked for. */
async function benchPulse(): Promise<void> {
  const { beats, asked, farthest, unevenness } = await measurePulse();
  say('\n| the beat on the stand, as it leaves for the speaker | |');
  say('| --- | --- |');
  say(`| beats in five minutes, ${asked.toFixed(1)} ms apart | ${beats} |`);
  say(`| farthest from its place | ${farthest.toFixed(2)} ms |`);
  say(`| farthest two are from being so far apart | ${unevenness.toFixed(2)} ms |`);
}

async function benchLead(): Promise<void> {
  const { touch, follower, back } = await measureLeading();
  const ms = (time: number) => `${time.toFixed(0)} ms`;
  say('\n| leading | |');
  say('| --- | --- |');
  say(`| from a touch to the screen, 95 of 100 | ${ms(touch)} |`);
  say(`| from a touch to another screen, 95 of 100 | ${ms(follower)} |`);
  say(`| back where it was, from the device alone (median) | ${ms(back)} |`);
}

/** Ten years of a logbook, from the server and on the device. */
async function benchLogbook(): Promise<void> {
  const { evenings, segments, kilobytes, fetched, queried, weeks, years } = await measureLogbook();
  say(`${evenings} warm-ups, ${segments} exercises led, ${kilobytes} kB of JSON`);
  say(`from the server with 10,000 choirs in it, median: ${fetched.toFixed(0)} ms`);
  say(`of that the database: ${queried.toFixed(0)} ms`);
  say(`from the data to what is shown, by weeks: ${weeks.toFixed(1)} ms`);
  say(`from the data to what is shown, by years: ${years.toFixed(1)} ms`);
}

/** A server that is killed again and again while somebody leads. */
async function benchKills(): Promise<void> {
  const { kills, touches, lost, twice, isSame } = await measureKills();
  say(`${touches} touches while the server was killed ${kills} times`);
  say(
    `lost: ${lost}; twice: ${twice}; the record ${isSame ? 'is the same' : 'DIFFERS'} on both sides`,
  );
}

const benches = new Map([
  ['kills', benchKills],
  ['lead', benchLead],
  ['pulse', benchPulse],
  ['logbook', benchLogbook],
  ['plan', benchPlan],
  ['server', benchServer],
  ['planner', benchPlanner],
]);
(benches.get(process.argv[2] ?? '') ?? bench)().catch(endWith);
