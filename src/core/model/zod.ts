import { z } from 'zod';

/**
 * Zod as this project uses it. By default Zod compiles its parsers with `new Function`, which our
 * Content-Security-Policy forbids, so it is told not to try.
 */
z.config({ jitless: true });

export { z };
