import { pathsOf } from './signPaths';
import type { Sign } from './signs';

/** Where a path goes: every point it is drawn through, its relative steps added up. */
function pointsOf(d: string): [number, number][] {
  let [x, y] = [0, 0];
  return [...d.matchAll(/([MLhva])([^MLhvaZ]*)/g)].map(([, act, figures]) => {
    const all = figures!.trim().split(/[ ,]+/).map(Number);
    if (act === 'M' || act === 'L') [x, y] = [all[0]!, all[1]!];
    else if (act === 'h') x += all[0]!;
    else if (act === 'v') y += all[0]!;
    else [x, y] = [x + all[5]!, y + all[6]!];
    return [x, y];
  });
}
const boundsOf = (d: string) => {
  const points = pointsOf(d);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
};
const one = (sign: Sign, scale = 1) => pathsOf([sign], scale);

describe('the paths of signs', () => {
  it('go where each sign lies', () => {
    const bounds = (sign: Sign, scale?: number) => boundsOf(one(sign, scale)[0]!.d);
    expect(bounds({ kind: 'stem', x: 10, top: 4, bottom: 20 })).toEqual([8.5, 4, 11.5, 20]);
    expect(bounds({ kind: 'stem', x: 10, top: 4, bottom: 20 }, 0.5)).toEqual([9.25, 4, 10.75, 20]);
    // One note still has a height.
    expect(bounds({ kind: 'stem', x: 10, top: 4, bottom: 4 })).toEqual([8.5, 4, 11.5, 6]);
    expect(bounds({ kind: 'held', from: 3, to: 20, y: 8 })).toEqual([3, 6.5, 20, 9.5]);
    expect(bounds({ kind: 'wedge', x: 10, base: 9, tip: 2 })).toEqual([6.5, 2, 13.5, 9]);
    expect(bounds({ kind: 'bars', x: 10, y: 9 })).toEqual([6, 7, 14, 11]);
    expect(bounds({ kind: 'notch', x: 10, y: 9 })).toEqual([5.5, 7.5, 8.5, 10.5]);
    const slant = [
      { x: 1, y: 9 },
      { x: 5, y: 2 },
    ];
    expect(pointsOf(one({ kind: 'slant', points: slant })[0]!.d)).toEqual([
      [1, 9],
      [5, 2],
    ]);
    // Round, its own height above and below: half a circle there, half a circle back.
    expect(one({ kind: 'ring', x: 10, y: 9 })[0]!.d).toBe(
      'M7.1 9a2.9 2.9 0 1 0 5.8 0a2.9 2.9 0 1 0 -5.8 0Z',
    );
  });

  it('tick a split stem at the side it came from', () => {
    const ticked = (cameFrom: 'above' | 'below') => {
      const [stems, tick] = one({ kind: 'split', x: 10, top: 4, bottom: 20, cameFrom });
      expect(boundsOf(stems!.d)).toEqual([8.6, 4, 11.4, 20]);
      return boundsOf(tick!.d);
    };
    expect(ticked('above')).toEqual([6.5, 4, 13.5, 4]);
    expect(ticked('below')).toEqual([6.5, 20, 13.5, 20]);
  });

  it('are one for all of a kind, whatever their number, the hindmost first', () => {
    const signs = Array.from({ length: 500 }, (_, i): Sign[] => [
      { kind: 'notch', x: i, y: 5 },
      { kind: 'wedge', x: i, base: 9, tip: 2 },
      { kind: 'stem', x: i, top: 4, bottom: 20 },
    ]).flat();
    const paths = pathsOf(signs, 1);
    expect(paths.map(({ name }) => name)).toEqual(['stem', 'wedge', 'notch']);
    expect(paths.map(({ d }) => d.match(/M/g)!.length)).toEqual([500, 500, 500]);
    expect(paths.map(({ fill, stroke }) => [fill, stroke])).toEqual([
      ['hue', undefined],
      ['sheet', 'hue'],
      ['hue', undefined],
    ]);
    expect(pathsOf([], 1)).toEqual([]);
  });

  it('mark what is out of reach in its own colour', () => {
    expect(one({ kind: 'bars', x: 10, y: 9 })[0]).toMatchObject({ stroke: 'brick' });
  });
});
