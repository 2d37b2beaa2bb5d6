import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../root';
import { foldersInCircles, sourcesBelow } from './folders';

describe('the folders inside a package', () => {
  it.each(readdirSync(join(root, 'packages')))('of %s import each other in no circle', (name) => {
    expect(foldersInCircles(sourcesBelow(join(root, 'packages', name, 'src')))).toEqual([]);
  });
  it('are found where they do', () => {
    const circle = {
      'a/one.ts': "import { two } from '../b/two';",
      'b/two.ts': "import { three } from '../c';",
      'c/three.ts': "import { one } from '../a/one';",
      'd/four.ts': "import { one } from '../a/one';",
    };
    expect(foldersInCircles(circle)).toEqual(['a', 'b', 'c']);
  });
});
