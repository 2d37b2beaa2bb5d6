import { configure } from '@testing-library/react';

// A busy machine takes its time; what is there is found at once.
configure({ asyncUtilTimeout: 20_000 });
