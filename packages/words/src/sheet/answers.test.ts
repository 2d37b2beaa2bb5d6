import type { Answer, SaidAtHome } from '@wide-fern/contract';
import { rangeAnswers, saidOf } from './answers';

let n = 0;
const answer = (said: SaidAtHome): Answer => ({
  ...{ id: `a${(n += 1)}`, part: 'A', said, sentAt: '2026-12-01T20:00:00.000Z' },
});
const of = (words: Extract<SaidAtHome, { kind: 'exercise' }>['words'], exercise = 'pulley') =>
  answer({ kind: 'exercise', exercise, words });
const easy = answer({ kind: 'range', name: 'Ash', low: 55, high: 70 });

describe('what singers said', () => {
  it('of an exercise is counted, the most first, and who was hurt is not lost among them', () => {
    const said = [of('too high'), of('it helped'), of('it helped'), of('it hurt'), easy];
    expect(saidOf('pulley', [...said, of('too low', 'long-s')])).toEqual({
      words: 'It helped (two), too high (one) and it hurt (one).',
      hurt: true,
      ids: said.slice(0, 4).map(({ id }) => id),
    });
    expect(saidOf('pulley', [of('too high')])!.hurt).toBe(false);
    expect(saidOf('coat-off', said)).toBeUndefined();
  });

  it('of their voices stands apart', () => {
    expect(rangeAnswers([of('too high'), easy])).toEqual([easy]);
  });
});
