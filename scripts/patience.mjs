// Tests that drive a whole server or a browser: each of their waits has an end of its own, and names what did not come.
import { jest } from '@jest/globals';

jest.setTimeout(900_000);
