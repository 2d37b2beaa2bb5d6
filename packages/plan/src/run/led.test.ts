import { exercises } from '@wide-fern/catalogue';
import type { Choices } from '@wide-fern/contract';
import { ledSeconds, restOf, runState } from '@wide-fern/core';
import { choose } from '../edit/edits';
import { performAll } from '../edit/perform';
import { evaluate } from '../evaluate';
import { documentOf } from '../testing/plans';
import { ledSegments } from './led';

const with_ = (id: string, choices: Partial<Choices>) =>
  performAll(documentOf(id), [choose(id, choices)]);

describe('a plan as it is led', () => {
  it('takes as long as it was planned, whatever the exercise', () => {
    for (const { id } of exercises) {
      const document = documentOf(id);
      const [led] = ledSegments(document);
      expect([id, ledSeconds(led!)]).toEqual([
        id,
        expect.closeTo(evaluate(document, 900).total, 6) as number,
      ]);
      for (const { seconds, span, wait } of led!.keys) {
        expect(Math.min(seconds, wait)).toBeGreaterThanOrEqual(0);
        expect(span).toBeGreaterThanOrEqual(seconds - 1e-9);
      }
    }
  });
  it.each<Partial<Choices>>([
    { coach: 12, after: 5 },
    { reset: { seconds: 10, every: 2 }, verses: 1 },
    { reset: { seconds: 10, every: 3 }, verses: 2 },
    { inKeys: { '1': { pause: { seconds: 20 } } }, tempoStep: 4 },
    { demonstrate: 'each key', countInEach: true },
  ])('tells singing from what is said or rested between keys: %j', (choices) => {
    const document = with_('pulley', { repetitions: 4, ...choices });
    const [led] = ledSegments(document);
    expect(ledSeconds(led!)).toBeCloseTo(evaluate(document, 900).total, 6);
    const waits = led!.keys.map(({ wait }) => wait);
    const { coach = 0, reset, verses = 1, inKeys } = choices;
    expect(waits).toEqual(
      [0, 1, 2, 3].map((key) =>
        key === 3
          ? 0
          : coach +
            (inKeys?.[String(key)]?.pause?.seconds ?? 0) +
            (reset && ((key + 1) * verses) % reset.every === 0 ? reset.seconds : 0),
      ),
    );
  });
  it('has its keys as they are sung, and none where nothing has one', () => {
    const document = documentOf('coat-off', 'long-s', 'pulley');
    const [moved, breath, sung] = ledSegments(document);
    const { keys } = evaluate(document, 900).segments[2]!.computed;
    expect(sung!.keys.map(({ tonic }) => tonic)).toEqual(
      keys.kind === 'ladder' && keys.sung!.tonics,
    );
    expect(breath!.keys).toHaveLength(1);
    expect(moved!.keys.every(({ tonic }) => tonic === null)).toBe(true);
    expect(restOf(runState([moved!, breath!, sung!], []))).toBeCloseTo(
      evaluate(document, 900).total,
      6,
    );
  });
});
