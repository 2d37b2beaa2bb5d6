import { z } from 'zod';

/** Zod without compiling code at run time, which the pages' content policy forbids. */
z.config({ jitless: true });

export { z };
