import { endWith, say } from '../setup/say.mjs';
import { root } from '../root';
import { build } from './build';

try {
  for (const { page, bytes } of await build(root)) {
    say(`${page}: first load ${Math.round(bytes / 1000)} kB (gzip)`);
  }
} catch (error) {
  endWith(error);
}
