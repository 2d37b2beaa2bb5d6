import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
