import flows from './jest.config.js';

/** What is timed runs alone, after everything else, so that it times Trug and not its neighbours. */
export default { ...flows, roots: ['<rootDir>/timing'], maxWorkers: 1 };
