import { Serwist, type PrecacheEntry } from 'serwist';

/** The files of play with their revisions, put in by the build. */
declare const SHELL_FILES: PrecacheEntry[];

/**
 * Keeps the page of play and all that it loads, so that it opens without a network. It answers for these files and for
 * nothing else: no page of the desk, no name and no score is ever kept by it.
 */
const serwist = new Serwist({ precacheEntries: SHELL_FILES, skipWaiting: true, clientsClaim: true, precacheOptions: { cleanURLs: false } });
serwist.addEventListeners();
