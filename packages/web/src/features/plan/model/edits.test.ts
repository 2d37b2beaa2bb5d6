import { exercises } from '@wide-fern/catalogue';
import { mostSegments } from '@wide-fern/contract';
import { documentOf, idsOf } from '../../../testing/plans';
import { addSegment, choose, leaveOut, moveSegment } from './edits';

const exercise = (id: string) => exercises.find((one) => one.id === id)!;

describe('edits', () => {
  const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'ebb-tide');

  it('add an exercise where its phase belongs, as usual and with the best start', () => {
    const added = addSegment(exercise('embers'), 'new')(document);
    expect(idsOf(added)).toEqual(['coat-off', 'narrow-hum', 'new', 'pulley', 'ebb-tide']);
    expect(added.segments[2]?.choices).toEqual({ ...exercise('embers').usual, start: null });
    expect(idsOf(addSegment(exercise('coat-off'), 'x')(documentOf()))).toEqual(['x']);
  });

  it('leave a full plan as it is', () => {
    const full = {
      ...document,
      segments: Array.from({ length: mostSegments }, (_, i) => ({
        ...document.segments[0]!,
        id: String(i),
      })),
    };
    expect(addSegment(exercise('embers'), 'new')(full)).toBe(full);
  });

  it('move a segment, no further than the ends', () => {
    expect(idsOf(moveSegment('pulley', 0)(document))[0]).toBe('pulley');
    expect(idsOf(moveSegment('coat-off', 2)(document))).toEqual([
      'narrow-hum',
      'pulley',
      'coat-off',
      'ebb-tide',
    ]);
    expect(idsOf(moveSegment('coat-off', 99)(document)).at(-1)).toBe('coat-off');
    expect(moveSegment('coat-off', -3)(document)).toBe(document);
    expect(moveSegment('unknown', 1)(document)).toBe(document);
  });

  it('leave a segment out', () => {
    expect(idsOf(leaveOut('pulley')(document))).not.toContain('pulley');
  });

  it('change what is chosen, within its limits, and nothing else', () => {
    const changed = choose('pulley', { tempo: 999, repetitions: 0 })(document);
    expect(changed.segments[2]?.choices).toMatchObject({ tempo: 240, repetitions: 1 });
    expect(changed.segments[1]).toBe(document.segments[1]);
    expect(choose('pulley', { tempo: exercise('pulley').usual.tempo })(document)).toBe(document);
  });
});
