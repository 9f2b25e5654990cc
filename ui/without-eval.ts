/**
 * No page may make code out of text, as the content security policy has it. The schema library would try to once, and what comes of that failing costs a slow
 * phone a third of a second: told beforehand, it does not. Imported before any schema is.
 */
(globalThis as { __zod_globalConfig?: { jitless: boolean } }).__zod_globalConfig = { jitless: true };

export {};
