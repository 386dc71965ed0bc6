import { configure } from '@testing-library/react';

// A busy machine is slow, not wrong: how long a condition may take to come true.
configure({ asyncUtilTimeout: 6000 });
