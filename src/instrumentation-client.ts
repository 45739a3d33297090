/**
 * Runs in the browser before anything else of ours. Zod is told not to make code out of text, which no page of ours allows: it would
 * try, and each try is a violation in the console. Said without loading Zod, which not every page needs.
 */
(globalThis as { __zod_globalConfig?: { jitless: boolean } }).__zod_globalConfig = { jitless: true };
