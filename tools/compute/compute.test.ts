import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { seeded, singNote, writeWav } from '@wide-fern/sound';
import { build } from 'esbuild';

const main = join(dirname(fileURLToPath(import.meta.url)), 'main.ts');
const root = join(dirname(main), '..', '..');

/** The program in one file: it is started often here, and that takes long from its many. */
let program: string;
let folder: string;
beforeAll(async () => {
  const cache = join(root, 'node_modules', '.cache');
  mkdirSync(cache, { recursive: true });
  folder = mkdtempSync(join(cache, 'compute-'));
  program = join(folder, 'main.mjs');
  await build({
    ...{ entryPoints: [main], outfile: program, bundle: true, external: ['highs'] },
    ...{ platform: 'node', format: 'esm', target: 'node20', logLevel: 'warning' },
  });
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Runs the command line as a person would: problems in, answers out. */
function compute(word: string, lines: readonly string[], file?: string, started = [program]) {
  const asked = [...started, word, ...(file === undefined ? [] : [file])];
  const { status, stdout, stderr } = spawnSync(process.execPath, asked, {
    input: lines.map((line) => `${line}\n`).join(''),
    encoding: 'utf8',
    maxBuffer: 64 * 1024 * 1024,
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
  it('answers as it is started by its name', () => {
    const lines = [JSON.stringify(ladder)];
    const asNamed = compute('ladder', lines, undefined, ['--import', 'tsx', main]);
    expect(asNamed.status).toBe(0);
    expect(asNamed.answers).toEqual(compute('ladder', lines).answers);
  });

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
  it('takes windows, a goal below, a start, scale steps and what is told by hand', () => {
    const down = { ...ladder, exercise: { lowest: 0, highest: 7 }, shape: 'two-runs', keys: 4 };
    const windowed = parts.map((part) => ({
      ...part,
      window: [part.comfort[0], part.comfort[0]! + 8],
    }));
    const { status, answers } = compute('ladder', [
      JSON.stringify({ ...down, parts: windowed, goalBottomTonic: 55 }),
      JSON.stringify({ ...down, start: 64, scale: [0, 2, 4, 5, 7, 9, 11] }),
      JSON.stringify({ ...down, start: 64, fixed: { S: { 0: 12, 1: 'rest' }, B: { 2: -36 } } }),
      JSON.stringify({ ...down, fixed: { X: { 0: 0 } } }),
      JSON.stringify({ ...down, fixed: { S: { 9: 0 } } }),
      JSON.stringify({ ...down, start: 120 }),
    ]);
    expect(status).toBe(2);
    expect(answers[0]?.tonics).toEqual([
      answers[0]?.start,
      Number(answers[0]?.start) + 1,
      answers[0]?.start,
      Number(answers[0]?.start) - 1,
    ]);
    expect(answers[1]).toMatchObject({ start: 64, tonics: [64, 66, 64, 63] });
    expect(answers[2]?.parts).toMatchObject({ S: [12, 'rest', 0, 0] });
    expect((answers[2]?.parts as Record<string, unknown[]>).B?.[2]).toBe(-36);
    expect(answers[3]?.error).toContain('no part X');
    expect(answers[4]?.error).toContain('no key 9');
    expect(answers[5]).toMatchObject({ infeasible: { end: 'top' } });
  });
  it('counts breath that shrinks to its least, coaching, resets and a tempo that steps', () => {
    const breath = { rounds: 3, in: 4, hold: 0, out: 4, rest: 2, tempo: 60 };
    const increment = { in: -2, hold: 0, out: 1, rest: 0 };
    const sung = { tempo: 60, patternBeats: 6, keys: 2, verses: 2, tempoStep: 60 };
    const { answers } = compute('time', [
      JSON.stringify({ ...breath, increment, least: { in: 1 } }),
      JSON.stringify({ ...breath, increment, least: 3 }),
      JSON.stringify(sung),
      JSON.stringify({
        ...sung,
        coach: 5,
        reset: { seconds: 2, every: 1 },
        demonstrate: 'each key',
      }),
    ]);
    // In 4 2 1, out 4 5 6, at rest 2 each; with three at least: in 4 3 3, held and at rest 3.
    expect(answers[0]?.seconds).toBe(28);
    expect(answers[1]?.seconds).toBe(10 + 15 + 18);
    // 6 beats at 60, 120, 180 and 240 a minute.
    expect(answers[2]?.seconds).toBe(6 + 3 + 2 + 1.5);
    expect(answers[3]?.seconds).toBe(12.5 + 5 + 3 * 2 + 6 + 2);
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
    expect(stderr).toContain(
      'ladder, chord, comfort, notes, suggest-part, time, plan, score, load, sure, piece, pitch',
    );
  });

  it('voices a chord on given roots, or names the root that cannot be', () => {
    const problem = { parts, tones: [0, 4, 7], roots: [60, 61], fraction: 0.8 };
    const [S, A, T, B] = parts;
    const { answers } = compute('chord', [
      JSON.stringify(problem),
      JSON.stringify({
        ...problem,
        parts: [{ ...S, reach: [79, 79], comfort: [79, 79] }, A, T, B],
      }),
      JSON.stringify({ ...problem, tones: [4, 7] }),
    ]);
    // Of all that cost nothing the lowest: each in its window, and the fifth where it lies lowest in all.
    expect(answers[0]).toEqual({
      voicings: [
        { S: 67, A: 60, T: 52, B: 48 },
        { S: 68, A: 61, T: 53, B: 49 },
      ],
      cost: 0,
    });
    expect(answers[1]).toEqual({
      infeasible: { root: 61, message: 'On D♭ the part S reaches no note of the chord.' },
    });
    expect(answers[2]?.error).toMatch(/begin with the root/);
  });

  it('keeps the notes of a chord apart where that is asked', () => {
    const high = { comfort: [60, 67], reach: [60, 67] };
    const chord = {
      parts: ['S', 'A', 'T'].map((id) => ({ id, ...high })),
      tones: [0, 7],
      roots: [60],
      fraction: 1,
    };
    const { answers } = compute('chord', [
      JSON.stringify(chord),
      JSON.stringify({ ...chord, distinct: true }),
    ]);
    expect(answers[0]).toMatchObject({ cost: 0 });
    expect(answers[1]).toMatchObject({ infeasible: { root: 60 } });
  });
  it('names and times notes in a key', () => {
    const problem = { tempo: 60, mode: 'minor', tonic: 63, octave: -12, sharps: true };
    const { answers } = compute('notes', [
      JSON.stringify({ ...problem, notes: [{ offset: 3, beats: 2, syllable: 'mee' }] }),
      JSON.stringify({ ...problem, mode: 'locrian', notes: [{ offset: 0, beats: 1 }] }),
    ]);
    expect(answers[0]).toEqual({
      notes: [{ midi: 54, name: 'F♯3', start: 0, seconds: 2, syllable: 'mee' }],
    });
    expect(answers[1]?.error).toMatch(/^mode/);
  });

  it('suggests a part from a comfort', () => {
    const problem = {
      comfort: [59, 76],
      reach: [57, 78],
      parts: [
        { id: 'S', comfort: [62, 79], end: 'top' },
        { id: 'A', comfort: [57, 74], end: 'bottom' },
        { id: 'B', comfort: [43, 62], end: 'bottom' },
      ],
    };
    const { answers } = compute('suggest-part', [
      JSON.stringify(problem),
      JSON.stringify({ ...problem, reach: [60, 78] }),
    ]);
    expect(answers[0]).toEqual({
      suggested: 'A',
      possible: [
        { part: 'A', score: 12 },
        { part: 'S', score: 9 },
      ],
    });
    expect(answers[1]?.error).toMatch(/inside the reach/);
  });

  it('says what a score asks of each part, as guessed without help', () => {
    const folder = mkdtempSync(join(tmpdir(), 'piece-'));
    const note = (step: string, octave: number, duration: number) =>
      `<note><pitch><step>${step}</step><octave>${octave}</octave></pitch><duration>${duration}</duration></note>`;
    const bar = (number: number, inside: string, more = '') =>
      `<measure number="${number}" ${more}>${inside}</measure>`;
    const head =
      '<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>';
    const score = [
      '<score-partwise><part-list><score-part id="P1"><part-name>Sopran</part-name></score-part></part-list>',
      '<part id="P1">',
      bar(0, `${head}<sound tempo="60"/>${note('G', 4, 1)}`, 'implicit="yes"'),
      bar(1, `${note('C', 5, 2)}${note('E', 5, 2)}`),
      bar(2, `${note('D', 5, 4)}<barline><repeat direction="backward"/></barline>`),
      '</part></score-partwise>',
    ].join('');
    try {
      const file = join(folder, 'score.musicxml');
      writeFileSync(file, score);
      // A pick-up of a second and two bars of four, sung twice without a rest.
      expect(compute('piece', [], file)).toMatchObject({
        status: 0,
        answers: [
          {
            parts: {
              S: {
                lowest: 67,
                highest: 76,
                lowestBar: 0,
                highestBar: 1,
                histogram: { 67: 2, 72: 4, 74: 8, 76: 4 },
                longestPhraseSeconds: 18,
                // G and the three notes after it last 1 + 2 + 2 + 4 seconds, and so do all others.
                fastestRunNotesPerSecond: 0.444444,
                widestLeap: 7,
              },
            },
            bars: 2,
            seconds: 18,
            warnings: [],
          },
        ],
      });
      writeFileSync(file, score.slice(0, 200));
      expect(compute('piece', [], file)).toMatchObject({ status: 2 });
      expect(compute('piece', [], file).answers[0]?.error).toMatch(/breaks off/);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
  it('hears what is sung in a file', () => {
    const folder = mkdtempSync(join(tmpdir(), 'pitch-'));
    try {
      const file = join(folder, 'a4.wav');
      const tone = { note: 69, seconds: 0.5, sampleRate: 22_050, vowel: 'ah' as const };
      writeFileSync(file, writeWav(singNote({ ...tone, random: seeded(1) })));
      const { status, answers } = compute('pitch', [], file);
      const frames = answers[0]?.frames as { midi: number; hertz: number; seconds: number }[];
      expect(status).toBe(0);
      expect(frames.length).toBeGreaterThan(40);
      expect(frames.every(({ midi }) => midi === 69)).toBe(true);
      expect(frames[20]?.hertz).toBeCloseTo(440, 0);
      writeFileSync(file, 'no sound');
      expect(compute('pitch', [], file)).toMatchObject({
        status: 2,
        answers: [{ error: 'This is no WAV file.' }],
      });
      expect(compute('pitch', [], join(folder, 'none.wav')).answers[0]?.error).toMatch(/no file/);
    } finally {
      rmSync(folder, { recursive: true });
    }
  });

  it('builds a plan, and scores one', () => {
    const candidate = (id: string, phase: string, seconds: number, points: number) => ({
      ...{ id, exercise: id, phase, seconds, points, serves: { legato: seconds } },
      ...{ high: null, low: null, top: null, strong: false },
    });
    const phase = (id: string, required: boolean) => ({
      ...{ id, required, least: 0, most: 300, strong: 1 },
    });
    const problem = {
      ...{ seconds: 180, slack: 60, reached: null, strongAfter: [], alternatives: 0 },
      phases: [phase('release', true), phase('range', false)],
      wishes: { legato: 2 },
      needs: {},
      candidates: [
        candidate('a', 'release', 60, -3),
        candidate('b', 'range', 90, -4),
        candidate('c', 'range', 60, -5),
        candidate('d', 'release', 50, -4),
      ],
      ...{ pinned: [], excluded: [] },
    };
    const impossible = { ...problem, pinned: ['b', 'c'], seconds: 140 };
    const { status, answers } = compute('plan', [
      JSON.stringify(problem),
      JSON.stringify(impossible),
      JSON.stringify({ ...problem, candidates: [{ ...problem.candidates[0], phase: 'none' }] }),
    ]);
    expect(status).toBe(2);
    // 150 s on a wish of 2: 4 + 4 + 2 + 2; less 3 and 4.
    expect(answers[0]).toEqual({
      plans: [
        {
          selection: ['a', 'b'],
          points: 5,
          parts: { skills: 12, needs: 0, own: -7 },
          bound: 5,
        },
      ],
    });
    expect(answers[1]).toEqual({ conflict: ['pin:b', 'pin:c'] });
    expect(answers[2]?.error).toContain('one of the phases');
    const scored = compute('score', [
      JSON.stringify({ problem, selection: ['a', 'd', 'c', 'b'] }),
      JSON.stringify({ problem, selection: ['nothing'] }),
    ]);
    expect(scored.answers[0]).toMatchObject({ points: -4, violations: ['over'] });
    expect(scored.answers[1]?.error).toBe('nothing is no candidate.');
  });
  it('tells load and how sure something is', () => {
    const a4 = { from: 69, to: 69, seconds: 2, dynamic: 'mf' };
    const { status, answers } = compute('load', [JSON.stringify({ lower: false, notes: [a4] })]);
    expect(status).toBe(0);
    expect(answers[0]).toMatchObject({ seconds: 2, cycles: 0.88 });
    const sure = compute('sure', [
      JSON.stringify({ segments: [{ mean: 60, sd: 0 }], seconds: 60 }),
      JSON.stringify({
        singers: [{ comfort: [60, 72], sigma: 0, present: 0.5 }],
        span: [60, 72],
        wanted: 0.85,
      }),
    ]);
    expect(sure.answers).toEqual([
      { chance: 1, p10: 60, p90: 60 },
      { expected: 1, tooFew: 0.5 },
    ]);
  });
});
