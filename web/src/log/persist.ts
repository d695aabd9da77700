/** Asks the browser to keep what this device holds, also when room gets short: it may hold what has not been delivered. Without a secure context it is not asked. */
export async function keepStorage(storage: StorageManager | undefined = navigator.storage): Promise<boolean> {
  if (!storage?.persist) return false;
  return (await storage.persisted?.()) || storage.persist();
}
