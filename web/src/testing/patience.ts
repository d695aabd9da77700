import { configure } from '@testing-library/react';

// A machine that does other work at once takes its time over a page: what never comes is what fails.
configure({ asyncUtilTimeout: 60_000 });
