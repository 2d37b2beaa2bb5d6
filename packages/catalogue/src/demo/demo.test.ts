import {
  agreements,
  performanceOrder,
  guessParts,
  mixedChoir,
  needsTonight,
  openTarget,
  partsOfScore,
  readingOfScore,
  sectionComfort,
  sharedTarget,
} from '@wide-fern/core';
import { exercises } from '..';
import {
  demoChoir,
  demoEvenings,
  demoJudgements,
  demoJudgings,
  demoMarks,
  demoPieces,
  demoScores,
  demoSingers,
} from './index';

describe('the demo choir', () => {
  it('has 12 sopranos, 10 altos, 6 tenors and 8 basses, who together have the usual ranges', () => {
    for (const part of mixedChoir) {
      const section = demoSingers.filter((singer) => singer.part === part.id);
      expect(sectionComfort(section)).toEqual({
        comfort: part.comfort,
        reach: part.reach,
        suits: true,
      });
    }
    const count = (id: string) => demoSingers.filter(({ part }) => part === id).length;
    expect(['S', 'A', 'T', 'B'].map(count)).toEqual([12, 10, 6, 8]);
    expect(new Set(demoSingers.map(({ name }) => name)).size).toBe(36);
  });
  it('keeps every singer’s comfort inside the reach', () => {
    for (const { name, comfort, reach } of demoSingers) {
      expect([name, reach[0] <= comfort[0] && comfort[1] <= reach[1]]).toEqual([name, true]);
    }
  });
  it('plans evenings of exercises that exist, in two hours at most', () => {
    const ids = new Set(exercises.map(({ id }) => id));
    for (const { plan, agenda } of demoEvenings) {
      for (const segment of plan ?? []) expect(ids).toContain(segment.exercise);
      expect(agenda.reduce((sum, { minutes }) => sum + minutes, 0)).toBeLessThanOrEqual(120);
    }
    const back = demoEvenings.filter(({ week }) => week < 0);
    expect(back).toHaveLength(6);
    expect(demoEvenings.filter(({ week }) => week === 0)).toHaveLength(1);
    expect(demoChoir.weekday).toBe(2);
  });
});

describe('the pieces of the demo', () => {
  const sung = (key: keyof typeof demoScores) => {
    const { score } = demoScores[key];
    const mapping = guessParts(score).map(({ line, ...one }) => ({ ...one, line: line.id }));
    return partsOfScore(score, mapping, ['S', 'A', 'T', 'B']);
  };
  const keys = Object.keys(demoScores) as (keyof typeof demoScores)[];

  it('have four parts of 28 to 48 bars, and last minutes', () => {
    for (const key of keys) {
      const { score } = demoScores[key];
      expect([key, score.bars.length >= 24 && score.bars.length <= 48]).toEqual([key, true]);
      expect(sung(key).map(({ part }) => part)).toEqual(['S', 'A', 'T', 'B']);
      expect(score.title).toBe(demoPieces[key]);
      const { seconds } = performanceOrder(score);
      expect([key, seconds > 40 && seconds < 240]).toEqual([key, true]);
      // Bars are as full as their metre says, in every voice.
      for (const { notes } of score.staves) {
        for (const { bar, at, quarters } of notes) {
          expect(at + quarters).toBeLessThanOrEqual(score.bars[bar]!.quarters + 1e-9);
        }
      }
    }
  });
  it('ask for a high F of the sopranos and a G of the tenors', () => {
    const pieces = keys.map((key) => {
      const { byBar, ranges } = readingOfScore(
        demoScores[key].score,
        guessParts(demoScores[key].score).map(({ line, ...one }) => ({ ...one, line: line.id })),
        ['S', 'A', 'T', 'B'],
      );
      return { title: demoPieces[key], byBar, ranges };
    });
    expect(needsTonight(['S', 'T'], pieces)).toMatchObject([
      { highest: 77, highestIn: 'Lanterns over Slate', highestBar: 36 },
      { highest: 67, highestIn: 'Lanterns over Slate' },
    ]);
  });
  it('lead their voices without parallel fifths and octaves, without crossing', () => {
    // The round has what a round has.
    for (const key of ['lanterns', 'coldIron'] as const) {
      const { score } = demoScores[key];
      const voices = sung(key).map(({ lines }) => lines[0]!);
      const starts: number[] = [];
      score.bars.reduce((sum, { quarters }, i) => {
        starts[i] = sum;
        return sum + quarters;
      }, 0);
      const at = (voice: (typeof voices)[number], moment: number) =>
        voice.find(
          (note) =>
            starts[note.bar]! + note.at <= moment + 1e-9 &&
            starts[note.bar]! + note.at + note.quarters > moment + 1e-9,
        )?.midi;
      // On every beat that the melody changes on.
      const moments = voices[0]!.map((note) => starts[note.bar]! + note.at);
      let before: (number | undefined)[] = [];
      const faults: string[] = [];
      moments.forEach((moment, n) => {
        // After a rest the ear begins anew.
        const last = voices[0]![n - 1];
        const isNew = !last || starts[last.bar]! + last.at + last.quarters < moment - 1e-9;
        if (isNew) before = [];
        const chord = voices.map((voice) => at(voice, moment));
        chord.forEach((upper, i) =>
          chord.forEach((lower, j) => {
            const [upperBefore, lowerBefore] = [before[i], before[j]];
            if (j <= i || upper === undefined || lower === undefined) return;
            if (upper < lower) faults.push(`${key}: crossing at ${moment}`);
            if (upperBefore === undefined || lowerBefore === undefined) return;
            const apart = (upper - lower) % 12;
            const same = apart === (upperBefore - lowerBefore) % 12;
            if (same && upper !== upperBefore && [0, 7].includes(apart)) {
              faults.push(`${key}: parallels of ${apart} at ${moment}`);
            }
          }),
        );
        before = chord;
      });
      expect(faults).toEqual([]);
    }
  });
  it('give the demo its hard bars and its story', () => {
    const skills = new Set(
      Object.values(demoMarks).flatMap((marks) => marks.map(({ skill }) => skill)),
    );
    expect(skills.size).toBeGreaterThan(4);
    for (const key of keys) {
      const most = Math.max(...demoScores[key].score.bars.map(({ number }) => number));
      for (const { fromBar, toBar } of demoMarks[key]) {
        expect([key, fromBar <= toBar && toBar <= most]).toEqual([key, true]);
      }
    }
    const judged = demoJudgements.lanterns.map(({ weeksAgo, scores, target }) => ({
      judgedOn: String(100 - weeksAgo),
      scores: scores.map(([skill, score]) => ({ skill, score })),
      target: target ?? null,
    }));
    expect(openTarget(judged)).toMatchObject({ skill: 'long outflow', score: 2 });
    // A week without an evening has no judgement either.
    for (const one of Object.values(demoJudgements).flat()) expect(one.weeksAgo).not.toBe(4);
    for (const one of Object.values(demoJudgings).flat()) expect(one.weeksAgo).not.toBe(4);
  });
  it('agrees on what its judges’ cards say in the middle, and on the target that most of them name', () => {
    const trial = demoJudgings.lanterns;
    expect(trial.map(({ group }) => group)).toEqual(['two of each part', 'two of each part']);
    for (const { skills, cards, agreed } of trial) {
      const judged = cards.flatMap((card, i) =>
        card
          ? {
              judge: String(i),
              scores: card.scores.map((score, n) => ({ skill: skills[n]!, score })),
              target: card.target ?? null,
            }
          : [],
      );
      expect(agreements(judged, skills).map(({ middle }) => middle)).toEqual(agreed!.scores);
      if (agreed!.target) expect(sharedTarget(judged)?.skill).toBe(agreed!.target);
    }
    // One run waits for the director's card.
    expect(demoJudgings.heron).toMatchObject([{ cards: [undefined, {}, {}] }]);
  });
});
