import { approachSchema } from '@wide-fern/contract';
import { documentOf } from '../testing/plans';
import { asWeDoIt } from './ours';

describe('as we do it', () => {
  const usual = documentOf('coat-off', 'long-s', 'narrow-hum', 'pulley');
  it('is nothing as long as too few were planned', () => {
    expect(asWeDoIt([usual, usual])).toBeUndefined();
    expect(asWeDoIt([usual, usual, documentOf()])).toBeUndefined();
  });
  it('is the order and the shares that most plans have', () => {
    const other = documentOf('coat-off', 'narrow-hum', 'pulley', 'wet-slate');
    const approach = asWeDoIt([usual, usual, usual, other])!;
    expect(approachSchema.safeParse(approach).error).toBeUndefined();
    const phases = approach.phases.map(({ phase, required }) => [phase, required]);
    const [body, breath, hum, range] = usual.segments.map(({ exercise }) => exercise.phase);
    expect(phases).toEqual([
      [body, true],
      [breath, false],
      [hum, true],
      [range, true],
    ]);
    for (const { least, most } of approach.phases) expect(least).toBeLessThan(most);
    // The same exercises again and again: the known is kept.
    expect(approach.habit).toBe('keep');
  });
  it('looks only at the last ten', () => {
    const old = Array.from({ length: 20 }, () => documentOf('wet-slate'));
    const approach = asWeDoIt([...Array.from({ length: 10 }, () => usual), ...old])!;
    const phases = approach.phases.map(({ phase }) => phase);
    expect(phases).not.toContain(documentOf('wet-slate').segments[0]!.exercise.phase);
  });
});
