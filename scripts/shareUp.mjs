// Before the tests that drive servers: what they share. Asked once for each project, done once.
import { startTestBase } from './lib/testBase.mjs';

export default async function shareUp() {
  if (!process.env.TEST_BASE) globalThis.endTestBase = await startTestBase();
}
