import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const main = join(dirname(fileURLToPath(import.meta.url)), 'main.ts');

/** Runs the command line as a person would: problems in, answers out. */
function compute(word: string, lines: readonly string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', main, word], {
    input: lines.map((line) => `${line}\n`).join(''),
    encoding: 'utf8',
  });
  const answers = stdout
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  return { status, answers, stderr };
}

const parts = [
  { id: 'S', comfort: [62, 79], reach: [59, 81], octave: 0 },
  { id: 'A', comfort: [57, 74], reach: [53, 76], octave: 0 },
  { id: 'T', comfort: [50, 67], reach: [47, 69], octave: -12 },
  { id: 'B', comfort: [43, 62], reach: [40, 64], octave: -12 },
];
const ladder = {
  parts,
  exercise: { lowest: 0, highest: 12 },
  shape: 'up',
  keys: 8,
  step: 1,
  fraction: 1,
};

describe('npm run compute', () => {
  it('answers every line in its order, and the wrong ones with an error', () => {
    const stuck = { ...ladder, exercise: { lowest: 0, highest: 40 } };
    const { status, answers } = compute('ladder', [
      JSON.stringify(ladder),
      'no JSON',
      JSON.stringify({ ...ladder, keys: 0 }),
      '',
      JSON.stringify(stuck),
    ]);
    expect(status).toBe(2);
    expect(answers).toHaveLength(5);
    // The third row of the worked table.
    expect(answers[0]).toMatchObject({ start: 60, cost: 79 });
    expect(answers[0]?.parts).toMatchObject({
      A: [0, 0, 0, 0, 'rest', 'rest', 'rest', 'rest'],
      B: [-12, -12, -12, -12, 'rest', 'rest', -24, -24],
    });
    expect(answers[1]?.error).toContain('no JSON');
    expect(answers[2]?.error).toMatch(/^keys:/);
    expect(answers[3]?.error).toContain('no JSON');
    expect(answers[4]).toMatchObject({ infeasible: { part: 'S', end: 'top' } });
  });
  it('computes comfort by part, and time', () => {
    const singer = { part: 'S', comfort: [60, 72], reach: [58, 74] };
    const apart = { part: 'A', comfort: [50, 52], reach: [50, 52] };
    const other = { part: 'A', comfort: [60, 62], reach: [60, 62] };
    const comfort = compute('comfort', [
      JSON.stringify({ singers: [singer, apart, other], q: 0.85 }),
    ]);
    expect(comfort.status).toBe(0);
    expect(comfort.answers[0]).toEqual({
      parts: {
        S: { comfort: [60, 72], reach: [58, 74], suits: true },
        A: { comfort: [50, 52], reach: [50, 52], suits: false },
      },
    });
    const pattern = {
      talk: 30,
      demonstrate: true,
      countIn: 4,
      keys: 7,
      verses: 1,
      patternBeats: 10,
      breathBeats: 2,
      keyChangeBeats: 2,
      tempo: 60,
    };
    const still = { in: 0, hold: 0, out: 0, rest: 0 };
    const breath = { rounds: 2, in: 4, hold: 1, out: 8, rest: 2, increment: still, tempo: 60 };
    const time = compute(
      'time',
      [pattern, breath].map((one) => JSON.stringify(one)),
    );
    expect(time).toMatchObject({ status: 0, answers: [{ seconds: 138 }, { seconds: 30 }] });
  });
  it('says what can be asked', () => {
    const { status, stderr } = compute('everything', []);
    expect(status).toBe(2);
    expect(stderr).toContain('ladder, comfort, time');
  });
});
