import { expose } from 'comlink';
import { coreApi } from './coreApi.ts';

// The searches of the core, out of the way of the hand.
expose(coreApi);
