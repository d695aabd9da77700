// After them: what they shared goes.
export default async function shareDown() {
  const end = globalThis.endTestBase;
  delete globalThis.endTestBase;
  await end?.();
}
