import { z } from 'zod';

/** Zod compiles its checks at run time but in pages, whose content policy forbids it. */
z.config({ jitless: typeof process === 'undefined' });

export { z };
