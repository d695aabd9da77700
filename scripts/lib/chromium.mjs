import { ensureProgram, find } from './debian.mjs';

/** The one without windows: the tests take two thirds of the time they take in the whole browser. */
const names = ['chromium-headless-shell'];

/** Makes sure that Debian's Chromium for the tests is there. */
export const ensureChromium = () => ensureProgram('Chromium', names, names);

/** Where it is; null where it is not yet. */
export const findChromium = () => find(names);
