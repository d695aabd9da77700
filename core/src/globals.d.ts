/** Standard in every place the core runs (browser, worker, server); named here because the core asks for no platform’s types. */
declare function structuredClone<T>(value: T): T;
